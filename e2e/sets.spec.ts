/** Sets: begun from the front door, changed from the inside out, short of paper, made twice; by mouse, by keyboard, on a phone. */
import type { Page } from '@playwright/test';
import { expect, figure, go, openShelf, pullOver, setLength, sheet, test, sheetsLaid } from './table';

const strip = (page: Page) => page.getByRole('navigation', { name: 'What holds what' });
const partIn = (page: Page, name: string) => strip(page).getByRole('button', { name: new RegExp(`^${name}`) });
const drawing = (page: Page) => page.getByRole('group', { name: 'The set to one scale' });

const look = (page: Page, view: string) =>
  page.getByRole('radiogroup', { name: 'View' }).getByText(view, { exact: true }).click();

/** Four long cards in envelopes in a box with a band, from the front door. */
async function boxed(page: Page): Promise<void> {
  await openShelf(page);
  await page.getByRole('link', { name: /several things together/ }).click();
  await page.getByRole('button', { name: /^Cards in a box/ }).click();
  await expect(page.getByText('7 pieces to cut')).toBeVisible();
  await page.getByRole('button', { name: 'Begin this set' }).click();
  await expect(drawing(page)).toBeVisible();
}

test('from the front door by mouse: four choices, not four projects; the band follows the innermost card', async ({
  page,
}) => {
  await boxed(page);
  for (const name of ['Card', 'Envelope', 'Box', 'Band']) await expect(partIn(page, name)).toBeVisible();
  await partIn(page, 'Band').click();
  const before = await figure(page, 'Cut');
  await partIn(page, 'Card').click();
  await expect(page.getByText('There already: it is checked, and never changed.')).toBeVisible();
  await setLength(page, 'Width', '4 1/2 in');
  await partIn(page, 'Band').click();
  await expect.poll(() => figure(page, 'Cut')).not.toBe(before);
  const after = await figure(page, 'Cut');
  // An inch more across is two inches more once round.
  expect([parseFloat(before), parseFloat(after)]).toEqual([10, 12]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => figure(page, 'Cut')).toBe(before);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect.poll(() => figure(page, 'Cut')).toBe(after);
  await page.waitForTimeout(400);
  await page.reload();
  await partIn(page, 'Band').click();
  await expect.poll(() => figure(page, 'Cut')).toBe(after);
  // Tapped in the drawing, a part is the one on the table.
  await look(page, 'Together');
  await drawing(page).locator('[data-part=envelope]').first().focus();
  await page.keyboard.press('Enter');
  await expect(partIn(page, 'Envelope')).toHaveAttribute('aria-pressed', 'true');
});

test(
  'the same by keyboard alone, a part added, its quantity changed, and taken out again',
  { tag: '@thorough' },
  async ({ page }) => {
    await openShelf(page);
    await page.getByRole('link', { name: /several things together/ }).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: /^A gift card/ }).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'Begin this set' }).focus();
    await page.keyboard.press('Enter');
    await expect(drawing(page)).toBeVisible();
    await expect(partIn(page, 'Envelope')).toHaveAttribute('aria-pressed', 'true');
    await page.keyboard.press(',');
    await expect(partIn(page, 'Holder')).toHaveAttribute('aria-pressed', 'true');
    await page.keyboard.press('1');
    await expect(sheet(page)).toBeVisible();
    await page.keyboard.press('.');
    await expect(partIn(page, 'Envelope')).toHaveAttribute('aria-pressed', 'true');
    await strip(page).getByRole('button', { name: 'Add to the set' }).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('menuitem', { name: 'A band round the envelope' }).press('Enter');
    await expect(partIn(page, 'Band')).toHaveAttribute('aria-pressed', 'true');
    const many = page.getByLabel('How many of Band', { exact: true });
    await many.fill('2');
    await many.press('Enter');
    await expect(partIn(page, 'Band')).toContainText('× 2');
    await page.getByRole('button', { name: 'Take Band out of the set' }).focus();
    await page.keyboard.press('Enter');
    await expect(partIn(page, 'Band')).toHaveCount(0);
    await page.keyboard.press('Control+z');
    await expect(partIn(page, 'Band')).toContainText('× 2');
  },
);

test('counts that do not agree are said, with the button that helps', { tag: '@thorough' }, async ({ page }) => {
  await boxed(page);
  const cards = page.getByLabel('How many of Card in the set');
  await cards.fill('5');
  await cards.press('Enter');
  const said = page.locator('[data-check="count-card"]');
  await expect(said).toContainText('1 is left over');
  await said.getByRole('button', { name: 'Card: make it 4' }).click();
  await expect(said).toHaveCount(0);
  await expect(cards).toHaveValue('4');
});

test(
  'a paper picked up is given by tapping; one that runs out says what to buy, and the shopping list with it',
  { tag: '@thorough' },
  async ({ page }) => {
    await boxed(page);
    const papers = page.getByRole('group', { name: 'Papers', exact: true });
    await expect(papers.getByRole('button', { name: /^Envelope paper/ })).toContainText('4 sheets');
    await papers.getByRole('button', { name: /^Band paper/ }).click();
    await page.getByRole('button', { name: /^Box, lid:/ }).click();
    await expect(page.getByRole('button', { name: /^Box, lid: Band paper/ })).toBeVisible();
    await papers.getByRole('button', { name: /^Envelope paper/ }).click();
    await page.getByRole('button', { name: 'Count the sheets' }).click();
    const count = page.getByLabel('Sheets at hand', { exact: true });
    await expect(count).toHaveValue('4');
    await count.fill('3');
    await count.press('Enter');
    await expect(papers.getByRole('button', { name: /^Envelope paper/ })).toContainText('buy 1');
    await expect(page.locator('[data-check="paper-envelope"]')).toContainText('Buy 1 more');
    await page.keyboard.press('Escape');
    await look(page, 'Cutting');
    const list = page.getByRole('table', { name: 'Papers it takes' });
    const row = list.getByRole('row', { name: /^Envelope paper/ });
    await expect(row.getByRole('cell')).toHaveText(['4', '4', '3', '1']);
    // Two of the whole set: twice as many.
    const copies = page.getByLabel('Copies to cut');
    await copies.fill('2');
    await copies.press('Enter');
    await expect(row.getByRole('cell')).toHaveText(['8', '8', '3', '5']);
    await page.getByRole('radiogroup', { name: 'Paper to cut' }).getByText('Box card', { exact: true }).click();
    await expect(page.getByRole('region', { name: 'The sheets' })).toContainText(/sheet/);
  },
);

test('two copies of a set are made: by paper and setting, inner before outer, each part’s fit in the log', async ({
  page,
}) => {
  await go(page, '/sets');
  await page.getByRole('button', { name: /^A card and its envelope/ }).click();
  await page.getByRole('button', { name: 'Begin this set' }).click();
  await page.getByRole('link', { name: 'Make it' }).click();
  const sets = page.getByLabel('How many sets?');
  await sets.fill('2');
  await sets.press('Enter');
  await expect(page.getByText(/steps from the first cut to the last fold/)).toBeVisible();
  await sheetsLaid(page);
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  const words = page.getByRole('region', { name: 'What to do' });
  const progress = page.getByRole('progressbar', { name: 'How far the make has come' });
  await expect(words).toContainText('Fence at');
  const all = Number(await progress.getAttribute('aria-valuemax'));
  const seen: string[] = [];
  for (let at = 0; at < all; at++) {
    await expect(progress).toHaveAttribute('aria-valuenow', String(at));
    seen.push((await words.getByRole('heading').textContent()) ?? '');
    if (at === 5) {
      await expect(words).toContainText(/Both|Fence at/);
      await page.waitForTimeout(300);
      await page.reload();
      await expect(progress).toHaveAttribute('aria-valuenow', '5');
    }
    await page.keyboard.press('PageDown');
  }
  // All is cut before anything is folded, and the card is done before it goes into its envelope.
  const last = (part: string) => seen.findLastIndex((title) => title.includes(part));
  expect(seen.slice(0, 3).every((title) => title.startsWith('Cut'))).toBe(true);
  expect(last('Card')).toBeLessThan(last('Envelope'));
  await expect(page.getByRole('heading', { name: 'All 2 made' })).toBeVisible();
  await page.getByText('Just right', { exact: true }).click();
  await page.getByRole('button', { name: 'Write the envelope in the log' }).click();
  await expect(page.getByRole('heading', { name: 'Written down' })).toBeVisible();
  await page.getByRole('link', { name: 'See it in the log' }).click();
  await expect(page.getByText('A card and its envelope: Envelope').first()).toBeVisible();
});

test('a single holder grows into a set: what it goes in, a layer, and something from the shelf', async ({ page }) => {
  await go(page, '/bench?p=demo-1');
  await expect(sheet(page)).toBeVisible();
  const cut = await figure(page, 'Cut a square');
  await strip(page).getByRole('button', { name: 'Add to the set' }).click();
  await page.getByRole('menuitem', { name: /^What the envelope from a square goes in/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('What it is', { exact: true }).fill('Tray box with a lid');
  await page.getByTitle('Tray box with a lid', { exact: true }).click();
  await dialog.getByRole('button', { name: 'Add it' }).click();
  await expect(drawing(page)).toBeVisible();
  await expect(partIn(page, 'Tray box with a lid')).toHaveAttribute('aria-pressed', 'true');
  await strip(page).getByRole('button', { name: 'Add to the set' }).click();
  await page.getByRole('menuitem', { name: /^A layer on the/ }).hover();
  await page.getByRole('menuitem', { name: 'On the front' }).click();
  await expect(page.getByRole('button', { name: /, mat:/ })).toBeVisible();
  // The envelope is as it was.
  await partIn(page, 'Envelope from a square').click();
  expect(await figure(page, 'Cut a square')).toBe(cut);
});

test(
  'a card pulled onto another on the shelf goes into it, as a new project',
  { tag: '@thorough' },
  async ({ page }) => {
    await openShelf(page);
    await pullOver(page, 'Star cards, Quillmere open night', 'Dome postcards');
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('into “Dome postcards”');
    await dialog.getByRole('button', { name: 'Put them together' }).click();
    await expect(drawing(page)).toBeVisible();
    await expect(strip(page).getByRole('listitem')).toHaveCount(2);
    await page.getByRole('link', { name: 'Shelf', exact: true }).click();
    await expect(page.getByRole('link', { name: /in Dome postcards/ })).toBeVisible();
    await expect(page.getByRole('link', { name: /^Dome postcards/ })).toBeVisible();
  },
);

test('a project file of version 1 comes as the set it is, with what went with it', async ({ page }) => {
  await openShelf(page);
  const older = {
    format: 'tuck-fold-project',
    version: 1,
    name: 'Older pouch',
    units: 'in',
    design: {
      version: 1,
      construction: 'storage-pocket',
      contents: { width: '3 in', height: '4 in' },
      companions: ['mat', 'tag', 'note'],
    },
  };
  await page.getByLabel('Project file').setInputFiles({
    name: 'older.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(older)),
  });
  await expect(drawing(page)).toBeVisible();
  for (const name of ['Tag', 'Folded note']) await expect(partIn(page, name)).toBeVisible();
  await expect(page.getByRole('button', { name: /, mat:/ })).toBeVisible();
});

test('on a phone nothing stands over anything, and every part can be reached', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await go(page, '/bench?p=demo-18');
  await expect(drawing(page)).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await partIn(page, 'Band').scrollIntoViewIfNeeded();
  await partIn(page, 'Band').click();
  await expect(partIn(page, 'Band')).toHaveAttribute('aria-pressed', 'true');
});
