/**
 * Dragging on the bench in the browser: every fold that can be dragged, and the contents' corner, of every demo project,
 * on a processor slowed four times. Told: the longest task and how many passed 50 ms, beside an empty page's own under
 * the same pointer: `npm run build && npm run bench:drag`. `SLOWED=1` measures unslowed.
 */
import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';

const PORT = 4377;
const SLOWED = Number(process.env.SLOWED ?? 4);
const MOVES = 24;
const server = spawn(process.execPath, ['scripts/serve.mjs', String(PORT)], {
  stdio: 'ignore',
  env: { ...process.env, NODE_ENV: 'production' },
});
const base = `http://localhost:${PORT}`;
for (let tries = 0; tries < 100; tries++) {
  if (
    await fetch(`${base}/api/ping`).then(
      ({ ok }) => ok,
      () => false,
    )
  )
    break;
  await new Promise((wake) => setTimeout(wake, 200));
}
const executablePath = process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell';
const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-dev-shm-usage'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
const cdp = await page.context().newCDPSession(page);
await page.addInitScript(() => {
  window.tasks = [];
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) window.tasks.push(entry.duration);
  }).observe({ type: 'longtask' });
});
await page.goto(base);
await page.getByRole('heading', { name: 'On the shelf' }).waitFor();

/** Drags from a grip to and fro; the tasks over 50 ms that it made. */
async function drag(grip) {
  const box = await grip.boundingBox();
  if (!box) return null;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.waitForTimeout(400);
  await page.evaluate(() => void (window.tasks.length = 0));
  for (let i = 1; i <= MOVES; i++) {
    await page.mouse.move(x + 14 * Math.sin(i / 2), y + 14 * Math.sin(i / 2));
    await page.waitForTimeout(25);
  }
  await page.mouse.up();
  await page.waitForTimeout(600);
  return page.evaluate(() => window.tasks.slice());
}

const only = process.argv[2];
const rows = [];
for (let n = 1; n <= 14; n++) {
  const id = `demo-${n}`;
  if (only && only !== id) continue;
  await page.goto(`${base}/bench?p=${id}`);
  await page.getByRole('group', { name: /^The sheet/ }).waitFor();
  await page.waitForTimeout(800);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  const grips = page.locator('[role="slider"]');
  const all = [];
  const count = await grips.count();
  for (let i = 0; i < count; i++) {
    const tasks = await drag(grips.nth(i));
    if (tasks) all.push(...tasks);
    if (process.env.EACH) console.log(id, i, (tasks ?? []).map(Math.round).join(' '));
  }
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  rows.push({ id, grips: count, over: all.length, longest: Math.round(Math.max(0, ...all)) });
  console.log(
    `${id}: ${count} grips, ${count * MOVES} moves, ${all.length} tasks over 50 ms, longest ${rows.at(-1).longest} ms`,
  );
}
console.log(
  `slowed ${SLOWED} times: longest ${Math.max(...rows.map(({ longest }) => longest))} ms, ${rows.reduce((sum, { over }) => sum + over, 0)} over 50 ms`,
);
await browser.close();
server.kill();
