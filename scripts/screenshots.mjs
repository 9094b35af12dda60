/** Takes one picture of each main view from the demo data: `npm run build && npm run screenshots`. Look at every one. */
import { spawn } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { chromium as driver } from '@playwright/test';
import { chromium } from './install.mjs';

const PORT = 4311;
const FOLDER = 'docs/screenshots';
const view = (name) => (page) => page.getByText(name, { exact: true }).click();
/** Front and back, once they are drawn: the first page of a cold browser takes its time. */
const bothFaces = async (page) => {
  await view('Folded')(page);
  await page.locator('figure svg').first().waitFor();
};
/** An open book, its cards pulled out. */
const openBook = async (page) => {
  await view('Folded')(page);
  await view('Leaf through')(page);
  await page.getByRole('slider', { name: 'Which pages lie open' }).focus();
  await page.keyboard.press('ArrowRight');
  await page.getByRole('switch', { name: 'Pull the cards out' }).click();
  await page.waitForTimeout(400);
};
/** The folded view of what stands, three steps before its end. */
const inSpace = async (page) => {
  await view('Folded')(page);
  await page.locator('canvas').waitFor();
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'A step back' }).click();
  await page.waitForTimeout(1500);
};
/** What helps is tried beside the page, once the design stands still. */
const remedies = (page) => page.getByRole('button', { name: 'Trim the flaps' }).waitFor();
/** The first punch of a batch. */
const making = async (page) => {
  await page.getByLabel('How many?').fill('6');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('button', { name: 'Next ›' }).click();
  await page.getByText('five eighths past 2').first().waitFor();
};
const tried = async (page) => {
  for (let i = 0; i < 7; i++) await page.getByRole('button', { name: 'Do it' }).click();
};
const fits = (page) => page.getByRole('heading', { name: 'What the fits say' }).evaluate((h) => h.scrollIntoView());
/** The sheets of the demo table, the first cut behind. */
const laid = async (page) => {
  await page.getByText(', proved').waitFor();
  await page.getByRole('button', { name: 'Next cut' }).click();
};
/** Every card in sight is drawn; those further down wait until they are. */
const drawn = (page) =>
  page.waitForFunction(() => {
    const cards = [...document.querySelectorAll('a[href^="/bench?p="]')].filter(
      (card) => card.getBoundingClientRect().top < innerHeight,
    );
    return cards.length > 0 && cards.every((card) => card.querySelector('svg'));
  });
/** A set, one of its parts on the table. */
const nested = async (page) => {
  await page.getByRole('group', { name: 'The set to one scale' }).waitFor();
  await page
    .getByRole('button', { name: /^Box: / })
    .first()
    .press('Enter');
};
/** A torn place, and its ways out. */
const rescued = async (page) => {
  await page.getByLabel('Add what is wrong', { exact: true }).click();
  await page.getByTitle('It is torn', { exact: true }).click();
  await page.getByRole('progressbar').waitFor();
  await page.getByRole('progressbar').waitFor({ state: 'hidden', timeout: 60_000 });
  await page.getByRole('heading', { name: 'Ways out' }).evaluate((heading) => heading.scrollIntoView());
  await page.mouse.wheel(0, -190);
  await page.waitForTimeout(400);
};
/** How often it fits. */
const counted = async (page) => {
  await page.getByRole('radiogroup', { name: 'View' }).getByText('Fit', { exact: true }).click();
  await page.getByText(/of 100 come out right/).waitFor({ timeout: 60_000 });
};
/** File name, address, what to do before the picture, and how the page is shown. */
const PICTURES = [
  ['shelf', '/', drawn],
  ['choose', '/choose?have=contents'],
  ['holder', '/holders/library-pocket'],
  ['envelopes', '/envelopes'],
  ['bench-sheet', '/bench?p=demo-1'],
  ['bench-folded', '/bench?p=demo-2', bothFaces],
  ['album', '/bench?p=demo-20', openBook],
  ['bench-in-space', '/bench?p=demo-12', inSpace],
  ['make', '/make?p=demo-1', making],
  ['tools', '/tools'],
  ['rescue', '/rescue', rescued],
  ['try-a-board', '/tools/try?p=demo-1', tried],
  ['log', '/log', fits],
  ['cutting', '/cutting', laid],
  ['stash', '/stash'],
  ['fit', '/bench?p=demo-1', counted],
  ['bench-failing', '/bench?p=demo-5', remedies, { colorScheme: 'dark' }],
  ['phone-make', '/make?p=demo-1', making, { viewport: { width: 390, height: 844 } }],
  ['together', '/bench?p=demo-18', nested],
];

const server = spawn(process.execPath, ['scripts/serve.mjs', String(PORT)], {
  stdio: 'ignore',
  env: { ...process.env, NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1' },
});
const answers = () =>
  fetch(`http://localhost:${PORT}/api/ping`).then(
    (response) => response.ok,
    () => false,
  );
while (!(await answers())) await new Promise((wake) => setTimeout(wake, 200));
const browser = await driver.launch({
  executablePath: chromium(),
  args: ['--no-sandbox', '--use-angle=swiftshader', '--enable-unsafe-swiftshader'],
});
mkdirSync(FOLDER, { recursive: true });
const only = process.argv.slice(2);
for (const [name, address, act, shown] of PICTURES) {
  if (only.length > 0 && !only.includes(name)) continue;
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    serviceWorkers: 'block',
    ...shown,
  });
  const page = await context.newPage();
  await page.goto(`http://localhost:${PORT}${address}`);
  await page
    .locator(['/tools', '/log', '/stash', '/cutting', '/backup'].includes(address) ? 'main h2' : 'main svg')
    .first()
    .waitFor();
  if (address.startsWith('/choose')) await page.getByRole('button', { name: /^Library pocket/ }).waitFor();
  await act?.(page);
  // Without a graphics card, tiles that are drawn anew only in part may show what stood there before: all are made anew.
  await page.evaluate(() => {
    // What is fixed to a phone's screen would go along with the page.
    if (innerWidth > 900) document.body.style.willChange = 'transform';
  });
  await page.waitForTimeout(600);
  await page.screenshot({ path: `${FOLDER}/${name}.png` });
  await context.close();
}
await browser.close();
server.kill();
