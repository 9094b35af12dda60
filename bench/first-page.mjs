/**
 * Script that the first page loads, gzipped, beside an empty page with the same component library, which is built here
 * in a folder of its own: `npm run build && npm run bench:page`.
 */
import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { gzipSync } from 'node:zlib';

/** Bytes of every script a prerendered page asks for, gzipped at the best level. */
function scripts(build, page) {
  const html = readFileSync(`${build}/server/app/${page}.html`, 'utf8');
  const tags = [...html.matchAll(/<script[^>]*\ssrc="\/_next\/([^"?]+)[^>]*>/g)].filter(
    ([tag]) => !tag.includes('noModule'),
  );
  const files = [...new Set(tags.map(([, file]) => file))];
  return files.reduce((sum, file) => sum + gzipSync(readFileSync(`${build}/${file}`), { level: 9 }).length, 0);
}

const empty = resolve('node_modules/.empty-page');
rmSync(empty, { recursive: true, force: true });
mkdirSync(`${empty}/src/app`, { recursive: true });
symlinkSync(resolve('node_modules'), `${empty}/node_modules`);
cpSync('package.json', `${empty}/package.json`);
writeFileSync(`${empty}/next.config.mjs`, `export default { turbopack: { root: ${JSON.stringify(resolve('.'))} } };\n`);
const tags =
  "import { AntdRegistry } from '@ant-design/nextjs-registry';\nimport { App, ConfigProvider } from 'antd';\n";
writeFileSync(
  `${empty}/src/app/layout.jsx`,
  `'use client';\n${tags}export default function Layout({ children }) {\n  return <html lang="en"><body><AntdRegistry><ConfigProvider><App>{children}</App></ConfigProvider></AntdRegistry></body></html>;\n}\n`,
);
writeFileSync(
  `${empty}/src/app/page.jsx`,
  "'use client';\nimport { App, Button, Dropdown, Input, Modal, Spin, Tooltip } from 'antd';\nexport default function Page() {\n  App.useApp();\n  return <main><Tooltip title=\"x\"><Dropdown menu={{ items: [] }}><Button>x</Button></Dropdown></Tooltip><Input /><Modal /><Spin /></main>;\n}\n",
);
const { status, stdout, stderr } = spawnSync(process.execPath, [resolve('node_modules/next/dist/bin/next'), 'build'], {
  cwd: empty,
  encoding: 'utf8',
  env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' },
});
if (status !== 0) throw new Error(`the empty page could not be built: ${stdout}${stderr}`);
const [bare, first, bench] = [scripts(`${empty}/.next`, 'index'), scripts('.next', 'index'), scripts('.next', 'bench')];
rmSync(empty, { recursive: true, force: true });
const line = (what, bytes) =>
  `${what}: ${(bytes / 1024).toFixed(0)} kB, ${(bytes / bare).toFixed(2)} of the empty page`;
console.log([line('empty page with the same components', bare), line('shelf', first), line('bench', bench)].join('\n'));
