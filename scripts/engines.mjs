/**
 * The main walk in the other engines that tablets and tables have: Firefox (Debian’s firefox-esr, by WebDriver BiDi) and WebKit
 * (Debian’s webkit2gtk-driver, by WebDriver): `npm run build && npm run engines`, or `-- firefox`, `-- private`, `-- webkit` for one. What is missing is
 * installed by apt where that is allowed. It is no part of the whole check.
 */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const PORT = 4390;
const BASE = `http://localhost:${PORT}`;
const PATIENCE = 60_000;
const pause = (ms) => new Promise((wake) => setTimeout(wake, ms));

function needs(path, ...packages) {
  if (existsSync(path)) return;
  const root = process.getuid?.() === 0 ? [] : ['sudo', '-n'];
  const [command, ...args] = [...root, 'apt-get', 'install', '-y', '-qq', '--no-install-recommends', ...packages];
  spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
  if (!existsSync(path)) throw new Error(`${path} is missing: install ${packages.join(' and ')}.`);
}

/** A window of Firefox: opens, runs a function in the page, types. */
async function firefox(extraPrefsFirefox = {}) {
  needs('/usr/bin/firefox-esr', 'firefox-esr');
  const { default: puppeteer } = await import('puppeteer-core');
  const browser = await puppeteer.launch({
    browser: 'firefox',
    executablePath: '/usr/bin/firefox-esr',
    headless: true,
    extraPrefsFirefox,
    env: { ...process.env, HOME: mkdtempSync(join(tmpdir(), 'tuck-fold-firefox-')) },
  });
  const windowOf = (page) => ({
    open: (path) => page.goto(`${BASE}${path}`, { timeout: PATIENCE }),
    run: (what, ...args) => page.evaluate(what, ...args),
    type: (text) => page.keyboard.type(text),
    press: (key) => page.keyboard.press(key),
    another: async () => windowOf(await browser.newPage()),
    front: () => page.bringToFront(),
  });
  return { name: await browser.version(), window: windowOf(await browser.newPage()), end: () => browser.close() };
}

/** A window of WebKit, the same. */
async function webkit() {
  needs('/usr/bin/WebKitWebDriver', 'webkit2gtk-driver', 'xvfb');
  needs('/usr/bin/Xvfb', 'xvfb');
  const browserAt = readdirSync('/usr/lib/x86_64-linux-gnu')
    .filter((name) => name.startsWith('webkit2gtk-4'))
    .map((name) => `/usr/lib/x86_64-linux-gnu/${name}/MiniBrowser`)
    .find((path) => existsSync(path));
  const screen = spawn('Xvfb', [':97', '-screen', '0', '1280x900x24'], { stdio: 'ignore' });
  await pause(1000);
  const driver = spawn('WebKitWebDriver', ['--port=4391', '--host=127.0.0.1'], {
    stdio: 'ignore',
    env: { ...process.env, DISPLAY: ':97', WEBKIT_DISABLE_COMPOSITING_MODE: '1' },
  });
  await pause(1000);
  const { Builder, Capabilities, Key } = await import('selenium-webdriver');
  const web = await new Builder()
    .usingServer('http://127.0.0.1:4391')
    .withCapabilities(
      new Capabilities({
        browserName: 'MiniBrowser',
        'webkitgtk:browserOptions': { binary: browserAt, args: ['--automation'] },
      }),
    )
    .build();
  await web.manage().setTimeouts({ script: PATIENCE });
  const windowOf = (handle) => {
    const front = () => web.switchTo().window(handle);
    const keys = async (text) => {
      await front();
      await web.actions().sendKeys(text).perform();
    };
    return {
      open: async (path) => {
        await front();
        await web.get(`${BASE}${path}`);
      },
      run: async (what, ...args) => {
        await front();
        const text = `const done = arguments[arguments.length - 1]; Promise.resolve((${what})(...[...arguments].slice(0, -1))).then((value) => done({ value }), (error) => done({ error: String(error) }));`;
        const { value, error } = await web.executeAsyncScript(text, ...args);
        if (error) throw new Error(error);
        return value;
      },
      type: keys,
      press: (key) => keys({ PageDown: Key.PAGE_DOWN, Tab: Key.TAB, Enter: Key.ENTER }[key]),
      another: async () => {
        await web.switchTo().newWindow('tab');
        return windowOf(await web.getWindowHandle());
      },
      front,
    };
  };
  const capabilities = await web.getCapabilities();
  return {
    name: `WebKitGTK ${capabilities.get('browserVersion')}`,
    window: windowOf(await web.getWindowHandle()),
    end: async () => {
      await web.quit().catch(() => undefined);
      driver.kill();
      screen.kill();
    },
  };
}

async function served() {
  const server = spawn(process.execPath, ['scripts/serve.mjs', String(PORT)], { stdio: 'ignore' });
  for (let tries = 0; ; tries++) {
    if (
      await fetch(`${BASE}/api/ping`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      return server;
    if (tries === 100) throw new Error('Nothing answers: is the app built?');
    await pause(200);
  }
}

/** Asks the page again and again until it says what is wanted. */
async function until(window, what, ...args) {
  const begun = Date.now();
  for (;;) {
    const found = await window.run(what, ...args).catch(() => null);
    if (found) return found;
    if (Date.now() - begun > PATIENCE) throw new Error(`it never came: ${args.join(', ') || what}`);
    await pause(200);
  }
}
const sees = (window, text) => until(window, (wanted) => document.body.innerText.includes(wanted), text);
/** Presses what is a button or a link by its name. */
const press = (window, name) =>
  until(
    window,
    (wanted) => {
      const named = (one) => (one.getAttribute('aria-label') ?? one.innerText ?? '').trim();
      const found = [...document.querySelectorAll('button, a, [role="menuitem"], label')].find(
        (one) => !one.disabled && one.offsetParent !== null && named(one).startsWith(wanted),
      );
      found?.click();
      return found !== undefined;
    },
    name,
  );
/** Types over what stands in a field. */
async function fill(window, label, text) {
  await until(
    window,
    (wanted) => {
      const found = [...document.querySelectorAll('input')].find(
        (one) =>
          one.offsetParent !== null &&
          (one.getAttribute('aria-label') ?? one.labels?.[0]?.innerText ?? '').trim() === wanted,
      );
      found?.focus();
      found?.select();
      return found !== undefined;
    },
    label,
  );
  await window.type(text);
  await window.press('Tab');
}
const holds = (window, label, text) =>
  until(
    window,
    (wanted, value) =>
      [...document.querySelectorAll('input')].some(
        (one) =>
          (one.getAttribute('aria-label') ?? one.labels?.[0]?.innerText ?? '').trim() === wanted && one.value === value,
      ),
    label,
    text,
  );
/** What the next file that is handed out begins with, and the file itself kept in the page. */
const handedOut = (window) =>
  window.run(() => {
    const make = URL.createObjectURL;
    window.handed = null;
    URL.createObjectURL = (blob) => {
      window.handed = blob;
      return make.call(URL, blob);
    };
  });
const beginning = (window) =>
  until(window, async () =>
    window.handed ? String.fromCharCode(...new Uint8Array(await window.handed.slice(0, 5).arrayBuffer())) : null,
  );

/** The walk: each step with its name; the first that fails ends it. */
const WALK = [
  [
    'a first envelope, sized and on the bench',
    async (window) => {
      await window.open('/choose?have=contents');
      await fill(window, 'Width', '3 1/4 in');
      await press(window, 'Envelope from a square');
      await sees(window, 'Cut a square');
      await holds(window, 'Width', '3 1/4 in');
    },
  ],
  [
    'a make whose place is kept over a reload',
    async (window) => {
      await window.open('/make?p=demo-2');
      await press(window, 'Begin');
      await sees(window, 'Step 1');
      await window.press('PageDown');
      await sees(window, 'Step 2');
      await window.open('/make?p=demo-2');
      await sees(window, 'Step 2');
    },
  ],
  [
    'a sheet that went wrong',
    async (window) => {
      await window.open('/rescue?p=demo-1');
      await sees(window, 'What is wrong?');
      await until(window, () => document.querySelector('svg[aria-label^="The sheet as it is"]') !== null);
    },
  ],
  [
    'two windows on one thing',
    async (window) => {
      await window.open('/bench?p=demo-1');
      await sees(window, 'Cut a');
      const other = await window.another();
      await other.open('/bench?p=demo-1');
      await fill(other, 'Name of the project', 'Seen in both');
      await window.front();
      await holds(window, 'Name of the project', 'Seen in both');
    },
  ],
  [
    'printed: a PDF from its worker',
    async (window) => {
      await window.open('/bench?p=demo-1');
      await sees(window, 'Cut a');
      await handedOut(window);
      await press(window, 'Take it along');
      await press(window, 'Print at true size on A4');
      if ((await beginning(window)) !== '%PDF-') throw new Error('what was handed out is no PDF');
    },
  ],
  [
    'a backup is saved, and read again',
    async (window) => {
      await window.open('/backup');
      await sees(window, 'What is kept here');
      await handedOut(window);
      await press(window, 'Save a backup');
      if (!(await beginning(window)).startsWith('PK')) throw new Error('what was handed out is no backup');
      await window.run(() => {
        const files = new DataTransfer();
        files.items.add(new File([window.handed], 'backup.zip', { type: 'application/zip' }));
        const input = document.querySelector('input[type="file"]');
        input.files = files.files;
        input.dispatchEvent(new Event('change', { bubbles: true }));
      });
      await sees(window, 'are here just the same');
    },
  ],
  [
    'without a network',
    async (window, server) => {
      await window.open('/');
      await until(window, async () => (await navigator.serviceWorker.ready).active?.state === 'activated');
      await until(window, () => navigator.serviceWorker.controller !== null);
      server.kill();
      await pause(500);
      await window.open('/tools');
      await sees(window, 'Envelope boards');
      await window.open('/bench?p=demo-1');
      await sees(window, 'Cut a');
      await holds(window, 'Name of the project', 'Seen in both');
    },
  ],
];

/** A private window keeps nothing when it is closed; while it is open everything goes on. It keeps no app for use without a network. */
const privateFirefox = () => firefox({ 'browser.privatebrowsing.autostart': true });
const ENGINES = { firefox, private: privateFirefox, webkit };
const asked = process.argv[2] ? [process.argv[2]] : Object.keys(ENGINES);
let failed = 0;
for (const which of asked) {
  const server = await served();
  const { name, window, end } = await ENGINES[which]();
  console.log(`\n${name}${which === 'private' ? ', a private window' : ''}`);
  for (const [what, step] of which === 'private' ? WALK.slice(0, -1) : WALK) {
    const begun = Date.now();
    try {
      await step(window, server);
      console.log(`  passed  ${what} (${((Date.now() - begun) / 1000).toFixed(1)} s)`);
    } catch (error) {
      failed++;
      console.log(`  FAILED  ${what}: ${String(error).split('\n')[0]}`);
    }
  }
  await end();
  server.kill();
}
process.exit(failed > 0 ? 1 : 0);
