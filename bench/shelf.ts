/**
 * A shelf of thousands beside one of twenty: how long until its first card is drawn, and how much is in the page then, in one
 * browser, one after the other, again and again: `npm run build && npm run bench shelf`. The bound is 1.5 times.
 */
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM_ARGS, executablePath } from '../e2e/browser';
import { fillShelf } from '../e2e/many';
import { usually } from './few';
import { served } from './served';

const PORT = 4381;
const [FEWER, MANY] = [20, usually(2000, 60)];
const TIMES = usually(7, 1);
const BOUND = 1.5;

const median = (all: readonly number[]): number => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)]!;

/** Loads the shelf anew; ms until the first card is drawn, and the elements in the page. */
async function opened(page: Page, base: string): Promise<{ readonly ms: number; readonly elements: number }> {
  const begun = performance.now();
  await page.goto(base, { waitUntil: 'commit' });
  await page.locator('main li a svg').first().waitFor();
  const ms = performance.now() - begun;
  // Whatever comes later than the first cards comes within this.
  await page.waitForTimeout(1500);
  return { ms, elements: await page.evaluate(() => document.querySelectorAll('*').length) };
}

async function main(): Promise<void> {
  const { base, end } = await served(PORT);
  const browser = await chromium.launch({ ...(executablePath && { executablePath }), args: CHROMIUM_ARGS });
  const shelves = await Promise.all(
    [FEWER, MANY].map(async (projects) => {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
      const page = await context.newPage();
      await page.goto(base);
      await page.locator('main li a svg').first().waitFor();
      await fillShelf(page, projects);
      return { projects, page, all: [] as Awaited<ReturnType<typeof opened>>[] };
    }),
  );
  for (const { page } of shelves) await opened(page, base);
  for (let i = 0; i < TIMES; i++) for (const shelf of shelves) shelf.all.push(await opened(shelf.page, base));
  const told = shelves.map(({ projects, all }) => ({
    projects,
    'first card, ms': Math.round(median(all.map(({ ms }) => ms))),
    elements: all.at(-1)!.elements,
  }));
  console.table(told);
  const ratio = told[1]!['first card, ms'] / told[0]!['first card, ms'];
  console.log(
    `${MANY} beside ${FEWER}: ${ratio.toFixed(2)} times; ${(ratio / BOUND).toFixed(2)} of the bound ${BOUND}`,
  );
  await browser.close();
  end();
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
