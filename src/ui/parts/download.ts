/** Hands a file to the person. */
export function download(name: string, type: string, content: string | Uint8Array): void {
  const url = URL.createObjectURL(new Blob([content as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}

/** A project's name as a file name: letters, digits and dashes of any script. */
export const fileName = (name: string, ending: string): string =>
  `${
    name
      .normalize('NFC')
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 60) || 'project'
  }.${ending}`;
