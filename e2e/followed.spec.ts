/** What a person must be able to follow with glue on the fingers: on a laptop, a tablet held upright and a phone. */
import type { Page } from '@playwright/test';
import { CONSTRUCTIONS } from '../src/core/constructions';
import { begunIn, readDesign, type DesignInput } from '../src/core/design';
import { usualMarks, type Units } from '../src/core/length';
import { planFor } from '../src/core/plan';
import { setOf } from '../src/core/sets';
import { OFFERED, type Tool } from '../src/core/tools';
import { DEMO_SHELF } from '../src/data/demo';
import { putOnShelf, type ShelfProject } from './many';
import { beginWithContents, expect, go, openShelf, setLength, sheetsLaid, test } from './table';
import { THOROUGH } from './thorough';

/** Every project of the demo shelf: each holder, as one of its own or in a set. */
const ALL = DEMO_SHELF.map((_, i) => `demo-${i + 1}`);

interface Size {
  readonly name: string;
  readonly width: number;
  readonly height: number;
}
const LAPTOP: Size = { name: 'laptop', width: 1280, height: 800 };
const TABLET: Size = { name: 'tablet upright', width: 820, height: 1180 };
const PHONE: Size = { name: 'phone', width: 390, height: 844 };
const SMALL_PHONE: Size = { name: 'small phone', width: 360, height: 740 };
const SIZES: readonly Size[] = THOROUGH ? [LAPTOP, TABLET, PHONE, SMALL_PHONE] : [TABLET, PHONE];

/**
 * Every holder is followed on every screen, with every tool that scores it; the check follows two projects: one that lies flat and
 * one that stands.
 */
const FOLLOWED = THOROUGH ? ALL : ['demo-6', 'demo-12'];

/** Texts that run over each other or out of what holds them, as a person would point at them. */
const badlyPlaced = (page: Page, within: string): Promise<string[]> =>
  page.evaluate((selector) => {
    const told: string[] = [];
    for (const panel of document.querySelectorAll(selector)) {
      const frame = panel.getBoundingClientRect();
      if (frame.width === 0) continue;
      const texts: { text: string; box: DOMRect; of: Element }[] = [];
      const walker = document.createTreeWalker(panel, NodeFilter.SHOW_TEXT);
      for (let node = walker.nextNode(); node; node = walker.nextNode()) {
        const text = node.textContent?.trim() ?? '';
        const of = node.parentElement!;
        const style = getComputedStyle(of);
        if (!text || of.closest('.sr-only, [aria-hidden="true"], details:not([open]) > :not(summary)')) continue;
        // What is shortened on purpose ends in dots.
        if (style.textOverflow === 'ellipsis') continue;
        if (style.visibility === 'hidden' || style.clipPath !== 'none') continue;
        // Drawings are made of texts of their own, and what scrolls shows only a part.
        if (of.closest('svg, canvas')) continue;
        const range = document.createRange();
        range.selectNodeContents(node);
        for (const box of range.getClientRects()) if (box.width > 1) texts.push({ text, box, of });
      }
      for (const { text, box } of texts)
        if (box.left < frame.left - 1 || box.right > frame.right + 1) told.push(`sticks out: ${text}`);
      texts.forEach((a, i) => {
        for (const b of texts.slice(i + 1)) {
          if (a.of === b.of || a.of.contains(b.of) || b.of.contains(a.of)) continue;
          const wide = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
          const high = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
          // A line's box reaches past its letters, the more the larger they are.
          if (wide > 2 && high > 0.45 * Math.min(a.box.height, b.box.height))
            told.push(`overlap: ${a.text} / ${b.text}`);
        }
      });
    }
    return [...new Set(told)];
  }, within);

/** Texts of drawings, turned ones too, that run over each other or out of their drawing. */
const badlyDrawn = (page: Page, drawings: string): Promise<string[]> =>
  page.evaluate((selector) => {
    const told: string[] = [];
    for (const svg of document.querySelectorAll(selector)) {
      const frame = svg.getBoundingClientRect();
      const texts = [...svg.querySelectorAll('text')]
        .map((of) => ({ text: of.textContent?.trim() ?? '', box: of.getBoundingClientRect() }))
        .filter(({ text, box }) => text && box.width > 0);
      for (const { text, box } of texts)
        if (
          box.left < frame.left - 3 ||
          box.right > frame.right + 3 ||
          box.top < frame.top - 5 ||
          box.bottom > frame.bottom + 5
        )
          told.push(`out of the drawing: ${text}`);
      for (const of of svg.querySelectorAll('text')) {
        const scale = (of as SVGTextElement).getScreenCTM();
        const letters = scale ? Number.parseFloat(getComputedStyle(of).fontSize) * Math.hypot(scale.a, scale.b) : 0;
        if (of.getBoundingClientRect().width > 0 && letters < 5.5)
          told.push(`too small to read: ${of.textContent} (${letters.toFixed(1)} px)`);
      }
      // A line's box reaches past its letters on either side, be it turned or not.
      const inked = texts.map(({ text, box }) => {
        const [x, y] = box.width >= box.height || text.length < 2 ? [0, 0.26 * box.height] : [0.26 * box.width, 0];
        return { text, left: box.left + x, right: box.right - x, top: box.top + y, bottom: box.bottom - y };
      });
      inked.forEach((a, i) => {
        for (const b of inked.slice(i + 1)) {
          const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left);
          const high = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
          if (wide > 1 && high > 1)
            told.push(`over each other: ${a.text} / ${b.text} (${Math.round(wide)} × ${Math.round(high)} px)`);
        }
      });
    }
    return [...new Set(told)];
  }, drawings);

for (const { name, width, height } of SIZES)
  test.describe(`on a ${name}`, () => {
    test.use({ viewport: { width, height }, hasTouch: width < 1000 });

    test('main screens: nothing sticks out or overlaps, nothing scrolls sideways', async ({ page }) => {
      await openShelf(page);
      const screens = [
        ['/', 'main'],
        ['/choose?have=contents', 'main ol li, main > div'],
        ['/choose?have=both', 'main ol li, main > div'],
        ['/bench?p=demo-1', '[aria-label="What you have"], [aria-label="The answer"]'],
        ['/bench?p=demo-12', '[aria-label="What you have"], [aria-label="The answer"]'],
        ['/log', 'main h1, main article'],
        ['/log?new', 'main'],
        ['/stash', 'main h2, main form'],
        ['/tools', 'main'],
      ] as const;
      for (const [address, panels] of screens) {
        await go(page, address);
        await expect(page.locator('main').first()).toBeVisible();
        await page.waitForTimeout(400);
        expect([address, await badlyPlaced(page, panels)]).toEqual([address, []]);
        const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
        expect([address, over <= 0]).toEqual([address, true]);
      }
    });
  });

/** What must be seen of a step without scrolling, on a screen of this height. */
async function seenWhole(page: Page, where: string, height: number): Promise<void> {
  const seen = await page.evaluate(async () => {
    for (let i = 0; i < 3; i++) await new Promise(requestAnimationFrame);
    const box = (of: Element | null | undefined): { top: number; bottom: number } | null => {
      const { top = 0, bottom = 0 } = of?.getBoundingClientRect() ?? {};
      return of ? { top, bottom } : null;
    };
    const picture = document.querySelector('[aria-label="How it lies"]');
    const next = [...document.querySelectorAll('button')].find(({ textContent }) => (textContent ?? '').endsWith('›'));
    return {
      sideways: document.documentElement.scrollWidth - innerWidth,
      picture: box(picture)!,
      next: box(next)!,
      near: box(picture?.querySelector('svg [class*="nearEdge"] rect')),
      words: box(document.querySelector('[aria-label="What to do"] > div'))!,
      caution: box(document.querySelector('[aria-label="What to do"] [class*="caution"]:not(details *)')),
      needed: [...document.querySelectorAll('[aria-label="What to do"] [data-needed]')].map((one) => box(one)!.bottom),
      more: [...document.querySelectorAll('button')].some(({ textContent }) =>
        (textContent ?? '').startsWith('More below'),
      ),
    };
  });

  // Without scrolling: the picture whole, over the button, on the screen.
  expect([where, seen.picture.top >= 0, seen.picture.bottom <= seen.next.top + 1]).toEqual([where, true, true]);
  expect([where, seen.next.bottom <= height + 1]).toEqual([where, true]);
  expect([where, 'sideways', seen.sideways <= 0]).toEqual([where, 'sideways', true]);
  // What may hurt is read without scrolling too.
  if (seen.caution)
    expect([where, 'caution', seen.caution.bottom <= seen.words.bottom + 3 || seen.more]).toEqual([
      where,
      'caution',
      true,
    ]);
  // All that is needed is seen without scrolling, or it is said that there is more.
  const all = seen.needed.every((bottom) => bottom <= seen.words.bottom + 3);
  expect([where, 'needed', seen.needed.length > 0 && (all || seen.more)]).toEqual([where, 'needed', true]);
  const high = seen.picture.bottom - seen.picture.top;
  expect([where, 'picture', high > height * 0.22 || high]).toEqual([where, 'picture', true]);
  if (seen.near)
    expect([where, 'near edge', seen.near.bottom <= seen.picture.bottom + 1]).toEqual([where, 'near edge', true]);
  expect([where, await badlyPlaced(page, '[aria-label="What to do"] > div')]).toEqual([where, []]);
  expect([where, await badlyDrawn(page, '[aria-label="How it lies"] svg')]).toEqual([where, []]);
}

/** Begins a make and goes through it, looking at every step on every screen. */
async function follow(page: Page, project: string, sizes: readonly Size[] = SIZES): Promise<void> {
  await go(page, `/make?p=${project}`);
  await sheetsLaid(page);
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  const progress = page.getByRole('progressbar', { name: 'How far the make has come' });
  const all = Number(await progress.getAttribute('aria-valuemax'));
  expect(all).toBeGreaterThan(1);
  for (let at = 0; at < all; at++) {
    await expect(progress).toHaveAttribute('aria-valuenow', String(at));
    // What shows a fold in space loads when it is first needed.
    await page.getByRole('region', { name: 'How it lies' }).locator('svg, canvas').first().waitFor();
    for (const { name, width, height } of sizes) {
      await page.setViewportSize({ width, height });
      // A drawing follows its frame's size a moment later, on a busy machine a longer one.
      await expect(() => seenWhole(page, `${project}, step ${at + 1}, on a ${name}`, height)).toPass({
        timeout: 10_000,
      });
    }
    await page.keyboard.press('PageDown');
  }
}

test.describe('every step', () => {
  test.use({ hasTouch: true });

  for (const project of FOLLOWED)
    test(`of ${project}: the words in their panel, the near edge and Next in sight together`, async ({ page }) => {
      test.slow();
      await openShelf(page);
      await follow(page, project);
    });

  for (const { name } of CONSTRUCTIONS)
    test(`of a ${name} with every tool`, { tag: '@thorough' }, async ({ page }) => {
      test.slow();
      await openShelf(page);
      const projects = OFFERED.flatMap(({ kind }, i) => withTool(name, kind, i % 2 === 0 ? 'mm' : 'in'));
      expect(projects.length).toBeGreaterThan(0);
      await putOnShelf(page, projects);
      for (const { id } of projects) await follow(page, id, [TABLET, PHONE, SMALL_PHONE]);
    });
});

/** A holder made with a tool, in these units; none where it cannot be made with that. */
function withTool(construction: string, kind: Tool['kind'], units: Units): ShelfProject[] {
  const [width, height] = units === 'in' ? ['3 in', '4 in'] : ['75 mm', '100 mm'];
  const asked: DesignInput = {
    version: 1,
    construction,
    contents: { width, height, thickness: '3 mm' },
    graduation: usualMarks(units),
    tool: { kind },
  };
  const design = begunIn(asked);
  const read = readDesign(design);
  if (!read.ok || !planFor(read.design).made) return [];
  return [{ id: `followed-${construction}-${kind}-${units}`, name: construction, units, set: setOf(design) }];
}

test('what is pressed before the first step is there counts', async ({ page }) => {
  await go(page, '/make?p=demo-2');
  const begin = page.getByRole('button', { name: 'Begin', exact: true });
  await begin.waitFor();
  // In one task: nothing is awaited between the button and the keys.
  await begin.evaluate((button: HTMLElement) => {
    button.click();
    for (let i = 0; i < 2; i++)
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'PageDown', code: 'PageDown', bubbles: true }));
  });
  await expect(page.getByRole('progressbar', { name: 'How far the make has come' })).toHaveAttribute(
    'aria-valuenow',
    '2',
  );
});

test('a make on an older plan says so, tells what changed, and takes the new one', async ({ page }) => {
  await beginWithContents(page);
  const bench = new URL(page.url());
  const make = `/make${bench.search}`;
  await go(page, make);
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.keyboard.press('PageDown');
  await expect(page.getByText('The plan on the bench was changed')).toHaveCount(0);
  await go(page, `/bench${bench.search}`);
  await setLength(page, 'Width', '4 in');
  await go(page, make);
  const told = page.getByRole('alert').filter({ hasText: 'The plan on the bench was changed since this make began' });
  await expect(told).toContainText('Cut a square: 6 3/4 in, was 6 in');
  await expect(told).toContainText('Nothing of what is done counts for it.');
  await told.getByRole('button', { name: 'Take the new plan' }).click();
  await expect(told).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'What to do' })).toContainText('Cut a square, 6 3/4 in');
  // It can be stopped and taken off, and laid there again.
  await page.getByRole('button', { name: 'Stop making' }).click();
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  await expect(page.getByText('Go on making')).toHaveCount(0);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByText('Go on making')).toBeVisible();
});

test('a make is written down by hand; it counts, examples do not', async ({ page }) => {
  await go(page, '/log');
  await expect(page.getByRole('article').first()).toContainText('Example');
  await expect(page.getByRole('button', { name: 'Make that my usual room' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Write one down' }).click();
  await page.getByLabel('What was made').fill('Ticket sleeves');
  await page.getByLabel('Holder', { exact: true }).fill('sleeve');
  await page.getByTitle('Sleeve', { exact: true }).last().click();
  await setLength(page, 'Room in the width, if you know it', '1/8 in');
  const write = page.getByRole('button', { name: 'Write it in the log' });
  // Nobody said yet how it fitted: nothing is taken for the answer.
  await expect(write).toBeDisabled();
  await page.reload();
  await expect(page.getByLabel('What was made')).toHaveValue('Ticket sleeves');
  await page.getByText('Tight', { exact: true }).click();
  await write.click();
  await expect(page.getByRole('heading', { name: 'Ticket sleeves' })).toBeVisible();
  await go(page, '/log');
  const advice = page.getByRole('article', { name: /^Sleeve round flat things/ });
  await expect(advice).toContainText('Rests on 1 make');
  await expect(page.getByRole('article')).toHaveCount(1);
});

test('the examples go with one button and come back with one', async ({ page }) => {
  await openShelf(page);
  await page.getByRole('button', { name: 'Clear the examples' }).click();
  await expect(page.getByRole('link', { name: /Star cards, Quillmere/ })).toHaveCount(0);
  await expect(page.getByText('Nothing of your own yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Bring the examples back' }).click();
  await expect(page.getByRole('link', { name: /Star cards, Quillmere/ })).toBeVisible();
});

test(
  'contents and a paper are asked about together; a project nobody named follows its holder',
  { tag: '@thorough' },
  async ({ page }) => {
    await go(page, '/choose?have=both');
    await expect(page.getByRole('heading', { name: 'What holds this, from this paper?' })).toBeVisible();
    await expect(page.getByText(/of a 12 in sheet/).first()).toBeVisible();
    await setLength(page, 'Paper’s width', '2 in');
    await setLength(page, 'Paper’s height', '2 in');
    await expect(page.getByRole('heading', { name: 'Not from this paper' })).toBeVisible();
    await page.getByText('Something to put in', { exact: true }).click();
    await page.getByRole('button', { name: /^Sleeve/ }).click();
    await expect(page.getByLabel('Name of the project')).toHaveValue('Sleeve');
    await page.getByLabel('Made as').fill('card holder');
    await page.getByTitle('Card holder').last().click();
    await expect(page.getByLabel('Name of the project')).toHaveValue('Card holder');
  },
);

test('money is told in the person’s own currency, in the stash and at the cutting table', async ({ page }) => {
  await go(page, '/stash');
  await page.getByLabel('Money in').fill('crown');
  await page.getByLabel('Money in').press('Enter');
  await expect(page.getByText('crown 0.85')).toBeVisible();
  await page.reload();
  await expect(page.getByText('crown 0.85')).toBeVisible();
  await go(page, '/cutting');
  await expect(page.getByText(', proved')).toBeVisible();
  await expect(page.getByText(/^crown \d+\.\d\d$/).first()).toBeVisible();
});
