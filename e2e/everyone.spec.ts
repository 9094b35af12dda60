import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { beginWithContents, expect, figure, go, openShelf, pullOver, sheet, test } from './table';

/** The places one goes to, and what is there when they are. */
const PLACES = [
  ['/tools', 'Envelope boards'],
  ['/tools/calibrate', 'Trial folds'],
  ['/tools/chart', 'Flaps lap'],
  ['/tools/try', 'It would fold to'],
  ['/log', 'What the fits say'],
  ['/cutting', 'Cuts in order'],
  ['/stash', 'Paper saved'],
  ['/backup', 'What is kept here'],
] as const;

/**
 * Every rule by day; by evening the page is the same but for its colours, so only those are looked at again. There are
 * no frames here: the page itself puts its results together, without a second page opened for that each time.
 */
const audit = async (page: Page, dark: boolean, part = 'html'): Promise<string[]> => {
  const axe = new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .include(part);
  return (await (dark ? axe.withRules(['color-contrast']) : axe).analyze()).violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`,
  );
};

for (const colorScheme of ['light', 'dark'] as const)
  test.describe(
    `the accessibility audit is clean, ${colorScheme}`,
    { tag: colorScheme === 'dark' ? '@thorough' : [] },
    () => {
      test.use({ colorScheme });
      const clean = async (page: Page, part?: string): Promise<void> =>
        expect(await audit(page, colorScheme === 'dark', part)).toEqual([]);
      /** What changes with the view; around it stands what was audited before. */
      const plan = 'section[aria-label="The plan"]';

      test('on the shelf and the bench', async ({ page }) => {
        await openShelf(page);
        await clean(page);
        await page.getByRole('link', { name: /Dome postcards/ }).click();
        await expect(sheet(page)).toBeVisible();
        await page.getByText('Choices and room').click();
        await page.getByText('Usual mistakes').click();
        for (const part of ['Glue and order of work', 'How it is shut', 'Mats, liners, templates'])
          await page.getByText(part).click();
        await expect(page.getByText('Gluing the bottom flap all over.')).toBeVisible();
        await clean(page);
        for (const view of colorScheme === 'dark'
          ? ['Folded', 'Cutting']
          : ['Folded', 'On paper', 'Steps', 'Cutting']) {
          await page.getByRole('radiogroup', { name: 'View' }).getByText(view, { exact: true }).click();
          if (view === 'Cutting') await expect(page.getByRole('button', { name: 'Mark as cut' })).toBeVisible();
          await clean(page, plan);
        }
        if (colorScheme === 'dark') return;
        await page.getByText('Folded', { exact: true }).click();
        await page.getByText('In space', { exact: true }).click();
        await expect(page.locator('canvas')).toBeVisible();
        await clean(page, plan);
      });

      test('during a make, and when it goes wrong', async ({ page }) => {
        await go(page, '/make?p=demo-1');
        await page.getByRole('button', { name: 'Begin' }).click();
        await page.getByRole('button', { name: 'Next ›' }).click();
        await expect(page.getByRole('img', { name: /five eighths past 2/ })).toBeVisible();
        await clean(page);
        await page.getByRole('button', { name: 'That went wrong' }).click();
        await expect(page.getByRole('dialog')).toBeVisible();
        await clean(page);
      });

      // By evening the screens that have colours of their own: tools, the board, the chart of fits, sheets and stash.
      const evening = ['/tools', '/tools/try', '/log', '/cutting', '/stash', '/bench?p=demo-18'];
      test('everywhere else', async ({ page }) => {
        for (const [address, seen] of [
          ...PLACES,
          ['/log?e=demo-log-3', 'The paint on the cards'],
          ['/choose?have=paper', 'Library pocket'],
          ['/holders/library-pocket', 'Usual mistakes'],
          ['/licences', 'word for word'],
          ['/sets', 'pieces to cut'],
          ['/envelopes', 'A card for each'],
          ['/rescue', 'What is wrong?'],
          ['/bench?p=demo-18', 'from the front'],
        ] as const) {
          if (colorScheme === 'dark' && !evening.includes(address)) continue;
          await go(page, address);
          await expect(page.getByText(seen).first()).toBeVisible();
          await clean(page);
        }
      });

      test('in every dialog', async ({ page }) => {
        const dialog = page.getByRole('dialog').last();
        const audited = async (address: string, open: () => Promise<void>): Promise<void> => {
          await go(page, address);
          await open();
          await expect(dialog).toBeVisible();
          await clean(page, '[role="dialog"]');
          await page.keyboard.press('Escape');
          await expect(page.getByRole('dialog')).toHaveCount(0);
        };
        const press = (name: string | RegExp) => () => page.getByRole('button', { name }).first().click();
        const fromMenu = (button: string, item: string | RegExp) => async (): Promise<void> => {
          await page.getByRole('button', { name: button }).click();
          await page.getByRole('menuitem', { name: item }).click();
        };
        await openShelf(page);
        await audited('/stash', press('Add a paper'));
        await audited('/stash', press('Paste or import'));
        await audited('/stash', press(/^Change /));
        await audited('/stash', press('What can it become?'));
        await audited('/log', press('Import (CSV)'));
        await audited('/log', async () => {
          await press('Import (CSV)')();
          await dialog.locator('input[type=file]').setInputFiles({
            name: 'log.csv',
            mimeType: 'text/csv',
            buffer: Buffer.from(
              'day,name,holder,width,height\n2026-05-03,Comet cards,diagonal-envelope,90,120\nnever,?,?,?,?\n',
            ),
          });
          await expect(dialog.getByText(/cannot be read/)).toBeVisible();
        });
        await audited('/', fromMenu('More for Dome postcards', 'Rename'));
        await audited('/', async () => {
          await pullOver(page, 'Door tickets', 'Dome postcards');
          await expect(dialog.getByText('“Door tickets” into “Dome postcards”?')).toBeVisible();
        });
        await audited('/bench?p=demo-1', fromMenu('Add to the set', /^What the .* goes in$/));
        await audited('/bench?p=demo-2', async () => {
          await expect(sheet(page)).toBeVisible();
          await page.keyboard.press('Shift+?');
        });
      });
    },
  );

test('nothing moves for people who ask for less motion', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await openShelf(page);
  const moving = await page.evaluate(
    () =>
      [...document.querySelectorAll('*')].filter((element) => {
        const { transitionDuration, animationName } = getComputedStyle(element);
        return animationName !== 'none' || transitionDuration.split(',').some((time) => parseFloat(time) > 0);
      }).length,
  );
  expect(moving).toBe(0);
});

test('evening light is chosen by hand and remembered', async ({ page }) => {
  await openShelf(page);
  const light = page.getByRole('button', { name: /^Light:/ });
  await light.click();
  await light.click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('every screen fits the width, and a fold is dragged by a finger', async ({ page }) => {
    const fits = async (): Promise<void> =>
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await openShelf(page);
    await fits();
    await page.getByRole('link', { name: /something to put in/ }).tap();
    await expect(page.getByRole('button', { name: /^Envelope from a square/ })).toBeVisible();
    await fits();
    await go(page, '/holders/accordion-pocket');
    await fits();
    for (const [address, seen] of PLACES) {
      await go(page, address);
      await expect(page.getByText(seen).first()).toBeVisible();
      await fits();
    }
    await go(page, '/make?p=demo-1');
    await page.getByRole('button', { name: 'Begin' }).tap();
    await page.getByRole('button', { name: 'Next ›' }).tap();
    await expect(page.getByRole('region', { name: 'What to do' })).toContainText('five eighths past 2');
    await fits();
    await go(page, '/choose?have=contents');
    await page.getByRole('button', { name: /^Envelope from a square/ }).tap();
    await expect(sheet(page)).toBeVisible();
    await fits();
    const cut = await figure(page, 'Cut a square');
    const grip = page.getByRole('slider', { name: 'Score 1: move the fold' });
    await grip.scrollIntoViewIfNeeded();
    // Where it stands once nothing above it grows any more: nobody drags what still moves.
    let box = (await grip.boundingBox())!;
    await expect(async () => {
      const before = box;
      await page.waitForTimeout(150);
      box = (await grip.boundingBox())!;
      expect(box).toEqual(before);
    }).toPass();
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    const client = await page.context().newCDPSession(page);
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', by = 0) =>
      client.send('Input.dispatchTouchEvent', {
        type,
        touchPoints: type === 'touchEnd' ? [] : [{ x: x + by, y: y + by }],
      });
    await touch('touchStart');
    for (let by = 4; by <= 28; by += 4) await touch('touchMove', by);
    await touch('touchEnd');
    await expect.poll(() => figure(page, 'Cut a square')).not.toBe(cut);
    for (const view of ['Folded', 'On paper', 'Steps', 'Cutting']) {
      await page.getByRole('radiogroup', { name: 'View' }).getByText(view, { exact: true }).tap();
      await fits();
    }
  });
});

test('every page comes with a policy that allows no script from elsewhere and no inline one it does not know', async ({
  page,
}) => {
  for (const path of ['/', '/bench?p=x', '/make?p=x', '/tools/try', '/log', '/nowhere']) {
    const policy = (await page.request.get(path)).headers()['content-security-policy']!;
    expect(policy).toContain("default-src 'self'");
    expect(/script-src ([^;]*)/.exec(policy)![1]).not.toContain('unsafe');
  }
  await beginWithContents(page);
});
