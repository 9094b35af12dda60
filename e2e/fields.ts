/** Finds every field of the app by walking its screens: each page there is, each part that opens, each dialog. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import type { Locator, Page } from '@playwright/test';
import { go } from './go';
import { THOROUGH } from './thorough';

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

/** Of these every view is walked: a single holder and a set. */
const WITH_VIEWS: readonly string[] = ['/bench?p=demo-1', '/bench?p=demo-18'];

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

/** A button that opens a form, by its place among all of its screen. */
interface Opener {
  readonly name: string;
  readonly place: number;
}

/** The buttons on a screen that open forms, by their place among all buttons; rows of a table open the same: one does. */
async function openersOn(page: Page): Promise<Opener[]> {
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
  /** What stood in it when it was found. */
  readonly value: string;
  readonly kind: 'length' | 'number' | 'text' | 'lines';
}

/** The fields that can be seen on a screen or in the dialog over it, and what stands in them now. */
export async function fieldsOn(scope: Page | Locator): Promise<Field[]> {
  const all = scope.locator(FIELDS);
  const found = await all.evaluateAll((fields) =>
    (fields as (HTMLInputElement | HTMLTextAreaElement)[]).map((field, place) => ({
      place,
      seen: field.checkVisibility() && !field.disabled,
      value: field.value,
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
    })),
  );
  return found.flatMap(({ place, seen, ...field }) => (seen ? [{ at: all.nth(place), ...field }] : []));
}

/** Where fields are: on the page, or in what a button opens; and what leads there again, over a reload. */
interface Place extends FieldPlace {
  readonly where: string;
  /** The fields as they are now. */
  readonly now: () => Promise<readonly Field[]>;
  /** The same after a reload. */
  readonly again: () => Promise<readonly Field[]>;
}
type Visit = (fields: readonly Field[], place: Place) => Promise<void>;

/** A part of a screen that has fields: the screen itself, or what one of its buttons opens. */
export interface FieldPlace {
  readonly address: string;
  readonly opener: Opener | null;
}

/** The screen that was opened is there, all of it. */
async function ready(page: Page): Promise<void> {
  await page.locator('main').waitFor();
  // Screens read what is kept first.
  await page.waitForTimeout(400);
  await page.locator('.ant-spin-spinning').first().waitFor({ state: 'hidden' });
  await unfold(page);
}
const onPage = (page: Page): Promise<readonly Field[]> => fieldsOn(page.locator('main'));
/** In the dialog that is open, or on the page where what opened is no dialog. */
const inOpen = async (page: Page): Promise<readonly Field[]> => {
  const dialog = page.getByRole('dialog');
  return (await dialog.count()) > 0 ? fieldsOn(dialog.last()) : onPage(page);
};

/** The fields of a place on a screen that was just opened. */
export async function reach(page: Page, { opener }: FieldPlace): Promise<readonly Field[]> {
  await ready(page);
  if (!opener) return onPage(page);
  await page.locator('main button').nth(opener.place).click();
  await page.waitForTimeout(300);
  return inOpen(page);
}

/** Walks a page: calls back with its fields, and with those of each form that opens on it. */
export async function walk(page: Page, address: string, visit: Visit): Promise<void> {
  const open = async (): Promise<void> => {
    // A screen that is there is left and come back to: it stands as if it were new, and nothing is loaded again.
    if (page.url().endsWith(address)) await go(page, address.startsWith('/backup') ? '/tools' : '/backup');
    await go(page, address);
  };
  const at = async (place: FieldPlace): Promise<void> => {
    await open();
    await visit(await reach(page, place), {
      ...place,
      where: place.opener ? `${address}, ${place.opener.name}` : address,
      now: () => inOpen(page),
      again: async () => {
        await page.reload();
        return reach(page, place);
      },
    });
  };
  await at({ address, opener: null });
  // What shows one thing in several ways has fields in each.
  const views = page.getByRole('radiogroup', { name: 'View' }).locator('label');
  const ways = THOROUGH && WITH_VIEWS.includes(address) ? await views.count() : 1;
  for (let i = 1; i < ways; i++) {
    const show = async (): Promise<readonly Field[]> => {
      await ready(page);
      await views.nth(i).click();
      await page.waitForTimeout(300);
      await unfold(page);
      return onPage(page);
    };
    await open();
    await visit(await show(), {
      address,
      opener: null,
      where: `${address}, view ${i + 1}`,
      now: () => onPage(page),
      again: async () => {
        await page.reload();
        return show();
      },
    });
  }
  await open();
  await ready(page);
  for (const opener of await openersOn(page)) await at({ address, opener });
}

/** Types something else into a field that it takes, as far as it can be told; gives whether it did. */
export async function change({ at, kind }: Field, mark = '7'): Promise<boolean> {
  // What was typed before may have taken it away.
  if (!(await at.isVisible()) || !(await at.isEnabled())) return false;
  const before = await at.inputValue();
  if (kind === 'text' || kind === 'lines') {
    await at.fill(`${before.slice(0, 30).trim()} ${mark}`.trim());
    return true;
  }
  for (const key of ['ArrowUp', 'ArrowDown']) {
    await at.press(key);
    if ((await at.inputValue()) !== before) return true;
  }
  if (before !== '' || kind !== 'length') return false;
  // As much as it takes: room is little, a sheet is not.
  for (const text of ['1/8 in', '4 in']) {
    await at.fill(text);
    if ((await at.getAttribute('aria-invalid')) !== 'true') return true;
  }
  await at.fill('');
  return false;
}

/** A field as the source declares it: in which file, and what it is called there; null where that is worked out. */
export interface DeclaredField {
  readonly file: string;
  readonly name: RegExp | null;
}
const COMPONENTS = ['LengthField', 'NumberField', 'TextField', 'SearchField', 'Input', 'Input.TextArea', 'InputNumber'];

/** Every field that stands in a screen's source. */
export function declaredFields(): DeclaredField[] {
  const found: DeclaredField[] = [];
  const files = readdirSync('src/ui', { recursive: true }).map((file) => join('src/ui', String(file)));
  const said = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/\s+/g, '\\s+');
  const nameOf = (node: ts.Expression | undefined): RegExp | null => {
    if (!node) return null;
    if (ts.isStringLiteralLike(node)) return new RegExp(`^${said(node.text)}$`);
    if (!ts.isTemplateExpression(node)) return null;
    const parts = node.templateSpans.map(({ literal }) => `.*${said(literal.text)}`);
    return new RegExp(`^${said(node.head.text)}${parts.join('')}$`);
  };
  for (const file of files) {
    // What fields are made of declares none.
    if (!/(?<!\.test)\.tsx$/.test(file) || /parts\/(Length|Number|Text|Search)Field\.tsx$/.test(file)) continue;
    const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
    const look = (node: ts.Node): void => {
      if (
        (ts.isJsxSelfClosingElement(node) || ts.isJsxOpeningElement(node)) &&
        COMPONENTS.includes(node.tagName.getText(source))
      ) {
        const given = node.attributes.properties.filter(ts.isJsxAttribute);
        const label = ['aria-label', 'label'].flatMap((name) =>
          given.filter((one) => one.name.getText(source) === name),
        );
        const value = label[0]?.initializer;
        const expression = value && (ts.isJsxExpression(value) ? value.expression : value);
        found.push({ file, name: nameOf(expression as ts.Expression | undefined) });
      }
      node.forEachChild(look);
    };
    look(source);
  }
  return found;
}
