/**
 * Dragging on the bench in a browser whose processor is slowed four times: every fold that can be dragged, and the corner
 * of the contents, of every demo project. Told: the moves, the tasks over 50 ms (what a browser calls long) and the
 * longest, beside the same pointer on the same screen with nothing in hand: `npm run build && npm run bench drag`.
 * `SLOWED=1` measures unslowed.
 */
import { usually } from './few';
import { chromium, type Locator } from '@playwright/test';
import { CHROMIUM_ARGS, executablePath } from '../e2e/browser';
import { DEMO_SHELF } from '../src/data/demo';
import { served } from './served';

const PORT = 4377;
const SLOWED = Number(process.env.SLOWED ?? usually(4, 1));
const MOVES = usually(24, 3);
/** Demo projects, by their number: all, or a single holder and a set. */
const DEMOS = usually(
  DEMO_SHELF.map((_, i) => i + 1),
  [1, 1 + DEMO_SHELF.findIndex(({ set }) => set.parts.length > 1)],
);

interface Watched {
  tasks: number[];
}

async function main(): Promise<void> {
  const { base, end } = await served(PORT);
  const browser = await chromium.launch({ ...(executablePath && { executablePath }), args: CHROMIUM_ARGS });
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
  const page = await context.newPage();
  const processor = await context.newCDPSession(page);
  await page.addInitScript(() => {
    const watched = window as unknown as Watched;
    watched.tasks = [];
    new PerformanceObserver((list) => watched.tasks.push(...list.getEntries().map(({ duration }) => duration))).observe(
      {
        type: 'longtask',
      },
    );
  });
  await page.goto(base);
  await page.getByRole('heading', { name: 'On the shelf' }).waitFor();

  /** The same way for the pointer, a grip in hand or none; the tasks over 50 ms meanwhile. */
  const moved = async (grip: Locator, held: boolean): Promise<number[]> => {
    const box = (await grip.boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    if (held) await page.mouse.down();
    await page.waitForTimeout(400);
    await page.evaluate(() => void ((window as unknown as Watched).tasks = []));
    for (let i = 1; i <= MOVES; i++) {
      await page.mouse.move(x + 14 * Math.sin(i / 2), y + 14 * Math.sin(i / 2));
      await page.waitForTimeout(25);
    }
    if (held) await page.mouse.up();
    await page.waitForTimeout(600);
    return page.evaluate(() => (window as unknown as Watched).tasks);
  };

  const all = { held: [] as number[], free: [] as number[] };
  let moves = 0;
  for (const n of DEMOS) {
    await page.goto(`${base}/bench?p=demo-${n}`);
    // A set is seen together first.
    await page.getByRole('radiogroup', { name: 'View' }).getByText('Sheet', { exact: true }).click();
    await page.getByRole('group', { name: /^The sheet/ }).waitFor();
    await page.waitForTimeout(800);
    await processor.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    const grips = page.locator('main svg [role="slider"]');
    const count = Math.min(await grips.count(), usually(Infinity, 2));
    const held: number[] = [];
    for (let i = 0; i < count; i++) held.push(...(await moved(grips.nth(i), true)));
    if (count > 0) all.free.push(...(await moved(grips.first(), false)));
    await processor.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    all.held.push(...held);
    moves += count * MOVES;
    console.log(`demo-${n}: ${count} grips, ${told(held)}`);
  }
  console.log(`slowed ${SLOWED} times, ${moves} moves: ${told(all.held)}; with nothing in hand: ${told(all.free)}`);
  await browser.close();
  end();
}

const told = (tasks: readonly number[]): string =>
  `${tasks.length} tasks over 50 ms, longest ${Math.round(Math.max(0, ...tasks))} ms`;

void main();
