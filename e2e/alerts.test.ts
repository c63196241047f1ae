import type { NowReply } from '../src/contract/makings.ts';
import { ask } from './ask.ts';
import { begunIn, press, toTheWait } from './makingVisit.ts';
import { eachVisit, read } from './visit.ts';

const visit = eachVisit({ demo: true });
const HOURS = 3_600_000;
const begun = (design: string, count?: number) => begunIn(visit.now, design, count);

describe('a window that opens', () => {
  it('is told by the browser, once, at whatever place the page is, when it is allowed', async () => {
    const { page, table, troubles } = visit.now;
    await page.addInitScript(
      `window.told = [];
      window.Notification = class {
        constructor(title, more) { window.told.push(title + ': ' + more.body); }
        static requestPermission() { return Promise.resolve('granted'); }
      };`,
    );
    await begun('Rack tumbler');
    await toTheWait(page);
    await page.goto(`${table.url}today`);
    await page.locator('.today[aria-busy="false"]').waitFor();
    // Windows that are open already are not announced; the page knows them once the marks of every clay have been fetched.
    const { makings } = await ask<NowReply>(table, 'makings/now');
    const clays = new Set(makings.flatMap(({ clay }) => clay ?? []));
    page.on('requestfinished', (request) => {
      const { pathname, searchParams } = new URL(request.url());
      if (pathname === '/api/makings/found') clays.delete(searchParams.get('clay') ?? '');
    });
    await press(page, 'Tell me when a window opens');
    await read(
      () => Promise.resolve(clays.size),
      (left) => left === 0,
      { wanted: 'zero clays left to fetch' },
    );
    await page.getByRole('link', { name: 'Kit' }).click();
    const told = () => page.evaluate<string[]>('window.told');
    await page.clock.runFor(90_000);
    expect(await told()).toEqual([]);
    await page.clock.fastForward(3 * HOURS);
    await page.clock.runFor(90_000);
    const found = await read(told, (all) => all.length > 0, { wanted: 'a notification' });
    expect(found).toEqual([expect.stringMatching(/^Curl the wall: Rack tumbler, until about .*Check by hand/)]);
    await page.clock.runFor(200_000);
    expect(await told()).toHaveLength(1);
    expect(troubles).toEqual([]);
  });
});
