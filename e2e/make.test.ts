import { designCalled, madeBy } from './ask.ts';
import { begunIn, heading, keptIn, press, toTheWait } from './makingVisit.ts';
import { countOf, eachVisit, read, textOf } from './visit.ts';

const visit = eachVisit({ demo: true });
const HOURS = 3_600_000;
const begun = (design: string, count?: number) => begunIn(visit.now, design, count);
const kept = (id: string) => keptIn(visit.now, id);

describe('a tumbler', () => {
  it('is made by keys from the bag to bone dry, the clock moved on; Today says what is next', async () => {
    const { page, table, troubles } = visit.now;
    const id = await begun('Rack tumbler');
    await textOf(heading(page), /^Weigh out \d+ g/);
    const size = parseFloat(
      await page.evaluate<string>("getComputedStyle(document.querySelector('.step-view .act')).fontSize"),
    );
    expect(size).toBeGreaterThanOrEqual(40);
    await toTheWait(page);
    await textOf(page.locator('.step-view .now'), /^Opens in about \d+ min|^Opens in about \d+ h/);
    // A key does not say what only a hand can find.
    await page.keyboard.press('ArrowRight');
    await countOf(page.locator('.wait-curve'), 1);
    await page.clock.fastForward(4 * HOURS);
    await textOf(page.locator('.step-view .now'), /^Open now, for about/);
    await page.goto(`${table.url}today`);
    await textOf(page.locator('.today h1'), /Rack tumbler/);
    await textOf(page.locator('.today .when'), /The window is open/);
    await press(page, 'Go to it');
    await press(page, 'Ready');
    await toTheWait(page);
    await page.clock.fastForward(30 * HOURS);
    await press(page, 'Leather-hard');
    await page.clock.fastForward(60 * HOURS);
    await press(page, 'Dry');
    await textOf(page.locator('.ended .act'), /All of it is done/);
    await textOf(page.getByTestId('sent'), /All is kept/);
    const { marks } = await kept(id);
    expect(marks.map(({ kind }) => kind).filter((kind) => kind !== 'done')).toEqual(['ready', 'leather-hard', 'dry']);
    expect(marks.find(({ kind }) => kind === 'ready')?.drying?.hours).toBeCloseTo(4, 0);
    await press(page, 'Put it away');
    await page.getByRole('heading', { name: 'Made before' }).waitFor();
    await page.getByText(/^1 × Rack tumbler/).click();
    await textOf(page.locator('.ended .more'), /^Put away \w{3}/);
    await press(page, 'Take it up again');
    await press(page, 'Put it away');
    await page.getByRole('heading', { name: 'Made before' }).waitFor();
    await page.goto(`${table.url}today`);
    await textOf(page.locator('main h2'), /Nothing is in work/);
    expect(troubles).toEqual([]);
  });

  it('is renamed, given a due day and other air while it is made: its window moves at once', async () => {
    const { page } = visit.now;
    const id = await begun('Rack tumbler');
    await toTheWait(page);
    const when = await textOf(page.locator('.step-view .now'), /^Opens in about/);
    await press(page, 'Change');
    await page.locator('input[name="making-name"]').fill('Tumblers for the galley');
    await page.locator('input[name="making-due"]').fill('2026-12-05');
    await page.locator('.sheet-card input[name="air-humidity"]').fill('95');
    await page.locator('.sheet-card input[name="air-humidity"]').press('Tab');
    const answer = page.waitForResponse((reply) => reply.request().method() === 'PUT' && reply.url().endsWith(id));
    await press(page, 'Keep');
    await read(
      () => page.locator('.step-view .more.now').textContent(),
      (now) => now?.trim() !== when,
      { wanted: 'another time' },
    );
    await textOf(page.locator('.strip'), /Tumblers for the galley/);
    const changed = await read(
      () => kept(id),
      (now) => now.name === 'Tumblers for the galley',
      { wanted: 'the change on the server' },
    );
    // And nothing is held any more that would be sent again over what follows.
    await (await answer).finished();
    await textOf(page.getByTestId('sent'), /All is kept\./);
    const { name, dueAt, air, clay, startedAt, schools } = changed;
    // A fan is switched on, on another tablet: what that does to the clay, and what lowers it, is said.
    const body = JSON.stringify({
      name,
      clay,
      startedAt,
      dueAt,
      schools,
      air: { ...air, humidity: 0.4, speed: 'fan' },
      endedAt: null,
    });
    await fetch(`${visit.now.table.url}api/makings/${id}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body,
    });
    await page.reload();
    await textOf(page.locator('.evenly'), /likely to crack or warp.*that makes it 0\.\d %/);
    expect([name, new Date(dueAt ?? '').toLocaleDateString('sv'), air.humidity]).toEqual([
      'Tumblers for the galley',
      '2026-12-05',
      0.95,
    ]);
  });

  it('whose window was missed is wetted and waits again, or is made again from the first step', async () => {
    const { page } = visit.now;
    await begun('Rack tumbler');
    await toTheWait(page);
    await press(page, 'Too stiff');
    await textOf(heading(page), /Too stiff to join/);
    await textOf(page.locator('.step-view .v-alert'), /make this part again, \d+ g of clay/);
    await press(page, 'Wetted again');
    await page.getByRole('button', { name: 'Ready', exact: true }).waitFor();
    await press(page, 'Too stiff');
    await press(page, 'Make it again');
    await textOf(heading(page), /^Weigh out/);
  });

  it('is measured, noted and found cracked at any step, with the place pressed on it', async () => {
    const { page } = visit.now;
    const id = await begun('Rack tumbler', 2);
    await textOf(page.locator('.kicker'), /Rack tumbler 1 of 2/);
    await press(page, 'Measure, note, fault');
    await page.locator('input[name="measured"]').fill('125.4');
    await page.locator('input[name="measured"]').press('Enter');
    await press(page, 'Write it down');
    await textOf(page.locator('.said'), /Height 125\.4 mm is written down/);
    await press(page, 'Strike out: Height 125.4 mm');
    await textOf(page.locator('.said'), /“Height 125\.4 mm” is struck out/);
    await press(page, 'Put back: Height 125.4 mm');
    await page.getByRole('button', { name: 'Strike out: Height 125.4 mm' }).waitFor();
    await page.getByRole('tab', { name: 'Note' }).click();
    await page.locator('textarea').first().fill('A little soft today.');
    await press(page, 'Write it down');
    await textOf(page.locator('.said'), /note is written down/);
    await page.getByRole('tab', { name: 'Fault' }).click();
    const drawing = page.locator('.where svg');
    await drawing.click();
    await press(page, 'Write it down');
    await textOf(page.locator('.said'), /crack at the seam/);
    const making = await read(
      () => kept(id),
      ({ faults }) => faults.length === 1,
      { wanted: 'one fault' },
    );
    expect(making.measurements).toMatchObject([{ what: 'height', value: 125.4, number: 1 }]);
    expect(making.notes).toMatchObject([{ text: 'A little soft today.' }]);
    expect(making.strikes.map(({ of, out }) => [of, out]).sort()).toEqual([
      [making.measurements[0]?.id, false],
      [making.measurements[0]?.id, true],
    ]);
    const [fault] = making.faults;
    expect([fault?.x ?? 0, fault?.y ?? 0].every((share) => Math.abs(share - 0.5) < 0.05)).toBe(true);
    await press(page, 'Close');
    await press(page, 'Done for all');
    await textOf(page.locator('.kicker'), /Pat the lump/);
  });
});

describe('a making', () => {
  it('is taken away after a question, and put back; the design stays', async () => {
    const { page, table } = visit.now;
    const id = await begun('Salt dish');
    await press(page, 'Take away');
    await press(page, 'Take it away');
    await page.getByRole('heading', { name: 'Make it, step by step' }).waitFor();
    expect((await fetch(`${table.url}api/makings/${id}`)).status).toBe(404);
    await press(page, 'Put it back');
    await textOf(heading(page), /^Weigh out/);
    expect((await fetch(`${table.url}api/makings/${id}`)).status).toBe(200);
  });

  it('agrees on two tablets that tick it at the same time', async () => {
    const { page, someoneElse } = visit.now;
    const id = await begun('Rack tumbler', 3);
    const other = await someoneElse();
    await other.goto(page.url());
    await textOf(heading(other), /^Weigh out/);
    for (let tick = 0; tick < 3; tick += 1) {
      await Promise.all([page.keyboard.press('ArrowRight'), other.keyboard.press('ArrowRight')]);
    }
    await textOf(page.getByTestId('sent'), /All is kept/);
    await textOf(other.getByTestId('sent'), /All is kept/);
    const making = await read(
      () => kept(id),
      ({ marks }) => marks.length === 6,
      { wanted: 'six marks' },
    );
    expect(new Set(making.marks.map(({ id: mark }) => mark)).size).toBe(6);
    await Promise.all([page.reload(), other.reload()]);
    const words = await textOf(page.locator('.kicker'), /Rack tumbler/);
    await textOf(other.locator('.kicker'), new RegExp(words));
    await other.close();
  });
});

describe('an order of work of her own', () => {
  it('has a step added, one left out and one moved, and is kept for the next piece of the kind', async () => {
    const { page, table, troubles } = visit.now;
    const goTo = async (name: string) => {
      await page.goto(`${table.url}piece/${await designCalled(table, name)}/make`);
      await page.getByRole('button', { name: /^The order of work/ }).click();
    };
    const rows = page.getByRole('dialog').locator('li');
    const titles = async () => (await rows.locator('.words').allTextContents()).map((text) => text.trim());
    await goTo('Rack tumbler');
    await rows.first().waitFor();
    const before = await titles();
    await page.locator('input[name="own-step"]').fill('Stamp the car’s number');
    await page.getByRole('button', { name: 'Add it' }).click();
    await countOf(rows, before.length + 1);
    await page
      .locator('[data-step="own 1"]')
      .getByRole('button', { name: /earlier/ })
      .click();
    await page.locator('[data-step="true"]').getByRole('button', { name: 'Leave out' }).click();
    const own = (await titles()).indexOf('Stamp the car’s number');
    expect(own).toBe(before.findLastIndex((title) => !title.endsWith('a wait')));
    await press(page, 'Done');
    await textOf(page.getByRole('button', { name: /^The order of work/ }), /1 of your own, 1 left out/);
    const { id: making } = await madeBy(table, 'makings', () => press(page, 'Begin'));
    await textOf(page.locator('nav.order'), /Stamp the car’s number/);
    await textOf(page.locator('[data-testid="sent"]'), /All is kept/);
    const made = (await kept(making)).pieces[0]?.steps.map(({ id }) => id) ?? [];
    expect(made).toContain('own 1');
    expect(made).not.toContain('true');
    await goTo('Night tumbler, short');
    await textOf(rows.filter({ hasText: 'Stamp the car’s number' }), /Stamp/);
    await countOf(page.locator('[data-step="true"].left'), 1);
    expect(troubles).toEqual([]);
  });
});

describe('a making that is given to a class', () => {
  it('has a line for each name, ticked by itself, and kept', async () => {
    const { page, table, troubles } = visit.now;
    await page.goto(`${table.url}piece/${await designCalled(table, 'Rack tumbler')}/make`);
    await page.locator('textarea[name="making-names"]').fill('Ada\nBen\nCleo\n');
    const { id } = await madeBy(table, 'makings', () => press(page, 'Begin all 3'));
    await textOf(page.locator('.class-lines h2'), /0 of 3/);
    await page.locator('[data-line="2"]').click();
    await textOf(page.locator('.class-lines h2'), /1 of 3/);
    await textOf(page.locator('.kicker'), /Ben/);
    await page.locator('[data-line="3"]').click();
    await page.locator('[data-line="3"]').click();
    await textOf(page.locator('.class-lines h2'), /1 of 3/);
    await textOf(page.locator('[data-testid="sent"]'), /All is kept/);
    const made = await read(
      () => kept(id),
      ({ marks }) => marks.length === 3,
      { wanted: 'three marks' },
    );
    expect(made.pieces[0]?.names).toEqual(['Ada', 'Ben', 'Cleo']);
    expect(made.marks.map(({ number, kind }) => [number, kind])).toEqual([
      [2, 'done'],
      [3, 'done'],
      [3, 'open'],
    ]);
    await page.reload();
    await textOf(page.locator('.class-lines h2'), /1 of 3/);
    expect(troubles).toEqual([]);
  });
});
