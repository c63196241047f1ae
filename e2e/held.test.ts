import type { Kept, RecordKind } from '../src/contract/records.ts';
import type { Design } from '../src/contract/api.ts';
import { ask, designCalled, recordsOf } from './ask.ts';
import { DEMO_DESIGNS, openTable } from './testTable.ts';
import { countOf, eachVisit, entered, read, textOf, type } from './visit.ts';

const visit = eachVisit({ demo: true });

/** A record as the server has it, found by its name. */
async function recordOf<K extends RecordKind>(kind: K, name: RegExp): Promise<Kept<K>> {
  const found = (await recordsOf(visit.now.table, kind)).find(({ body }) => name.test(body.name));
  if (!found) throw new Error(`no ${kind} is called ${name}`);
  return found;
}

const diameter = ({ body }: Kept<'kit'>) => ('diameter' in body.sizes ? body.sizes.diameter : NaN);

/** Somebody else changes it meanwhile. */
async function changedElsewhere(kind: RecordKind, name: RegExp, change: object): Promise<void> {
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
    await read(
      async () => diameter(await recordOf('kit', /Cutter 95/)),
      (mm) => mm === 96.5,
      { wanted: '96.5 mm' },
    );
    await page.close();
    await again.stop();
  });
});

describe('what is changed while the answer to an earlier change is lost', () => {
  /** The next write arrives, but its answer does not come back. */
  const loseAnswer = (path: string) =>
    visit.now.page.route(
      `**/api/${path}/*`,
      async (route) => {
        if (route.request().method() !== 'PUT') return route.continue();
        await route.fetch();
      },
      { times: 1 },
    );

  it('in the kit, is kept after a reload, and nobody is said to have changed it', async () => {
    const { page, table } = visit.now;
    await page.goto(`${table.url}kit`);
    await page.locator('[data-kit="Cutter 95"]').click();
    await page.locator('input[name="diameter"]').waitFor();
    const kept = (wanted: number) =>
      read(
        async () => diameter(await recordOf('kit', /Cutter 95/)),
        (mm) => mm === wanted,
        { wanted: `${wanted} mm` },
      );
    await loseAnswer('records/kit');
    await type(page, 'diameter', '96.5');
    await kept(96.5);
    await type(page, 'diameter', '97.5');
    await page.reload();
    await textOf(page.locator('[data-kit="Cutter 95"]'), /97\.5/);
    await kept(97.5);
    await countOf(page.getByRole('alert'), 0);
  });

  it('on a piece, is kept after a reload, and nobody is said to have changed it', async () => {
    const { page, table } = visit.now;
    const id = await designCalled(table, 'Soup cup');
    await page.goto(`${table.url}piece/${id}/shape`);
    await page.locator('input[name="height"]').waitFor();
    const kept = (wanted: number) =>
      read(
        async () => (await ask<Design>(table, `designs/${id}`)).target.form,
        (form) => 'height' in form && form.height === wanted,
        { wanted: `${wanted} mm high` },
      );
    await loseAnswer('designs');
    await type(page, 'height', '81');
    await kept(81);
    await type(page, 'height', '82');
    await page.reload();
    await entered(page.locator('input[name="height"]'), /^82\.0/);
    await kept(82);
    await countOf(page.getByRole('alert'), 0);
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
    await read(
      async () =>
        (await recordsOf(visit.now.table, 'kit'))
          .filter(({ body }) => /Cutter 95/.test(body.name))
          .map(diameter)
          .sort((one, other) => one - other),
      (found) => found.join() === sizes.map(Number).join(),
      { wanted: `${sizes.join(' and ')} mm on the server` },
    );
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
    const piece = await read(
      async () => (await recordsOf(visit.now.table, 'plan')).flatMap(({ body }) => body.pieces)[0],
      (found) => found?.count === 4,
      { wanted: 'a plan of 4 pieces on the server' },
    );
    await changedElsewhere('plan', /Soup cup/, { pieces: [{ ...piece, count: 9 }] });
    await count.fill('6');
    await count.press('Enter');
    await textOf(
      page.getByRole('alert'),
      /Soup cup was changed elsewhere\. There it is now 9 pieces, not laid out; here it is 6 pieces/,
    );
    await page.getByRole('button', { name: 'Take theirs, keep mine as a copy' }).click();
    await textOf(page.locator('button[name="plan"]'), /Soup cup/);
    await entered(count, /^9$/);
    await page.locator('button[name="plan"]').click();
    await page.getByRole('option', { name: /Soup cup, mine/ }).click();
    await entered(count, /^6$/);
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
    const designs = page.locator('[data-design]');
    await countOf(designs, DEMO_DESIGNS);
    await table.stop();
    await page.getByRole('link', { name: 'Kit' }).first().click();
    await textOf(page.locator('.down'), /server does not answer/);
    await countOf(designs, DEMO_DESIGNS);
  });
});
