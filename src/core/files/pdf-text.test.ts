import { readFileSync } from 'node:fs';
import { planOf } from '../../../tests/helpers/designs';
import { readPdf } from '../../../tests/helpers/printed';
import { inches } from '../length';
import { isPlainText, textLines } from './pdf-text';
import { sheetPdf } from './pdf';
import { sheetPicture } from '../looks';
import { PAGES } from '.';

/** The fonts the app ships, for what the readers' own lack. */
const FONTS = ['latin-ext', 'greek', 'cyrillic'].map((letters) =>
  readFileSync(`node_modules/@fontsource/source-sans-3/files/source-sans-3-${letters}-400-normal.woff`),
);
const drawing = sheetPicture(
  planOf({ version: 1, construction: 'diagonal-envelope', contents: { width: '3 in', height: '4 in' } }).made!,
);
const printed = (title: string, fonts: readonly Uint8Array[] = FONTS) =>
  sheetPdf([[drawing]], PAGES[0]!, { title, pieces: {}, bar: { length: inches(4), label: '4 in' } }, [], fonts);
const wordsIn = async (bytes: Uint8Array): Promise<string> =>
  (await readPdf(bytes))
    .map(({ text }) => text)
    .join(' ')
    .replace(/\s+/g, '');

test.each(['Карты со звёздами', 'Κάρτες με αστέρια', 'Çiğdem, Łódź & Šárka', 'Mixed: star, звезда, αστέρι'])(
  '“%s” is printed whole, and read back by pdf.js',
  async (title) => {
    const { bytes, missing } = await printed(title);
    expect(missing).toEqual([]);
    expect(await wordsIn(bytes)).toContain(title.replace(/\s+/g, ''));
  },
);

test('letters no font has are told, each once, and a dot stands for each', async () => {
  const { bytes, missing } = await printed('星のカード 星 🌛\u200D🌟');
  expect(missing).toEqual(['星', 'の', 'カ', 'ー', 'ド', '🌛', '🌟']);
  expect(await wordsIn(bytes)).toContain('·····');
});

test('without more fonts it prints what every reader has, and tells the rest', async () => {
  const { missing } = await printed('Karte № Ж', []);
  expect(missing).toEqual(['№', 'Ж']);
});

test('plain is what the readers’ own fonts have, by their code page', () => {
  expect(['Café “x” – 3 ½ € ™', 'œ Š ž'].every(isPlainText)).toBe(true);
  expect(['Ж', '½\u0301', '→', '✓', '\u0007'].some(isPlainText)).toBe(false);
});

test('words are set in lines that fit; a word too long stands alone', () => {
  const fits = (line: string): boolean => line.length <= 8;
  expect(textLines('cut the square card-holder so', fits)).toEqual(['cut the', 'square', 'card-holder', 'so']);
});
