/** I cut it wrong: from the front door, from a make, by mouse and by keyboard; scars shown, a way taken and made. */
import { expect, go, openShelf, setLength, test } from './table';

const WAYS = { name: 'Ways out' } as const;

test('from the front door by keyboard: a square cut short, what it can still be, taken to the bench', async ({
  page,
}) => {
  await openShelf(page);
  const door = page.getByRole('link', { name: /I cut it wrong/ });
  await door.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'I cut it wrong' })).toBeVisible();
  await expect(page.getByRole('group', { name: /^The sheet as it is, 6 in by 6 in/ })).toBeVisible();
  // Nothing is scored yet: it went wrong as it was cut.
  await page.getByLabel('It went wrong at', { exact: true }).focus();
  await page.keyboard.press('Enter');
  // From the last to the first.
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await page.getByLabel('Add what is wrong', { exact: true }).click();
  await page.getByTitle('It is another size', { exact: true }).click();
  await setLength(page, 'It is wide', '5 3/4 in');
  await expect(page.getByRole('group', { name: /^The sheet as it is, 5 3\/4 in by 6 in/ })).toBeVisible();
  const ways = page.getByRole('region', WAYS);
  await expect(ways.getByRole('heading', { name: 'A new sheet of just this piece' })).toBeVisible();
  await expect(ways.getByText('That is a mark or two beside the right one.')).toBeVisible();
  const first = ways.getByRole('listitem').first();
  await expect(first.getByRole('button', { name: /^Take it: (?!A new sheet)/ })).toBeVisible({ timeout: 15_000 });
  // What was told is there after a reload.
  await page.waitForTimeout(500);
  await page.reload();
  await expect(page.getByLabel('It is wide', { exact: true })).toHaveValue('5 3/4 in');
  const take = ways
    .getByRole('listitem')
    .first()
    .getByRole('button', { name: /^Take it/ });
  await expect(ways.getByRole('progressbar')).toBeHidden({ timeout: 30_000 });
  await take.focus();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/bench\?p=/);
  await expect(page.getByRole('heading', { name: 'Folded and proved' })).toBeVisible();
});

test('from a make: punched at the mirror setting, dragged to where it is; the mistake is named, a way is taken and made', async ({
  page,
}) => {
  await openShelf(page);
  await go(page, '/bench?p=demo-1');
  await page
    .getByRole('link', { name: 'Make it' })
    .or(page.getByRole('button', { name: 'Make it' }))
    .click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  const progress = page.getByRole('progressbar', { name: 'How far the make has come' });
  for (let at = 0; at < 5; at++) {
    await expect(progress).toHaveAttribute('aria-valuenow', String(at));
    await page.keyboard.press('PageDown');
  }
  await page.keyboard.press('w');
  await page.getByRole('dialog').getByRole('link', { name: 'Find a way out for it' }).click();
  await expect(page).toHaveURL(/\/rescue\?p=demo-1/);
  const notch = page.getByRole('slider', { name: /^notch in edge 1/ });
  await expect(notch).toBeVisible();
  const at = Number(await notch.getAttribute('aria-valuenow'));
  const box = (await notch.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 40, y, { steps: 6 });
  await page.mouse.up();
  const facts = page.getByRole('region', { name: 'What is wrong' });
  await expect(facts.getByRole('listitem', { name: 'A notch' })).toBeVisible();
  // Typed as the ruler says: the mirror of where it should be.
  const should = await facts.getByLabel('It should be at', { exact: true }).inputValue();
  expect(should).not.toBe('');
  expect(at).toBeGreaterThan(0);
  await setLength(page, 'It really is at', '3 1/4 in');
  const ways = page.getByRole('region', WAYS);
  await expect(ways.getByRole('button', { name: /^Take it: (?!A new sheet)/ }).first()).toBeVisible({
    timeout: 20_000,
  });
  await expect(ways.getByRole('progressbar')).toBeHidden({ timeout: 40_000 });
  await ways
    .getByRole('button', { name: /^Take it/ })
    .first()
    .click();
  await expect(page).toHaveURL(/\/bench\?p=demo-1/);
  await page
    .getByRole('link', { name: 'Make it' })
    .or(page.getByRole('button', { name: 'Make it' }))
    .click();
  await expect(page.getByRole('button', { name: 'Begin', exact: true }).or(progress).first()).toBeVisible();
});

test('a score too many: its scar is shown on the folded thing, and a mat hides it; glued shut only a new sheet is left', async ({
  page,
}) => {
  await openShelf(page);
  await go(page, '/rescue');
  await page.getByLabel('Holder', { exact: true }).click();
  await page.getByTitle('Envelope with side tabs', { exact: true }).click();
  await page.getByLabel('Add what is wrong', { exact: true }).click();
  await page.getByTitle('A score', { exact: true }).click();
  await page.getByLabel('Which edge', { exact: true }).click();
  await page.getByTitle('edge 2, right', { exact: true }).click();
  await setLength(page, 'It is at', '5 in');
  const ways = page.getByRole('region', WAYS);
  await expect(ways.getByRole('heading', { name: /^A mat over it/ }).first()).toBeVisible({ timeout: 30_000 });
  await expect(ways.getByRole('progressbar')).toBeHidden({ timeout: 40_000 });
  const still = ways
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading', { name: 'It will still do', exact: true }) });
  await expect(still.getByRole('img', { name: /its scars marked$/ })).toBeVisible();
  await expect(still).toContainText('one too many');
  await page.getByLabel('Add what is wrong', { exact: true }).click();
  await page.getByTitle('It is glued, and cannot be opened', { exact: true }).click();
  await expect(ways.getByRole('button', { name: /^Take it/ })).toHaveCount(1);
  await expect(ways.getByRole('heading', { name: 'A new sheet of just this piece' })).toBeVisible();
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });
  test('the sheet and what is wrong fit the width', async ({ page }) => {
    await openShelf(page);
    await go(page, '/rescue');
    await page.getByLabel('Add what is wrong', { exact: true }).click();
    await page.getByTitle('It is torn', { exact: true }).click();
    await expect(page.getByRole('region', WAYS)).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
});
