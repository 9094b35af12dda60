/** Runs a benchmark bundled as the app bundles it: `npm run bench plan`. (A loader that transpiles on the fly would slow it.) */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';

const name = process.argv[2] ?? 'plan';
const folder = mkdtempSync(join('node_modules', '.bench-'));
const outfile = join(folder, `${name}.cjs`);
await build({
  entryPoints: [`bench/${name}.ts`],
  outfile,
  bundle: true,
  platform: 'node',
  format: 'cjs',
  // The solver finds its compiled part beside itself, and the browser's driver its own.
  external: ['highs', '@playwright/test'],
  mainFields: ['module', 'main'],
  logLevel: 'error',
});
const { status } = spawnSync(process.execPath, [outfile, ...process.argv.slice(3)], { stdio: 'inherit' });
rmSync(folder, { recursive: true });
process.exit(status ?? 1);
