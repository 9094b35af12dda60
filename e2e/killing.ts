/**
 * Kills a browser in the middle of edits and looks what it kept: shared by the suite (thirty) and by
 * `npm run bench kills` (a thousand). Every edit is made as a person makes it, and the browser is killed, all its
 * processes at once, at a random moment after the edit could be seen.
 */
import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { CHROMIUM_ARGS, executablePath } from './browser';
import { change, everyPage, MORE_PAGES, reach, walk, type Field } from './fields';
import { go } from './go';

/** Everything that runs with a profile: the browser and the processes it started. */
function processesOf(profile: string): number[] {
  return readdirSync('/proc').flatMap((entry) => {
    if (!/^\d+$/.test(entry)) return [];
    try {
      return readFileSync(`/proc/${entry}/cmdline`, 'utf8').includes(profile) ? [Number(entry)] : [];
    } catch {
      return [];
    }
  });
}

/** A browser with a profile of its own, that can be killed and started again. */
export class Killable {
  readonly profile = mkdtempSync(join(tmpdir(), 'tuck-fold-kill-'));
  private context: BrowserContext | null = null;

  constructor(private readonly baseURL: string) {}

  async start(): Promise<Page> {
    for (const lock of ['SingletonLock', 'SingletonCookie', 'SingletonSocket'])
      rmSync(join(this.profile, lock), { force: true });
    this.context = await chromium.launchPersistentContext(this.profile, {
      executablePath,
      args: CHROMIUM_ARGS,
      baseURL: this.baseURL,
      viewport: { width: 1280, height: 800 },
      reducedMotion: 'reduce',
      serviceWorkers: 'block',
    });
    const page = this.context.pages()[0] ?? (await this.context.newPage());
    // What does not come is told by its name.
    page.setDefaultTimeout(15_000);
    return page;
  }

  /** All its processes at once, as when the power button is held or the system runs out of memory. */
  async kill(): Promise<void> {
    const running = processesOf(this.profile);
    if (running.length > 0) execFileSync('kill', ['-9', ...running.map(String)], { stdio: 'ignore' });
    for (let tries = 0; tries < 100 && processesOf(this.profile).length > 0; tries++)
      await new Promise((wake) => setTimeout(wake, 10));
    // What is gone may not answer that it is closed.
    const gone = new Promise<void>((goOn) => setTimeout(goOn, 5000));
    await Promise.race([this.context?.close().catch(() => undefined), gone]);
    this.context = null;
  }

  async end(): Promise<void> {
    await this.kill();
    // The system may still be closing what the killed processes had open.
    if (existsSync(this.profile))
      rmSync(this.profile, { recursive: true, force: true, maxRetries: 20, retryDelay: 250 });
  }
}

/** An edit, and what must be there after the browser was killed. */
export interface Edit {
  readonly name: string;
  /** Opens the screen. */
  readonly open: string;
  /** Makes the edit for the `n`th time; done when it can be seen. */
  readonly make: (page: Page, n: number) => Promise<void>;
  /** Fails unless it is there. */
  readonly there: (page: Page, n: number) => Promise<void>;
}

const value = async (page: Page, field: string, wanted: string): Promise<void> => {
  const box = page.locator(field).first();
  await box.waitFor();
  for (let tries = 0; ; tries++) {
    const found = await box.inputValue();
    if (found === wanted) return;
    if (tries === 20) throw new Error(`“${found}” stands in ${field}, and “${wanted}” was typed`);
    await page.waitForTimeout(50);
  }
};
const type = async (page: Page, field: string, text: string): Promise<void> => {
  const box = page.locator(field).first();
  await box.click();
  await box.press('Control+a');
  await page.keyboard.type(text, { delay: 12 });
};
const seen = async (page: Page, text: string | RegExp): Promise<void> => page.getByText(text).first().waitFor();
/** The last thing done has been drawn. */
const drawn = (page: Page): Promise<void> =>
  page.evaluate(() => new Promise<void>((done) => requestAnimationFrame(() => setTimeout(done))));
/** Whole numbers that are not what stands there already. */
const count = (n: number): string => String(2 + (n % 7));
const eighths = (n: number): string => `${3 + (n % 3)} ${1 + 2 * (n % 4)}/8 in`;

const typed = (name: string, open: string, field: string, text: (n: number) => string): Edit => ({
  name,
  open,
  make: async (page, n) => {
    await type(page, field, text(n));
    await drawn(page);
  },
  there: (page, n) => value(page, field, text(n)),
});

const BENCH = '/bench?p=demo-1';

/** Every kind of edit, as far as it is seen at once. */
export const EDITS: readonly Edit[] = [
  typed('a length on the bench', BENCH, 'css=label:text-is("Width") + input', eighths),
  typed('the name on the bench', BENCH, '[aria-label="Name of the project"]', (n) => `Star cards ${n}`),
  {
    name: 'a choice on the bench',
    // Another project: lengths of the first are typed in inches.
    open: '/bench?p=demo-4',
    make: async (page) => {
      const units = page.getByRole('radiogroup', { name: 'Units' });
      const now = await units.locator('.ant-segmented-item-selected').innerText();
      kept.set('units', now === 'in' ? 'mm' : 'in');
      await units.getByText(kept.get('units')!, { exact: true }).click();
      await drawn(page);
    },
    there: (page) =>
      page
        .getByRole('radiogroup', { name: 'Units' })
        .locator('.ant-segmented-item-selected')
        .getByText(kept.get('units')!, { exact: true })
        .waitFor(),
  },
  {
    name: 'a fold dragged by keys on the bench',
    open: '/bench?p=demo-2',
    make: async (page, n) => {
      const grip = page.getByRole('slider', { name: 'Score 1: move the fold' });
      await grip.focus();
      for (let i = 0; i < 1 + (n % 3); i++) await page.keyboard.press(n % 2 ? 'ArrowLeft' : 'ArrowRight');
      await drawn(page);
      kept.set('drag', await page.locator('dl').first().innerText());
    },
    there: async (page) => {
      const wanted = kept.get('drag')!;
      for (let tries = 0; ; tries++) {
        const found = await page.locator('dl').first().innerText();
        if (found === wanted) return;
        if (tries === 20) throw new Error(`the numbers were ${wanted} and are ${found}`);
        await page.waitForTimeout(100);
      }
    },
  },
  {
    name: 'steps of a make, pressed fast',
    open: '/make?p=demo-3',
    make: async (page, n) => {
      const begin = page.getByRole('button', { name: 'Begin', exact: true });
      const track = page.getByRole('progressbar', { name: 'How far the make has come' });
      await begin.or(track).first().waitFor();
      if (await begin.isVisible()) await begin.click();
      await track.waitFor();
      const at = Number(await track.getAttribute('aria-valuenow'));
      const all = Number(await track.getAttribute('aria-valuemax'));
      const by = at + 3 < all ? 3 : -3 - (n % 2);
      for (let i = 0; i < Math.abs(by); i++) await page.keyboard.press(by > 0 ? 'PageDown' : 'PageUp');
      await drawn(page);
      kept.set('make', (await track.getAttribute('aria-valuenow'))!);
      if (kept.get('make') !== String(at + by)) throw new Error(`from ${at} by ${by} to ${kept.get('make')}`);
    },
    there: async (page) => {
      const track = page.getByRole('progressbar', { name: 'How far the make has come' });
      await track.waitFor();
      const found = await track.getAttribute('aria-valuenow');
      if (found !== kept.get('make')) throw new Error(`step ${found}, and it was ${kept.get('make')}`);
    },
  },
  typed('the name of a tool', '/tools', '[aria-label^="Name of"]', (n) => `Old board ${n}`),
  typed('a figure of a tool', '/tools', 'css=label:text-is("Longest cut") + input', eighths),
  {
    name: 'a tool put away or out',
    open: '/tools',
    make: async (page) => {
      const out = page.getByRole('switch').first();
      const was = await out.getAttribute('aria-checked');
      await out.click();
      await drawn(page);
      kept.set('out', was === 'true' ? 'false' : 'true');
    },
    there: async (page) => {
      const found = await page.getByRole('switch').first().getAttribute('aria-checked');
      if (found !== kept.get('out')) throw new Error(`the tool’s switch is ${found}`);
    },
  },
  typed('sheets of a paper', '/stash', 'input[role="spinbutton"]', count),
  {
    name: 'a paper being written',
    open: '/stash',
    make: async (page, n) => {
      await page.getByRole('button', { name: 'Add a paper' }).click();
      await type(page, '[role="dialog"] input >> nth=0', `Comet paper ${n}`);
      await drawn(page);
    },
    there: async (page, n) => {
      await page.getByRole('button', { name: 'Add a paper' }).click();
      await value(page, '[role="dialog"] input >> nth=0', `Comet paper ${n}`);
    },
  },
  {
    name: 'a note in the log being written',
    open: '/log?e=demo-log-2',
    make: async (page, n) => {
      await page.getByRole('button', { name: 'Change', exact: true }).click();
      await type(page, 'textarea', `the paint cracked, time ${n}`);
      await drawn(page);
    },
    there: async (page, n) => {
      await page.getByRole('button', { name: 'Change', exact: true }).click();
      await value(page, 'textarea', `the paint cracked, time ${n}`);
    },
  },
  {
    name: 'an entry of the log changed',
    open: '/log?e=demo-log-4',
    make: async (page, n) => {
      await page.getByRole('button', { name: 'Change', exact: true }).click();
      await type(page, 'label:has-text("What I would change") input', `thinner glue ${n}`);
      await page.getByRole('button', { name: 'Keep the changes' }).click();
      await seen(page, `thinner glue ${n}`);
    },
    there: (page, n) => seen(page, `thinner glue ${n}`),
  },
  typed('copies on the cutting table', '/cutting', '[aria-label^="Copies of"]', count),
  typed('the name of a loose piece', '/cutting', '[aria-label="Name of piece 1"]', (n) => `Photo mounts blue ${n}`),
  typed('a length of a loose piece', '/cutting', 'css=label:text-is("Width") + input', eighths),
  {
    name: 'a card put into the size chart',
    open: '/tools/chart',
    make: async (page, n) => {
      await type(page, 'label:has-text("Name") input', `Comet card ${n}`);
      await type(page, 'css=label:text-is("Card’s width") + input', '3 in');
      await type(page, 'css=label:text-is("Card’s height") + input', '4 in');
      await page.getByRole('button', { name: 'Add to the chart' }).click();
      await page.getByRole('rowheader', { name: `Comet card ${n}`, exact: true }).waitFor();
    },
    there: (page, n) => page.getByRole('rowheader', { name: `Comet card ${n}`, exact: true }).waitFor(),
  },
  typed('a trial fold being measured', '/tools/calibrate', 'css=label:text-is("Inside width") + input', eighths),
  {
    name: 'a project put in the bin and back',
    open: '/',
    make: async (page, n) => {
      await page.getByRole('button', { name: 'More for Lens-cloth samples' }).first().click();
      await page.getByRole('menuitem', { name: 'Duplicate' }).click();
      await page.getByText('Lens-cloth samples (copy)').first().waitFor();
      const copies = page.getByRole('listitem').filter({ hasText: 'Lens-cloth samples (copy)' });
      for (let tries = 0; (await copies.count()) <= n && tries < 40; tries++) await page.waitForTimeout(25);
      kept.set('copies', String(await copies.count()));
    },
    there: async (page) => {
      const copies = page.getByRole('listitem').filter({ hasText: 'Lens-cloth samples (copy)' });
      await copies.first().waitFor();
      for (let tries = 0; (await copies.count()) !== Number(kept.get('copies')); tries++) {
        if (tries === 20) throw new Error(`${await copies.count()} copies, and there were ${kept.get('copies')}`);
        await page.waitForTimeout(50);
      }
    },
  },
  {
    name: 'the light chosen',
    open: '/',
    make: async (page) => {
      await page.getByRole('button', { name: /^Light:/ }).click();
      await drawn(page);
      kept.set('light', (await page.getByRole('button', { name: /^Light:/ }).getAttribute('aria-label'))!);
    },
    there: (page) => page.getByRole('button', { name: kept.get('light')! }).waitFor(),
  },
  typed('sizes asked about in the chooser', '/choose?have=contents', 'css=label:text-is("Height") + input', eighths),
];

/** Most fields of one name on a screen that are edits of their own: rows of a table are one component. */
const ROWS = 2;

/** An edit of every field there is, found by walking the screens: as `EDITS` are, made by keys. */
export async function walkedEdits(page: Page): Promise<Edit[]> {
  const edits: Edit[] = [];
  for (const address of [...everyPage(), ...MORE_PAGES])
    await walk(page, address, async (fields, { where, opener }) => {
      const count = new Map<string, number>();
      for (const [at, { name }] of fields.entries()) {
        const rows = (count.get(name.replace(/ of .*/, '')) ?? 0) + 1;
        count.set(name.replace(/ of .*/, ''), rows);
        // What is searched for stands in the address, which a killed browser’s window is opened again with.
        if (rows > ROWS || name.startsWith('Search')) continue;
        const same = fields.filter((one) => one.name === name).length;
        const place = { address, opener };
        const key = `${where}, ${name}${same > 1 ? ` ${rows}` : ''}`;
        const find = async (on: Page): Promise<Field> => {
          const all = await reach(on, place);
          // One that is called by what stands in it, or in the field beside it, is called otherwise by now: it stands where it was.
          const found = all.filter((one) => one.name === name)[same > 1 ? rows - 1 : 0] ?? all[at];
          if (!found) throw new Error(`there is no ${key}`);
          return found;
        };
        edits.push({
          name: key,
          open: address,
          make: async (on, n) => {
            const field = await find(on);
            if (!(await change(field, String(n)))) throw new Error(`${key} takes nothing else`);
            await drawn(on);
            kept.set(key, await field.at.inputValue());
          },
          there: async (on) => {
            const { at } = await find(on);
            const wanted = kept.get(key)!;
            for (let tries = 0; (await at.inputValue()) !== wanted; tries++) {
              if (tries === 20)
                throw new Error(`“${await at.inputValue()}” stands in ${key}, and “${wanted}” was typed`);
              await on.waitForTimeout(50);
            }
          },
        });
      }
    });
  return edits;
}

/** What an edit made depends on what was there: told from before the kill to after it. */
const kept = new Map<string, string>();

/** What came of a kill. */
export interface Killed {
  readonly edit: string;
  /** From when the edit was seen to the kill, ms. */
  readonly after: number;
  /** Why the edit is not there; null when it is. */
  readonly lost: string | null;
}

/** Makes an edit, kills the browser `after` ms later, starts it again and looks. Gives the page it goes on with. */
export async function killDuring(
  browser: Killable,
  page: Page,
  edit: Edit,
  n: number,
  after: number,
): Promise<{ readonly page: Page; readonly killed: Killed }> {
  await go(page, edit.open);
  await edit.make(page, n);
  await new Promise((wake) => setTimeout(wake, after));
  await browser.kill();
  const next = await browser.start();
  await next.goto(edit.open);
  const lost = await edit.there(next, n).then(
    () => null,
    (error: unknown) => (error instanceof Error ? error.message.split('\n')[0]! : String(error)),
  );
  return { page: next, killed: { edit: edit.name, after, lost } };
}
