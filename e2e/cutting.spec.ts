import DxfParser from 'dxf-parser';
import { downloaded, expect, type Extra, go, goBy, layOnCuttingTable as lay, sheet, takeAlong, test } from './table';
import { ALBUM, cutUpSquares } from '../tests/helpers/cut-lists';
import type { Page } from '@playwright/test';

const INCH = 25.4;
const inch = (name: string, width: number, height: number, quantity: number): Extra => ({
  name,
  width: width * INCH,
  height: height * INCH,
  quantity,
});

/** Ten sheets cut into eighty pieces of as many sizes: it takes long to put them together again. */
const PUZZLE = cutUpSquares(10, 8, 24, 4, (n) => (n * 0.618) % 1)
  .flat()
  .map(({ width, height }, i) => inch(`bit ${i + 1}`, width / 2, height / 2, 1));

const sheets = (page: Page) => page.getByRole('region', { name: 'The sheets' });
const figure = (page: Page, name: string) => sheets(page).locator('dl > div', { hasText: name }).locator('dd');
const settled = (page: Page) => expect(sheets(page)).toHaveAttribute('aria-busy', 'false', { timeout: 60_000 });
const stashed = (page: Page, name: RegExp) => page.getByRole('spinbutton', { name });

test('the album: 160 pieces on the fewest sheets, proved; cut, the offcuts appear, and all of it is taken back', async ({
  page,
}) => {
  await lay(
    page,
    ALBUM.map(([name, width, height, quantity]) => inch(name, width, height, quantity)),
  );
  await settled(page);
  await expect(figure(page, 'Fewest of this paper')).toHaveText('21, proved');
  await expect(figure(page, 'Sheets')).toHaveText('21');
  await expect(page.getByText(/\d+ cuts with \d+ settings of the fence/)).toBeVisible();
  // Step through the first cuts; the place is kept through a reload.
  await page.getByRole('button', { name: 'Next cut' }).click();
  await expect(page.getByText(/Cut 2 of/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/Cut 2 of/)).toBeVisible();
  await settled(page);

  await page.getByRole('button', { name: 'Mark as cut' }).click();
  await expect(page.getByText('This is cut. Its sheets are out of the stash')).toBeVisible();
  await page.getByRole('link', { name: 'Stash', exact: true }).click();
  await expect(stashed(page, /^Sheets of Midnight cardstock/)).toHaveValue('3');
  await expect(page.getByText('left of “Pieces”').first()).toBeVisible();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(stashed(page, /^Sheets of Midnight cardstock/)).toHaveValue('24');
  await expect(page.getByText('left of “Pieces”')).toBeHidden();
});

test(
  'a list that takes long is stopped, and the best so far is there to be cut',
  { tag: '@thorough' },
  async ({ page }) => {
    await lay(page, PUZZLE);
    const stop = page.getByRole('button', { name: 'Stop here' });
    await expect(figure(page, 'Sheets')).toHaveText(/\d/);
    await stop.click();
    await expect(stop).toBeHidden();
    await settled(page);
    await expect(figure(page, 'Fewest of this paper')).toHaveText(/\d+ or more/);
    await expect(page.getByRole('button', { name: 'Mark as cut' })).toBeEnabled();
  },
);

test('several projects by keyboard: added, copies set, and they go as drawing, DXF and tables', async ({ page }) => {
  await lay(page, [], { papers: null, bought: null });
  await expect(sheets(page).getByText('There is nothing to cut yet.')).toBeVisible();
  await page.getByRole('combobox', { name: 'Add a project' }).focus();
  await page.keyboard.type('Star cards');
  await page.keyboard.press('Enter');
  await page.getByRole('spinbutton', { name: /Copies of Star cards/ }).fill('6');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Add a piece' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'Name of piece 1' }).fill('Liner');
  await settled(page);
  // Six 6 in squares and a 4 × 6: two 12 in sheets.
  await expect(figure(page, 'Fewest of this paper')).toHaveText('2, proved');
  const take = async (item: string): Promise<string> => {
    await page.getByRole('button', { name: 'Take it along' }).click();
    return (await downloaded(page, () => page.getByRole('menuitem', { name: item }).click())).bytes.toString('utf8');
  };
  const dxf = new DxfParser().parseSync(await take('Cut by machine: sheets as lines (DXF)'))!;
  expect(dxf.entities.filter(({ layer }) => layer === 'PIECE')).toHaveLength(4 * 7);
  expect(await take('Cut by machine: sheets as drawing (SVG)')).toContain('Liner');
  expect((await take('To calculate with: pieces, a table (CSV)')).trim().split('\r\n')).toHaveLength(8);
  expect(await take('Cut by hand: cuts in order, a table (CSV)')).toContain('fence');
});

test('a piece is dragged: where it can be cut it stays, where not it says why and goes back', async ({ page }) => {
  await lay(page, [inch('mat', 4, 4, 2), inch('tag', 2, 3, 1)]);
  await settled(page);
  const tag = page.getByRole('button', { name: /^tag,/ });
  const drag = async (dx: number, dy: number): Promise<void> => {
    const box = (await tag.locator('[data-is="paper"]').boundingBox())!;
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2 + dx, box.y + box.height / 2 + dy, { steps: 5 });
    await page.mouse.up();
  };
  // Onto a mat: two pieces over each other cannot be cut.
  const [from, mat] = [
    await tag.boundingBox(),
    await page.getByRole('button', { name: /^mat,/ }).first().boundingBox(),
  ];
  await drag(
    mat!.x + mat!.width / 2 - from!.x - from!.width / 2,
    mat!.y + mat!.height / 2 - from!.y - from!.height / 2,
  );
  await expect(page.getByText('Two pieces lie over each other')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Mark as cut' })).toBeDisabled();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByText('Two pieces lie over each other')).toBeHidden();
  // By keyboard to a free place, turned; kept through a reload.
  await tag.focus();
  await page.keyboard.press('r');
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowUp');
  await expect(page.getByText('Laid by hand.')).toBeVisible();
  const words = await tag.getAttribute('aria-label');
  await goBy(page, 'Shelf');
  await go(page, '/cutting');
  await expect(tag).toHaveAttribute('aria-label', words!);
  await page.getByRole('button', { name: 'Lay it out anew' }).click();
  await expect(page.getByText('Laid by hand.')).toBeHidden();
});

test('to another sheet: dropped on it in the row, or refused when there is no place', async ({ page }) => {
  await lay(page, [inch('large', 11, 11, 2), inch('tag', 3, 5, 1)], { papers: ['demo-paper-night'] });
  await settled(page);
  await expect(figure(page, 'Sheets')).toHaveText('3');
  const row = page.getByRole('group', { name: 'All sheets' });
  await row.getByRole('button', { name: /^Sheet 3/ }).click();
  const tag = page.getByRole('button', { name: /^tag,/ });
  await tag.dragTo(row.getByRole('button', { name: /^Sheet 1/ }));
  await expect(page.getByText('There is no place left for “tag” on sheet 1.')).toBeVisible();
  await expect(tag).toBeVisible();
});

test('too little paper is told, and mended by buying', async ({ page }) => {
  await lay(page, [inch('large', 11, 11, 2), inch('huge', 40, 2, 1)], { papers: ['demo-paper-foil'] });
  await expect(page.getByText('Not everything finds a place')).toBeVisible();
  await expect(page.getByText('2 × large: It is larger than every sheet.')).toBeVisible();
  await page.getByRole('button', { name: 'Buy 12 in squares for the rest' }).click();
  await settled(page);
  await expect(page.getByText('2 × large')).toBeHidden();
  await expect(page.getByText('1 × huge: It is larger than every sheet.')).toBeVisible();
  await expect(figure(page, 'Sheets')).toHaveText('2');
  await expect(figure(page, 'Of these')).toHaveText('2 to buy');
});

test(
  'a longer cut than the trimmer makes is flagged, and the bench has its own cutting',
  { tag: '@thorough' },
  async ({ page }) => {
    await go(page, '/bench?p=demo-1');
    await expect(sheet(page)).toBeVisible();
    await page.keyboard.press('5');
    await page.getByRole('spinbutton', { name: 'Copies to cut' }).fill('5');
    await settled(page);
    await expect(figure(page, 'Fewest of this paper')).toHaveText('2, proved');
    await expect(figure(page, 'This paper for one')).toHaveText('0.21');
    await expect(page.getByText(/longer than your trimmer/)).toBeHidden();
    await page.getByText('From 2 papers').click();
    await page.getByRole('combobox', { name: 'And to buy, as many as are needed' }).click();
    await page.getByTitle('A3').click();
    await page.keyboard.press('Escape');
    for (const paper of [/^Midnight/, /^Offcut, Midnight/]) await page.getByRole('checkbox', { name: paper }).click();
    await expect(page.getByText(/longer than your trimmer’s 12 in/)).toBeVisible();
  },
);

test(
  'a piece laid where its motif is lies there in the cutting, is not moved by hand, and is drawn there in the files',
  { tag: '@thorough' },
  async ({ page }) => {
    await go(page, '/bench?p=demo-6');
    const view = (name: string) => page.getByRole('region', { name: 'The plan' }).getByText(name, { exact: true });
    await view('On paper').click();
    for (const [label, value] of [
      ['From the left edge', '2 in'],
      ['From the near edge', '3 in'],
    ] as const) {
      await page.getByLabel(label).fill(value);
      await page.getByLabel(label).press('Tab');
    }
    await view('Cutting').click();
    await settled(page);
    const piece = page.getByRole('button', { name: /^holder, .* from left 2 in, from below 3 in$/ });
    await expect(piece).toBeVisible();
    await piece.focus();
    await page.keyboard.press('ArrowRight');
    await expect(page.getByText('It lies where its motif is to show')).toBeVisible();
    await expect(piece).toBeVisible();
    await expect(figure(page, 'Fewest of this paper')).toHaveText('1, proved');
    await view('Sheet').click();
    const svg = await downloaded(page, () => takeAlong(page, 'Cut by machine: drawing (SVG)'));
    expect(svg.bytes.toString()).toContain('width="304.8mm"');
    const dxf = await downloaded(page, () => takeAlong(page, 'Cut by machine: lines (DXF)'));
    expect(dxf.name).toMatch(/\.dxf$/);
    const layers = new DxfParser().parseSync(dxf.bytes.toString())!.entities.map(({ layer }) => layer);
    expect(layers).toEqual(expect.arrayContaining(['PAPER', 'BLANK', 'CUT', 'VALLEY']));
  },
);
