import type { PDFFont } from 'pdf-lib';

/** Words in lines that fit. */
export function wrapped(text: string, fits: (line: string) => boolean): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const longer = lines.length > 0 ? `${lines.at(-1)} ${word}` : word;
    if (lines.length > 0 && fits(longer)) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}

/** Text the built-in font can print: other letters become a middle dot rather than stopping the file. */
export function printable(font: PDFFont, text: string): string {
  const known = new Set(font.getCharacterSet());
  return [...text].map((c) => (known.has(c.codePointAt(0)!) ? c : '·')).join('');
}
