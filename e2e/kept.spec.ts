import { declaredFields, everyPage, MORE_PAGES, walk, type Field } from './fields';
import { expect, openShelf, test } from './table';

/** Most fields of one name that are typed into on one screen: rows of a table are one component. */
const ROWS = 2;
/** Types something else into a field that it takes, as far as it can be told; gives whether it did. */
async function change({ at, kind }: Field): Promise<boolean> {
  // What was typed before may have taken it away.
  if (!(await at.isVisible())) return false;
  const before = await at.inputValue();
  if (kind === 'text' || kind === 'lines') {
    await at.fill(`${before} 7`.trim());
    return true;
  }
  for (const key of ['ArrowUp', 'ArrowDown']) {
    await at.press(key);
    if ((await at.inputValue()) !== before) return true;
  }
  if (before !== '' || kind !== 'length') return false;
  // As much as it takes: room is little, a sheet is not.
  for (const text of ['1/8 in', '4 in']) {
    await at.fill(text);
    if ((await at.getAttribute('aria-invalid')) !== 'true') return true;
  }
  await at.fill('');
  return false;
}

/** What one finds by another way than a button: a card pulled over another, a menu. */
const OTHERWISE = /PutTogether|AddPart/;

test('every field on every screen keeps what is typed into it through a reload', async ({ page }) => {
  test.setTimeout(400_000);
  await openShelf(page);
  const names = new Set<string>();
  const lost: string[] = [];
  let typed = 0;
  for (const address of [...everyPage(), ...MORE_PAGES])
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
  const declared = declaredFields();
  const missed = declared.filter(
    ({ file, name }) => name && !OTHERWISE.test(file) && ![...names].some((one) => name.test(one)),
  );
  expect(missed.map(({ file, name }) => `${file}: ${name!.source}`)).toEqual([]);
  expect(declared.length).toBeGreaterThan(80);
  expect(typed).toBeGreaterThan(declared.length / 2);
});
