/** What the two commands need before they can start. Uses nothing but Node, npm and apt, so it runs on a fresh machine. */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';

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

/** Where a Chromium is that the browser tests can drive; installs Debian's through apt where that is allowed. */
export function chromium() {
  const here = [process.env.CHROMIUM, '/usr/bin/chromium', '/usr/bin/chromium-browser'].find(
    (path) => path && existsSync(path),
  );
  if (here) return here;
  const asRoot = process.getuid?.() === 0;
  const maySudo = !asRoot && spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0;
  const apt = (...args) => (asRoot ? ['apt-get', args] : ['sudo', ['-n', 'apt-get', ...args]]);
  if ((asRoot || maySudo) && existsSync('/usr/bin/apt-get')) {
    console.log('Installing Chromium …');
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    for (const args of [
      ['update', '-qq'],
      ['install', '-y', '-qq', '--no-install-recommends', 'chromium'],
    ])
      spawnSync(...apt(...args), { stdio: 'inherit', env });
    if (existsSync('/usr/bin/chromium')) return '/usr/bin/chromium';
  }
  console.error(
    'The browser tests need Chromium and it could not be installed from here. ' +
      'Install it with “sudo apt-get install chromium”, or name one that is there: CHROMIUM=/path/to/chromium npm test',
  );
  process.exit(1);
}
