import { spawn, type ChildProcessWithoutNullStreams } from 'node:child_process';

/** A page as pdf.js reads it, points: its size, every line drawn, every piece of text and where it stands. */
export interface ReadPage {
  readonly width: number;
  readonly height: number;
  readonly lines: readonly (readonly [number, number, number, number])[];
  readonly text: string;
  readonly words: readonly { readonly str: string; readonly x: number; readonly y: number; readonly width: number }[];
}

let reader: ChildProcessWithoutNullStreams | null = null;
let said = '';
const waiting: { readonly done: (pages: ReadPage[]) => void; readonly failed: (error: Error) => void }[] = [];
afterAll(() => reader?.kill());

/**
 * Reads a PDF back with pdf.js, in a process of its own because it is published as ES modules only; one process for all
 * PDFs of a test file, for starting it takes longer than reading.
 */
export function readPdf(bytes: Uint8Array): Promise<ReadPage[]> {
  if (!reader) {
    reader = spawn('node', ['tests/helpers/read-pdf.mjs', 'many']);
    reader.stdout.setEncoding('utf8').on('data', (chunk: string) => {
      said += chunk;
      for (let end = said.indexOf('\n'); end >= 0; end = said.indexOf('\n')) {
        const answer = JSON.parse(said.slice(0, end)) as ReadPage[] | { readonly error: string };
        said = said.slice(end + 1);
        const next = waiting.shift()!;
        if (Array.isArray(answer)) next.done(answer);
        else next.failed(new Error(answer.error));
      }
    });
    reader.on('exit', (code) => {
      for (const { failed } of waiting.splice(0)) failed(new Error(`the reader of PDFs ended with ${code}`));
    });
  }
  const length = Buffer.alloc(4);
  length.writeUInt32BE(bytes.length);
  reader.stdin.write(Buffer.concat([length, bytes]));
  return new Promise((done, failed) => waiting.push({ done, failed }));
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
