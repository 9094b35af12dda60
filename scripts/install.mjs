/** What the two commands need before they can start. Uses nothing but Node, npm and apt, so it runs on a fresh machine. */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const STAMP = 'node_modules/.installed';
const OLDEST_NODE = [20, 20];

/** Runs a command with its output shown; stops the script with a sentence when it fails. */
export function run(command, args, { env = {}, sentence } = {}) {
  const { status, error } = spawnSync(command, args, {
    stdio: 'inherit',
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
  });
  if (status === 0) return;
  console.error(`\n${sentence ?? `“${command} ${args.join(' ')}” failed`}${error ? ` (${error.message})` : ''}.`);
  process.exit(status ?? 1);
}

/** Installs the packages of the lock file, unless exactly these are there already. */
export function installPackages() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < OLDEST_NODE[0] || (major === OLDEST_NODE[0] && minor < OLDEST_NODE[1])) {
    console.error(`Node ${OLDEST_NODE.join('.')} or newer is needed; this is ${process.versions.node}.`);
    process.exit(1);
  }
  const lock = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return;
  console.log('Installing packages …');
  run('npm', ['ci', '--include=dev', '--no-audit', '--no-fund', '--loglevel=error'], {
    sentence: 'The packages could not be installed. The npm registry must be reachable for this',
  });
  writeFileSync(STAMP, lock);
}

/** Debian's packages that hold a Chromium without a window, the lighter first: a page loads in two thirds of the time. */
const BROWSERS = ['chromium-headless-shell', 'chromium'];

/** Where a Chromium is that the browser tests can drive; installs Debian's through apt where that is allowed. */
export function chromium() {
  if (process.env.CHROMIUM) return process.env.CHROMIUM;
  const [lightest] = BROWSERS;
  const found = () => BROWSERS.map((name) => `/usr/bin/${name}`).find((path) => existsSync(path));
  if (found() === `/usr/bin/${lightest}`) return found();
  const asRoot = process.getuid?.() === 0;
  const maySudo = !asRoot && spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0;
  if ((asRoot || maySudo) && existsSync('/usr/bin/apt-get')) {
    const apt = (...args) => {
      const [command, ...rest] = [...(asRoot ? [] : ['sudo', '-n']), 'apt-get', ...args];
      const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
      return spawnSync(command, rest, { stdio: 'inherit', env }).status === 0;
    };
    console.log(`The browser tests need a browser: installing Debian's package ${lightest} by apt …`);
    apt('update', '-qq');
    BROWSERS.some((name) => apt('install', '-y', '-qq', '--no-install-recommends', name));
  }
  if (found()) return found();
  console.error(
    'The browser tests need Chromium and it could not be installed from here. ' +
      `Install it with “sudo apt-get install ${lightest}”, or name one that is there: CHROMIUM=/path/to/chromium npm test`,
  );
  process.exit(1);
}

// `node scripts/install.mjs browser`: the browser alone, for a check that does other things meanwhile.
if (process.argv[1] === fileURLToPath(import.meta.url) && process.argv[2] === 'browser') console.log(chromium());
