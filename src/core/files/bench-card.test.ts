import { writeFileSync } from 'node:fs';
import { expectApproved } from '../../../tests/helpers/approved';
import { readPdf, written, type ReadPage } from '../../../tests/helpers/printed';
import { DEMO_SHELF } from '../../data/demo';
import { figureText, keyFigures } from '../looks';
import { sayer } from '../length';
import { stepsOf } from '../making';
import { planSet, readSet } from '../sets';
import { benchCardPdf } from './bench-card';
import { printPicture } from './print-picture';
import { allSheets, PAGES } from '.';

async function cardOf(at: number, copies: number, page = PAGES[0]!): Promise<{ pages: ReadPage[]; texts: string[] }> {
  const { name, units, set } = DEMO_SHELF[at]!;
  const read = readSet(set);
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  const { plan } = planSet(read.set).parts.at(-1)!;
  const say = sayer(units, plan.design.graduation);
  const steps = stepsOf(plan, say);
  const { bytes } = await benchCardPdf(
    allSheets(plan.made!, plan.design),
    page,
    {
      title: name,
      kind: `${plan.design.construction.title}, ${copies} copies`,
      numbers: keyFigures(plan.made!, plan.design).map((figure) => ({
        label: figure.label,
        value: figureText(figure, say),
      })),
      steps: steps.map(({ text, caution }) => ({ text, caution })),
      copies,
      units,
      label: [name, 'Holds 3 × 4 in'],
    },
    printPicture(plan.made!),
  );
  if (process.env.KEEP_CARD) writeFileSync(`${process.env.KEEP_CARD}-${at}.pdf`, bytes);
  return { pages: await readPdf(bytes), texts: steps.map(({ text }) => text) };
}

/** Words without spaces, so that how lines are broken does not matter. */
const bare = (text: string): string => text.replaceAll(/\s/g, '');

// The longest makes and one of each kind; reading a PDF back takes a process of its own.
test.each([0, 4, 7, 8, 11, 12, 16].map((i) => [DEMO_SHELF[i]!.name, i] as const))(
  '%s: the whole make is one page, every step on it, nothing past the rim',
  async (_name, i) => {
    const { pages, texts } = await cardOf(i, 6);
    expect(pages).toHaveLength(1);
    const [page] = pages;
    for (const text of texts) expect(bare(page!.text)).toContain(bare(text));
    for (const { str, x, y, width } of page!.words) {
      expect({ str, left: x >= 0, right: x + width <= page!.width, foot: y >= 0 }).toEqual({
        str,
        left: true,
        right: true,
        foot: true,
      });
    }
    // The ring round a score's number is drawn about its own middle: a few points either way.
    const ring = 5;
    for (const [x1, y1, x2, y2] of page!.lines) {
      expect(Math.min(x1!, x2!, y1!, y2!)).toBeGreaterThanOrEqual(-ring);
      expect(Math.max(x1!, x2!)).toBeLessThanOrEqual(page!.width);
      expect(Math.max(y1!, y2!)).toBeLessThanOrEqual(page!.height);
    }
  },
);

test('a letter page works as well, and the numbers and the label stand on it', async () => {
  const { pages } = await cardOf(
    0,
    1,
    PAGES.find(({ id }) => id === 'letter'),
  );
  expect(pages[0]!.width).toBeCloseTo(612, 0);
  for (const words of [
    'Cut a square',
    '6 in',
    'Set the board at',
    '2 5/8 in',
    'label for the inside',
    'Holds 3 × 4 in',
  ])
    expect(bare(pages[0]!.text)).toContain(bare(words));
});

test.each<[string, number, number]>([
  ['envelope', 0, 6],
  ['box', 11, 1],
  ['many-copies', 1, 12],
])('the card of the %s as it was looked at', async (name, at, copies) => {
  const { pages } = await cardOf(at, copies);
  expectApproved(`cards/${name}`, written(pages));
});
