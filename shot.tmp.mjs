import { chromium } from '@playwright/test';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const [,, ...jobs] = process.argv;
for (const job of jobs) {
  const [path, file, w='1280', h='800', scheme='light', full=''] = job.split('|');
  const ctx = await b.newContext({ viewport: { width: +w, height: +h }, colorScheme: scheme, reducedMotion: 'reduce', serviceWorkers: 'block' });
  const p = await ctx.newPage(); p.on('console', m => m.type()==='error' && console.log('console', m.text()));
  await p.goto('http://localhost:3100' + path); await p.waitForTimeout(2500);
  await p.screenshot({ path: file, fullPage: full === 'full' }); await ctx.close();
}
await b.close();
