/** Draws the app’s icons anew from src/app/icon.svg: `node scripts/icons.mjs`. */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { chromium as installed } from './install.mjs';

const mark = readFileSync('src/app/icon.svg', 'utf8');
/** A mask may cut off a fifth on every side: the mark stands in the middle of its own ground. */
const KINDS = [
  { file: 'public/icons/icon-192.png', size: 192, inset: 0 },
  { file: 'public/icons/icon-512.png', size: 512, inset: 0 },
  { file: 'public/icons/icon-maskable-512.png', size: 512, inset: 0.14 },
  { file: 'src/app/apple-icon.png', size: 180, inset: 0.06 },
];
mkdirSync('public/icons', { recursive: true });
const browser = await chromium.launch({ executablePath: installed(), args: ['--no-sandbox'] });
const page = await browser.newPage();
for (const { file, size, inset } of KINDS) {
  await page.setViewportSize({ width: size, height: size });
  const drawn = inset > 0 ? mark.replace('rx="6"', 'rx="0"') : mark;
  const side = size * (1 - 2 * inset);
  await page.setContent(
    `<body style="margin:0;background:${inset > 0 ? '#1f5563' : 'transparent'}"><div style="position:absolute;left:${size * inset}px;top:${size * inset}px;width:${side}px;height:${side}px">${drawn}</div>`,
  );
  writeFileSync(file, await page.screenshot({ omitBackground: inset === 0 }));
}
await browser.close();
