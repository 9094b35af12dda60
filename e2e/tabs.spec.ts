import type { BrowserContext, Locator, Page } from '@playwright/test';
import { expect, go, openShelf, sheet, test } from './table';

/** Two windows of one browser on the same address. */
async function twoTabs(page: Page, context: BrowserContext, address: string): Promise<[Page, Page]> {
  await openShelf(page);
  const other = await context.newPage();
  await Promise.all([page.goto(address), other.goto(address)]);
  return [page, other];
}
const both = async (one: Page, other: Page, seen: (page: Page) => Promise<void>): Promise<void> => {
  await seen(one);
  await seen(other);
};
/** What is done in each window, one after the other there, and in both at once. */
const atOnce = async (...windows: (readonly (() => Promise<void>)[])[]): Promise<void> => {
  await Promise.all(
    windows.map(async (deeds) => {
      for (const deed of deeds) await deed();
    }),
  );
};
const length = (page: Page | Locator, name: string): Locator => page.getByLabel(name, { exact: true });
const named = (page: Page, name: string): Locator =>
  page.getByRole('listitem').filter({ has: page.getByLabel(`Name of ${name}`) });

test('the bench: name and width at once, in two windows; both are kept, in both', async ({ page, context }) => {
  const [one, two] = await twoTabs(page, context, '/bench?p=demo-1');
  await both(one, two, (tab) => expect(sheet(tab)).toBeVisible());
  await atOnce(
    [() => one.getByLabel('Name of the project').fill('Moon cards')],
    [
      () => length(two, 'Width').fill('3 1/4 in'),
      () => two.getByRole('radiogroup', { name: 'Units' }).getByText('mm', { exact: true }).click(),
    ],
  );
  await both(one, two, async (tab) => {
    await expect(tab.getByLabel('Name of the project')).toHaveValue('Moon cards');
    await expect(length(tab, 'Width')).toHaveValue(/^(3 1\/4 in|82\.55 mm)$/);
  });
  await one.reload();
  await expect(one.getByLabel('Name of the project')).toHaveValue('Moon cards');
  await expect(length(one, 'Width')).toHaveValue('82.55 mm');
});

test(
  'what contradicts is not mixed into nonsense: another holder here, one of the old holder’s choices there',
  { tag: '@thorough' },
  async ({ page, context }) => {
    const [one, two] = await twoTabs(page, context, '/bench?p=demo-2');
    await both(one, two, (tab) => expect(sheet(tab)).toBeVisible());
    await two.getByText('Choices and room').click();
    // Between the two the windows do not hear of each other.
    await Promise.all([
      two.getByLabel('Corner radius').fill('1/8 in'),
      (async () => {
        await one.getByRole('combobox', { name: 'Made as' }).click();
        await one.keyboard.type('Sleeve');
        await one.keyboard.press('Enter');
      })(),
    ]);
    await both(one, two, async (tab) => {
      await expect(tab.getByText('This design cannot be read')).toBeHidden();
      await expect(sheet(tab)).toBeVisible();
    });
    await one.reload();
    await expect(sheet(one)).toBeVisible();
  },
);

test(
  'two figures of one tool, the name of another, a new one here and one taken off there',
  { tag: '@thorough' },
  async ({ page, context }) => {
    const [one, two] = await twoTabs(page, context, '/tools');
    const figures = (tab: Page) => named(tab, 'Scoring board');
    await both(one, two, (tab) => expect(figures(tab)).toBeVisible());
    await atOnce(
      [
        () => length(figures(one), 'Last groove at').fill('14 in'),
        () => one.getByLabel('Name of Trimmer').fill('Blue trimmer'),
        () => one.getByRole('button', { name: 'Take Steel ruler off the list' }).click(),
      ],
      [
        () => length(figures(two), 'Groove to groove').fill('1/4 in'),
        () => two.getByRole('button', { name: 'Add a punch' }).click(),
      ],
    );
    await both(one, two, async (tab) => {
      await expect(length(figures(tab), 'Last groove at')).toHaveValue('14 in');
      await expect(length(figures(tab), 'Groove to groove')).toHaveValue('1/4 in');
      await expect(tab.getByLabel('Name of Blue trimmer')).toBeVisible();
      await expect(tab.getByLabel('Name of Punch 3')).toBeVisible();
      await expect(tab.getByLabel('Name of Steel ruler')).toHaveCount(0);
    });
  },
);

test(
  'a paper in two forms: both changes are kept, and the form that was overtaken says so',
  { tag: '@thorough' },
  async ({ page, context }) => {
    const [one, two] = await twoTabs(page, context, '/stash');
    const form = (tab: Page): Locator => tab.getByRole('dialog', { name: /Change “Midnight cardstock”/ });
    for (const tab of [one, two]) {
      await tab.getByRole('button', { name: 'Change Midnight cardstock' }).first().click();
      await expect(form(tab).getByLabel('Name')).toHaveValue('Midnight cardstock');
    }
    await form(one).getByLabel('Colour').fill('night sky');
    await form(two).getByRole('spinbutton', { name: 'Sheets' }).fill('31');
    await form(two).getByLabel('Colour').fill('black');
    await form(one).getByRole('button', { name: 'Keep it' }).click();
    await expect(form(two).getByText('This was changed in another window meanwhile')).toBeVisible();
    await expect(form(two)).toContainText('There it says the colour “night sky”');
    // What was typed here stands until the person decides.
    await expect(form(two).getByLabel('Colour')).toHaveValue('black');
    await form(two).getByRole('button', { name: 'Take what is there' }).click();
    await expect(form(two).getByLabel('Colour')).toHaveValue('night sky');
    await form(two).getByRole('button', { name: 'Keep it' }).click();
    await both(one, two, async (tab) => {
      const row = tab.getByRole('row', { name: /Midnight cardstock/ }).first();
      await expect(row).toContainText('night sky');
      await expect(row.getByRole('spinbutton')).toHaveValue('31');
    });
  },
);

test(
  'an entry of the log changed in two windows, and a draft of a new paper in each',
  { tag: '@thorough' },
  async ({ page, context }) => {
    const [one, two] = await twoTabs(page, context, '/log?e=demo-log-2');
    for (const tab of [one, two]) await tab.getByRole('button', { name: 'Change', exact: true }).click();
    await one.getByLabel('What I would change').fill('a deeper flap');
    await two.getByLabel('Note').fill('dry overnight');
    await one.getByRole('button', { name: 'Keep the changes' }).click();
    await expect(two.getByText('This was changed in another window meanwhile')).toBeVisible();
    await two.getByRole('button', { name: 'Keep the changes' }).click();
    await both(one, two, async (tab) => {
      await expect(tab.getByText('a deeper flap')).toBeVisible();
      await expect(tab.getByText('dry overnight')).toBeVisible();
    });
    // Two forms for new papers are two papers.
    for (const [tab, name] of [
      [one, 'Red'],
      [two, 'Green'],
    ] as const) {
      await go(tab, '/stash');
      await tab.getByRole('button', { name: 'Add a paper' }).click();
      await tab.getByRole('dialog').getByLabel('Name').fill(name);
    }
    await expect(one.getByRole('dialog').getByLabel('Name')).toHaveValue('Red');
    for (const tab of [one, two]) await tab.getByRole('button', { name: 'Put it in' }).click();
    await both(one, two, async (tab) => {
      await expect(tab.getByRole('row', { name: /Red/ })).toBeVisible();
      await expect(tab.getByRole('row', { name: /Green/ })).toBeVisible();
    });
  },
);

test('a make is followed live, and neither window goes back', async ({ page, context }) => {
  const [one, two] = await twoTabs(page, context, '/make?p=demo-1');
  await one.getByRole('button', { name: 'Begin', exact: true }).click();
  const at = (tab: Page): Locator => tab.getByRole('progressbar', { name: 'How far the make has come' });
  await both(one, two, (tab) => expect(at(tab)).toHaveAttribute('aria-valuenow', '0'));
  for (let i = 0; i < 5; i++) await one.keyboard.press('PageDown');
  await expect(at(two)).toHaveAttribute('aria-valuenow', '5');
  await two.keyboard.press('PageUp');
  await expect(at(one)).toHaveAttribute('aria-valuenow', '4');
  await two.close();
  await one.reload();
  await expect(at(one)).toHaveAttribute('aria-valuenow', '4');
});

test(
  'the cutting table and the size chart: copies here, a piece there, a card here, marks there',
  { tag: '@thorough' },
  async ({ page, context }) => {
    const [one, two] = await twoTabs(page, context, '/cutting');
    await both(one, two, (tab) => expect(tab.getByLabel('Name of piece 1')).toBeVisible());
    await atOnce(
      [() => one.getByRole('spinbutton', { name: /Copies of Star cards/ }).fill('4')],
      [
        () => two.getByLabel('Name of piece 1').fill('blue mat'),
        () => two.getByRole('spinbutton', { name: /Copies of Bands/ }).fill('3'),
      ],
    );
    await both(one, two, async (tab) => {
      await expect(tab.getByRole('spinbutton', { name: /Copies of Star cards/ })).toHaveValue('4');
      await expect(tab.getByLabel('Name of piece 1')).toHaveValue('blue mat');
      await expect(tab.getByRole('spinbutton', { name: /Copies of Bands/ })).toHaveValue('3');
    });
    await Promise.all([go(one, '/tools/chart'), go(two, '/tools/chart')]);
    await both(one, two, (tab) => expect(tab.getByText('Flaps lap')).toBeVisible());
    for (const [tab, name] of [
      [one, 'Comet card'],
      [two, 'Moon card'],
    ] as const) {
      await length(tab, 'Name').fill(name);
      await length(tab, 'Card’s width').fill('3 in');
      await length(tab, 'Card’s height').fill('4 in');
    }
    await Promise.all([
      one.getByRole('button', { name: 'Add to the chart' }).click(),
      two.getByRole('button', { name: 'Add to the chart' }).click(),
    ]);
    await length(one, 'Room in the width').fill('3/8 in');
    await both(one, two, async (tab) => {
      await expect(tab.getByRole('rowheader', { name: 'Comet card' })).toBeVisible();
      await expect(tab.getByRole('rowheader', { name: 'Moon card' })).toBeVisible();
      await expect(length(tab, 'Room in the width')).toHaveValue('3/8 in');
    });
  },
);

test(
  'a project renamed here and put in the bin there; it comes back with its new name',
  { tag: '@thorough' },
  async ({ page, context }) => {
    const [one, two] = await twoTabs(page, context, '/');
    await both(one, two, (tab) => expect(tab.getByRole('link', { name: /Door tickets/ })).toBeVisible());
    await one.getByRole('button', { name: 'More for Door tickets' }).click();
    await one.getByRole('menuitem', { name: 'Rename' }).click();
    await one.getByLabel('New name').fill('Gate tickets');
    await two.getByRole('button', { name: 'More for Door tickets' }).click();
    await two.getByRole('menuitem', { name: 'Move to the bin' }).click();
    await expect(two.getByRole('link', { name: /Door tickets/ })).toHaveCount(0);
    await one.getByRole('button', { name: 'Rename' }).last().click();
    await two.getByRole('button', { name: 'Put it back' }).click();
    await both(one, two, (tab) => expect(tab.getByRole('link', { name: /Gate tickets/ })).toBeVisible());
  },
);
