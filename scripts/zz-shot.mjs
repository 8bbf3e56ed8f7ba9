import { chromium } from '@playwright/test';
import { launchOptions, serveDemo } from './setup.mjs';
const [script, w = '1280', h = '800', look] = process.argv.slice(2);
const { base, stop } = await serveDemo();
const browser = await chromium.launch(launchOptions());
const ctx = await browser.newContext({ viewport: { width: +w, height: +h }, colorScheme: look === 'dark' ? 'dark' : 'light' });
const page = await ctx.newPage();
page.on('pageerror', (e) => console.log('ERR', e.message));
page.on('console', (m) => m.type() === 'error' && console.log('CON', m.text()));
await page.goto(base); await page.getByRole('button', { name: 'I have read this' }).click();
for (const shot of script.split(';')) {
  const [path, name, ...acts] = shot.split('|');
  if (path) { await page.goto(base + path); await page.getByRole('heading').first().waitFor(); await page.waitForTimeout(1200); }
  for (const a of acts) {
    if (a.startsWith('key:')) await page.keyboard.press(a.slice(4));
    else if (a.startsWith('wait:')) await page.waitForTimeout(+a.slice(5));
    else if (a.startsWith('fill:')) { const [l, v] = a.slice(5).split('='); await page.getByLabel(l).first().fill(v); }
    else if (a.startsWith('text:')) await page.getByText(a.slice(5)).first().click();
    else await page.getByRole('button', { name: new RegExp(a) }).first().click();
    await page.waitForTimeout(250);
  }
  await page.screenshot({ path: `/tmp/${name}.png` });
}
await browser.close(); stop();
