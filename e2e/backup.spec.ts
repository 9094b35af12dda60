import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { unzipSync, strFromU8 } from 'fflate';
import { downloaded, expect, go, openShelf, sheet, test } from './table';

/** Everything a person may have: a changed project, one in the bin, a make begun, a photo, tools, a chart, papers, a draft. */
async function makeThings(page: Page): Promise<void> {
  await openShelf(page);
  await page.getByRole('link', { name: /Star cards/ }).click();
  await expect(sheet(page)).toBeVisible();
  await page.getByLabel('Name of the project').fill('Звёзды и Ζωή');
  await page.getByLabel('Width', { exact: true }).fill('3 1/4 in');
  await go(page, '/make?p=demo-2');
  await page.getByLabel('How many?').fill('3');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.keyboard.press('PageDown');
  await go(page, '/log?e=demo-log-1');
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  const picture = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(300, 200);
    canvas.getContext('2d')!.fillRect(10, 10, 100, 100);
    return [...new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())];
  });
  await page
    .getByLabel('Photo of the finished thing')
    .setInputFiles({ name: 'card.png', mimeType: 'image/png', buffer: Buffer.from(picture) });
  await expect(page.getByAltText('The finished thing')).toBeVisible();
  await page.getByRole('button', { name: 'Keep the changes' }).click();
  await go(page, '/tools');
  await page.getByLabel('Name of Trimmer').fill('Blue trimmer');
  await go(page, '/tools/chart');
  await page
    .getByRole('button', { name: /^Take .* out of the chart$/ })
    .first()
    .click();
  await go(page, '/stash');
  await page.getByRole('spinbutton', { name: /^Sheets of Grey cover/ }).fill('9');
  await page.getByRole('button', { name: 'Add a paper' }).click();
  await page.getByRole('dialog').getByLabel('Name').fill('half written');
  await go(page, '/');
  await page.getByRole('button', { name: 'More for Door tickets' }).click();
  await page.getByRole('menuitem', { name: 'Move to the bin' }).click();
  await expect(page.getByRole('link', { name: /Door tickets/ })).toHaveCount(0);
}

async function saved(page: Page): Promise<Buffer> {
  await go(page, '/backup');
  const file = await downloaded(page, () => page.getByRole('button', { name: 'Save a backup' }).click());
  expect(file.name).toMatch(/^tuck-fold-backup-\d{4}-\d\d-\d\d\.zip$/);
  return file.bytes;
}
const bringBack = (page: Page, bytes: Buffer, name = 'backup.zip') =>
  page.getByLabel('Backup file').setInputFiles({ name, mimeType: 'application/zip', buffer: bytes });
/** All that is in a backup but the page that tells the time, and when the last one was taken. */
function filesIn(bytes: Buffer): Record<string, string> {
  const { 'backup.json': _, ...files } = unzipSync(bytes);
  return Object.fromEntries(
    Object.entries(files).map(([name, content]) => [
      name,
      name.startsWith('photos/')
        ? Buffer.from(content).toString('base64')
        : strFromU8(content)
            .split('\n')
            .filter((line) => !/"key":"(backup|demo-shelf)"/.test(line))
            .join('\n'),
    ]),
  );
}

test('everything is saved in one file, and after the browser forgot it, comes back byte by byte', async ({
  page,
  browser,
}) => {
  test.setTimeout(240_000);
  await makeThings(page);
  const file = await saved(page);
  await expect(page.getByText(/^Last saved as a file on/)).toBeVisible();
  // Another browser, or this one with its data cleared: the first screen offers to restore.
  const other = await (await browser.newContext({ serviceWorkers: 'block', reducedMotion: 'reduce' })).newPage();
  await go(other, '/');
  await other
    .getByRole('complementary', { name: 'First visit' })
    .getByRole('link', { name: 'Restore a backup' })
    .click();
  await bringBack(other, file);
  const bring = other.getByRole('region', { name: 'Bring it back' });
  await expect(bring).toContainText(/\d+ will be added, \d+ are here just the same, \d+ are different here/);
  await bring.getByRole('button', { name: 'Bring it back' }).click();
  await expect(bring).toContainText(/things were brought back/);
  expect(filesIn(await saved(other))).toEqual(filesIn(file));
  // And it is all to be seen.
  await go(other, '/');
  await expect(other.getByRole('link', { name: /Звёзды и Ζωή/ })).toBeVisible();
  await expect(other.getByRole('link', { name: /Door tickets/ })).toHaveCount(0);
  await expect(other.getByText('Go on making: Dome postcards')).toBeVisible();
  await go(other, '/log?e=demo-log-1');
  await expect
    .poll(() => other.getByRole('img', { name: /finished/ }).evaluate((img: HTMLImageElement) => img.naturalWidth))
    .toBe(300);
  await go(other, '/tools');
  await expect(other.getByLabel('Name of Blue trimmer')).toBeVisible();
  await go(other, '/stash');
  await other.getByRole('button', { name: 'Add a paper' }).click();
  await expect(other.getByRole('dialog').getByLabel('Name')).toHaveValue('half written');
  await other.context().close();
});

test(
  'over what is here: a preview, a choice where both differ, and all of it taken back',
  { tag: '@thorough' },
  async ({ page }) => {
    await go(page, '/bench?p=demo-2');
    await page.getByLabel('Name of the project').fill('As it was');
    const file = await saved(page);
    await go(page, '/bench?p=demo-2');
    await page.getByLabel('Name of the project').fill('As it is');
    await go(page, '/backup');
    await bringBack(page, file, 'last week.zip');
    const bring = page.getByRole('region', { name: 'Bring it back' });
    await expect(bring).toContainText('1 is different here');
    // The later of both is here: there is nothing to bring.
    await expect(bring.getByRole('button', { name: 'Bring it back' })).toBeDisabled();
    await bring.getByText('what is in the backup').click();
    await expect(bring).toContainText('1 of them will be as they are in the backup.');
    await bring.getByRole('button', { name: 'Bring it back' }).click();
    await expect(bring).toContainText('1 thing was brought back.');
    await go(page, '/bench?p=demo-2');
    await expect(page.getByLabel('Name of the project')).toHaveValue('As it was');
    await go(page, '/backup');
    await page.getByRole('button', { name: 'Take that back' }).click();
    await expect(page.getByText('Taken back: everything is as it was before.')).toBeVisible();
    await go(page, '/bench?p=demo-2');
    await expect(page.getByLabel('Name of the project')).toHaveValue('As it is');
  },
);

test('brought back while somebody types in another window: what is typed there stands, what is not comes back', async ({
  page,
  context,
}) => {
  await go(page, '/bench?p=demo-2');
  await page.getByLabel('Name of the project').fill('As it was');
  await page.getByLabel('Width', { exact: true }).fill('3 1/4 in');
  const file = await saved(page);
  const typing = await context.newPage();
  await go(typing, '/bench?p=demo-2');
  await typing.getByLabel('Width', { exact: true }).fill('4 1/4 in');
  await bringBack(page, file);
  const bring = page.getByRole('region', { name: 'Bring it back' });
  await bring.getByText('what is in the backup').click();
  const name = typing.getByLabel('Name of the project');
  await name.click();
  await name.press('Control+a');
  await Promise.all([
    typing.keyboard.type('Moon cards, brought along', { delay: 60 }),
    bring.getByRole('button', { name: 'Bring it back' }).click(),
  ]);
  await expect(bring).toContainText('brought back');
  await expect(name).toHaveValue('Moon cards, brought along');
  await expect(typing.getByLabel('Width', { exact: true })).toHaveValue('3 1/4 in');
  await typing.reload();
  await expect(name).toHaveValue('Moon cards, brought along');
  await expect(typing.getByLabel('Width', { exact: true })).toHaveValue('3 1/4 in');
});

test('a damaged or foreign file is refused whole with a sentence', async ({ page }) => {
  await openShelf(page);
  const file = await saved(page);
  const alert = page.getByRole('region', { name: 'Bring it back' }).getByRole('alert');
  for (const [name, bytes, sentence] of [
    ['short.zip', file.subarray(0, file.length - 40), 'The file is damaged'],
    ['picture.png', readFileSync('public/icons/icon-192.png'), 'This is not a backup of Tuck Fold.'],
    ['nothing.zip', Buffer.alloc(0), 'This is not a backup of Tuck Fold.'],
  ] as const) {
    await bringBack(page, Buffer.from(bytes), name);
    await expect(alert).toContainText(sentence);
    await expect(alert).toContainText(name);
  }
  await expect(page.getByRole('button', { name: 'Bring it back' })).toHaveCount(0);
});

test('a reminder comes when its time is over, waits when asked to, and not before', async ({ page }) => {
  await openShelf(page);
  const reminder = page.getByText('Nothing of what you made here was saved as a backup yet.');
  await expect(reminder).toBeHidden();
  await go(page, '/backup');
  await page.getByRole('radiogroup', { name: 'Remind me' }).getByText('weekly').click();
  // Eight days later.
  const now = Date.now();
  await page.clock.setFixedTime(now + 8 * 24 * 3600_000);
  // The window stood open all the time; somebody comes back to it.
  const comeBack = () => page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
  await comeBack();
  await expect(reminder).toBeVisible();
  await page.getByRole('button', { name: 'Later' }).click();
  await expect(reminder).toBeHidden();
  await go(page, '/log');
  await expect(page.getByText('What the fits say')).toBeVisible();
  await comeBack();
  await expect(reminder).toBeHidden();
  await page.clock.setFixedTime(now + 12 * 24 * 3600_000);
  await comeBack();
  await expect(reminder).toBeVisible();
  await downloaded(page, () => page.getByRole('button', { name: 'Save a backup' }).click());
  await expect(reminder).toBeHidden();
});
