import { parseSync } from 'svgson';
import {
  chooseHolder,
  downloaded,
  dragBy,
  expect,
  figure,
  go,
  openShelf,
  setLength,
  sheet,
  takeAlong,
  takeHolder,
  test,
} from './table';

test('a gift card to its holder: chosen, sized, notched, folded, and the contents go in', async ({ page }) => {
  await openShelf(page);
  await page.getByRole('link', { name: /something to put in/ }).click();
  await page.getByLabel('Usual sizes of contents').click();
  await page.getByTitle('ID-1 card (bank, gift)').click();
  // Upright in the holder: the short side across the opening.
  await setLength(page, 'Width', '54 mm');
  await setLength(page, 'Height', '85.6 mm');
  await takeHolder(page, 'Card holder');
  await page.getByLabel('Tool', { exact: true }).click();
  await page.getByTitle('Scoring board').last().click();
  // Common practice for an ID-1 card: 5 1/4 × 4 scored at 1/2, 2 7/8 and, turned, 1/2; an eighth either way.
  await expect(page.getByRole('heading', { name: 'Folded and proved' })).toBeVisible();
  await expect.poll(() => figure(page, 'Cut')).toMatch(/^5( 1\/4| 1\/8)? × 4 in$/);
  await expect(page.getByText('The contents slide in past every fold and glue')).toBeVisible();

  await page.getByText('Choices and room').click();
  await setLength(page, 'Finger notch', '3 in');
  await expect(page.getByText(/would cut through a fold/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave the notch out' }).click();
  await expect(page.getByRole('heading', { name: 'Folded and proved' })).toBeVisible();
  await setLength(page, 'Finger notch', '3/4 in');
  await expect(page.getByLabel('Finger notch', { exact: true })).toHaveValue('3/4 in');

  await page.getByText('Folded', { exact: true }).click();
  const slider = page.getByRole('slider', { name: 'How far it is folded' });
  await slider.focus();
  await page.keyboard.press('Home');
  await expect(page.getByText('Flat, inside up')).toBeVisible();
  for (const words of [
    'Fold the side tab in',
    'Fold the bottom tab in',
    'Lay the front over both tabs',
    'The contents go in',
  ]) {
    await page.keyboard.press('ArrowRight');
    await expect(page.getByText(words)).toBeVisible();
  }
  await page.keyboard.press('End');
  const front = page.getByRole('img', { name: /^Front of the finished thing/ });
  const box = (await front.boundingBox())!;
  await page.mouse.move(box.x + box.width * 0.08, box.y + box.height * 0.6);
  await expect(page.getByText(/Under the pointer 3 layers/)).toBeVisible();
  // The same by keyboard: from where the pointer was to the middle, where only back and front lie.
  await front.focus();
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/Under the pointer 2 layers/)).toBeVisible();

  await page.getByText('Steps', { exact: true }).click();
  await expect(page.getByRole('list', { name: 'Steps in order' })).toContainText('against the fence, down the groove');
  await expect(page.getByRole('list', { name: 'Steps in order' })).toContainText('Punch the finger notch in the front');
});

test('a scrap to a library pocket by dragging the fold', async ({ page }) => {
  await openShelf(page);
  await page.getByRole('link', { name: /this paper/ }).click();
  await setLength(page, 'Width', '4 in');
  await setLength(page, 'Height', '6 in');
  await takeHolder(page, 'Library pocket');
  // Common practice: a 6 in tall strip is folded at 2 1/4.
  expect(await figure(page, 'Score')).toContain('2 1/4 in');
  const fold = page.getByRole('slider', { name: /how much of the back shows/ });
  await dragBy(page, fold, 0, 40);
  await expect.poll(() => figure(page, 'Score')).not.toContain('2 1/4 in');
  const dragged = await figure(page, 'Score');
  expect(dragged).toMatch(/\d/);
  await page.waitForTimeout(400);
  await page.reload();
  await expect(sheet(page)).toBeVisible();
  expect(await figure(page, 'Score')).toBe(dragged);
  await expect(page.getByRole('heading', { name: 'Folded and proved' })).toBeVisible();
  // By keyboard the fold goes on mark by mark; undo takes it back.
  await fold.focus();
  await page.keyboard.press('ArrowDown');
  await expect.poll(() => figure(page, 'Score')).not.toBe(dragged);
  await page.keyboard.press('Control+z');
  await expect.poll(() => figure(page, 'Score')).toBe(dragged);
});

test('a pouch with its lid: two pieces, a back pocket, a cord', { tag: '@thorough' }, async ({ page }) => {
  await openShelf(page);
  await page.getByRole('link', { name: /Pouch for twelve star cards/ }).click();
  await expect(sheet(page)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Folded and proved' })).toBeVisible();
  const width = await sheet(page).getAttribute('aria-label');
  await page.getByLabel('Piece on the table').getByText('lid').click();
  await expect.poll(() => sheet(page).getAttribute('aria-label')).not.toBe(width);
  expect(await figure(page, 'Inside the back pocket')).toMatch(/in$/);
  await page.getByText('Choices and room').click();
  await page.getByText('No back pocket').click();
  await expect(page.getByText('Inside the back pocket')).toBeHidden();
  await page.getByText('Steps', { exact: true }).click();
  const steps = page.getByRole('list', { name: 'Steps in order' });
  await expect(steps).toContainText('Cut the pocket: 7 in square');
  await expect(steps).toContainText('Fold pleat 1 on the left in');
  await expect(steps).toContainText('of cord once round');
});

test(
  'a slider set: four pieces, doors with a window, and glue that lets the slider be lined up',
  { tag: '@thorough' },
  async ({ page }) => {
    await openShelf(page);
    await page.getByRole('link', { name: /Sliding doors/ }).click();
    await expect(sheet(page)).toBeVisible();
    for (const piece of ['channel', 'slider', 'fixed door', 'cover']) {
      await page.getByLabel('Piece on the table').getByText(piece, { exact: true }).click();
      await expect(sheet(page)).toBeVisible();
    }
    await expect(page.getByText(/tongue slides in its channel with 1\/8 in of room/)).toBeVisible();
    await expect(page.getByText(/leave a window of/)).toBeVisible();
    await page.getByText('Glue and order of work').click();
    await page.getByLabel(/Glue for: Slide the fixed door/).click();
    await page.getByTitle('Tape runner').last().click();
    await expect(page.getByText(/has to be lined up while the glue sets/)).toBeVisible();
    await page.getByRole('button', { name: 'Use wet glue there' }).click();
    await expect(page.getByText(/has to be lined up while the glue sets/)).toBeHidden();
  },
);

test(
  'directional paper: the warning, its remedy, and where the front lands',
  { tag: '@thorough' },
  async ({ page }) => {
    await chooseHolder(page, /something to put in/, 'Seam envelope or open pocket');
    await page.getByLabel('Paper sizes').click();
    await page.getByTitle('common practice, no source').filter({ hasText: '12 in square' }).click();
    await page.getByLabel('Printed on one side').check();
    await page.getByLabel('Print has a right way up').check();
    await expect(page.getByText(/The print will stand upside down on the finished front/)).toBeVisible();
    await page.getByRole('button', { name: /Turn the blank round/ }).click();
    await expect(page.getByText('The print reads upright on the finished front.')).toBeVisible();

    // A face of one's own choosing: the flaps on the back instead, then the front again.
    await page.getByText('Folded', { exact: true }).click();
    await page.getByRole('button', { name: /so that the bottom flap on the back reads upright/ }).click();
    await expect(page.getByText(/The print will stand upside down on the finished front/)).toBeVisible();
    await page.getByRole('button', { name: /so that the front on the front reads upright/ }).click();
    await expect(page.getByText('The print reads upright on the finished front.')).toBeVisible();

    await page.getByText('On paper', { exact: true }).click();
    await page.getByLabel('A place to show or avoid').check();
    await expect(
      page.getByText(/of the marked window|does not show on the front|lies wholly on the front/),
    ).toBeVisible();
    const blank = page.getByRole('slider', { name: 'The blank: move it on the paper' });
    const before = await blank.getAttribute('aria-valuetext');
    await dragBy(page, blank, 60, -40);
    await expect.poll(() => blank.getAttribute('aria-valuetext')).not.toBe(before);
    const moved = await blank.getAttribute('aria-valuetext');
    await blank.focus();
    await page.keyboard.press('ArrowRight');
    await expect.poll(() => blank.getAttribute('aria-valuetext')).not.toBe(moved);
    await page.keyboard.press('Control+z');
    await page.getByRole('button', { name: 'Turn the blank', exact: true }).click();
    await expect(page.getByText(/lie on its side on the finished front/)).toBeVisible();
  },
);

test(
  'another holder for the same contents, its page of advice, and what cannot be says why',
  { tag: '@thorough' },
  async ({ page }) => {
    await openShelf(page);
    await page.getByRole('link', { name: /Star cards/ }).click();
    await expect(sheet(page)).toBeVisible();
    // Found by typing: the list is long.
    await page.getByLabel('Made as').fill('library');
    await page.getByTitle('Library pocket').last().click();
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue('3 in');
    expect(await figure(page, 'Score')).toMatch(/in/);
    await page.getByRole('link', { name: 'How it is made' }).click();
    await expect(page.getByRole('heading', { name: 'Usual mistakes' })).toBeVisible();
    await expect(page.getByText('Leaving the side strips on above the fold.')).toBeVisible();
    await go(page, '/choose?have=paper');
    await setLength(page, 'Height', '2 in');
    await expect(page.getByRole('heading', { name: 'Not from this paper' })).toBeVisible();
    await expect(page.getByText(/This starts from a square, and the paper is longer one way/).first()).toBeVisible();
  },
);

test('what is laid on it and what shuts it: in the steps, and every piece in the files', async ({ page }) => {
  await openShelf(page);
  await page.getByRole('link', { name: /Packets of moon-garden seed/ }).click();
  await expect(sheet(page)).toBeVisible();
  await page.getByText('How it is shut').click();
  await page.getByLabel('How it is shut', { exact: true }).click();
  await page.getByTitle('Ribbon under a mat').click();
  await page.getByText('Mats, liners, templates').click();
  for (const on of ['On the front', 'On the front', 'On the back']) {
    await page.getByRole('button', { name: 'Add a layer' }).click();
    await page.getByRole('menuitem', { name: on }).click();
  }
  await setLength(page, 'Border of the second mat', '1/4 in');
  await page.getByText('Steps', { exact: true }).click();
  const steps = page.getByRole('list', { name: 'Steps in order' });
  await expect(steps).toContainText('glue the mat on the front');
  const text = (await steps.textContent()) ?? '';
  expect(text.indexOf('of ribbon across the middle')).toBeLessThan(text.indexOf('glue the mat on the front'));
  // Both lie there before anything is folded.
  expect(text.indexOf('glue the mat on the front')).toBeLessThan(text.indexOf('Fold the hem in'));
  const svg = await downloaded(page, () => takeAlong(page, 'Cut by machine: drawing (SVG)'));
  const groups = parseSync(svg.bytes.toString('utf8')).children.filter((child) => child.attributes.transform);
  expect(groups.map((group) => group.attributes.id)).toEqual([
    'front',
    'back',
    'lining',
    'mat',
    'second-mat',
    'mat-for-the-back',
  ]);
  const pdf = await downloaded(page, () => takeAlong(page, 'Print at true size on letter (PDF)'));
  expect(pdf.bytes.subarray(0, 5).toString()).toBe('%PDF-');
  // Kept: the page comes back with what was chosen.
  await page.waitForTimeout(400);
  await page.reload();
  await expect(sheet(page)).toBeVisible();
  await page.getByText('Mats, liners, templates').click();
  await expect(page.getByLabel('Border of the second mat')).toHaveValue('1/4 in');
  await page.getByRole('button', { name: 'Take away: mat for the back' }).click();
  await expect(page.getByRole('group', { name: /^Layer/ })).toHaveCount(2);
});

test('the chooser by keyboard: sizes typed, the list follows, Enter takes a holder', async ({ page }) => {
  await go(page, '/choose?have=contents');
  await expect(page.getByRole('button', { name: /^Card holder/ })).toBeVisible();
  await page.getByLabel('Thickness', { exact: true }).focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('2 in');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/is thicker than the sides open/)).toBeVisible();
  await page.getByLabel('Width', { exact: true }).focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('wide');
  await page.keyboard.press('Tab');
  await expect(page.getByText(/does not read as a length/)).toBeVisible();
  await page.getByLabel('Width', { exact: true }).fill('90 mm');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Belly band/ }).focus();
  await page.keyboard.press('Enter');
  await expect(sheet(page)).toBeVisible();
  await expect(page.getByLabel('Thickness', { exact: true })).toHaveValue('2 in');
});

test(
  'the board that scores near an edge makes the bottom of a seam envelope',
  { tag: '@thorough' },
  async ({ page }) => {
    await chooseHolder(page, /something to put in/, 'Seam envelope or open pocket');
    await page.getByLabel('Tool', { exact: true }).click();
    await page.getByTitle('Edge board: one score, relief notch').click();
    await expect(page.getByText('tried on a simulated edge board')).toBeVisible();
    await page.getByText('Steps', { exact: true }).click();
    const steps = page.getByRole('list', { name: 'Steps in order' });
    await expect(steps).toContainText('in the edge board and run its one groove');
    await expect(steps).toContainText('punch the relief notch');
    // Another board, another score: the bottom flap is then marked by hand.
    await setLength(page, 'Score from the edge', '3/4 in');
    await expect(steps).not.toContainText('run its one groove');
  },
);
