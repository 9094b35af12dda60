/** A page as pdf.js reads it, points: its size, every line drawn, every piece of text and where it stands. */
export interface ReadPage {
  readonly width: number;
  readonly height: number;
  readonly lines: readonly (readonly [number, number, number, number])[];
  readonly text: string;
  readonly words: readonly { readonly str: string; readonly x: number; readonly y: number; readonly width: number }[];
}

/** Reads a PDF back with pdf.js, another's reader. */
export async function readPdf(bytes: Uint8Array): Promise<ReadPage[]> {
  const { pagesOf } = await import('./read-pdf.mjs');
  return pagesOf(bytes);
}

/** Everything on the pages: words where they stand and lines from where to where, to a tenth of a point. */
export const written = (pages: readonly ReadPage[]): string => {
  const at = (n: number): string => n.toFixed(1).replace('-0.0', '0.0');
  return pages
    .flatMap(({ width, height, words, lines }) => [
      `page ${at(width)} × ${at(height)}`,
      ...words.filter(({ str }) => str.trim()).map(({ str, x, y, width: w }) => `${at(x)} ${at(y)} ${at(w)}  ${str}`),
      ...lines.map((line) => `line ${line.map(at).join(' ')}`),
      '',
    ])
    .join('\n');
};
