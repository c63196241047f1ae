import { openTable } from './testTable.ts';
import { countOf, eachVisit, read, textOf, type } from './visit.ts';

const visit = eachVisit({ demo: true });

/** A record as the server has it, found by its name. */
async function recordOf(kind: string, name: RegExp) {
  const all = (await (await fetch(`${visit.now.table.url}api/records/${kind}`)).json()) as {
    id: string;
    revision: number;
    body: { name: string } & Record<string, unknown>;
  }[];
  const found = all.find(({ body }) => name.test(body.name));
  if (!found) throw new Error(`no ${kind} is called ${name}`);
  return found;
}

/** Somebody else changes it meanwhile. */
async function changedElsewhere(kind: string, name: RegExp, change: object): Promise<void> {
  const { id, revision, body } = await recordOf(kind, name);
  const reply = await fetch(`${visit.now.table.url}api/records/${kind}/${id}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ body: { ...body, ...change }, baseRevision: revision }),
  });
  expect(reply.status).toBe(200);
}

describe('what is typed while the server is away', () => {
  it('is held in the kit, over a reload of the page, and sent when it is back', async () => {
    const { page, table } = visit.now;
    await page.goto(`${table.url}kit`);
    await page.locator('[data-kit="Cutter 95"]').click();
    await page.locator('input[name="diameter"]').waitFor();
    const { port } = new URL(table.url);
    await table.stop();
    await type(page, 'diameter', '96.5');
    await textOf(page.locator('.down'), /server does not answer/);
    const again = await openTable({ folder: table.folder, environment: { FAWN_PORT: port } });
    await page.reload();
    await textOf(page.locator('[data-kit="Cutter 95"]'), /96\.5/);
    await countOf(page.locator('.down'), 0);
    const across = async () => ((await recordOf('kit', /Cutter 95/)).body['sizes'] as { diameter: number }).diameter;
    await read(across, (mm) => mm === 96.5, { wanted: '96.5 mm' });
    await page.close();
    await again.stop();
  });
});

describe('what was changed elsewhere meanwhile', () => {
  it.each([
    ['Put mine on top', ['97.0'], 1],
    ['Take theirs, keep mine as a copy', ['90.0', '97.0'], 2],
  ] as const)('in the kit is told, and both are kept: %s', async (way, sizes, count) => {
    const { page, table } = visit.now;
    await page.goto(`${table.url}kit`);
    await page.locator('[data-kit="Cutter 95"]').click();
    await page.locator('input[name="diameter"]').waitFor();
    await changedElsewhere('kit', /Cutter 95/, { sizes: { diameter: 90 } });
    await type(page, 'diameter', '97');
    await textOf(
      page.getByRole('alert'),
      /Cutter 95 was changed elsewhere\. There it is now 90\.0; here it is 97\.0\./,
    );
    await page.getByRole('button', { name: way }).click();
    await countOf(page.getByRole('alert'), 0);
    await countOf(page.locator('[data-kit^="Cutter 95"]'), count);
    await page.waitForTimeout(700);
    await page.reload();
    for (const [index, size] of sizes.entries())
      await textOf(page.locator('[data-kit^="Cutter 95"]').nth(index), new RegExp(size));
  });

  it('in a slab plan is told, and the copy is one of two plans of the piece', async () => {
    const { page } = visit.now;
    await page.locator('[data-design="Soup cup"] .drawing').click();
    await page.waitForURL(/piece/);
    await page.keyboard.press('3');
    const count = page.locator('input[name^="count-"]');
    await count.fill('4');
    await count.press('Enter');
    await page.waitForTimeout(900);
    const { body } = await recordOf('plan', /Soup cup/);
    const [piece] = body['pieces'] as { design: string; count: number }[];
    await changedElsewhere('plan', /Soup cup/, { pieces: [{ ...piece, count: 9 }] });
    await count.fill('6');
    await count.press('Enter');
    await textOf(
      page.getByRole('alert'),
      /Soup cup was changed elsewhere\. There it is now 9 pieces, not laid out; here it is 6 pieces/,
    );
    await page.getByRole('button', { name: 'Take theirs, keep mine as a copy' }).click();
    await textOf(page.locator('button[name="plan"]'), /^Soup cup$|Soup cup/);
    expect(await count.inputValue()).toBe('9');
    await page.locator('button[name="plan"]').click();
    await page.getByRole('option', { name: /Soup cup, mine/ }).click();
    expect(await count.inputValue()).toBe('6');
  });
});

describe('two tabs of one browser', () => {
  it('show what the other has saved, and can undo it', async () => {
    const { page } = visit.now;
    await page.locator('[data-design="Soup cup"] .drawing').click();
    await page.locator('input[name="height"]').waitFor();
    const [second] = await Promise.all([page.waitForEvent('popup'), page.evaluate('void window.open(location.href)')]);
    const height = (tab: typeof page) => tab.locator('input[name="height"]').inputValue();
    await read(
      () => height(second),
      (text) => text === '78.0 mm',
    );
    await type(page, 'height', '95');
    await read(
      () => height(second),
      (text) => text === '95.0 mm',
      { wanted: '95.0 mm' },
    );
    await second.getByRole('button', { name: 'Undo' }).click();
    await read(
      () => height(page),
      (text) => text === '78.0 mm',
      { wanted: '78.0 mm' },
    );
    await countOf(page.getByRole('alert').filter({ hasText: 'changed elsewhere' }), 0);
    await second.close();
  });
});

describe('a page that is older than the table', () => {
  it('says that a part of it is gone, and loads the place that was wanted', async () => {
    const { page } = visit.now;
    await page.route(/assets\/KitPlace.*\.js/, (route) => route.fulfill({ status: 404, body: '' }));
    await page.getByRole('link', { name: 'Kit' }).first().click();
    await textOf(page.getByRole('alert'), /older than the table: a newer version was put in its place/);
    await page.unroute(/assets\/KitPlace.*\.js/);
    await page.getByRole('button', { name: 'Load it again' }).click();
    await page.waitForURL(/kit/);
    await page.locator('[data-kit="Cutter 95"]').waitFor();
  });

  it('says that the server is away when a place cannot be fetched for that', async () => {
    const { page, table } = visit.now;
    await table.stop();
    await page.getByRole('link', { name: 'Kit' }).first().click();
    await textOf(
      page.locator('.down'),
      /could not be fetched, since the server does not answer|server does not answer/,
    );
    await page.locator('[data-design]').first().waitFor();
  });
});
