import { expect, test } from '@playwright/test';
import { EDITS, Killable, killDuring, type Killed } from './killing';

/** Kills, each of an edit of its own: every kind of edit once, and then from the first again. */
const KILLS = 30;
/** Parts that are killed beside each other, each with a browser of its own. */
const PARTS = 2;

for (let part = 0; part < PARTS; part++)
  test(`what was seen is there after the browser was killed, part ${part + 1}`, async ({ baseURL }) => {
    test.setTimeout(400_000);
    const browser = new Killable(baseURL!);
    const outcomes: Killed[] = [];
    try {
      let page = await browser.start();
      for (let n = part; n < KILLS; n += PARTS) {
        // The earliest moment that is promised, and later ones.
        const after = n % 4 < 2 ? 50 : 50 + ((n * 37) % 200);
        const next = await killDuring(browser, page, EDITS[n % EDITS.length]!, outcomes.length + 1, after);
        page = next.page;
        outcomes.push(next.killed);
      }
    } finally {
      await browser.end();
    }
    expect(outcomes.filter(({ lost }) => lost !== null)).toEqual([]);
    expect(outcomes).toHaveLength(KILLS / PARTS);
  });

test('a page that is left in the very moment of a keystroke has kept it', async ({ page }) => {
  await page.goto('/bench?p=demo-1');
  const width = page.getByLabel('Width', { exact: true });
  for (let i = 0; i < 4; i++) {
    const text = `${3 + (i % 3)} ${1 + 2 * (i % 4)}/8 in`;
    await width.waitFor();
    const gone = page.waitForEvent('load');
    // Typed and left in one task: nothing is awaited in between. Left for another page, or loaded again.
    await width.evaluate(
      (input: HTMLInputElement, [typed, away]) => {
        const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
        input.focus();
        set.call(input, typed);
        input.dispatchEvent(new Event('input', { bubbles: true }));
        if (away) window.location.replace(away);
        else window.location.reload();
      },
      [text, i % 2 ? new URL('/api/ping', page.url()).href : ''] as const,
    );
    await gone;
    if (i % 2) await page.goto('/bench?p=demo-1');
    await expect(width).toHaveValue(text);
  }
});
