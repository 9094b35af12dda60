import { expect, test as base, type Locator, type Page } from '@playwright/test';
import { go } from './go';

/** A page on which nothing may be logged as an error and no request may leave the origin. */
export const test = base.extend({
  page: async ({ page, baseURL }, run) => {
    const wrong: string[] = [];
    page.on(
      'console',
      (message) => message.type() === 'error' && wrong.push(`${message.text()} ${message.location().url}`),
    );
    page.on('pageerror', (error) => wrong.push(error.message));
    page.on(
      'response',
      (response) => response.status() >= 400 && wrong.push(`${response.status()} for ${response.url()}`),
    );
    page.on('request', (request) => {
      const url = request.url();
      if (!url.startsWith(baseURL!) && !/^(blob|data):/.test(url)) wrong.push(`a request left for ${url}`);
    });
    // What the content policy stops is tried again elsewhere by most libraries, and never heard of.
    await page.addInitScript(() =>
      document.addEventListener('securitypolicyviolation', ({ effectiveDirective, blockedURI, sourceFile }) =>
        console.error(`the content policy stopped ${blockedURI} (${effectiveDirective}) in ${sourceFile}`),
      ),
    );
    await run(page);
    expect(wrong).toEqual([]);
  },
});
export { expect, go };

/** Opens the shelf and waits until the demo projects stand on it. */
export async function openShelf(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'On the shelf' })).toBeVisible();
  await expect(page.getByRole('link', { name: /Star cards/ })).toBeVisible();
}

/** From the shelf through the chooser to a holder on the bench. */
export async function chooseHolder(page: Page, question: RegExp, holder: string): Promise<void> {
  await openShelf(page);
  await page.getByRole('link', { name: question }).click();
  await takeHolder(page, holder);
}

/** Takes one of the holders the chooser offers. */
export async function takeHolder(page: Page, holder: string): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${holder}`) }).click();
  await expect(page).toHaveURL(/\/bench\?p=/);
  await expect(sheet(page)).toBeVisible();
}

/** Starts an envelope from a square from what goes in. */
export async function beginWithContents(page: Page): Promise<void> {
  await go(page, '/choose?have=contents');
  await takeHolder(page, 'Envelope from a square');
}

export const sheet = (page: Page): Locator => page.getByRole('group', { name: /^The sheet/ });

/** One of the large figures, as a person reads it aloud: `6 in`, `2 5/8 in`. */
export async function figure(page: Page, title: string): Promise<string> {
  const entry = page
    .getByRole('region', { name: 'The answer' })
    .locator('dl > div', { has: page.locator('dt', { hasText: title }) });
  return ((await entry.locator('dd').textContent()) ?? '').replace(/\s+/g, ' ').trim();
}

/** Types into a length field and leaves it. */
export async function setLength(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await field.fill(text);
  await field.press('Enter');
}

/** Takes the file that an action downloads, as text or bytes. */
export async function downloaded(page: Page, action: () => Promise<void>): Promise<{ name: string; bytes: Buffer }> {
  const [download] = await Promise.all([page.waitForEvent('download'), action()]);
  const chunks: Buffer[] = [];
  for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
  return { name: download.suggestedFilename(), bytes: Buffer.concat(chunks) };
}

/** Chooses from “Take it along”. */
export async function takeAlong(page: Page, item: string): Promise<void> {
  await page.getByRole('button', { name: 'Take it along' }).click();
  await page.getByRole('menuitem', { name: item }).click();
}

/** Drags an element by the mouse, in steps as a hand does. */
export async function dragBy(page: Page, grip: Locator, dx: number, dy: number): Promise<void> {
  const box = (await grip.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 1; i <= 8; i++) await page.mouse.move(x + (dx * i) / 8, y + (dy * i) / 8);
  await page.mouse.up();
  // The last move is planned beside the page, and the answer says when it has followed.
  await expect(page.getByRole('region', { name: 'The answer' })).toHaveAttribute('aria-busy', 'false');
}

/** Pulls a card of the shelf over another and lets it go there. */
export async function pullOver(page: Page, name: string, onto: string): Promise<void> {
  const card = (called: string) => page.getByRole('listitem').filter({ has: page.getByRole('link', { name: called }) });
  await expect(card(name).locator('svg').first()).toBeVisible();
  await card(name).scrollIntoViewIfNeeded();
  const [from, to] = [(await card(name).boundingBox())!, (await card(onto).boundingBox())!];
  const [x, y] = [from.x + 60, from.y + 60];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 1; i <= 8; i++) await page.mouse.move(x + ((to.x - from.x) * i) / 8, y + ((to.y - from.y) * i) / 8);
  await page.mouse.up();
}

/** To another place by its link, as a person goes: what was just written has then reached the database. */
export async function goBy(page: Page, place: 'Shelf' | 'Stash' | 'Log'): Promise<void> {
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: place }).click();
  await expect(
    page.getByRole('heading', { name: place === 'Shelf' ? 'On the shelf' : place, exact: true }),
  ).toBeVisible();
}

/** A piece that belongs to no project, mm. */
export interface Extra {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly quantity: number;
}

/** Lays pieces on the cutting table as the app keeps them, and opens it. */
export async function layOnCuttingTable(page: Page, extra: readonly Extra[], more: object = {}): Promise<void> {
  await openShelf(page);
  await page.evaluate(
    async ({ pieces, rest }) => {
      const open = indexedDB.open('tuck-fold');
      const db = await new Promise<IDBDatabase>((done) => (open.onsuccess = () => done(open.result)));
      const write = db.transaction('cuttings', 'readwrite');
      write.objectStore('cuttings').put({
        id: 'table',
        needs: [],
        extra: pieces.map((piece) => ({ ...piece, turn: true })),
        papers: ['demo-paper-night'],
        bought: [],
        cutter: 'guillotine',
        offcutsFirst: true,
        byHand: null,
        cut: null,
        step: 0,
        updatedAt: 1,
        ...rest,
      });
      await new Promise((done) => (write.oncomplete = done));
      db.close();
    },
    { pieces: extra, rest: more },
  );
  await page.goto('/cutting');
}

/** Waits before a make begins until its sheets are laid out: begun earlier, each blank is cut by itself. */
export const sheetsLaid = (page: Page): Promise<void> => expect(page.getByText('Laying out the sheets')).toBeHidden();
