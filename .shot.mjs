import { chromium } from '@playwright/test';
const [,, path, out, w='1280', h='800', ...acts] = process.argv;
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync'] });
const c = await b.newContext({ viewport: { width: +w, height: +h }, colorScheme: process.env.DARK ? 'dark':'light' });
const p = await c.newPage();
p.on('console', m => ['error','warning'].includes(m.type()) && console.log('CONSOLE', m.type(), m.text().slice(0,300)));
p.on('pageerror', e => console.log('PAGEERROR', e.message.slice(0,500)));
await p.goto('http://localhost:4310' + path); await p.waitForTimeout(1800);
for (const a of acts) { const [k, ...v] = a.split('='); const val = v.join('=');
 if (k==='click') await p.getByText(val, {exact:true}).first().click(); if (k==='role') {const [r,n]=val.split(':'); await p.getByRole(r,{name:n}).first().click();} if (k==='key') await p.keyboard.press(val); if(k==='full') {} await p.waitForTimeout(700); }
await p.screenshot({ path: out, fullPage: acts.includes('full') });
await b.close();
