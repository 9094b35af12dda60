/**
 * Runs a benchmark bundled as the app bundles it: `npm run bench plan`. (A loader that transpiles on the fly would slow it.)
 * `FEW=1 npm run bench all` runs just enough of each to see that it still runs.
 */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';

/** What benchmarks share. */
const SHARED = ['few', 'lists', 'served'];
const asked = process.argv[2] ?? 'plan';
const names =
  asked === 'all'
    ? readdirSync('bench').flatMap((file) => (file.endsWith('.ts') ? [file.slice(0, -'.ts'.length)] : []))
    : [asked];
const folder = mkdtempSync(join('node_modules', '.bench-'));
let failed = 0;
for (const name of names.filter((one) => !SHARED.includes(one))) {
  const outfile = join(folder, `${name}.cjs`);
  await build({
    entryPoints: [`bench/${name}.ts`],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    // The solver finds its compiled part beside itself, and the browser's driver its own.
    external: ['highs', '@playwright/test', 'typescript'],
    mainFields: ['module', 'main'],
    logLevel: 'error',
  });
  const begun = Date.now();
  const { status } = spawnSync(process.execPath, [outfile, ...process.argv.slice(3)], { stdio: 'inherit' });
  if (names.length > 1)
    console.log(`${status === 0 ? '' : 'FAILED: '}${name} (${((Date.now() - begun) / 1000).toFixed(1)} s)\n`);
  if (status !== 0) failed = status ?? 1;
}
rmSync(folder, { recursive: true });
process.exit(failed);
