import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { everyPage } from './fields';
import { downloaded, expect, openShelf, sheet, takeAlong, test } from './table';

/** The app is kept once its worker controls the page. */
async function keptForOffline(page: Page): Promise<void> {
  await openShelf(page);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    if (!navigator.serviceWorker.controller)
      await new Promise((done) => navigator.serviceWorker.addEventListener('controllerchange', done, { once: true }));
  });
}

/** Without a network the browser tells of every fetch that fails: that is what is tried here, and no fault. */
const offline = test.extend({
  page: async ({ context }, run) => {
    const page = await context.newPage();
    const wrong: string[] = [];
    page.on('pageerror', (error) => wrong.push(error.message));
    await run(page);
    expect(wrong).toEqual([]);
  },
});

offline(
  'after one visit every page opens without a network, also those never opened, and their workers',
  async ({ page, context }) => {
    offline.setTimeout(240_000);
    await keptForOffline(page);
    await context.setOffline(true);
    // Each route by its address, as from a bookmark; what stands on it depends on what is kept, which is here.
    const seen: Record<string, string | RegExp> = {
      '/': 'On the shelf',
      '/backup': 'What is kept here',
      '/cutting': 'Cuts in order',
      '/envelopes': 'A card for each',
      '/licences': 'word for word',
      '/log': 'What the fits say',
      '/rescue': 'What is wrong?',
      '/sets': 'pieces to cut',
      '/stash': 'Paper saved',
      '/tools': 'Envelope boards',
      '/tools/calibrate': 'Trial folds',
      '/tools/chart': 'Flaps lap',
      '/tools/try': 'It would fold to',
    };
    for (const address of everyPage()) {
      await page.goto(address);
      if (address.startsWith('/bench')) await expect(sheet(page)).toBeVisible();
      else if (address.startsWith('/make'))
        await expect(page.getByRole('button', { name: 'Begin', exact: true })).toBeVisible();
      else if (address.startsWith('/choose'))
        // Worked out by a worker that was never started before.
        await expect(page.getByRole('button', { name: /^Envelope from a square/ })).toBeVisible();
      else if (address.startsWith('/holders')) await expect(page.getByText('Usual mistakes')).toBeVisible();
      else await expect(page.getByText(seen[address]!).first(), address).toBeVisible();
    }
    // Every holder has its page.
    for (const holder of ['accordion-pocket', 'tray-box', 'flap-mat']) {
      await page.goto(`/holders/${holder}`);
      await expect(page.getByText('Every choice')).toBeVisible();
    }
  },
);

offline(
  'without a network: work goes on by links, is printed, cut, shown in space, and kept',
  async ({ page, context }) => {
    offline.setTimeout(180_000);
    await keptForOffline(page);
    await context.setOffline(true);
    await page.getByRole('link', { name: /Star cards/ }).click();
    await expect(sheet(page)).toBeVisible();
    await page.getByLabel('Width', { exact: true }).fill('3 1/4 in');
    const pdf = await downloaded(page, () => takeAlong(page, 'Print at true size on A4 (PDF)'));
    expect(pdf.bytes.subarray(0, 5).toString()).toBe('%PDF-');
    await page.getByRole('radiogroup', { name: 'View' }).getByText('Cutting', { exact: true }).click();
    // The solver, three and a half megabytes compiled, was kept as well.
    await expect(page.getByText(/, proved/)).toBeVisible();
    await page.getByRole('link', { name: 'Cutting', exact: true }).click();
    await expect(page.getByText('Cuts in order')).toBeVisible();
    await page.goto('/nowhere');
    await expect(page.getByText('There is no connection, and nothing is kept here for this address.')).toBeVisible();
    await context.setOffline(false);
    await page.goto('/bench?p=demo-1');
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue('3 1/4 in');
  },
);

offline(
  'what the browser lost of what is kept is said to be missing, and comes back with the connection',
  async ({ page, context }) => {
    offline.setTimeout(120_000);
    await keptForOffline(page);
    /** How much is kept; a third of it is thrown away first where that is asked, the log's page with it. */
    const kept = (lose: boolean): Promise<number> =>
      page.evaluate(async (less) => {
        const name = (await caches.keys()).find((one) => one.includes('precache'))!;
        const cache = await caches.open(name);
        const all = await cache.keys();
        const lost = all.filter(({ url }, i) => new URL(url).pathname === '/log' || i % 3 === 0);
        for (const one of less ? lost : []) await cache.delete(one);
        return (await cache.keys()).length;
      }, lose);
    const whole = await kept(false);
    expect(await kept(true)).toBeLessThan(whole * 0.7);
    await context.setOffline(true);
    await page.goto('/log');
    await expect(page.getByText('This page is not here yet: open it again once there is a connection.')).toBeVisible();
    await context.setOffline(false);
    await page.goto('/tools');
    await expect.poll(() => kept(false), { timeout: 60_000 }).toBe(whole);
    await context.setOffline(true);
    await page.goto('/log');
    await expect(page.getByText('What the fits say').first()).toBeVisible();
  },
);

offline('the app can be put among a device’s own', async ({ page }) => {
  await keptForOffline(page);
  const address = await page.locator('link[rel="manifest"]').getAttribute('href');
  const manifest = (await (await page.request.get(address!)).json()) as {
    name: string;
    start_url: string;
    display: string;
    icons: { src: string; sizes: string; purpose?: string }[];
  };
  expect(manifest).toMatchObject({ name: 'Tuck Fold', start_url: '/', display: 'standalone' });
  expect(manifest.icons.some(({ purpose }) => purpose === 'maskable')).toBe(true);
  for (const { src, sizes } of manifest.icons) {
    const bytes = await (await page.request.get(src)).body();
    // Width and height of a PNG stand at its 16th byte (PNG specification, IHDR).
    expect(`${bytes.readUInt32BE(16)}x${bytes.readUInt32BE(20)}`).toBe(sizes);
  }
});

offline('a newer version waits until the person takes it, and never comes under a make', async ({ page, context }) => {
  offline.setTimeout(180_000);
  // The worker as it will be next time: the same with one line more, served in its place.
  let version = 0;
  await context.route('**/sw.js', async (route) => {
    const answer = await route.fetch();
    await route.fulfill({ response: answer, body: `${await answer.text()}\n// ${version}` });
  });
  await keptForOffline(page);
  const offer = page.getByText('A newer version of Tuck Fold is ready.');
  await expect(offer).toBeHidden();
  version = 1;
  const making = await context.newPage();
  await making.goto('/make?p=demo-1');
  await making.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(making.getByText(/^Step/)).toBeVisible();
  await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.update());
  await expect(offer).toBeVisible();
  await expect(making.getByText('A newer version')).toBeHidden();
  await page.getByRole('button', { name: 'Take it now' }).click();
  await expect(page.getByText('A make is on the table in another window.')).toBeVisible();
  await making.close();
  // The browser takes its time to let go of what a closed window held; then it is offered again by itself.
  await expect(offer).toBeVisible();
  await Promise.all([page.waitForEvent('load'), page.getByRole('button', { name: 'Take it now' }).click()]);
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  await expect(page.getByText('A newer version')).toBeHidden();
});

offline('the list of what is kept names every page there is', () => {
  const worker = readFileSync('public/sw.js', 'utf8');
  for (const address of everyPage()) expect(worker).toContain(`"${address.split('?')[0]}"`);
});
