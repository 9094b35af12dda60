import { expect, test, type Page } from '@playwright/test';
import { Killable } from './killing';
import { THOROUGH } from './thorough';

/** A log of years, as a table: what another program would write. */
const LINES = THOROUGH ? 10_000 : 4_000;
const HOLDERS = ['diagonal-envelope', 'coin-envelope', 'card-holder'];
const table = [
  'day,name,holder,width,height,thickness,room width,room height,fit width,fit height,copies,minutes,paper,note',
  ...Array.from({ length: LINES }, (_, i) => {
    const day = new Date(Date.UTC(2020, 0, 1 + (i % 2400))).toISOString().slice(0, 10);
    return `${day},Lantern card ${i},${HOLDERS[i % 3]},${80 + (i % 40)},${110 + (i % 30)},${i % 3},3,2,right,${i % 5 ? 'right' : 'tight'},${1 + (i % 9)},${5 + (i % 50)},kraft ${i % 12},folded twice`;
  }),
].join('\n');

const open = async (page: Page): Promise<void> => {
  await page.goto('/log');
  await page.getByRole('button', { name: 'Import (CSV)' }).click();
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(table) });
  await page.getByRole('button', { name: `Add ${LINES}` }).click({ timeout: 90_000 });
};
const howMany = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((done, failed) => {
        const opening = indexedDB.open('tuck-fold');
        opening.onerror = () => failed(opening.error);
        opening.onsuccess = () => {
          const counting = opening.result.transaction('log').objectStore('log').count();
          counting.onsuccess = () => {
            opening.result.close();
            done(counting.result);
          };
        };
      }),
  );

test(
  'a log of thousands of makes is read in with its progress told, whole or not at all',
  { tag: '@thorough' },
  async ({ baseURL }) => {
    test.setTimeout(240_000);
    const browser = new Killable(baseURL!);
    try {
      let page = await browser.start();
      await page.goto('/log');
      await page.getByRole('button', { name: 'Import (CSV)' }).waitFor();
      const before = await howMany(page);
      // Killed in the middle of writing: none of it is there.
      await open(page);
      await page.getByText(/^Writing: [1-9]/).waitFor();
      await browser.kill();
      page = await browser.start();
      await page.goto('/log');
      await page.getByRole('button', { name: 'Import (CSV)' }).waitFor();
      expect(await howMany(page)).toBe(before);
      // Left alone: all of it, and the log can be used.
      await open(page);
      await page.getByText(`${LINES} entries added`).waitFor({ timeout: 90_000 });
      expect(await howMany(page)).toBe(before + LINES);
      await page.getByLabel('Search the log').fill(`Lantern card ${LINES - 1}`);
      await expect(page.getByRole('link', { name: `Lantern card ${LINES - 1}` })).toBeVisible();
      await page.reload();
      await page
        .getByRole('link', { name: /Lantern card/ })
        .first()
        .waitFor({ timeout: 60_000 });
    } finally {
      await browser.end();
    }
  },
);
