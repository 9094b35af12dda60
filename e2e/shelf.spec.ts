import type { Locator } from '@playwright/test';
import { DEMO_SHELF } from '../src/data/demo';
import { fillShelf } from './many';
import { expect, openShelf, sheet, test } from './table';

const project = (change: object = {}) =>
  Buffer.from(
    JSON.stringify({
      format: 'tuck-fold-project',
      version: 1,
      name: 'From a friend',
      units: 'in',
      design: { version: 1, construction: 'diagonal-envelope', contents: { width: '3 in', height: '105 mm' } },
      ...change,
    }),
  );

test('the demo shelf shows each project drawn to scale, and the three things one may have', async ({ page }) => {
  await openShelf(page);
  await expect(page.getByRole('listitem')).toHaveCount(DEMO_SHELF.length);
  // A card is drawn when it comes into sight and there is time for it: its picture stands in its link.
  const pictures = page.locator('main li a svg');
  await expect(pictures.first()).toBeVisible();
  expect(await pictures.count()).toBeLessThan(DEMO_SHELF.length);
  for (const item of await page.getByRole('listitem').all()) {
    await item.scrollIntoViewIfNeeded();
    await expect(item.locator('a svg').first()).toBeVisible();
  }
  await expect(pictures).toHaveCount(DEMO_SHELF.length);
  const drawn = await pictures.evaluateAll((all) => all.map((svg) => svg.getBoundingClientRect().width));
  // Tickets are narrower than postcards: one scale for the whole shelf.
  expect(new Set(drawn.map(Math.round)).size).toBeGreaterThan(3);
  await expect(page.getByRole('link', { name: /I have/ })).toHaveCount(3);
});

test('rename, duplicate, delete and undo, all kept through a reload', async ({ page }) => {
  await openShelf(page);
  await page.getByRole('button', { name: 'More for Door tickets' }).click();
  await page.getByRole('menuitem', { name: 'Rename' }).click();
  await page.getByLabel('New name').fill('Gate tickets');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: /Gate tickets/ })).toBeVisible();
  await page.getByRole('button', { name: 'More for Gate tickets' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await expect(page.getByRole('link', { name: /Gate tickets \(copy\)/ })).toBeVisible();
  await page.getByRole('button', { name: 'More for Gate tickets (copy)' }).click();
  await page.getByRole('menuitem', { name: 'Move to the bin' }).click();
  await expect(page.getByRole('link', { name: /Gate tickets \(copy\)/ })).toBeHidden();
  await page.getByRole('button', { name: 'Put it back' }).first().click();
  await expect(page.getByRole('link', { name: /Gate tickets \(copy\)/ })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('link', { name: /Gate tickets/ })).toHaveCount(2);
});

test('a project file with lengths as people write them is taken in beside the others', async ({ page }) => {
  await openShelf(page);
  await page
    .getByLabel('Project file')
    .setInputFiles({ name: 'friend.json', mimeType: 'application/json', buffer: project() });
  await expect(sheet(page)).toBeVisible();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('3 in');
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await expect(page.getByRole('listitem')).toHaveCount(DEMO_SHELF.length + 1);
});

test('a damaged, foreign or huge file is refused with a sentence and nothing changes', async ({ page }) => {
  await openShelf(page);
  for (const [buffer, sentence] of [
    [Buffer.from('{"half":'), /not JSON/],
    [project({ format: 'recipe' }), /not a Tuck Fold project/],
    [
      project({ design: { version: 1, construction: 'diagonal-envelope', contents: { width: 'x', height: 1 } } }),
      /does not read as a length/,
    ],
    [Buffer.alloc(300_000, ' '), /a project has under/],
  ] as const) {
    await page.getByLabel('Project file').setInputFiles({ name: 'bad.json', mimeType: 'application/json', buffer });
    await expect(page.getByText(sentence).first()).toBeVisible();
  }
  await expect(page.getByRole('listitem')).toHaveCount(DEMO_SHELF.length);
});

interface Side {
  readonly width: Locator;
  readonly height: Locator;
  readonly undo: Locator;
}

test(
  'two tabs on one project: each takes over what the other changes, and undo takes back one’s own',
  { tag: '@thorough' },
  async ({ page, context }) => {
    await openShelf(page);
    await page.getByRole('link', { name: /Star cards/ }).click();
    await expect(sheet(page)).toBeVisible();
    const other = await context.newPage();
    await other.goto(page.url());
    await expect(sheet(other)).toBeVisible();
    const [one, two] = [page, other].map((tab) => ({
      width: tab.getByLabel('Width', { exact: true }),
      height: tab.getByLabel('Height', { exact: true }),
      undo: tab.getByRole('button', { name: 'Undo' }),
    })) as [Side, Side];
    await one.width.fill('3 1/4 in');
    await expect(two.width).toHaveValue('3 1/4 in');
    // Nothing of one's own was changed there yet.
    await expect(two.undo).toBeDisabled();
    await two.height.fill('4 1/2 in');
    await expect(one.height).toHaveValue('4 1/2 in');
    await one.undo.click();
    await expect(one.width).toHaveValue('3 in');
    await expect(one.height).toHaveValue('4 1/2 in');
    await expect(two.width).toHaveValue('3 in');
    // Where both changed the same, one's own comes back.
    await one.width.fill('3 1/4 in');
    await expect(two.width).toHaveValue('3 1/4 in');
    await two.width.fill('3 1/2 in');
    await expect(one.width).toHaveValue('3 1/2 in');
    await one.undo.click();
    await expect(two.width).toHaveValue('3 1/4 in');
  },
);

test('an address of a project that is not there says so and leads back', async ({ page }) => {
  await page.goto('/bench?p=nobody');
  await expect(page.getByText('This project is not on the shelf')).toBeVisible();
  await page.getByRole('button', { name: 'To the shelf' }).click();
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
});

test('a shelf of hundreds: few of them are drawn, the last changed first; searched fast and put in order, which the address keeps', async ({
  page,
}) => {
  const ALL = 620;
  const FOUND = 10;
  await openShelf(page);
  await fillShelf(page, ALL);
  await page.reload();
  const cards = page.getByRole('listitem');
  await expect(page.getByRole('link', { name: new RegExp(` ${ALL - 1}\\b`) }).first()).toBeVisible();
  expect(await cards.count()).toBeLessThan(120);
  // The last of them is reached.
  await page.keyboard.press('End');
  await expect(page.getByRole('link', { name: /Star cards/ }).first()).toBeVisible();
  expect(await cards.count()).toBeLessThan(120);
  await page.keyboard.press('Home');
  // Typed as fast as keys come, no letter is lost.
  const search = page.getByLabel('Search the shelf');
  await search.pressSequentially('door tickets 5');
  await expect(search).toHaveValue('door tickets 5');
  await expect(cards.first()).toContainText('Door tickets 5');
  // Door tickets 54, 154 … 594, and so on: counted once the list has followed the last letter.
  await expect(cards).toHaveCount(FOUND);
  await expect(page).toHaveURL(/words=door\+tickets\+5$/);
  await page.reload();
  await expect(search).toHaveValue('door tickets 5');
  await expect(cards).toHaveCount(FOUND);
  await search.fill('nobody calls anything this');
  await expect(page.getByText(`Nothing on the shelf is called that. ${ALL} are there.`)).toBeVisible();
  await search.fill('');
  await expect(page).not.toHaveURL(/words=/);
  await page.getByLabel('In which order').click();
  await page.getByTitle('by name', { exact: true }).click();
  await expect(cards.locator('a').first()).toContainText(/^Album of the eclipse night/);
  await expect(page).toHaveURL(/by=name$/);
  // Gone to another place and back it is as it was.
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Log' }).click();
  await expect(page.getByRole('heading', { name: 'Log', exact: true })).toBeVisible();
  await page.goBack();
  await expect(page.getByTitle('by name', { exact: true })).toBeVisible();
  await expect(cards.locator('a').first()).toContainText(/^Album of the eclipse night/);
});
