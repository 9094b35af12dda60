import { DEMO_SHELF } from '../src/data/demo';
import { downloaded, expect, go, openShelf, setLength, sheetsLaid, test } from './table';
import type { Page } from '@playwright/test';

/** Opens a demo project's make and begins it. */
async function begin(page: Page, project: string, copies = 1): Promise<void> {
  await go(page, `/make?p=${project}`);
  await expect(page.getByRole('button', { name: 'Begin' })).toBeEnabled();
  if (copies > 1) await page.getByLabel(/^How many/).fill(String(copies));
  await sheetsLaid(page);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(words(page)).toBeVisible();
}
const words = (page: Page) => page.getByRole('region', { name: 'What to do' });
const progress = (page: Page) => page.getByRole('progressbar', { name: 'How far the make has come' });
const stopsOf = async (page: Page): Promise<number> => Number(await progress(page).getAttribute('aria-valuemax'));

test('a make is carried through by keyboard alone, reloaded in the middle, its fit written in the log', async ({
  page,
}) => {
  await go(page, '/make?p=demo-1');
  const start = page.getByRole('button', { name: 'Begin' });
  await expect(start).toBeEnabled();
  await start.focus();
  await page.keyboard.press('Enter');
  await expect(words(page)).toContainText('Cut a square, 6 in each way');
  await expect(page.getByRole('img', { name: '6 in: right on 6' })).toBeVisible();
  await page.keyboard.press('PageDown');
  await expect(words(page)).toContainText('Lay edge 1 in the board, edge 4 on the left');
  await expect(words(page)).toContainText('2 5/8 in: five eighths past 2');
  await expect(words(page)).toContainText('Keep fingers clear of the punch');
  await page.keyboard.press('ArrowRight');
  await expect(words(page)).toContainText('never so hard that it cuts');
  await page.keyboard.press('Space');
  await expect(words(page)).toContainText('Turn the sheet a quarter clockwise');
  await page.keyboard.press('PageUp');
  await expect(words(page)).toContainText('Score 1');
  await page.keyboard.press('ArrowRight');
  await expect(progress(page)).toHaveAttribute('aria-valuenow', '3');

  await page.reload();
  await expect(words(page)).toContainText('Turn the sheet a quarter clockwise');
  await expect(progress(page)).toHaveAttribute('aria-valuenow', '3');

  await page.keyboard.press('e');
  const edge = page.getByRole('dialog', { name: 'Which edge was I on?' });
  await expect(edge).toContainText('Edge 2 near you, edge 1 on the left');
  await expect(edge).toContainText('Score 1 is made. Edge 1 has its notch');
  await page.keyboard.press('Escape');
  await expect(edge).toBeHidden();

  const all = await stopsOf(page);
  for (let at = 3; at < all; at++) {
    await expect(progress(page)).toHaveAttribute('aria-valuenow', String(at));
    await page.keyboard.press('PageDown');
  }
  await expect(page.getByRole('heading', { name: 'Made', exact: true })).toBeVisible();
  // How it fitted, still without the mouse.
  await page.getByRole('radio', { name: 'Just right' }).focus();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByLabel('Too tight by about')).toBeVisible();
  await page.getByRole('button', { name: 'Write it in the log' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'See it in the log' }).focus();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/log\?e=/);
  await expect(page.getByRole('heading', { name: 'Star cards, Quillmere open night' })).toBeVisible();
  // Nobody said by how much, and nothing says so.
  await expect(page.getByText('tight both ways', { exact: true })).toBeVisible();
});

test('a batch of six: each step once for all; some of a step again, a sheet anew, to the last one finished', async ({
  page,
}) => {
  await begin(page, 'demo-1', 6);
  // Cut as Cutting lays them out: four from a sheet.
  await expect(words(page)).toContainText('Fence at 6 in. Cut 1 sheet of “Midnight cardstock”');
  await expect(page.getByRole('button', { name: 'Which edge?' })).toBeDisabled();
  const all = await stopsOf(page);
  // Six take no more stops than one takes steps.
  expect(all).toBeLessThan(14);
  await page.keyboard.press('ArrowRight');
  await expect(progress(page)).toHaveAttribute('aria-valuenow', '1');
  await expect(words(page)).toContainText('All 6:');
  // Punched, scored and turned in one go.
  await expect(words(page).getByText(/^Then turn the sheet/)).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.reload();
  await expect(progress(page)).toHaveAttribute('aria-valuenow', '2');
  // Back asks which: two of them are punched again, and the others wait for them.
  await page.getByRole('button', { name: '‹ Back' }).click();
  const dialog = page.getByRole('dialog');
  for (const copy of ['2', '5']) await dialog.getByRole('button', { name: copy, exact: true }).click();
  await dialog.getByRole('button', { name: 'Only these 2 again' }).click();
  await expect(words(page)).toContainText('Copies 2 and 5, again:');
  await expect(progress(page)).toHaveAttribute('aria-valuemax', String(all + 1));
  await page.keyboard.press('ArrowRight');
  await expect(words(page)).toContainText('All 6:');
  // Pressed twice, back is back for all.
  await page.keyboard.press('PageUp');
  await expect(dialog).toBeVisible();
  await page.keyboard.press('PageUp');
  await expect(progress(page)).toHaveAttribute('aria-valuenow', '2');
  await page.keyboard.press('PageDown');
  // The fourth sheet is spoiled: a new one goes through what is behind, then with the others.
  await page.keyboard.press('w');
  await dialog.getByLabel('Which copy?').click();
  await page.getByTitle('Copy 4', { exact: true }).click();
  await dialog.getByRole('button', { name: /^Take a new sheet/ }).click();
  await expect(words(page)).toContainText('Copy 4, again:');
  await expect(page.getByRole('heading', { name: /^Cut/ })).toBeVisible();
  const more = await stopsOf(page);
  expect(more).toBe(all + 1 + 2);
  for (let at = 3; at < more; at++) {
    await expect(progress(page)).toHaveAttribute('aria-valuenow', String(at));
    if (at === more - 1) await expect(page.getByText(/all 6 · 0 finished/)).toBeVisible();
    await page.keyboard.press('ArrowRight');
  }
  await expect(page.getByRole('heading', { name: 'All 6 made' })).toBeVisible();
  await expect(page.getByLabel('Copies')).toHaveValue('6');
  await page.getByText('Just right', { exact: true }).click();
  await page.getByRole('button', { name: 'Write it in the log' }).click();
  await expect(page.getByRole('heading', { name: 'Written down' })).toBeVisible();
  await page.getByRole('link', { name: 'To the shelf', exact: true }).click();
  await expect(page.getByText('Go on making')).toBeHidden();
});

test('what is cut on the way leaves the stash at a touch, and is not told again in a make of what Cutting has cut', async ({
  page,
}) => {
  await begin(page, 'demo-4', 6);
  const fences = page.getByText(/^Fence at/);
  await expect(fences).toBeVisible();
  for (let at = 0; (await fences.count()) > 0; at++) {
    await expect(progress(page)).toHaveAttribute('aria-valuenow', String(at));
    await page.keyboard.press('PageDown');
    await expect(progress(page)).toHaveAttribute('aria-valuenow', String(at + 1));
  }
  await page.getByRole('button', { name: 'Let the stash follow' }).click();
  await expect(page.getByRole('button', { name: 'Let the stash follow' })).toBeHidden();
  await page.getByRole('button', { name: 'Stop making' }).click();
  // That cutting was for that make: the next is cut anew, until Cutting has cut for it.
  await go(page, '/bench?p=demo-4');
  await page.getByRole('radiogroup', { name: 'View' }).getByText('Cutting', { exact: true }).click();
  await page.getByRole('button', { name: 'Cut more' }).click();
  await page.getByRole('button', { name: 'Mark as cut' }).click();
  await expect(page.getByText('This is cut.')).toBeVisible();
  await go(page, '/make?p=demo-4');
  await expect(page.getByText(/^Cut already:/)).toBeVisible();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Cut already' })).toBeVisible();
  await expect(words(page)).toContainText('Lay ready what is cut: 6 × ');
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { name: /^Cut/ })).toBeHidden();
});

test('what came out is measured: what is still to be cut follows, what is cut is checked, and the hands learn from it', async ({
  page,
}) => {
  await go(page, '/sets');
  await page.getByRole('button', { name: /^A card and its envelope/ }).click();
  await page.getByRole('button', { name: 'Begin this set' }).click();
  await page.getByRole('link', { name: 'Make it' }).click();
  await page.getByLabel('How many sets?').fill('3');
  await page.getByText('One first, then all').click();
  await sheetsLaid(page);
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  // The trial, to where the others are begun.
  const finished = page.getByText(/ · 1 finished/);
  await expect(words(page)).toBeVisible();
  for (let at = 0; (await finished.count()) === 0; at++) {
    await expect(progress(page)).toHaveAttribute('aria-valuenow', String(at));
    await page.keyboard.press('PageDown');
    await expect(progress(page)).toHaveAttribute('aria-valuenow', String(at + 1));
  }
  const at = await progress(page).getAttribute('aria-valuenow');
  await page.keyboard.press('m');
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('What is measured?').click();
  await page.getByTitle('Card', { exact: true }).click();
  await setLength(page, 'Width', '4 1/8 in');
  const follows = dialog.getByRole('list', { name: 'What follows' });
  await expect(follows).toContainText(
    /Card: mat: 3 7\/8 in × 4 3\/4 in, still to be cut\. It was 3 3\/4 in × 4 3\/4 in\./,
  );
  await expect(follows).toContainText(/Envelope: envelope: .*still to be cut/);
  await dialog.getByRole('button', { name: 'Go on with that' }).click();
  await expect(dialog).toBeHidden();
  // What is behind stays, and after a reload the rest is still cut for what came out.
  await page.reload();
  await expect(progress(page)).toHaveAttribute('aria-valuenow', at!);
  const cuts: string[] = [];
  const follow = page.getByRole('button', { name: 'Let the stash follow' });
  let followed = false;
  for (let i = 0; i < 6; i++) {
    cuts.push((await words(page).textContent()) ?? '');
    await page.keyboard.press('PageDown');
    await expect(progress(page)).toHaveAttribute('aria-valuenow', String(Number(at) + i + 1));
    followed ||= await follow.isVisible();
  }
  expect(cuts.join(' ')).toContain('3 7/8');
  // The sheets that were laid out anew leave the stash as those of the beginning do.
  expect(followed).toBe(true);
  // The one that was measured as it was planned is a measure too; far off is asked about.
  await page.keyboard.press('m');
  await setLength(page, 'Width', '9 in');
  await expect(dialog.getByText(/That is far from what was planned/)).toBeVisible();
  await page.keyboard.press('Escape');
});

test('how many is asked once: told where it is made it stands where it is cut, on the bench and with others', async ({
  page,
}) => {
  await openShelf(page);
  await go(page, '/make?p=demo-4');
  // As the examples lie on the cutting table.
  await expect(page.getByLabel('How many?')).toHaveValue('6');
  await setLength(page, 'How many?', '8');
  await go(page, '/cutting');
  await expect(page.getByLabel('Copies of Door tickets')).toHaveValue('8');
  await setLength(page, 'Copies of Door tickets', '9');
  await go(page, '/bench?p=demo-4');
  await page.getByRole('radiogroup', { name: 'View' }).getByText('Cutting', { exact: true }).click();
  await expect(page.getByLabel('Copies to cut')).toHaveValue('9');
  await setLength(page, 'Copies to cut', '3');
  await page.reload();
  await go(page, '/make?p=demo-4');
  await expect(page.getByLabel('How many?')).toHaveValue('3');
});

test('steps made while the database takes nothing in are there after a reload', async ({ page }) => {
  await begin(page, 'demo-11', 2);
  await page.keyboard.press('ArrowRight');
  await expect(progress(page)).toHaveAttribute('aria-valuenow', '1');
  // As on a machine too busy to get to it before the page goes: what is asked of it is never carried out.
  await page.evaluate(() => {
    const open = IDBDatabase.prototype.transaction;
    IDBDatabase.prototype.transaction = function (...asked) {
      const never = open.apply(this, asked);
      never.abort();
      return never;
    };
  });
  for (const at of ['2', '3', '4']) {
    await page.keyboard.press('ArrowRight');
    await expect(progress(page)).toHaveAttribute('aria-valuenow', at);
  }
  await page.reload();
  await expect(progress(page)).toHaveAttribute('aria-valuenow', '4');
  await page.reload();
  await expect(progress(page)).toHaveAttribute('aria-valuenow', '4');
});

test('one after the other: the first copy is finished before the second is begun', async ({ page }) => {
  await go(page, '/make?p=demo-1');
  await page.getByLabel(/^How many/).fill('2');
  await page.getByText('One by one').click();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText(/copy 1 of 2 · 0 finished/)).toBeVisible();
  const each = (await stopsOf(page)) / 2;
  for (let at = 0; at < each; at++) {
    await expect(progress(page)).toHaveAttribute('aria-valuenow', String(at));
    await page.keyboard.press('PageDown');
  }
  await expect(page.getByText(/copy 2 of 2 · 1 finished/)).toBeVisible();
  await expect(words(page)).toContainText('Cut a square');
});

test('a make left behind waits on the shelf, and the bench leads to it as well', async ({ page }) => {
  await begin(page, 'demo-6');
  await page.keyboard.press('PageDown');
  await expect(progress(page)).toHaveAttribute('aria-valuenow', '1');
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await expect(page.getByRole('link', { name: /Go on making: Gift-card holders/ })).toContainText('1 step done');
  await go(page, '/bench?p=demo-6');
  await page.getByRole('link', { name: 'Make it' }).click();
  await expect(progress(page)).toHaveAttribute('aria-valuenow', '1');
});

test(
  'that went wrong: the sheet is told as it is, set aside, and asked about as a paper',
  { tag: '@thorough' },
  async ({ page }) => {
    await begin(page, 'demo-1');
    for (let at = 0; at < 5; at++) {
      await expect(progress(page)).toHaveAttribute('aria-valuenow', String(at));
      await page.keyboard.press('PageDown');
    }
    await page.keyboard.press('w');
    const dialog = page.getByRole('dialog', { name: 'What the sheet is now' });
    await expect(dialog).toContainText(
      'The sheet is 6 in square, as cut. Score 1 is made. Edges 1 and 2 have their notches',
    );
    await dialog.getByRole('button', { name: 'Set it aside' }).click();
    await expect(dialog.getByText('Set aside: it lies on the shelf, with what was done on it.')).toBeVisible();
    await dialog.getByRole('link', { name: 'What can this sheet become?' }).click();
    await expect(page.getByRole('heading', { name: 'What can this paper become?' })).toBeVisible();
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue('6 in');
    await expect(page.getByRole('button', { name: /^Library pocket/ })).toBeVisible();
    // The make waits where it was; the copy can be begun again with a new sheet.
    await go(page, '/make?p=demo-1');
    await expect(progress(page)).toHaveAttribute('aria-valuenow', '5');
    await page.getByRole('button', { name: 'That went wrong' }).click();
    const all = Number(await progress(page).getAttribute('aria-valuemax'));
    await page.getByRole('button', { name: 'Take a new sheet, begin this copy again' }).click();
    // What is behind stays behind; the copy is cut anew, and all of it is made.
    await expect(progress(page)).toHaveAttribute('aria-valuemax', String(all + 5));
    await expect(progress(page)).toHaveAttribute('aria-valuenow', '5');
    await expect(words(page)).toContainText('Cut');
  },
);

test('by hand, and in space: every stop has its words and its picture', { tag: '@thorough' }, async ({ page }) => {
  // An envelope by hand, and a box with its lid: the shortest and nearly the longest of the shelf.
  for (const at of [2, 11]) {
    await begin(page, `demo-${at + 1}`);
    const all = await stopsOf(page);
    for (let stop = 0; stop < all; stop++) {
      await expect(progress(page)).toHaveAttribute('aria-valuenow', String(stop));
      expect((await words(page).innerText()).length).toBeGreaterThan(15);
      await expect(page.getByRole('region', { name: 'How it lies' }).locator('svg').first()).toBeVisible();
      await page.keyboard.press('PageDown');
    }
    await expect(page.getByRole('heading', { name: 'Made', exact: true })).toBeVisible();
    await expect(page.getByRole('link', { name: new RegExp(DEMO_SHELF[at]!.name.slice(0, 12)) })).toBeVisible();
  }
});

test('steps are read out only when that is asked for, and the choice is remembered', async ({ page }) => {
  await page.addInitScript(() => {
    const said: string[] = [];
    Object.assign(window, { said });
    class Words {
      constructor(readonly text: string) {}
    }
    Object.defineProperty(window, 'SpeechSynthesisUtterance', { value: Words, configurable: true });
    Object.defineProperty(window, 'speechSynthesis', {
      value: { speak: (words: Words) => said.push(words.text), cancel: () => undefined },
      configurable: true,
    });
  });
  const said = (): Promise<string[]> => page.evaluate(() => (window as unknown as { said: string[] }).said);
  await begin(page, 'demo-1');
  await page.keyboard.press('PageDown');
  await expect(progress(page)).toHaveAttribute('aria-valuenow', '1');
  expect(await said()).toEqual([]);
  await page.keyboard.press('s');
  await expect
    .poll(said)
    .toEqual([expect.stringMatching(/^Lay edge 1 in the board.*left end at 2 and 5 eighths inches\. Punch/)]);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Reading out' })).toHaveAttribute('aria-pressed', 'true');
});

test('a browser without a voice offers none', async ({ page }) => {
  await page.addInitScript(() => {
    Reflect.deleteProperty(window, 'speechSynthesis');
    Object.defineProperty(Window.prototype, 'speechSynthesis', { get: () => undefined, configurable: true });
    Reflect.deleteProperty(Window.prototype, 'speechSynthesis');
  });
  await begin(page, 'demo-1');
  await expect(page.getByRole('button', { name: 'Which edge?' })).toBeVisible();
  await expect(page.getByRole('button', { name: /Read/ })).toHaveCount(0);
});

test('the bench card is one page', async ({ page }) => {
  await go(page, '/make?p=demo-12');
  await page.getByLabel(/^How many/).fill('4');
  await page.getByRole('button', { name: 'Bench card' }).click();
  const card = await downloaded(page, () => page.getByRole('menuitem', { name: 'On A4 (PDF)' }).click());
  expect(card.name).toBe('Box-for-twelve-star-cards-bench-card.pdf');
  expect(card.bytes.subarray(0, 5).toString()).toBe('%PDF-');
});

test('a photo is shrunk and kept with the entry; what is no picture is refused with a sentence', async ({ page }) => {
  await go(page, '/log?e=demo-log-1');
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  const photo = page.getByLabel('Photo of the finished thing');
  await photo.setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') });
  await expect(page.getByText('“notes.txt” is not a picture this browser can read')).toBeVisible();
  const picture = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(3000, 1500);
    const pen = canvas.getContext('2d')!;
    pen.fillStyle = '#356';
    pen.fillRect(0, 0, 3000, 1500);
    const bytes = await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer();
    return [...new Uint8Array(bytes)];
  });
  await photo.setInputFiles({ name: 'card.png', mimeType: 'image/png', buffer: Buffer.from(picture) });
  await expect(page.getByAltText('The finished thing')).toBeVisible();
  await page.getByRole('button', { name: 'Keep the changes' }).click();
  const kept = page.getByAltText('Star cards, first night, finished');
  await expect(kept).toBeVisible();
  await page.reload();
  await expect(kept).toBeVisible();
  await expect.poll(() => kept.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(1280);
});
