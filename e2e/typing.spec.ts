import type { Page } from '@playwright/test';
import { everyPage, MORE_PAGES, walk, type Field } from './fields';
import { expect, go, openShelf, test } from './table';

/** What is typed into each kind of field, a key at a time. */
const TEXT: Record<Field['kind'], string> = {
  length: '3 7/16 in',
  number: '137',
  text: 'Photo mounts',
  lines: 'glue a little, press long',
};
/** Time from key to key, ms: from as fast as anyone types to slow, one after the other over the fields. */
const SPEEDS = process.env.SPEEDS?.split(',').map(Number) ?? [20, 20, 20, 60];
/** Most fields of a kind that are typed in on one screen or form: they are one component each, as are the rows of a table. */
const ROWS = 2;
/** While it is typed the processor is slowed so many times: for everything, `SLOWED=4 SPEEDS=30,60,100,150` takes its time. */
const SLOWED = Number(process.env.SLOWED ?? 1);

/** Slows a page's processor so many times, from when it is called. */
async function throttle(page: Page): Promise<(times: number) => Promise<unknown>> {
  const client = await page.context().newCDPSession(page);
  return (rate) => client.send('Emulation.setCPUThrottlingRate', { rate });
}

/** Types into a field and gives what stands in it when the last key is up, and a while later. */
async function typed(
  page: Page,
  { at, kind }: Field,
  delay: number,
  slow: () => Promise<unknown>,
): Promise<readonly [string, string]> {
  await at.click({ timeout: 20_000 });
  const before = await at.inputValue();
  await page.keyboard.press('Control+a');
  await slow();
  await page.keyboard.type(TEXT[kind], { delay });
  const now = await at.inputValue();
  await page.waitForTimeout(120);
  const later = await at.inputValue();
  // The other fields stand only while this one says what it said: a search hides what it does not find.
  await at.fill(before);
  return [now, later];
}

/** Screens that keep what is typed: there it is typed on a slowed processor. */
const KEPT = ['/tools', '/cutting', '/bench?p=demo-1'];
const pages = [...everyPage(), ...MORE_PAGES];
/** Screens with many fields, and screens with few, in parts that take about as long. */
const PARTS = [0, 1].map((part) => pages.filter((_, i) => i % 2 === part));

/** Types into every field of some pages and gives what went wrong. `most` of a kind on one screen, where not all are. */
async function typeEverywhere(
  page: Page,
  addresses: readonly string[],
  slowed: number,
  most = Infinity,
): Promise<{ readonly count: number; readonly wrong: readonly string[] }> {
  let count = 0;
  const wrong: string[] = [];
  const slowDown = await throttle(page);
  for (const address of addresses)
    await walk(page, address, async (fields, { where }) => {
      const kinds = new Map<Field['kind'], number>();
      for (const field of fields) {
        kinds.set(field.kind, (kinds.get(field.kind) ?? 0) + 1);
        if (kinds.get(field.kind)! > most) continue;
        const delay = SPEEDS[count++ % SPEEDS.length]!;
        const [now, later] = await typed(page, field, delay, () => slowDown(slowed));
        await slowDown(1);
        if (now !== TEXT[field.kind] || later !== TEXT[field.kind])
          wrong.push(`${where}, ${field.name}, ${delay} ms: “${now}”, then “${later}”`);
      }
    });
  return { count, wrong };
}

PARTS.forEach((part, i) =>
  test(`no field on any screen loses a keystroke, part ${i + 1}`, { tag: '@thorough' }, async ({ page }) => {
    test.setTimeout(300_000 * Math.max(1, SLOWED));
    await openShelf(page);
    const { count, wrong } = await typeEverywhere(page, part, SLOWED, ROWS);
    expect(wrong).toEqual([]);
    // The walk found the fields there are: fewer would mean that it opened nothing.
    expect(count).toBeGreaterThan(15);
  }),
);

test(
  'on a processor slowed four times, a field of each kind on the screens that keep what is typed',
  { tag: '@thorough' },
  async ({ page }) => {
    test.setTimeout(200_000);
    await openShelf(page);
    const { count, wrong } = await typeEverywhere(page, KEPT, 4, 1);
    expect(wrong).toEqual([]);
    expect(count).toBeGreaterThanOrEqual(8);
  },
);

test(
  'what is not sent off survives a reload, and is a draft no more when it was',
  { tag: '@thorough' },
  async ({ page }) => {
    await go(page, '/stash');
    await page.getByRole('button', { name: 'Add a paper' }).click();
    const form = page.getByRole('dialog', { name: 'A paper for the stash' });
    await form.getByLabel('Name').pressSequentially('Comet paper');
    await form.getByLabel('Width').fill('7 3/8 in');
    await page.reload();
    await page.getByRole('button', { name: 'Add a paper' }).click();
    await expect(form.getByText('Here is the paper you were writing.')).toBeVisible();
    await expect(form.getByLabel('Name')).toHaveValue('Comet paper');
    await expect(form.getByLabel('Width')).toHaveValue('7 3/8 in');
    // Sent off, it is no draft any more.
    await form.getByRole('button', { name: 'Put it in' }).dblclick();
    await expect(page.getByRole('row', { name: /Comet paper/ })).toHaveCount(1);
    await page.getByRole('button', { name: 'Add a paper' }).click();
    await expect(form.getByLabel('Name')).toHaveValue('');
    await form.getByLabel('Name').fill('Not wanted');
    await form.getByRole('button', { name: 'Leave it' }).click();
    await page.getByRole('button', { name: 'Add a paper' }).click();
    await expect(form.getByLabel('Name')).toHaveValue('');

    await go(page, '/log?e=demo-log-3');
    await page.getByRole('button', { name: 'Change', exact: true }).click();
    await page.getByLabel('Note').fill('two\nlines');
    await page.reload();
    await page.getByRole('button', { name: 'Change', exact: true }).click();
    await expect(page.getByLabel('Note')).toHaveValue('two\nlines');
    await page.getByRole('button', { name: 'Leave it as it was' }).click();
    await page.getByRole('button', { name: 'Change', exact: true }).click();
    await expect(page.getByLabel('Note')).not.toHaveValue('two\nlines');

    await go(page, '/tools/calibrate');
    const first = page.getByRole('listitem', { name: 'Trial 1' });
    await first.getByLabel('Inside width').fill('3 1/4 in');
    await page.reload();
    await expect(first.getByLabel('Inside width')).toHaveValue('3 1/4 in');

    await go(page, '/tools/chart');
    await page.getByLabel('Card’s width').fill('3 in');
    await page.reload();
    await expect(page.getByLabel('Card’s width')).toHaveValue('3 in');

    await go(page, '/tools/try');
    await page.getByLabel('Sheet’s width').fill('7 1/2 in');
    await page.reload();
    await expect(page.getByLabel('Sheet’s width')).toHaveValue('7 1/2 in');

    await go(page, '/sets');
    await page.getByRole('button', { name: /Cards in a box/ }).click();
    await page.getByLabel('Width').fill('3 3/8 in');
    await page.reload();
    await expect(page.getByRole('button', { name: /Cards in a box/, pressed: true })).toBeVisible();
    await expect(page.getByLabel('Width')).toHaveValue('3 3/8 in');

    await go(page, '/stash');
    await page.getByRole('button', { name: 'Paste or import' }).click();
    const table = page.getByRole('textbox', { name: 'Table of papers' });
    await table.fill('name,width,height\nBlue,3,4');
    await page.reload();
    await page.getByRole('button', { name: 'Paste or import' }).click();
    await expect(table).toHaveValue('name,width,height\nBlue,3,4');
    await expect(page.getByText('1 will be put in')).toBeVisible();
  },
);

test('a double click does a thing once', { tag: '@thorough' }, async ({ page }) => {
  await openShelf(page);
  const cards = page.getByRole('listitem');
  const before = await cards.count();
  await page.getByRole('button', { name: 'More for Dome postcards' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).dblclick({ force: true });
  await expect(page.getByText('Dome postcards (copy)')).toBeVisible();
  await expect(cards).toHaveCount(before + 1);
  await go(page, '/choose?have=contents');
  await page.getByRole('button', { name: /^Sleeve/ }).dblclick();
  await expect(page).toHaveURL(/\/bench\?p=/);
  await go(page, '/');
  await expect(cards).toHaveCount(before + 2);
  await go(page, '/tools');
  const punches = page.getByRole('region', { name: 'Punches' }).getByRole('listitem');
  await expect(page.getByLabel('Name of 1 in punch')).toBeVisible();
  const had = await punches.count();
  await page.getByRole('button', { name: 'Add a punch' }).dblclick();
  await expect(punches).toHaveCount(had + 1);
  await go(page, '/make?p=demo-2');
  await page.getByRole('button', { name: 'Begin', exact: true }).dblclick();
  await expect(page.getByText(/^Step/)).toBeVisible();
  const makes = await page.evaluate(
    () =>
      new Promise<number>((done) => {
        const open = indexedDB.open('tuck-fold');
        open.onsuccess = () => {
          const all = open.result.transaction('makes').objectStore('makes').count();
          all.onsuccess = () => done(all.result);
        };
      }),
  );
  expect(makes).toBe(1);
});
