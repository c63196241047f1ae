import { countOf, eachVisit, figure, kept, read, textOf, type } from './visit.ts';

const visit = eachVisit({ demo: true });

/** Counts the idle times that the page asks for. */
const COUNT_IDLE = `
  window.idleTimes = 0;
  const ask = window.requestIdleCallback.bind(window);
  window.requestIdleCallback = (work, options) => {
    window.idleTimes += 1;
    return ask(work, options);
  };
`;

/** How many idle times the page has asked for, once it asks for no more. */
async function idleTimes(): Promise<number> {
  const { page } = visit.now;
  let [count, before] = [0, -1];
  await read(
    async () => {
      before = count;
      await new Promise((resolve) => setTimeout(resolve, 400));
      count = await page.evaluate<number>('window.idleTimes');
      return count;
    },
    (found) => found > 0 && found === before,
    { wanted: 'an end of the rehearsal' },
  );
  return count;
}

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
    expect(await idleTimes()).toBeGreaterThan(3);
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
    await figure(page, 'cutLength').waitFor();
    expect((await idleTimes()) - first).toBeLessThan(4);
  });
});
