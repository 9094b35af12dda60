import { change, declaredFields, everyPage, MORE_PAGES, walk } from './fields';
import { expect, openShelf, test } from './table';
import { THOROUGH } from './thorough';

/** Most fields of one name that are typed into on one screen: rows of a table are one component. */
const ROWS = 2;
/** What one finds by another way than a button: a card pulled over another, a menu. */
const OTHERWISE = /PutTogether|AddPart/;
/** Fields that come with a choice, on screens whose other fields are walked; each is kept with these. */
const AFTER_A_CHOICE = [
  'Width of the tape',
  'Disc, across',
  'From a flap’s tip to its disc',
  'Border of the',
  'if you know it',
  'It is wide',
  'It is high',
  'From the edge’s left end',
  'Torn, wide',
  'Torn, deep',
  'It really is at',
  'New name',
  'Name of the paper',
  'Sheet width',
  'Sheet height',
  'Sheets at hand',
  'Depth of its flap',
  'How many .* in one',
];

test('every field on every screen keeps what is typed into it through a reload', async ({ page }) => {
  test.setTimeout(400_000);
  await openShelf(page);
  const names = new Set<string>();
  const lost: string[] = [];
  let typed = 0;
  // Every screen; the thorough check looks at those that differ by what stands behind them too, and in all their views.
  for (const address of THOROUGH ? [...everyPage(), ...MORE_PAGES] : everyPage())
    await walk(page, address, async (fields, { where, now, again }) => {
      const count = new Map<string, number>();
      let changed = 0;
      // What is looked for hides what is not found: it comes last.
      const inTurn = [...fields].sort(
        (a, b) => Number(a.name.startsWith('Search')) - Number(b.name.startsWith('Search')),
      );
      for (const field of inTurn) {
        names.add(field.name);
        const rows = (count.get(field.name.replace(/ of .*/, '')) ?? 0) + 1;
        count.set(field.name.replace(/ of .*/, ''), rows);
        if (rows <= ROWS && (await change(field))) changed++;
      }
      if (changed === 0) return;
      typed += changed;
      await page.keyboard.press('Tab');
      await page.waitForTimeout(150);
      const before = await now();
      const after = [...(await again())];
      for (const { name, value } of before) {
        const place = after.findIndex((other) => other.name === name);
        const found = place < 0 ? 'nothing' : after.splice(place, 1)[0]!.value;
        if (found !== value) lost.push(`${where}, ${name}: “${value}” was typed, “${found}” came back`);
      }
    });
  expect(lost).toEqual([]);
  expect(typed).toBeGreaterThan(45);
  if (!THOROUGH) return;
  const declared = declaredFields();
  const missed = declared
    .filter(({ file, name }) => name && !OTHERWISE.test(file) && ![...names].some((one) => name.test(one)))
    .map(({ file, name }) => `${file}: ${name!.source.replaceAll('\\s+', ' ')}`);
  // Of these none is there that is not meant: neither a field nobody walked to, nor a choice that is none any more.
  expect(missed.filter((one) => !AFTER_A_CHOICE.some((name) => one.includes(name)))).toEqual([]);
  expect(AFTER_A_CHOICE.filter((name) => !missed.some((one) => one.includes(name)))).toEqual([]);
  expect(declared.length).toBeGreaterThan(80);
  expect(typed).toBeGreaterThan(declared.length / 2);
});
