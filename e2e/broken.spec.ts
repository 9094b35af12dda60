import { type Page, test as plain } from '@playwright/test';
import { chooseHolder, downloaded, expect, go, openShelf, sheet, test } from './table';

/** Puts records into the database as they are, damaged or not. */
async function put(page: Page, store: string, records: readonly unknown[]): Promise<void> {
  await page.evaluate(
    ([name, all]) =>
      new Promise<void>((done, failed) => {
        const open = indexedDB.open('tuck-fold');
        open.onsuccess = () => {
          const write = open.result.transaction(name as string, 'readwrite');
          for (const record of all as unknown[]) write.objectStore(name as string).put(record);
          write.oncomplete = () => {
            open.result.close();
            done();
          };
          write.onabort = () => failed(write.error);
        };
      }),
    [store, records] as const,
  );
}
const card = { version: 1, construction: 'diagonal-envelope', contents: { width: 76.2, height: 101.6 } };
const whole = { units: 'in', createdAt: 1, updatedAt: 2, deletedAt: 0 };

test('damaged, older and newer projects are set aside or say what they are; the shelf goes on, each can be saved', async ({
  page,
}) => {
  await openShelf(page);
  await put(page, 'projects', [
    { id: 'no-units', name: 'Without units', design: card, updatedAt: 3 },
    { id: 'no-design', name: 'Without a design', ...whole, design: null },
    { id: 'odd', name: 42, ...whole, design: card },
    { id: 'newer', name: 'From next year', ...whole, design: { ...card, version: 2 } },
    { id: 'kite', name: 'A kite', ...whole, design: { ...card, construction: 'kite' } },
    { id: 'old', name: 'Of the first version', ...whole, design: card, writtenBy: 'a page long gone' },
    {
      id: 'mat',
      name: 'A small mat',
      ...whole,
      design: { version: 1, construction: 'flap-mat', contents: { width: 108, height: 50.8 } },
    },
    {
      id: 'narrow',
      name: 'A narrow pocket',
      ...whole,
      design: { version: 1, construction: 'storage-pocket', contents: { width: '3/4 in', height: '4 in' } },
    },
  ]);
  await page.reload();
  await expect(page.getByRole('link', { name: /Star cards/ })).toBeVisible();
  for (const name of ['Of the first version', 'A small mat', 'A narrow pocket'])
    await expect(page.getByRole('link', { name: new RegExp(name) })).toBeVisible();
  for (const [name, why] of [
    [/From next year/, 'It cannot be read: This reads documents of version 1'],
    [/A kite/, 'is not a construction known here'],
  ] as const) {
    const card = page.getByRole('link', { name });
    await card.scrollIntoViewIfNeeded();
    await expect(card).toContainText(why);
  }
  const aside = page.getByRole('region', { name: 'Set aside' });
  await expect(aside).toContainText('Set aside: a project, “Without units”. It cannot be read here.');
  await expect(aside).toContainText('a project, “Without a design”');
  await expect(aside.getByRole('alert')).toHaveCount(3);
  const file = await downloaded(page, () => aside.getByRole('button', { name: 'Save it as a file' }).first().click());
  expect(JSON.parse(file.bytes.toString('utf8'))).toMatchObject({ id: expect.any(String) });
  await aside.getByRole('button', { name: 'Take it out of the way' }).first().click();
  await expect(aside.getByRole('alert')).toHaveCount(2);
  // It is not thrown away.
  await go(page, '/backup');
  await expect(page.getByRole('region', { name: 'Set aside' }).getByRole('listitem')).toHaveCount(1);
  // One that cannot be read still opens, to be taken along.
  await go(page, '/bench?p=kite');
  await expect(page.getByText('This design cannot be read')).toBeVisible();
});

test(
  'damaged records of every other kind are named where they belong, and the screens go on',
  { tag: '@thorough' },
  async ({ page }) => {
    await openShelf(page);
    await put(page, 'makes', [{ id: 'm', projectId: 'demo-1', name: 'Half a make', done: 'seven' }]);
    await put(page, 'log', [{ id: 'l', name: 'Of no day', day: 'yesterday' }]);
    await put(page, 'papers', [{ id: 'p', name: 'Of no size', count: 3 }]);
    await put(page, 'cuts', [{ id: 'c', name: 'A cut', at: 'noon' }]);
    await put(page, 'cuttings', [{ id: 'table', needs: 'many' }]);
    await put(page, 'settings', [
      { key: 'toolbox', value: [{ kind: 'laser' }] },
      { key: 'units', value: 'furlongs' },
      { key: 'size-chart', value: { cards: 3 } },
    ]);
    for (const [address, name, still] of [
      ['/', 'a make, “Half a make”', 'On the shelf'],
      ['/log', 'an entry of the log, “Of no day”', 'What the fits say'],
      ['/stash', 'a paper, “Of no size”', 'Midnight cardstock'],
      ['/stash', 'a cutting, “A cut”', 'Paper saved'],
      ['/tools', 'a setting', 'Envelope boards'],
    ] as const) {
      await go(page, address);
      await expect(page.getByText(`Set aside: ${name}`).first(), address).toBeVisible();
      await expect(page.getByText(still).first()).toBeVisible();
    }
    // A table that cannot be read begins empty; what lay on it is set aside when it is used again.
    await go(page, '/cutting');
    await page.getByRole('button', { name: 'Add a piece' }).click();
    await expect(page.getByLabel('Name of piece 1')).toHaveValue('Piece 1');
    await go(page, '/tools');
    await page.getByLabel('Name of Trimmer').fill('Blue trimmer');
    await expect(page.getByText('Set aside: a setting').first()).toBeVisible();
    await go(page, '/backup');
    const aside = page.getByRole('region', { name: 'Set aside' });
    await expect(aside).toContainText('what lay on a cutting table');
    await expect(aside).toContainText('a setting');
  },
);

/** These break the browser under the page on purpose: what it then tells its console is not the page's. */
const broken = plain.extend({});

broken('where the browser gives no storage, a sentence says so, and finding a holder still works', async ({ page }) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('The operation is insecure.', 'SecurityError');
    };
  });
  for (const address of [
    '/',
    '/bench?p=demo-1',
    '/make?p=demo-1',
    '/cutting',
    '/stash',
    '/tools',
    '/tools/try',
    '/log',
    '/backup',
  ]) {
    await go(page, address);
    await expect(page.getByText('This browser gives the page no storage').first(), address).toBeVisible();
    await expect(page.locator('.ant-spin-spinning'), address).toHaveCount(0);
    await expect(page.getByText('insecure')).toHaveCount(0);
  }
  await page.getByRole('link', { name: 'What can hold this?' }).click();
  await expect(page.getByRole('button', { name: /^Envelope from a square/ })).toBeVisible();
  await go(page, '/holders/sleeve');
  await expect(page.getByText('Every choice')).toBeVisible();
});

broken(
  'storage that never answers is told of within seconds, and taken up when it does',
  { tag: '@thorough' },
  async ({ page }) => {
    await page.addInitScript(() => {
      const open = Reflect.get(IDBFactory.prototype, 'open') as IDBFactory['open'];
      let first: (() => void) | null = null;
      Object.assign(window, { answer: () => first?.() });
      IDBFactory.prototype.open = function (this: IDBFactory, ...args) {
        const request = open.apply(this, args);
        let handler: ((event: Event) => unknown) | null = null;
        Object.defineProperty(request, 'onsuccess', {
          set: (next: typeof handler) => {
            handler = next;
            request.addEventListener('success', (event) => {
              first = () => handler?.call(request, event);
            });
          },
          get: () => handler,
        });
        return request;
      };
    });
    await go(page, '/stash');
    await expect(page.getByText('The browser’s storage does not answer.').first()).toBeVisible({ timeout: 12_000 });
    await page.evaluate(() => (window as unknown as { answer: () => void }).answer());
    await expect(page.getByText('Midnight cardstock').first()).toBeVisible();
  },
);

broken('a full disk is told of, and what was typed meanwhile is kept once there is room', async ({ page, baseURL }) => {
  const client = await page.context().newCDPSession(page);
  await client.send('Storage.overrideQuotaForOrigin', { origin: baseURL!, quotaSize: 4_000_000 });
  await go(page, '/bench?p=demo-1');
  const width = page.getByLabel('Width', { exact: true });
  await expect(width).toBeVisible();
  // What is left of the browser’s own limit is filled up, as another program fills a disk.
  const fill = (much: boolean): Promise<unknown> =>
    page.evaluate(async (on) => {
      if (!on) return new Promise((done) => (indexedDB.deleteDatabase('filler').onsuccess = done));
      const filler = await new Promise<IDBDatabase>((done) => {
        const open = indexedDB.open('filler', 1);
        open.onupgradeneeded = () => open.result.createObjectStore('bytes', { autoIncrement: true });
        open.onsuccess = () => done(open.result);
      });
      const put = (bytes: number): Promise<boolean> =>
        new Promise((done) => {
          const write = filler.transaction('bytes', 'readwrite');
          for (let left = bytes; left > 0; left -= 65_536)
            write.objectStore('bytes').put(crypto.getRandomValues(new Uint8Array(Math.min(left, 65_536))));
          write.oncomplete = () => done(true);
          write.onabort = () => done(false);
        });
      for (const size of [400_000, 50_000, 6000, 700, 90]) while (await put(size));
      filler.close();
    }, much);
  await fill(true);
  await width.fill('3 1/4 in');
  await page.getByLabel('Name of the project').fill('Typed without room');
  await expect(page.getByText('Your last changes are not kept yet: the browser has no room left.')).toBeVisible();
  await expect(width).toHaveValue('3 1/4 in');
  await fill(false);
  await expect(page.getByText('Your last changes are not kept yet')).toBeHidden({ timeout: 60_000 });
  await page.reload();
  await expect(width).toHaveValue('3 1/4 in');
  await expect(page.getByLabel('Name of the project')).toHaveValue('Typed without room');
});

broken('data of a newer version is not opened, and says so', async ({ page, context }) => {
  const other = await context.newPage();
  await go(other, '/api/ping');
  await other.evaluate(
    () =>
      new Promise<void>((done) => {
        const open = indexedDB.open('tuck-fold', 90);
        open.onupgradeneeded = () =>
          open.result.createObjectStore('projects', { keyPath: 'id' }).put({ id: 'x', hats: 3 });
        open.onsuccess = () => {
          open.result.close();
          done();
        };
      }),
  );
  await go(page, '/');
  await expect(page.getByText('What is kept here was written by a newer version of Tuck Fold.').first()).toBeVisible();
  expect(
    await other.evaluate(async () => (await indexedDB.databases()).map(({ name, version }) => [name, version])),
  ).toEqual([['tuck-fold', 90]]);
});

broken(
  'an older window holds the data: this one says so, and goes on when that is closed',
  { tag: '@thorough' },
  async ({ page, context }) => {
    const older = await context.newPage();
    await older.goto('/api/ping');
    await older.evaluate(
      () =>
        new Promise<void>((done) => {
          const open = indexedDB.open('tuck-fold', 30);
          open.onupgradeneeded = () => {
            for (const name of ['projects', 'makes', 'log', 'photos', 'papers', 'cuttings', 'cuts'])
              open.result.createObjectStore(name, { keyPath: 'id' });
            const settings = open.result.createObjectStore('settings', { keyPath: 'key' });
            settings.put({ key: 'demo-shelf', value: 1 });
          };
          // As an old page that never heard of closing.
          open.onsuccess = () => {
            Object.assign(window, { held: open.result });
            done();
          };
        }),
    );
    await go(page, '/');
    await expect(page.getByText('Another window still works with an older version of Tuck Fold.').first()).toBeVisible({
      timeout: 12_000,
    });
    await older.close();
    await expect(page.getByText('The shelf is empty.')).toBeVisible();
  },
);

broken('without workers a sentence says what still works', async ({ page }) => {
  await page.addInitScript(() => {
    Reflect.deleteProperty(window, 'Worker');
  });
  await go(page, '/choose?have=contents');
  await expect(page.getByText('This browser runs nothing beside the page, and this work needs it.')).toBeVisible();
  await go(page, '/bench?p=demo-1');
  await expect(sheet(page)).toBeVisible();
  await page.getByRole('button', { name: 'Take it along' }).click();
  await page.getByRole('menuitem', { name: 'Print at true size on A4 (PDF)' }).click();
  await expect(page.getByText(/The PDF could not be made: This browser runs nothing beside the page/)).toBeVisible();
  await go(page, '/backup');
  // A backup is the last thing that may fail: it is zipped in the page.
  await downloaded(page, () => page.getByRole('button', { name: 'Save a backup' }).click());
});

broken(
  'a worker that cannot be loaded, or says nothing, is told of within seconds',
  { tag: '@thorough' },
  async ({ page }) => {
    await page.route(/turbopack-worker/, (route) => route.abort());
    await go(page, '/choose?have=contents');
    await expect(page.getByText('could not be loaded or broke off')).toBeVisible();
    await page.unroute(/turbopack-worker/);
    await page.addInitScript(() => {
      // A worker that is there and dumb.
      Object.assign(window, {
        Worker: class extends EventTarget {
          postMessage(): void {}
          terminate(): void {}
        },
      });
    });
    await go(page, '/choose?have=contents');
    await expect(page.getByText('does not answer yet')).toBeVisible({ timeout: 12_000 });
    await go(page, '/cutting');
    await expect(page.getByText('does not answer yet')).toBeVisible({ timeout: 14_000 });
  },
);

broken(
  'without WebAssembly there is a first answer, and it says that no better one is looked for',
  async ({ page }) => {
    await page.route(/\.wasm$/, (route) => route.abort());
    await go(page, '/cutting');
    await expect(page.getByText('This browser cannot run the solver')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Mark as cut' })).toBeVisible();
  },
);

broken('a part that is missing after a new version: a sentence and the way on; the rest stays', async ({ page }) => {
  await go(page, '/bench?p=demo-1');
  await expect(sheet(page)).toBeVisible();
  await page.route('**/_next/static/chunks/**', (route) => route.abort());
  await page.getByRole('radiogroup', { name: 'View' }).getByText('Cutting', { exact: true }).click();
  await expect(page.getByText(/could not be loaded. The connection is gone, or a newer version is out/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Load the page again' })).toBeVisible();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('3 in');
  await page.unroute('**/_next/static/chunks/**');
  await page.getByRole('button', { name: 'Load the page again' }).click();
  await expect(sheet(page)).toBeVisible();
});

broken(
  'a drawing that throws takes no more than its place: the card says so, can be taken along and put in the bin',
  async ({ page }) => {
    await openShelf(page);
    await put(page, 'projects', [{ id: 'breaks', name: 'A broken one', ...whole, design: card }]);
    await page.addInitScript(() => {
      // This name breaks what draws it, as an unforeseen fault would.
      const trim = Reflect.get(String.prototype, 'trim') as () => string;
      String.prototype.trim = function (this: string) {
        if (String(this) === 'A broken one') throw new Error('raw words of the browser');
        return trim.call(this);
      };
    });
    await page.reload();
    const broke = page.getByRole('alert').filter({ hasText: '“A broken one” cannot be shown' });
    await expect(broke).toBeVisible();
    await expect(page.getByRole('link', { name: /Star cards/ })).toBeVisible();
    await expect(page.getByText('raw words')).toHaveCount(0);
    await broke.getByRole('button', { name: 'Put it in the bin' }).click();
    await expect(broke).toHaveCount(0);
    await expect(page.getByText('In the bin: 1')).toBeVisible();
  },
);

test('names of any alphabet are printed, and what cannot be is said', { tag: '@thorough' }, async ({ page }) => {
  await chooseHolder(page, /something to put in/, 'Sleeve');
  const print = async (name: string): Promise<void> => {
    await page.getByLabel('Name of the project').fill(name);
    await page.getByRole('button', { name: 'Take it along' }).click();
    await downloaded(page, () => page.getByRole('menuitem', { name: 'Print at true size on A4 (PDF)' }).click());
  };
  await print('Ζωή, Жук, Łódź');
  await expect(page.getByText('No font here has')).toHaveCount(0);
  await print('月と星');
  await expect(page.getByText('No font here has the signs 月 と 星')).toBeVisible();
});
