import { parseSync } from 'svgson';
import { readPdf } from '../tests/helpers/printed';
import {
  beginWithContents,
  chooseHolder,
  downloaded,
  dragBy,
  expect,
  figure,
  openShelf,
  setLength,
  sheet,
  takeAlong,
  test,
} from './table';

test('a whole job by mouse: contents in, numbers out, a drag, a reload, files out and back in', async ({ page }) => {
  await beginWithContents(page);
  // Common practice: a 3 × 4 in card takes a 6 in square set at 2 5/8.
  expect(await figure(page, 'Cut a square')).toBe('6 in');
  expect(await figure(page, 'Set the board at')).toBe('2 5/8 in');
  await page.getByLabel('Name of the project').fill('Tickets for the dome');
  await page.getByLabel('Usual sizes of contents').click();
  await page.getByTitle(/quarter of a letter sheet/).click();
  expect(await figure(page, 'Cut a square')).not.toBe('6 in');
  await setLength(page, 'Width', '3 1/2 in');
  await setLength(page, 'Height', '5"');
  await setLength(page, 'Thickness', '1/16 in');
  const before = await figure(page, 'Room left');
  await dragBy(page, page.getByRole('slider', { name: 'Score 1: move the fold' }), 24, 24);
  await expect.poll(() => figure(page, 'Room left')).not.toBe(before);
  const cut = await figure(page, 'Cut a square');
  const room = await figure(page, 'Room left');
  await expect(page.getByRole('heading', { name: 'Folded and proved' })).toBeVisible();

  await page.waitForTimeout(400);
  await page.reload();
  await expect(sheet(page)).toBeVisible();
  expect([await figure(page, 'Cut a square'), await figure(page, 'Room left')]).toEqual([cut, room]);
  await expect(page.getByLabel('Name of the project')).toHaveValue('Tickets for the dome');

  const project = await downloaded(page, () => takeAlong(page, 'Hand on or keep: project file (JSON)'));
  expect(project.name).toBe('Tickets-for-the-dome.json');
  const svg = await downloaded(page, () => takeAlong(page, 'Cut by machine: drawing (SVG)'));
  const drawing = parseSync(svg.bytes.toString('utf8'));
  const wide = JSON.parse(project.bytes.toString('utf8')) as {
    set: { parts: { design: { ease: { width: number } } }[] };
  };
  expect(wide.set.parts[0]!.design.ease.width).toBeGreaterThan(0);
  expect(drawing.attributes.width).toMatch(/^\d+(\.\d+)?mm$/);
  expect(drawing.children.map((child) => child.attributes.id).filter(Boolean)).toEqual([
    'glue',
    'no-glue',
    'score',
    'hole',
    'slit',
    'cut',
  ]);
  const pdf = await downloaded(page, () => takeAlong(page, 'Print at true size on A4 (PDF)'));
  const pages = await readPdf(pdf.bytes);
  expect(pages[0]!.text).toContain('This bar must measure 4 in');
  expect(pages[0]!.text).toContain('Tickets for the dome');

  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await page
    .getByLabel('Project file')
    .setInputFiles({ name: 'back.json', mimeType: 'application/json', buffer: project.bytes });
  await expect(page).toHaveURL(/\/bench\?p=/);
  await expect(sheet(page)).toBeVisible();
  expect(await figure(page, 'Cut a square')).toBe(cut);
});

test('the same by keyboard alone', async ({ page }) => {
  await openShelf(page);
  await page.getByRole('link', { name: /something to put in/ }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Envelope from a square/ }).focus();
  await page.keyboard.press('Enter');
  await expect(sheet(page)).toBeVisible();
  await page.getByLabel('Width', { exact: true }).focus();
  await page.keyboard.type('4 1/4 in');
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('Height', { exact: true })).toBeFocused();
  await page.keyboard.type('5½"');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Usual sizes of contents')).toBeVisible();
  await expect(page.getByText('4 1/4 × 5 1/2 in card').first()).toBeVisible();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('5 5/8 in');

  const cut = await figure(page, 'Cut a square');
  const grip = page.getByRole('slider', { name: 'Score 2: move the fold' });
  await grip.focus();
  await page.keyboard.press('ArrowUp');
  await expect.poll(() => figure(page, 'Cut a square')).not.toBe(cut);
  await page.keyboard.press('Control+z');
  await expect.poll(() => figure(page, 'Cut a square')).toBe(cut);
  await page.keyboard.press('Control+Shift+z');
  await expect.poll(() => figure(page, 'Cut a square')).not.toBe(cut);

  const corner = page.getByRole('slider', { name: /Corner of the contents/ });
  await corner.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('4 3/8 in');

  await page.keyboard.press('4');
  await expect(page.getByRole('list', { name: 'Steps in order' })).toContainText('Turn the sheet a quarter clockwise');
  await page.keyboard.press('2');
  await expect(page.getByRole('img', { name: /^Back of the finished thing/ })).toBeVisible();
  await page.keyboard.press('Shift+?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'Take it along' }).focus();
  const project = await downloaded(page, async () => {
    await page.keyboard.press('Enter');
    // Printing stands first, files to keep last.
    await expect(page.getByRole('menuitem').first()).toBeFocused();
    await expect(page.getByRole('menuitem').first()).toContainText('Print at true size');
    await page.keyboard.press('ArrowUp');
    await expect(page.getByRole('menuitem', { name: 'Hand on or keep: project file (JSON)' })).toBeFocused();
    await page.keyboard.press('Enter');
  });
  expect(JSON.parse(project.bytes.toString('utf8'))).toMatchObject({ format: 'tuck-fold-project', units: 'in' });
  await expect(page.getByRole('button', { name: 'Take it along' })).toBeFocused();
});

test(
  'the contents’ corner is dragged and snaps to the marks; one undo takes the whole drag back',
  { tag: '@thorough' },
  async ({ page }) => {
    await beginWithContents(page);
    await dragBy(page, page.getByRole('slider', { name: /Corner of the contents/ }), 20, -37);
    const width = await page.getByLabel('Width', { exact: true }).inputValue();
    expect(width).toMatch(/^\d+( \d+\/[248])? in$/);
    expect([width, await page.getByLabel('Height', { exact: true }).inputValue()]).not.toEqual(['3 in', '4 in']);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue('3 in');
    await expect(page.getByLabel('Height', { exact: true })).toHaveValue('4 in');
  },
);

test('from the paper: what fits follows the setting, by field and by drag', async ({ page }) => {
  await chooseHolder(page, /I have this paper/, 'Envelope from a square');
  await setLength(page, 'Square, each way', '8 in');
  await setLength(page, 'Set at', '3 1/4 in');
  expect(await figure(page, 'Set the board at')).toBe('3 1/4 in');
  const fits = await figure(page, 'Holds up to');
  await dragBy(page, page.getByRole('slider', { name: 'Score 2: move the fold' }), 30, -30);
  await expect.poll(() => figure(page, 'Holds up to')).not.toBe(fits);
  expect(await figure(page, 'Set the board at')).toMatch(/^\d+( \d+\/[248])? in$/);
});

test('a failed check says what will happen, and its button cures it', async ({ page }) => {
  await beginWithContents(page);
  await setLength(page, 'Width', '2 in');
  await setLength(page, 'Height', '5 in');
  // Nobody told: flaps that would stick out are trimmed. Told to be whole they do.
  await expect(page.getByRole('heading', { name: 'Folded and proved' })).toBeVisible();
  await page.getByText('Choices and room').click();
  await page.getByText('Long flaps whole').last().click();
  await expect(page.getByRole('heading', { name: 'Not ready to cut' })).toBeVisible();
  await expect(page.locator('[data-check="overhang"]')).toContainText('past the far fold and would stick out');
  await page.getByRole('button', { name: 'Trim the flaps' }).click();
  await expect(page.getByRole('heading', { name: 'Folded and proved' })).toBeVisible();
  await page.getByLabel('Paper sizes').click();
  await page.getByTitle('common practice, no source').getByText('6 in square').click();
  await expect(page.locator('[data-check="paper"][data-level="fail"]')).toBeVisible();
  await page.getByRole('button', { name: /^Use / }).click();
  await expect(page.getByRole('heading', { name: 'Folded and proved' })).toBeVisible();
});

test('wrong input is answered by a sentence and changes nothing', async ({ page }) => {
  await beginWithContents(page);
  const width = page.getByLabel('Width', { exact: true });
  for (const [typed, sentence] of [
    ['three', /does not read as a length/],
    ['3/0 in', /divides by nothing/],
    ['-3 in', /at least/],
    ['4000 in', /at most|longer/],
    ['', /missing/],
  ] as const) {
    await width.fill(typed);
    await expect(page.getByRole('alert').filter({ hasText: sentence })).toBeVisible();
    expect(await figure(page, 'Cut a square')).toBe('6 in');
  }
});

test('units and marks: lengths stay, words change; by hand there are marks instead of a setting', async ({ page }) => {
  await beginWithContents(page);
  await page.getByText('mm', { exact: true }).click();
  expect(await figure(page, 'Cut a square')).toBe('152.4 mm');
  await page.getByLabel('Marks on your ruler').click();
  await page.getByTitle('marks 1 mm').click();
  expect(await figure(page, 'Cut a square')).toMatch(/^\d+ mm$/);
  await page.getByLabel('Tool', { exact: true }).click();
  await page.getByTitle('By hand, with a ruler').click();
  await expect(page.getByText('Mark each edge from its left end')).toBeVisible();
  await page.getByText('Steps', { exact: true }).click();
  await expect(page.getByRole('list', { name: 'Steps in order' })).toContainText('With edge 1 near you, mark');
});

test(
  'when the browser has no room left it says so, and the work is still there to be saved as a file',
  { tag: '@thorough' },
  async ({ page }) => {
    await beginWithContents(page);
    await page.evaluate(() => {
      IDBObjectStore.prototype.put = () => {
        throw new DOMException('full', 'QuotaExceededError');
      };
    });
    await setLength(page, 'Width', '3 1/2 in');
    await expect(page.getByRole('alert').filter({ hasText: 'the browser has no room left' })).toBeVisible();
    const project = await downloaded(page, () => takeAlong(page, 'Hand on or keep: project file (JSON)'));
    const kept = JSON.parse(project.bytes.toString('utf8')) as {
      set: { parts: { design: { contents: { width: number } } }[] };
    };
    expect(kept.set.parts[0]!.design.contents.width).toBeCloseTo(88.9, 6);
  },
);

test(
  'a fold dragged further than makes sense leaves a design that can still be read',
  { tag: '@thorough' },
  async ({ page }) => {
    await beginWithContents(page);
    await setLength(page, 'Width', '20 in');
    await setLength(page, 'Height', '24 in');
    await dragBy(page, page.getByRole('slider', { name: 'Score 1: move the fold' }), 300, 250);
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue('20 in');
    await expect(sheet(page)).toBeVisible();
    await expect(page.getByText('This design cannot be read')).toBeHidden();
  },
);
