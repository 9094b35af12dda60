/** Albums and envelopes that are bought: begun from the envelopes one has, measured anew, listed and printed. */
import type { Page } from '@playwright/test';
import { expect, figure, go, openShelf, setLength, test } from './table';

const fromEnvelopes = async (page: Page): Promise<void> => {
  await openShelf(page);
  await page.getByRole('link', { name: /I have these envelopes/ }).click();
  await expect(page.getByRole('list', { name: 'What they can become' })).toBeVisible();
};
const look = (page: Page, view: string) =>
  page.getByRole('radiogroup', { name: 'View' }).getByText(view, { exact: true }).click();
/** The size and number of a piece in the table of all pieces. */
const row = (page: Page, piece: string) =>
  page
    .getByRole('table', { name: 'All pieces' })
    .getByRole('row', { name: new RegExp(`^${piece}`) })
    .first()
    .getByRole('cell');

test('an album on rings from the envelopes one has: the list follows the envelope by an eighth, and prints', async ({
  page,
}) => {
  await fromEnvelopes(page);
  await setLength(page, 'A: along the mouth', '6 1/8 in');
  await page.getByRole('button', { name: 'Begin an album on rings' }).click();
  await expect(page.getByText('5 1/4').or(page.getByText('Cut the first outer mat')).first()).toBeVisible();
  await look(page, 'Cutting');
  await page.getByText('All pieces in a table').click();
  await expect(row(page, 'first outer mat')).toHaveText(['first outer mat', '5 1/4 in × 5 7/8 in', '6']);
  await expect(row(page, 'side pull-out').last()).toHaveText('12');
  await expect(page.getByRole('region', { name: 'Besides paper' }).getByRole('listitem')).toHaveText([
    /^6 first envelopes, 6 1\/8 in × 6 1\/8 in$/,
    /^6 second envelopes, 6 1\/8 in × 6 1\/8 in$/,
    /^2 boards, 6 3\/4 in × 6 3\/4 in$/,
    /^2 rings, .* in inside$/,
    /^.* in of tape, 1\/2 in wide$/,
    /^wet glue, on about \d+ in²$/,
  ]);
  // Only the table is printed, on a page of its own.
  await page.evaluate(() => {
    window.print = () => {
      document.body.dataset.printed = [...document.body.children].map((child) => child.tagName).join(' ');
    };
  });
  await page.getByRole('button', { name: 'Print this table' }).click();
  await expect.poll(() => page.evaluate(() => document.body.dataset.printed)).toBeTruthy();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('heading', { name: 'An album on rings', level: 1 })).toBeVisible();
  await expect(page.getByRole('navigation').first()).toBeHidden();
  await page.emulateMedia({ media: 'screen' });
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  // An envelope that measures an eighth more.
  await look(page, 'Sheet');
  await setLength(page, 'Envelope', '6 1/4 in');
  await look(page, 'Cutting');
  await page.getByText('All pieces in a table').click();
  await expect(row(page, 'first outer mat')).toHaveText(['first outer mat', '5 3/8 in × 6 in', '6']);
});

test('the album is leafed through by keys and by swiping, and its cards are pulled out', async ({ page }) => {
  await go(page, '/bench?p=demo-20');
  await look(page, 'Folded');
  await page.getByText('Leaf through', { exact: true }).click();
  const book = page.getByRole('img', { name: /^The cover is open/ });
  await expect(book).toBeVisible();
  await page.getByRole('slider', { name: 'Which pages lie open' }).focus();
  await page.keyboard.press('ArrowRight');
  const second = page.getByRole('img', { name: 'The back of page 1, and page 2' });
  await expect(second).toBeVisible();
  const box = (await second.boundingBox())!;
  await page.mouse.move(box.x + box.width * 0.7, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.4, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  const third = page.getByRole('img', { name: 'The back of page 2, and page 3' });
  await expect(third).toBeVisible();
  const card = third.locator('[data-is="contents"]').first();
  const before = await card.boundingBox();
  await page.getByRole('switch', { name: 'Pull the cards out' }).click();
  await expect.poll(async () => (await card.boundingBox())!.x).not.toBe(before!.x);
});

test(
  'paper with a right way up is told page by page, and one button turns every piece',
  { tag: '@thorough' },
  async ({ page }) => {
    await go(page, '/bench?p=demo-20');
    await look(page, 'Folded');
    const shows = page.getByRole('region', { name: 'What of the print shows' });
    const mat = shows.getByRole('row', { name: /^second outer mat back of every page/ });
    await expect(mat).toContainText('upside down');
    await expect(page.getByText(/The print does not read upright everywhere/)).toBeVisible();
    const turn = shows.getByRole('button', { name: 'Turn every piece upright' });
    await turn.focus();
    await page.keyboard.press('Enter');
    await expect(turn).toBeHidden();
    await expect(mat).toContainText('upright');
    await expect(shows.getByText('upside down')).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(mat).toContainText('upside down');
    await turn.click();
    await expect(mat).toContainText('upright');
    await page.waitForTimeout(400);
    await page.reload();
    await look(page, 'Folded');
    await expect(mat).toContainText('upright');
  },
);

test(
  'discs at the tips of two flaps would meet: told before the glue, and mended by one button',
  { tag: '@thorough' },
  async ({ page }) => {
    await go(page, '/bench?p=demo-1');
    await page.getByLabel('Made as', { exact: true }).click();
    await page.getByTitle('Fold-out of three envelopes', { exact: true }).click();
    await page.getByText('How it is shut', { exact: true }).click();
    await page.getByLabel('How it is shut', { exact: true }).click();
    await page.getByTitle('Two buttons and cord', { exact: true }).click();
    await setLength(page, 'Disc, across', '7/8 in');
    await setLength(page, 'From a flap’s tip to its disc', '3/8 in');
    const told = page.getByText(/The two discs would meet when it is closed/);
    await expect(told).toBeVisible();
    await page.getByRole('button', { name: 'Cut both discs along one line' }).click();
    await expect(told).toBeHidden();
    await look(page, 'Steps');
    await expect(page.getByText(/[Cc]ut both discs off along a straight line/).first()).toBeVisible();
  },
);

test(
  'by keyboard: envelopes that are not square make no ring album; flap to flap they do',
  { tag: '@thorough' },
  async ({ page }) => {
    await fromEnvelopes(page);
    const deep = page.getByLabel('B: into the mouth', { exact: true });
    await deep.focus();
    await deep.fill('4 3/8 in');
    await deep.press('Enter');
    await expect(page.getByText('Its pages need square envelopes.')).toBeVisible();
    await page.reload();
    // What was measured is not lost.
    await expect(deep).toHaveValue('4 3/8 in');
    await setLength(page, 'C: depth of the flap', '1 1/2 in');
    const begin = page.getByRole('button', { name: 'Begin an album, flap to flap' });
    await begin.focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Folded and proved' })).toBeVisible();
    await expect(page.getByText('Closed and filled it is')).toBeVisible();
    await look(page, 'Steps');
    await expect(page.getByText(/Trim the far end of every envelope/).first()).toBeVisible();
  },
);

test('a card as large as goes into a bought envelope; the envelope measured smaller, the card follows', async ({
  page,
}) => {
  await fromEnvelopes(page);
  const many = page.getByLabel('How many envelopes', { exact: true });
  await many.fill('1');
  await many.press('Enter');
  await page.getByRole('button', { name: 'Begin a card for each' }).click();
  const strip = page.getByRole('navigation', { name: 'What holds what' });
  await strip.getByRole('button', { name: /^Envelope/ }).click();
  await expect(page.getByRole('checkbox', { name: 'It is an envelope' })).toBeChecked();
  const card = strip.getByRole('button', { name: /^Card/ });
  await card.click();
  await look(page, 'Sheet');
  const before = await figure(page, 'Finished');
  await strip.getByRole('button', { name: /^Envelope/ }).click();
  await setLength(page, 'Width', '5 in');
  await card.click();
  await look(page, 'Sheet');
  await expect.poll(() => figure(page, 'Finished')).not.toBe(before);
  await strip.getByRole('button', { name: /^Envelope/ }).click();
  await setLength(page, 'Depth of its flap', '1 in');
  await page.waitForTimeout(400);
  await page.reload();
  await strip.getByRole('button', { name: /^Envelope/ }).click();
  await expect(page.getByLabel('Depth of its flap', { exact: true })).toHaveValue('1 in');
  // Made: the card goes in before the envelope is shut, and every step has its picture.
  await page
    .getByRole('link', { name: 'Make it' })
    .or(page.getByRole('button', { name: 'Make it' }))
    .click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  const words = page.getByRole('region', { name: 'What to do' });
  const progress = page.getByRole('progressbar', { name: 'How far the make has come' });
  const all = Number(await progress.getAttribute('aria-valuemax'));
  const seen: string[] = [];
  for (let at = 0; at < all; at++) {
    await expect(progress).toHaveAttribute('aria-valuenow', String(at));
    seen.push((await words.textContent()) ?? '');
    await expect(page.getByRole('alert').filter({ hasText: 'could not' })).toHaveCount(0);
    await page.keyboard.press('PageDown');
  }
  const at = (said: RegExp) => seen.findIndex((text) => said.test(text));
  expect(at(/Slide the card in/u)).toBeGreaterThan(at(/Cut/u));
  expect(at(/Fold the flap down/u)).toBeGreaterThan(at(/Slide the card in/u));
});

test('the fold-out of three is chosen on the bench, and unfolds step by step', async ({ page }) => {
  await go(page, '/holders/envelope-trio');
  await expect(page.getByText('A wing joined inside out.')).toBeVisible();
  await go(page, '/bench?p=demo-1');
  await page.getByLabel('Made as', { exact: true }).click();
  await page.getByTitle('Fold-out of three envelopes', { exact: true }).click();
  // Of many figures the first three stand there, the rest a touch away.
  await page
    .getByText(/^The other \d+ figures, piece by piece$/)
    .first()
    .click();
  await expect(page.getByText('Cut the left wing').first()).toBeVisible();
  await look(page, 'Steps');
  await expect(page.getByText(/^Join the left wing/).first()).toBeVisible();
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });
  test('the envelopes fit the width, and begin a box', async ({ page }) => {
    await fromEnvelopes(page);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide).toBeLessThanOrEqual(390);
    await page.getByRole('button', { name: 'Begin a box for all of them' }).click();
    await expect(page.getByRole('group', { name: 'The set to one scale' })).toBeVisible();
  });
});
