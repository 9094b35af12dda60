import { expect, test } from '@playwright/test';
import { DRAWN_EDITS, Killable, killDuring, type Killed } from './killing';
import { THOROUGH } from './thorough';

/** Parts that are killed beside each other, each with a browser of its own. */
const PARTS = THOROUGH ? 2 : 1;

for (let part = 0; part < PARTS; part++)
  test(`what was seen is there after the browser was killed, part ${part + 1}`, async ({ baseURL }) => {
    test.setTimeout(400_000);
    const browser = new Killable(baseURL!);
    const outcomes: Killed[] = [];
    try {
      let page = await browser.start();
      const own = DRAWN_EDITS.filter((_, i) => i % PARTS === part);
      for (const [i, edit] of own.entries()) {
        // The earliest moment that is promised, and later ones.
        const after = i % 2 === 0 ? 50 : 50 + ((i * 37) % 200);
        const next = await killDuring(browser, page, edit, i + 1, after);
        page = next.page;
        outcomes.push(next.killed);
      }
    } finally {
      await browser.end();
    }
    expect(outcomes.filter(({ lost }) => lost !== null)).toEqual([]);
    expect(outcomes.length).toBeGreaterThanOrEqual(Math.floor(DRAWN_EDITS.length / PARTS));
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
