import { downloaded, expect, go, goBy, openShelf, sheet, test } from './table';

test('a paper is added, changed, taken out and put back, all kept through a reload', async ({ page }) => {
  await openShelf(page);
  await page.getByRole('link', { name: 'Stash', exact: true }).click();
  await page.getByRole('button', { name: 'Add a paper' }).click();
  const form = page.getByRole('dialog', { name: 'A paper for the stash' });
  await form.getByRole('button', { name: 'Put it in' }).click();
  await expect(form.getByRole('alert')).toHaveText('It needs a name.');
  await form.getByLabel('Name').fill('Comet paper');
  await form.getByLabel('Width').fill('wide');
  await form.getByLabel('Height').fill('9 1/2 in');
  await form.getByLabel('Width').fill('7in');
  await form.getByRole('spinbutton', { name: 'Sheets' }).fill('5');
  await form.getByRole('button', { name: 'Put it in' }).click();
  const row = page.getByRole('row', { name: /Comet paper/ });
  await expect(row).toContainText('7 in × 9 1/2 in');
  await row.getByRole('spinbutton').fill('4');
  await goBy(page, 'Shelf');
  await go(page, '/stash');
  await expect(row.getByRole('spinbutton')).toHaveValue('4');
  await row.getByRole('button', { name: 'Take Comet paper out' }).click();
  await expect(row).toBeHidden();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(row).toBeVisible();
});

test('papers are pasted from a table: looked at first, bad lines stay out; and all goes out as a table', async ({
  page,
}) => {
  await go(page, '/stash');
  await page.getByRole('button', { name: 'Paste or import' }).click();
  const dialog = page.getByRole('dialog', { name: 'Papers from a table' });
  const table = dialog.getByRole('textbox', { name: 'Table of papers' });
  await table.fill('colour\nred');
  await expect(dialog.getByRole('alert')).toContainText('The first line must name the columns');
  await table.fill('name\twidth\theight\tcount\nBlue card\t12\t12 in\t20\nOdd one\twide\t3\t1\n');
  await expect(dialog).toContainText('1 will be put in, 1 cannot be read');
  await expect(dialog).toContainText('Line 3 (Odd one) stays out: width:');
  await dialog.getByRole('button', { name: 'Put in 1' }).click();
  await expect(page.getByRole('row', { name: /Blue card/ })).toContainText('12 in × 12 in');
  await page.getByRole('textbox', { name: 'Search the stash' }).fill('blue card');
  await expect(page.getByRole('row', { name: /Grey cover/ })).toBeHidden();
  const file = await downloaded(page, () => page.getByRole('button', { name: 'Export (CSV)' }).click());
  expect(file.bytes.toString('utf8')).toContain('"Blue card","304.8 mm","304.8 mm","20"');
});

test('what an offcut can become: every holder against what the projects hold, and one is begun', async ({ page }) => {
  await go(page, '/stash');
  await page
    .getByRole('row', { name: /Offcut, Midnight/ })
    .getByRole('button', { name: 'What can it become?' })
    .click();
  const dialog = page.getByRole('dialog', { name: /What can “Offcut, Midnight cardstock” become/ });
  const holder = dialog.getByRole('region').first().getByRole('button').first();
  await expect(holder).toBeVisible();
  await holder.click();
  await expect(page).toHaveURL(/\/bench\?p=/);
  // The bench knows the paper it is planned on, and how far it reaches.
  await expect(page.getByText(/2 sheets in the stash: enough for \d+ cop/)).toBeVisible();
});

test('the bench offers the stash, and says when a paper is too small', async ({ page }) => {
  await go(page, '/bench?p=demo-1');
  await expect(sheet(page)).toBeVisible();
  const choose = async (paper: string): Promise<void> => {
    await page.getByRole('combobox', { name: 'Paper sizes' }).click();
    await page.keyboard.type(paper);
    await page.keyboard.press('Enter');
  };
  await choose('Grey cover');
  await expect(page.getByText('6 sheets in the stash: enough for 24 copies.')).toBeVisible();
  await choose('Offcut, Grey cover');
  await expect(page.getByText('1 sheet in the stash: not enough for one copy.')).toBeVisible();
});
