/** I cut it wrong: from the front door, from a make, by mouse and by keyboard; scars shown, a way taken and made. */
import type { Locator, Page } from '@playwright/test';
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

/** A make begun from the bench, so many steps done by keyboard. */
async function begun(page: Page, project: string, steps: number): Promise<Locator> {
  await go(page, `/bench?p=${project}`);
  await page
    .getByRole('link', { name: 'Make it' })
    .or(page.getByRole('button', { name: 'Make it' }))
    .click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  const progress = page.getByRole('progressbar', { name: 'How far the make has come' });
  for (let at = 0; at < steps; at++) {
    await expect(progress).toHaveAttribute('aria-valuenow', String(at));
    await page.keyboard.press('PageDown');
  }
  await expect(progress).toHaveAttribute('aria-valuenow', String(steps));
  return progress;
}

test(
  'from a make: punched at the mirror setting, dragged to where it is; named, a way is taken, the make goes on, and it is told the next time',
  { tag: '@thorough' },
  async ({ page }) => {
    const progress = await begun(page, 'demo-1', 5);
    await page.keyboard.press('w');
    await page.getByRole('dialog').getByRole('button', { name: 'Find a way out for it' }).click();
    await expect(page).toHaveURL(/\/rescue\?make=/);
    await expect(page.getByText('What you take goes on from there.')).toBeVisible();
    const notch = page.getByRole('slider', { name: /^notch in edge 1/ });
    await expect(notch).toBeVisible();
    const box = (await notch.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 40, y, { steps: 6 });
    await page.mouse.up();
    const facts = page.getByRole('region', { name: 'What is wrong' });
    await expect(facts.getByRole('listitem', { name: 'A notch' })).toBeVisible();
    const should = await facts.getByLabel('It should be at', { exact: true }).inputValue();
    // Typed as the ruler says: the mirror of where it should be, on a 6 in square.
    const [whole = 0, over = 0, under = 1] = /^(\d+)(?: (\d+)\/(\d+))? in$/.exec(should)!.slice(1).map(Number);
    await setLength(page, 'It really is at', `${6 - whole - over / under} in`);
    const ways = page.getByRole('region', WAYS);
    await expect(ways.getByText(/^That is the mirror setting/)).toBeVisible();
    await expect(ways.getByRole('progressbar')).toBeHidden({ timeout: 40_000 });
    const take = ways.getByRole('button', { name: /^Take it/ }).first();
    await take.focus();
    await page.keyboard.press('Enter');
    // The make goes on where it stood, with steps of its own.
    await expect(page).toHaveURL(/\/make\?p=demo-1/);
    await expect(progress).toHaveAttribute('aria-valuenow', '5');
    await page.keyboard.press('PageDown');
    await expect(progress).toHaveAttribute('aria-valuenow', '6');
    await page.reload();
    await expect(progress).toHaveAttribute('aria-valuenow', '6');
    // The sheet is on the shelf no more; the reading is in the log, and told at its step.
    await go(page, '/');
    await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Sheets set aside' })).toBeHidden();
    await go(page, '/log');
    const misread = page.getByRole('region', { name: 'Readings that were mistaken' });
    await expect(misread).toContainText('edge 1: the mirror setting');
    await go(page, '/make?p=demo-1');
    await expect(progress).toBeVisible();
    for (let at = 6; at > 1; at--) {
      await page.keyboard.press('PageUp');
      await expect(progress).toHaveAttribute('aria-valuenow', String(at - 1));
    }
    await expect(page.getByText(/^Here you once took the mirror setting/)).toBeVisible();
    // Forgotten in the log it is told no more.
    await go(page, '/log');
    await misread.getByRole('button', { name: /^Forget/ }).click();
    await expect(misread).toBeHidden();
  },
);

test('from a make, by keyboard: cut a quarter inch short, a way taken, made to its end; taken back it stands as before', async ({
  page,
}) => {
  const progress = await begun(page, 'demo-1', 1);
  const short = async (): Promise<void> => {
    await page.keyboard.press('w');
    await page.getByRole('dialog').getByRole('button', { name: 'Find a way out for it' }).press('Enter');
    await expect(page.getByText('What you take goes on from there.')).toBeVisible();
    const add = page.getByLabel('Add what is wrong', { exact: true });
    await add.focus();
    await page.keyboard.press('Enter');
    await page.getByTitle('It is another size', { exact: true }).waitFor();
    await page.keyboard.press('Enter');
    await setLength(page, 'It is wide', '5 3/4 in');
    const ways = page.getByRole('region', WAYS);
    await expect(ways.getByRole('progressbar')).toBeHidden({ timeout: 40_000 });
    await ways
      .getByRole('button', { name: /^Take it: (?!A new sheet)/ })
      .first()
      .press('Enter');
    await expect(page).toHaveURL(/\/make\?p=demo-1/);
    await expect(progress).toHaveAttribute('aria-valuenow', '1');
  };
  const all = await progress.getAttribute('aria-valuemax');
  await short();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(progress).toHaveAttribute('aria-valuemax', all!);
  await expect(progress).toHaveAttribute('aria-valuenow', '1');
  await short();
  const end = Number(await progress.getAttribute('aria-valuemax'));
  for (let at = 1; at < end; at++) {
    await expect(progress).toHaveAttribute('aria-valuenow', String(at));
    await page.keyboard.press('PageDown');
  }
  await expect(page.getByRole('heading', { name: 'Made', exact: true })).toBeVisible();
});

test('a mark is moved by keys, step by step: it keeps the focus, which is seen, and tells where it lies', async ({
  page,
}) => {
  await go(page, '/rescue');
  const first = page.getByRole('slider', { name: /^(notch|score) in edge 1/ }).first();
  await expect(first).toBeVisible();
  await first.focus();
  const held = page.locator('[role=slider]:focus');
  const at = async (): Promise<number> => Number(await held.getAttribute('aria-valuenow'));
  const before = await at();
  for (let i = 0; i < 6; i++) {
    await page.keyboard.press('ArrowRight');
    await expect(held).toHaveAttribute('aria-valuetext', /along edge 1/);
  }
  // Six marks of its ruler.
  await expect.poll(async () => (await at()) - before).toBeGreaterThan(3);
  // It is drawn broader while a key is what moved it.
  const width = await held
    .locator('path')
    .first()
    .evaluate((line) => getComputedStyle(line).strokeWidth);
  expect(width).toBe('4px');
  const facts = page.getByRole('region', { name: 'What is wrong' });
  await expect(facts.getByRole('listitem')).toHaveCount(1);
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowLeft');
  await expect.poll(at).toBe(before);
});

test('told wrong: nothing is lost, what cannot be is said; a sheet that is there no more says so', async ({ page }) => {
  await go(page, '/rescue?make=nothing&sheet=1');
  await expect(page.getByText('That sheet is not in this browser any more.')).toBeVisible();
  await page.getByLabel('Add what is wrong', { exact: true }).click();
  await page.getByTitle('A slit, or a cut that ran on', { exact: true }).click();
  const deep = page.getByLabel('It is cut in', { exact: true });
  await deep.fill('two hands');
  await deep.press('Tab');
  await expect(page.getByText(/“two hands”/)).toBeVisible();
  // What cannot be read is not thrown away either.
  await page.reload();
  await expect(deep).toHaveValue('two hands');
  await expect(page.getByText(/“two hands”/)).toBeVisible();
  await setLength(page, 'It is cut in', '2 1/2 in');
  const ways = page.getByRole('region', WAYS);
  await expect(ways.getByRole('heading', { name: /^A strip behind the/ }).first()).toBeVisible({ timeout: 30_000 });
  await page.waitForTimeout(500);
  await page.reload();
  await expect(page.getByLabel('It is cut in', { exact: true })).toHaveValue('2 1/2 in');
});

test(
  'a flap glued wrong, tapped on the sheet: it is made anew and joined on, taken to the bench, and each step is told',
  { tag: '@thorough' },
  async ({ page }) => {
    await go(page, '/rescue');
    await page.getByLabel('Holder', { exact: true }).click();
    await page.getByTitle('Envelope with side tabs', { exact: true }).click();
    const sheet = page.getByRole('group', { name: /^The sheet as it is/ });
    const box = (await sheet.boundingBox())!;
    // The closing flap lies at the far edge.
    await page.mouse.click(box.x + box.width / 2, box.y + 30 + 12);
    await page.getByRole('menuitem', { name: 'The closing flap is stuck' }).click();
    const ways = page.getByRole('region', WAYS);
    await expect(ways.getByRole('heading', { name: 'A new closing flap, joined on' })).toBeVisible({ timeout: 20_000 });
    await expect(ways.getByRole('button', { name: /^Take it/ })).toHaveCount(2);
    await ways.getByRole('button', { name: 'Take it: A new closing flap, joined on' }).click();
    await expect(page).toHaveURL(/\/bench\?p=/);
    await expect(page.getByRole('heading', { name: 'Folded and proved' })).toBeVisible();
    const note = page.getByRole('note', { name: 'The sheet that went wrong' });
    await expect(note).toContainText('the closing flap made anew');
    await page.keyboard.press('4');
    const steps = page.getByRole('list', { name: 'Steps in order' });
    await expect(steps).toContainText('Cut the new closing flap');
    await expect(steps).toContainText('Join the new closing flap on');
    await expect(steps).not.toContainText('Score 1 of the envelope');
    // A new sheet is whole: everything is told again.
    await note.getByRole('button', { name: 'Take a new sheet instead' }).click();
    await expect(note).toBeHidden();
    await expect(steps).not.toContainText('Join the new closing flap on');
    await expect(steps).toContainText('Cut');
  },
);

test('a flap that came off, told by keyboard and kept through a reload: the best way out stands beside it, and is taken', async ({
  page,
}) => {
  await go(page, '/rescue');
  const add = page.getByLabel('Add what is wrong', { exact: true });
  await add.focus();
  await add.press('Enter');
  await page.getByTitle('A flap came off at its fold', { exact: true }).click();
  await page.getByLabel('Which flap came off', { exact: true }).click();
  await page.getByTitle('The bottom flap', { exact: true }).click();
  const best = page.getByRole('status').getByRole('link', { name: 'A new bottom flap, joined on' });
  await expect(best).toBeVisible({ timeout: 20_000 });
  await page.waitForTimeout(500);
  await page.reload();
  await expect(page.getByText('The bottom flap', { exact: true })).toBeVisible();
  await best.click({ timeout: 20_000 });
  const ways = page.getByRole('region', WAYS);
  await ways.getByRole('button', { name: 'Take it: A new bottom flap, joined on' }).click();
  await expect(page.getByRole('heading', { name: 'Folded and proved' })).toBeVisible();
  await expect(page.getByRole('note', { name: 'The sheet that went wrong' })).toContainText(
    'the bottom flap made anew',
  );
});

test(
  'a sheet set aside lies on the shelf with its picture; put away, and put back',
  { tag: '@thorough' },
  async ({ page }) => {
    await begun(page, 'demo-1', 4);
    await page.keyboard.press('w');
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('button', { name: 'Set it aside' }).click();
    await expect(dialog.getByText(/^Set aside: it lies on the shelf/)).toBeVisible();
    await go(page, '/');
    const aside = page.getByRole('region', { name: 'Sheets set aside' });
    await expect(aside.getByRole('img', { name: 'The envelope as it was set aside' })).toBeVisible();
    await aside.getByRole('button', { name: 'Put it away' }).click();
    await expect(aside).toBeHidden();
    await page.getByRole('button', { name: /Undo|Put it back|Take it back/ }).click();
    await expect(aside.getByRole('listitem')).toHaveCount(1);
    await aside.getByRole('link', { name: 'Find a way out for it' }).click();
    await expect(page.getByRole('group', { name: /^The sheet as it is/ })).toBeVisible();
  },
);

test(
  'a score too many: its scar is shown on the folded thing, and a mat hides it; glued shut only a new sheet is left',
  { tag: '@thorough' },
  async ({ page }) => {
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
  },
);

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });
  test('the sheet and what is wrong fit the width', async ({ page }) => {
    await go(page, '/rescue');
    await page.getByLabel('Add what is wrong', { exact: true }).click();
    await page.getByTitle('It is torn', { exact: true }).click();
    await expect(page.getByRole('region', WAYS)).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
});
