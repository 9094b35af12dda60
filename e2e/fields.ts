/** Finds every field of the app by walking its screens: each page there is, each part that opens, each dialog. */
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Locator, Page } from '@playwright/test';
import { go } from './go';

const APP = 'src/app';
/** What stands behind an address that needs one, in the demo data. */
const OF: Record<string, string> = {
  '/bench': '?p=demo-1',
  '/make': '?p=demo-2',
  '/choose': '?have=contents',
  '/holders/[name]': '',
};

/** The address of every page, read off the folders the router reads. */
export function everyPage(): string[] {
  const walk = (folder: string): string[] =>
    readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
      const path = join(folder, entry.name);
      if (entry.isDirectory()) return walk(path);
      return entry.name === 'page.tsx' ? [folder.slice(APP.length) || '/'] : [];
    });
  return walk(APP)
    .sort()
    .map((route) => (route.includes('[') ? '/holders/library-pocket' : `${route}${OF[route] ?? ''}`));
}

/** Pages whose parts differ by what stands behind them. */
export const MORE_PAGES = [
  '/bench?p=demo-5',
  '/bench?p=demo-6',
  '/bench?p=demo-18',
  '/choose?have=paper',
  '/log?e=demo-log-3',
] as const;

/** Buttons that open a form; what they open is walked too. */
const OPENERS = /^(Add a paper|Paste or import|Change|Change .*|Rename|Import \(CSV\))$/;

const FIELDS =
  'input:not([type="checkbox"]):not([type="radio"]):not([type="file"]):not([role="combobox"]):not([readonly]), textarea:not([readonly])';

/** Opens every part of a screen that folds open. */
async function unfold(page: Page): Promise<void> {
  await page.evaluate(() => document.querySelectorAll('details').forEach((part) => (part.open = true)));
  // Opened, a part is no longer among the closed ones: the first of them is always the next.
  const closed = page.locator('main .ant-collapse-header[aria-expanded="false"]');
  for (let left = await closed.count(); left > 0; left--) await closed.first().click();
}

/** The buttons on a screen that open forms, by their place among all buttons; rows of a table open the same: one does. */
async function openersOn(page: Page): Promise<{ readonly name: string; readonly place: number }[]> {
  const names = await page
    .locator('main button')
    .evaluateAll((buttons) =>
      buttons.map((button) => (button.getAttribute('aria-label') ?? button.textContent ?? '').trim()),
    );
  const kindOf = (name: string): string => name.replace(/^Change .*/, 'Change …');
  return names.flatMap((name, place) =>
    OPENERS.test(name) && names.findIndex((other) => kindOf(other) === kindOf(name)) === place ? [{ name, place }] : [],
  );
}

/** A field that can be typed into, and what it is called. */
export interface Field {
  readonly at: Locator;
  readonly name: string;
  readonly kind: 'length' | 'number' | 'text' | 'lines';
}

/** The fields that can be seen on a screen or in the dialog over it. */
export async function fieldsOn(scope: Page | Locator): Promise<Field[]> {
  const found: Field[] = [];
  for (const at of await scope.locator(FIELDS).all()) {
    if (!(await at.isVisible()) || !(await at.isEnabled())) continue;
    const { name, kind } = await at.evaluate((field: HTMLInputElement | HTMLTextAreaElement) => ({
      name:
        field.getAttribute('aria-label') ??
        field.labels?.[0]?.textContent?.trim() ??
        field.getAttribute('placeholder') ??
        'a field',
      kind:
        field instanceof HTMLTextAreaElement
          ? ('lines' as const)
          : field.getAttribute('role') === 'spinbutton'
            ? ('number' as const)
            : field.hasAttribute('aria-invalid')
              ? ('length' as const)
              : ('text' as const),
    }));
    found.push({ at, name, kind });
  }
  return found;
}

/** Walks a page: calls back with its fields, and with those of each form that opens on it. */
export async function walk(
  page: Page,
  address: string,
  visit: (fields: readonly Field[], where: string) => Promise<void>,
): Promise<void> {
  const open = async (): Promise<void> => {
    // A screen that is there is left and come back to: it stands as if it were new, and nothing is loaded again.
    if (page.url().endsWith(address)) await go(page, address.startsWith('/backup') ? '/tools' : '/backup');
    await go(page, address);
    await page.locator('main').waitFor();
    // Screens read what is kept first.
    await page.waitForTimeout(400);
    await page.locator('.ant-spin-spinning').first().waitFor({ state: 'hidden' });
    await unfold(page);
  };
  await open();
  await visit(await fieldsOn(page.locator('main')), address);
  for (const { name, place } of await openersOn(page)) {
    await open();
    await page.locator('main button').nth(place).click();
    const dialog = page.getByRole('dialog');
    await page.waitForTimeout(300);
    const scope = (await dialog.count()) > 0 ? dialog.last() : page.locator('main');
    await visit(await fieldsOn(scope), `${address}, ${name}`);
  }
}
