import type { Page } from '@playwright/test';
import { downloaded, expect, go, setLength, test } from './table';

async function openLog(page: Page): Promise<void> {
  await go(page, '/log');
  await expect(page.getByRole('heading', { name: 'Log', exact: true })).toBeVisible();
}
const csv = (text: string) => ({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });

/** Takes a make to its end without stopping, and says how it fitted. */
async function makeAndSay(page: Page, project: string, by: string): Promise<void> {
  await go(page, project.replace('/bench', '/make'));
  await page.getByRole('button', { name: 'Begin' }).click();
  const progress = page.getByRole('progressbar', { name: 'How far the make has come' });
  const all = Number(await progress.getAttribute('aria-valuemax'));
  for (let at = 0; at < all; at++) {
    await expect(progress).toHaveAttribute('aria-valuenow', String(at));
    await page.keyboard.press('PageDown');
  }
  await page.getByText('Tight', { exact: true }).click();
  await setLength(page, 'Too tight by about', by);
  await page.getByRole('button', { name: 'Write it in the log' }).click();
  await expect(page.getByRole('heading', { name: 'Written down' })).toBeVisible();
}

test('three tight fits, and the room they ask for is offered: on the bench, and as the usual room in the log', async ({
  page,
}) => {
  // The demo log knows sleeves round thick things only.
  await go(page, '/choose?have=contents');
  await page.getByRole('button', { name: /^Sleeve/ }).click();
  await expect(page).toHaveURL(/\/bench\?p=/);
  const bench = new URL(page.url());
  const address = `${bench.pathname}${bench.search}`;
  await expect(page.getByText('Last time')).toHaveCount(0);
  for (let i = 0; i < 3; i++) await makeAndSay(page, address, '1/8 in');
  await go(page, address);
  const hint = page.getByRole('complementary', { name: 'How such holders fitted so far' });
  await expect(hint).toContainText('this was too tight both ways by 1/8 in');
  await expect(hint).toContainText('Your 3 makes say: leave');
  await hint.getByRole('button', { name: 'Leave that much' }).click();
  await expect(hint.getByRole('button', { name: 'Leave that much' })).toHaveCount(0);

  await go(page, '/log');
  const advice = page.getByRole('article', { name: /^Sleeve round flat things/ });
  await expect(advice).toContainText('Rests on 3 makes, 3 of them not right');
  await expect(
    advice.getByRole('img', { name: /Room in the width against the fit: 3 makes, 3 not right/ }),
  ).toBeVisible();
  // Taken at the bench, it is the usual room here too.
  await expect(advice).toContainText('your usual room, is right');
  // Nothing is forced: it goes back as easily.
  await advice.getByRole('button', { name: 'Back to what plans aim for' }).click();
  await expect(advice.getByRole('button', { name: 'Make that my usual room' })).toBeVisible();
});

test('a usual room is what a new project begins with', { tag: '@thorough' }, async ({ page }) => {
  // Written down by hand: what came with the app says nothing of a person's own room.
  await openLog(page);
  await page.getByRole('link', { name: 'Write one down' }).click();
  await page.getByLabel('What was made').fill('Pouch for a set of slides');
  await page.getByLabel('Holder', { exact: true }).fill('sleeve');
  await page.getByTitle('Sleeve', { exact: true }).last().click();
  await setLength(page, 'Thickness of what went in', '1/4 in');
  await setLength(page, 'Room in the width, if you know it', '1/8 in');
  await setLength(page, 'Room in the height, if you know it', '1/8 in');
  await page.getByText('Tight', { exact: true }).click();
  await setLength(page, 'Too tight by about', '1/8 in');
  await page.getByRole('button', { name: 'Write it in the log' }).click();
  await expect(page.getByRole('heading', { name: 'Pouch for a set of slides' })).toBeVisible();
  await go(page, '/log');
  const advice = page.getByRole('article', { name: /^Sleeve round thick things/ });
  await advice.getByRole('button', { name: 'Make that my usual room' }).click();
  await expect(advice).toContainText('your usual room');
  await go(page, '/choose?have=contents');
  await page.getByLabel('Thickness').fill('1/4 in');
  await page.getByRole('button', { name: /^Sleeve/ }).click();
  const hint = page.getByRole('complementary', { name: 'How such holders fitted so far' });
  await expect(hint).toContainText('Pouch for a set of slides');
  await expect(hint.getByRole('button', { name: 'Leave that much' })).toHaveCount(0);
});

test('search, filter and sort; an entry has its page, is changed, taken out and put back', async ({ page }) => {
  await openLog(page);
  const rows = page.locator('tbody tr[data-row-key]');
  await expect(rows).toHaveCount(7);
  await page.getByLabel('Search the log').fill('lens makers');
  await expect(rows).toHaveCount(1);
  await page.getByLabel('Search the log').fill('');
  await page.getByRole('combobox', { name: 'How it fitted' }).press('Enter');
  await page.getByText('loose', { exact: true }).last().click();
  await expect(rows).toHaveCount(1);
  await expect(rows.first()).toContainText('Eclipse tickets');
  await page.getByRole('combobox', { name: 'How it fitted' }).press('Enter');
  await page.getByText('every fit').last().click();
  // Typed and gone on at once: the link is followed.
  await page.getByLabel('Search the log').pressSequentially('dome');
  await page.getByRole('link', { name: 'Dome postcards' }).click();
  await expect(page.getByText('The paint on the cards is thicker than it looks.')).toBeVisible();
  await page.goBack();
  await expect(page.getByLabel('Search the log')).toHaveValue('dome');
  await page.getByLabel('Search the log').fill('');
  await page.getByRole('columnheader', { name: 'Copies' }).click();
  await expect(rows.first()).toContainText('Wrap for the moon atlas');
  await page.getByRole('link', { name: 'Dome postcards' }).click();
  await expect(page.getByText('The paint on the cards is thicker than it looks.')).toBeVisible();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByLabel('What I would change').fill('measure the thickest card');
  await page.getByRole('button', { name: 'Keep the changes' }).click();
  await expect(page.getByText('measure the thickest card')).toBeVisible();
  await page.getByRole('button', { name: 'Take out of the log' }).click();
  await expect(rows).toHaveCount(6);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(rows).toHaveCount(7);
});

test('the log goes out as a table and comes back: a preview first, known lines stay out, bad ones are told', async ({
  page,
}) => {
  await openLog(page);
  const file = await downloaded(page, () => page.getByRole('button', { name: 'Export (CSV)' }).click());
  const text = file.bytes.toString('utf8');
  expect(text.split('\r\n')[0]).toMatch(/^\uFEFF"day","name","holder","width","height"/);
  await page.getByRole('button', { name: 'Import (CSV)' }).click();
  const dialog = page.getByRole('dialog', { name: 'Import a log' });
  await dialog.getByLabel('Log as a table (CSV)').setInputFiles(csv('a,b\n1,2\n'));
  await expect(dialog.getByRole('alert')).toContainText('the first line must name the columns', { ignoreCase: true });
  await dialog
    .getByLabel('Log as a table (CSV)')
    .setInputFiles(
      csv(
        `${text}2026-11-01,Comet tags,,sleeve,3 in\r\n2026-11-02,Moon wrap,sleeve,3 in,4 in\r\n2026-31-02,Wrong day,sleeve,3 in,4 in\r\n`,
      ),
    );
  await expect(dialog).toContainText('1 will be added, 7 are there already, 2 cannot be read');
  await expect(dialog).toContainText('2026-11-02, Moon wrap: sleeve');
  await expect(dialog).toContainText('“2026-31-02” is not a day');
  await expect(page.locator('tbody tr[data-row-key]')).toHaveCount(7);
  await dialog.getByRole('button', { name: 'Add 1' }).click();
  await expect(page.locator('tbody tr[data-row-key]')).toHaveCount(8);
  await expect(page.getByRole('link', { name: 'Moon wrap' })).toBeVisible();
});

test('an entry that is not there says so', async ({ page }) => {
  await go(page, '/log?e=nobody');
  await expect(page.getByText('That entry is not in the log')).toBeVisible();
});
