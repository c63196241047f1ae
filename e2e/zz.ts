import { openBrowser } from '/work/main/e2e/browser.ts';
import { openTable } from '/work/main/e2e/testTable.ts';
const [,, path='clay', w='1280', h='800', out='/tmp/shots/x.png', ...acts] = process.argv;
const table = await openTable({ demo: true });
const browser = await openBrowser('webgl');
const page = await browser.newPage({ viewport: { width: +w, height: +h }, reducedMotion: 'reduce' });
page.on('console', m => { if (m.type()==='error'||m.type()==='warning') console.log(m.text().slice(0,300)); });
page.on('pageerror', e => console.log('ERR', e.message));
if (path.startsWith('piece:')) {
  const [, design, stage] = path.split(':');
  await page.goto(table.url);
  await page.locator(`[data-design="${design}"] .drawing`).click();
  await page.waitForURL(/piece/);
  await page.goto(`${page.url().replace(/\/(shape|flat|slab|cut)$/, '')}/${stage}`);
} else await page.goto(table.url + path);
await page.waitForTimeout(900);
for (const a of acts) { if (a.startsWith('wait')) await page.waitForTimeout(+a.slice(4)); else if (a.startsWith('fill:')) { const [,s,v]=a.split('::'); await page.locator(s!).first().fill(v!); } else if (a==='full') {} else await page.locator(a).first().click(); await page.waitForTimeout(250); }
await page.screenshot({ path: out, fullPage: acts.includes('full') });
await browser.close(); await table.close();
