/** Two Saturdays of somebody who works in millimetres, a phone leaning on the mat: begun, cut and made by touch, counted in taps. */
import type { Locator, Page } from '@playwright/test';
import { expect, go, openShelf, setLength, sheetsLaid, test } from './table';

test.use({ locale: 'en-DE', viewport: { width: 390, height: 844 }, hasTouch: true });

const progress = (page: Page): Locator => page.getByRole('progressbar', { name: 'How far the make has come' });

/** Goes through a make that was begun, by tapping Next; gives how many taps that took. */
async function madeByTaps(page: Page): Promise<number> {
  const all = Number(await progress(page).getAttribute('aria-valuemax'));
  const next = page.getByRole('button', { name: /^(Next|Finished) ›$/ });
  for (let at = 0; at < all; at++) {
    await expect(progress(page)).toHaveAttribute('aria-valuenow', String(at));
    await next.tap();
  }
  await expect(page.getByRole('heading', { name: /^All \d+ made$/ })).toBeVisible();
  return all;
}

test('twenty seed packets on A4: in millimetres from the first screen, ten sheets to buy, made in at most forty taps', async ({
  page,
}) => {
  await openShelf(page);
  await go(page, '/choose?have=contents');
  // As the region has it, and a size that is sold there.
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('74 mm');
  await setLength(page, 'Width', '50 mm');
  await setLength(page, 'Height', '80 mm');
  await setLength(page, 'Thickness', '1 mm');
  await page.getByRole('button', { name: /^Coin envelope/ }).tap();
  await expect(page).toHaveURL(/\/bench\?p=/);
  const project = new URL(page.url()).searchParams.get('p')!;
  await page.getByRole('combobox', { name: 'Paper sizes' }).tap();
  await page.getByText('A4, 210 mm × 297 mm').last().tap();
  await page.getByRole('radiogroup', { name: 'View' }).getByText('Cutting', { exact: true }).tap();
  await setLength(page, 'Copies to cut', '20');
  // No example counts, and nothing is too large: ten sheets of the paper that was chosen.
  const sheets = page.getByText('10 to buy', { exact: true });
  await expect(sheets).toBeVisible({ timeout: 40_000 });
  await expect(page.getByText(/A4, bought/).first()).toBeVisible();
  await go(page, `/make?p=${project}`);
  await expect(page.getByLabel('How many?', { exact: true })).toHaveValue('20');
  await sheetsLaid(page);
  await page.getByRole('button', { name: 'Begin', exact: true }).tap();
  expect(await madeByTaps(page)).toBeLessThanOrEqual(40);
});

test('six boxed sets of four letters: at most a hundred and twenty taps', { tag: '@thorough' }, async ({ page }) => {
  await openShelf(page);
  await go(page, '/make?p=demo-18');
  // By the finger: a step more, five times.
  for (let i = 0; i < 5; i++) await page.getByRole('button', { name: 'How many sets: more' }).tap();
  await expect(page.getByLabel('How many sets?', { exact: true })).toHaveValue('6');
  await sheetsLaid(page);
  await page.getByRole('button', { name: 'Begin', exact: true }).tap();
  await expect(page.getByText('all 24').first()).toBeVisible();
  expect(await madeByTaps(page)).toBeLessThanOrEqual(120);
});
