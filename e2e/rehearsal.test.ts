import { countOf, eachVisit, figure, kept, read, textOf, type } from './visit.ts';

const visit = eachVisit({ demo: true });

/** Counts the idle times that the page asks for, notes those still to come, and adds up the work done in them (ms). */
const COUNT_IDLE = `
  window.idleTimes = 0;
  window.idleWork = 0;
  window.idleToCome = new Set();
  const [ask, cancel] = [window.requestIdleCallback.bind(window), window.cancelIdleCallback.bind(window)];
  window.requestIdleCallback = (work, options) => {
    window.idleTimes += 1;
    const one = ask((free) => {
      const from = performance.now();
      work(free);
      window.idleWork += performance.now() - from;
      window.idleToCome.delete(one);
    }, options);
    window.idleToCome.add(one);
    return one;
  };
  window.cancelIdleCallback = (one) => {
    window.idleToCome.delete(one);
    cancel(one);
  };
`;

/** How many idle times the page has asked for, once there are more than before and none is still to come. */
const idleTimes = (before = 0) =>
  read(
    () => visit.now.page.evaluate<number>('window.idleToCome.size > 0 ? 0 : window.idleTimes'),
    (count) => count > before,
    { wanted: `more than ${before}, with the rehearsal at its end` },
  );

/** What the piece holds to its line is found last of what stands on the table. */
const opened = () => textOf(visit.now.page.locator('.work-table .fill'), /\d ml/);

describe('a piece that is rehearsed in idle time', () => {
  it.each([
    ['Salt box', 'panel'],
    ['Bread bowl, square to round', 'wall'],
  ])('shows, keeps and sends nothing of it: %s', async (design, part) => {
    const { page, troubles } = visit.now;
    const sent: string[] = [];
    page.on('request', (request) => {
      if (request.method() !== 'GET') sent.push(`${request.method()} ${request.url()}`);
    });
    await page.addInitScript(COUNT_IDLE);
    await page.reload();
    await page.locator(`[data-design="${design}"] .drawing`).click();
    await kept(page, /1/);
    const table = () => page.locator('.work-table').innerHTML();
    await opened();
    const before = await table();
    await idleTimes();
    // A little less than is worked, since the page's clock is coarse.
    expect(await page.evaluate<number>('window.idleWork')).toBeGreaterThan(1100);
    expect(await table()).toBe(before);
    await countOf(page.locator(`[data-part="${part}"]`), 1);
    await kept(page, /1/);
    expect(sent).toEqual([]);
    expect(await page.getByRole('button', { name: 'Undo' }).isDisabled()).toBe(true);
    expect(troubles).toEqual([]);
  });

  it('is not rehearsed a second time in the same page, and follows the keys as before', async () => {
    const { page } = visit.now;
    await page.addInitScript(COUNT_IDLE);
    await page.reload();
    await page.locator('[data-design="Rack tumbler"] .drawing').click();
    await opened();
    const first = await idleTimes();
    await type(page, 'height', '133');
    await textOf(figure(page, 'cutHeight'), /^145\.1$/);
    await page.keyboard.press('s');
    await page.locator('[data-design="Sugar pot"] .drawing').click();
    expect(await idleTimes(first)).toBe(first + 1);
  });
});
