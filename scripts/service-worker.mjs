/** After `next build`: writes public/sw.js, which keeps every page and file of this build for use without a network. */
import { createHash } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, sep } from 'node:path';
import { injectManifest } from '@serwist/build';
import { build } from 'esbuild';

const PAGES = '.next/server/app';
/** The compiled solver alone has 3.5 MB. */
const LARGEST = 8 * 1024 * 1024;

const walk = (folder) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? walk(path) : [path];
  });
const revisionOf = (file) => createHash('sha256').update(readFileSync(file)).digest('hex').slice(0, 16);

/** Every page there is, at its address, by what stands in it. */
const pages = walk(PAGES)
  .filter((file) => file.endsWith('.html'))
  .map((file) => ({
    url: `/${file
      .slice(PAGES.length + 1, -'.html'.length)
      .split(sep)
      .join('/')}`.replace(/^\/index$/, '/'),
    revision: revisionOf(file),
  }))
  // Pages of errors have no address of their own.
  .filter(({ url }) => !url.startsWith('/_'));
const files = [
  { url: '/manifest.webmanifest', revision: revisionOf(`${PAGES}/manifest.webmanifest.body`) },
  ...walk('public')
    .filter((file) => !file.endsWith('sw.js'))
    .map((file) => ({ url: `/${file.slice('public/'.length).split(sep).join('/')}`, revision: revisionOf(file) })),
];

const folder = mkdtempSync(join(tmpdir(), 'tuck-fold-'));
const bundled = join(folder, 'sw.js');
await build({
  entryPoints: ['src/workers/offline.sw.ts'],
  outfile: bundled,
  bundle: true,
  minify: true,
  target: 'es2022',
  format: 'esm',
  define: { 'process.env.NODE_ENV': '"production"' },
});
const { count, size, warnings } = await injectManifest({
  swSrc: bundled,
  swDest: 'public/sw.js',
  globDirectory: '.next/static',
  globPatterns: ['**/*.{js,css,woff,woff2,wasm}'],
  modifyURLPrefix: { '': '/_next/static/' },
  // These names carry what is in them.
  dontCacheBustURLsMatching: /./,
  maximumFileSizeToCacheInBytes: LARGEST,
  additionalPrecacheEntries: [...pages, ...files],
});
rmSync(folder, { recursive: true });
if (warnings.length > 0) throw new Error(warnings.join('\n'));
console.log(`Without a network: ${count} files, ${(size / 1e6).toFixed(1)} MB, ${pages.length} pages`);
