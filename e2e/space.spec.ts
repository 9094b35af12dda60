import type { Page } from '@playwright/test';
import { expect, figure, go, openShelf, setLength, takeHolder, test } from './table';

/** The canvas as a small grid of grey values, and how many different ones there are. */
async function seen(page: Page): Promise<{ grid: number[]; shades: number }> {
  // What was asked for is drawn in the next frame.
  await page.waitForTimeout(300);
  return page.locator('canvas').evaluate((canvas: HTMLCanvasElement) => {
    const small = document.createElement('canvas');
    [small.width, small.height] = [64, 48];
    const context = small.getContext('2d')!;
    context.drawImage(canvas, 0, 0, 64, 48);
    const { data } = context.getImageData(0, 0, 64, 48);
    const grid = Array.from({ length: 64 * 48 }, (_, i) =>
      Math.round((data[4 * i]! + data[4 * i + 1]! + data[4 * i + 2]!) / 3),
    );
    return { grid, shades: new Set(grid).size };
  });
}
const apart = (a: { grid: number[] }, b: { grid: number[] }): number =>
  a.grid.filter((v, i) => Math.abs(v - b.grid[i]!) > 12).length / a.grid.length;

const openFolded = async (page: Page): Promise<void> => {
  await page.getByText('Folded', { exact: true }).click();
  await expect(page.locator('canvas')).toBeVisible();
};

test(
  'the observatory’s box for twelve star cards, with its lid: sized, proved, weighed, raised in space',
  { tag: '@thorough' },
  async ({ page }) => {
    const scripts: Promise<string>[] = [];
    page.on('response', (response) => {
      if (/\.js(\?|$)/.test(response.url())) scripts.push(response.text().catch(() => ''));
    });
    const hasSpace = async (): Promise<boolean> =>
      (await Promise.all(scripts)).some((s) => s.includes('WebGLRenderer'));
    await openShelf(page);
    await page.getByRole('link', { name: /something to put in/ }).click();
    await setLength(page, 'Width', '3 in');
    await setLength(page, 'Height', '4 in');
    await setLength(page, 'Thickness', '3/4 in');
    await takeHolder(page, 'Tray box with a lid');
    await page.getByLabel('Tool', { exact: true }).click();
    await page.getByTitle('Scoring board').last().click();
    // Floor 3 1/8 × 4 1/8 for the room aimed for, walls a mark over 3/4: (3 1/8 + 2 × 7/8) × (4 1/8 + 2 × 7/8); the lid 1/8 more.
    expect(await figure(page, 'Cut the box')).toBe('4 7/8 × 5 7/8 in');
    expect(await figure(page, 'Cut the lid')).toBe('5 × 6 in');
    expect(await figure(page, 'Room left')).toMatch(/^1\/8 × ≈ 1\/8 × (≈ )?1\/8 in$/);
    await expect(page.getByRole('heading', { name: 'Folded and proved' })).toBeVisible();

    // Heavier paper takes the room of the lid: by g/m² and by lb cover.
    await page.getByLabel('Weight or thickness of a sheet').fill('700');
    await page.getByLabel('Weight or thickness of a sheet').press('Enter');
    await expect(page.getByText(/The lid will not go on: 3 layers of paper a side take \d/)).toBeVisible();
    await page.getByRole('button', { name: 'Make the lid larger' }).first().click();
    await expect(page.getByText(/The lid will not go on/)).toBeHidden();
    await page.getByLabel('Measured in').click();
    await page.getByTitle('lb cover').click();
    await page.getByLabel('Weight or thickness of a sheet').fill('80');
    await page.getByLabel('Weight or thickness of a sheet').press('Enter');
    // 80 lb cover is 216 g/m²: 0.28 mm at the usual bulk.
    await expect(page.getByText(/About 11 thousandths of an inch, like a postcard/)).toBeVisible();
    await page.getByText('Choices and room').click();
    await setLength(page, 'Lid larger by', '1/8 in');
    await page.getByText('Lid larger across only').click();
    await expect(page.getByText(/an exact fit that grips there/)).toBeVisible();
    await page.getByText('Lid larger both ways').click();

    expect(await hasSpace()).toBe(false);
    await openFolded(page);
    await expect(page.getByText('Put the lid on')).toBeVisible();
    await expect.poll(hasSpace).toBe(true);
    const shut = await seen(page);
    expect(shut.shades).toBeGreaterThan(8);
    const slider = page.getByRole('slider', { name: 'How far it is folded' });
    await slider.focus();
    await page.keyboard.press('Home');
    await expect(page.getByText('Flat, inside up')).toBeVisible();
    const flat = await seen(page);
    expect(apart(flat, shut)).toBeGreaterThan(0.05);
    for (const words of [
      'Raise the left and the right wall',
      'Turn the four tabs in',
      'Raise the near and the far wall against the tabs',
      'The contents go in',
    ]) {
      await page.keyboard.press('ArrowRight');
      await expect(page.getByText(new RegExp(`^\\d of 8 ${words}$`))).toBeVisible();
    }
    // Half a step of the slider, pulled by the mouse, is half a step of the paper.
    const track = (await slider.locator('..').boundingBox())!;
    const frames: Awaited<ReturnType<typeof seen>>[] = [];
    for (const share of [0.06, 0.2, 0.35, 0.95]) {
      await page.mouse.click(track.x + track.width * share, track.y + track.height / 2);
      frames.push(await seen(page));
    }
    frames.forEach((frame, i) => {
      expect(frame.shades).toBeGreaterThan(8);
      if (i > 0) expect(apart(frame, frames[i - 1]!)).toBeGreaterThan(0.01);
    });

    // Turned by keys, by mouse, brought nearer, and back to the front.
    await page.keyboard.press('End');
    await page.getByRole('button', { name: 'A step back' }).click();
    await page.getByRole('button', { name: 'A step on' }).click();
    await expect(page.getByText('8 of 8')).toBeVisible();
    await page.waitForTimeout(1500);
    const canvas = page.locator('canvas');
    const before = await seen(page);
    await canvas.focus();
    for (const key of ['ArrowRight', 'ArrowRight', 'ArrowUp']) await page.keyboard.press(key);
    const turned = await seen(page);
    expect(apart(before, turned)).toBeGreaterThan(0.02);
    await page.keyboard.press('+');
    expect(apart(turned, await seen(page))).toBeGreaterThan(0.01);
    const box = (await canvas.boundingBox())!;
    await page.mouse.move(box.x + 200, box.y + 200);
    await page.mouse.down();
    await page.mouse.move(box.x + 300, box.y + 230, { steps: 5 });
    await page.mouse.up();
    expect(apart(turned, await seen(page))).toBeGreaterThan(0.02);
    await page.keyboard.press('Home');
    expect(apart(before, await seen(page))).toBeLessThan(0.005);

    await page.getByText('Steps', { exact: true }).click();
    const steps = page.getByRole('list', { name: 'Steps in order' });
    await expect(steps).toContainText('Raise the near and the far wall against the tabs on scores 3 and 4, square');
    await expect(steps).toContainText('Put the lid on.');
    await go(page, '/');
    await expect(page.getByRole('link', { name: /^Tray box with a lid/ })).toContainText('Holds a 3 × 4 in card');
  },
);

test.describe('for people who ask for less motion, on a phone', () => {
  test.use({ contextOptions: { reducedMotion: 'reduce' }, viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a step is there at once; a finger turns the box', { tag: '@thorough' }, async ({ page }) => {
    await go(page, '/bench?p=demo-13');
    await openFolded(page);
    const shut = await seen(page);
    expect(shut.shades).toBeGreaterThan(8);
    await page.getByRole('button', { name: 'A step back' }).tap();
    const open = await seen(page);
    expect(apart(shut, open)).toBeGreaterThan(0.004);
    expect(apart(open, await seen(page))).toBe(0);
    const canvas = page.locator('canvas');
    await canvas.scrollIntoViewIfNeeded();
    const box = (await canvas.boundingBox())!;
    const finger = await page.context().newCDPSession(page);
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', x: number): Promise<unknown> =>
      finger.send('Input.dispatchTouchEvent', {
        type,
        touchPoints: type === 'touchEnd' ? [] : [{ x: box.x + x, y: box.y + 150 }],
      });
    await touch('touchStart', 80);
    for (const x of [110, 150, 190, 230]) await touch('touchMove', x);
    await touch('touchEnd', 230);
    expect(apart(open, await seen(page))).toBeGreaterThan(0.02);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
});

test('without a graphics card the same steps are shown as a drawing', async ({ page }) => {
  await page.addInitScript(() => {
    const real = HTMLCanvasElement.prototype.getContext;
    HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement, kind: string, ...rest: unknown[]) {
      return kind.startsWith('webgl') ? null : (real as (...all: unknown[]) => unknown).call(this, kind, ...rest);
    } as typeof real;
  });
  await go(page, '/bench?p=demo-17');
  await page.getByText('Folded', { exact: true }).click();
  await expect(page.getByText('This device draws nothing in space')).toBeVisible();
  const drawing = page.getByRole('img', { name: 'The paper in space: Glue the lining over the turn-ins' });
  const paths = (): Promise<string> =>
    drawing.locator('path').evaluateAll((all) => all.map((p) => p.getAttribute('d')).join());
  await expect(drawing).toBeVisible();
  const done = await paths();
  await page.getByRole('slider', { name: 'How far it is folded' }).press('Home');
  const flat = page.getByRole('img', { name: 'The paper in space: Flat, inside up' });
  await expect(flat).toBeVisible();
  expect(await flat.locator('path').count()).toBeGreaterThan(4);
  expect(await flat.locator('path').evaluateAll((all) => all.map((p) => p.getAttribute('d')).join())).not.toBe(done);
});

test('a flat envelope is folded in space too, after its front and back', async ({ page }) => {
  await go(page, '/bench?p=demo-1');
  await page.getByText('Folded', { exact: true }).click();
  await expect(page.getByRole('img', { name: /^Front of the finished thing/ })).toBeVisible();
  await page.getByText('In space', { exact: true }).click();
  await expect(page.locator('canvas')).toBeVisible();
  const shut = await seen(page);
  expect(shut.shades).toBeGreaterThan(5);
  await page.getByRole('slider', { name: 'How far it is folded' }).press('Home');
  await expect(page.getByText('Flat, inside up')).toBeVisible();
  expect(apart(shut, await seen(page))).toBeGreaterThan(0.02);
});
