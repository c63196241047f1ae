import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Design } from '../src/contract/api.ts';
import type { Making, Measurement } from '../src/contract/makings.ts';
import type { Kept } from '../src/contract/records.ts';
import { ROOM } from '../src/core/studio/drying/air.ts';
import { freshFiring } from '../src/web/components/kiln/freshFiring.ts';
import { DEFAULT_SCHOOLS, type WorkStep } from '../src/core/studio/making/workStep.ts';
import { ask, recordMadeBy, recordsOf } from './ask.ts';
import { wordsOf } from './pdfMeasure.ts';
import { countOf, eachVisit, read, textOf } from './visit.ts';

const visit = eachVisit({ demo: true });
const TARGET = JSON.parse(readFileSync('demo/01-rack-tumbler.fawn.json', 'utf8')) as { clay: object };
const STEPS: readonly WorkStep[] = [
  {
    id: 'stiffen',
    act: 'wait',
    title: 'Let it stiffen',
    says: [],
    tools: [],
    until: 'It bends.',
    minutes: 1,
    waits: { until: 'opens', part: { thickness: 6, faces: 'one', cover: 'open' } },
  },
  {
    id: 'dry',
    act: 'wait',
    title: 'Let it dry',
    says: [],
    tools: [],
    until: 'It is no longer cold.',
    minutes: 1,
    waits: { until: 'dry', part: { thickness: 6, faces: 'both', cover: 'open' } },
  },
];

/** What the clay is worked with, and how much it shrinks in truth: pieces under the caliper differ by chance. */
const [MADE_FOR, TRUE] = [0.1, 0.118] as const;
const CLAY = 'Dock white';
const WET = 84 / (1 - MADE_FOR);

const send = async <T>(path: string, body?: object, method = 'POST') => {
  const reply = await fetch(`${visit.now.table.url}api/${path}`, {
    method,
    headers: { 'Content-Type': 'application/json' },
    body: body && JSON.stringify(body),
  });
  if (!reply.ok) throw new Error(`${path}: ${reply.status} ${await reply.text()}`);
  return (await reply.json()) as T;
};

/** Tumblers as they were made: each measured wet, and found dry; those of an earlier firing measured fired as well. */
async function made(name: string, count: number, design: Design, clay: string, fired: boolean): Promise<string> {
  const id = randomUUID();
  const at = '2026-11-20T09:00:00.000Z';
  const spot = (index: number, step: string) => ({ id: randomUUID(), piece: 0, number: index + 1, step, at });
  const each = Array.from({ length: count }, (_, index) => index);
  await send('makings', {
    id,
    name,
    clay,
    startedAt: at,
    dueAt: null,
    schools: DEFAULT_SCHOOLS,
    air: ROOM,
    pieces: [{ designId: design.id, revision: 1, name: design.name, count, steps: STEPS }],
  });
  const measurements = each.flatMap((index): Measurement[] => [
    { ...spot(index, 'records'), what: 'rim', state: 'wet', value: WET },
    ...(fired
      ? [
          {
            ...spot(index, 'records'),
            what: 'rim' as const,
            state: 'fired' as const,
            value: WET * (1 - TRUE) + 0.1 * (index - 2),
          },
        ]
      : []),
  ]);
  const marks = each.map((index) => ({ ...spot(index, 'dry'), kind: 'dry' }));
  await send(`makings/${id}/entries`, { marks, measurements, faults: [], notes: [], strikes: [], critiques: [] });
  return id;
}

it('dry pieces are packed and fired, measured by the caliper that is not there, and make the next ones truer', async () => {
  const { page, table, troubles } = visit.now;
  const body = { name: CLAY, wetDensity: 1.95, shrinkage: MADE_FOR, basis: 'maker', bars: [], price: 18, bag: 10_000 };
  const clay = await send<Kept<'clay'>>('records/clay', { body });
  const target = { ...TARGET, name: 'Dock tumbler', clay: { ...TARGET.clay, name: CLAY, shrinkage: MADE_FOR } };
  const design = await send<Design>('designs', { target });
  const earlier = await made('Dock tumblers, first', 5, design, clay.id, true);
  const pieces = Array.from({ length: 5 }, (_, index) => ({ making: earlier, piece: 0, number: index + 1 }));
  await send('records/firing', {
    body: { ...freshFiring(pieces), name: 'An earlier firing', day: '2026-11-01', opened: '2026-11-02T09:00:00.000Z' },
  });
  const making = await made('Dock tumblers, second', 12, design, clay.id, false);

  // From Today into a firing, and packed.
  await page.goto(`${table.url}today`);
  const { id } = await recordMadeBy(table, 'firing', () =>
    page.getByRole('button', { name: 'Take all 12 pieces into a firing' }).click(),
  );
  await page.getByRole('button', { name: 'Add Low shelf' }).click();
  await page.getByRole('button', { name: 'Pack the kiln' }).click();
  await textOf(page.locator('.told'), /^12 of 12 pieces stand\.$/);
  await page.getByRole('button', { name: 'Fire it, simulated' }).click();
  const firing = async () => (await recordsOf(table, 'firing')).find((one) => one.id === id)?.body;
  await read(
    async () => (await firing())?.curve.at(-1)?.[0] ?? 0,
    (minutes) => minutes > 1400,
    { wanted: 'a curve' },
  );
  await page.getByRole('button', { name: 'The kiln was opened' }).click();
  await read(
    async () => (await firing())?.opened ?? '',
    (opened) => opened !== '',
    { wanted: 'the day it was opened' },
  );

  // The caliper goes from piece to piece with a hand at its button.
  await page.getByRole('link', { name: 'Kit' }).first().click();
  const caliper = page.getByRole('article', { name: 'Digital caliper' });
  await caliper.getByRole('button', { name: 'Start' }).click();
  await page.locator('input[name="device-jaws"]').fill((WET * (1 - TRUE)).toFixed(2));
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'Records' }).first().click();
  await page.getByRole('link', { name: /^Dock tumbler, 12/ }).click();
  const strip = page.getByRole('region', { name: 'Digital caliper' });
  for (let number = 1; number <= 12; number += 1) {
    const cell = page.getByLabel(`Rim across, piece ${number}, fired`);
    await cell.click();
    await strip.getByRole('button', { name: 'Measure one' }).click();
    await read(
      () => cell.inputValue(),
      (text) => /^8\d\.\d/.test(text),
      { wanted: `a reading of piece ${number}` },
    );
    await page.keyboard.press('Enter');
  }
  const rims = await read(
    async () =>
      (await ask<Making>(table, `makings/${making}`)).measurements
        .filter(({ state }) => state === 'fired')
        .sort((one, other) => one.number - other.number),
    ({ length }) => length === 12,
    { wanted: 'twelve rims' },
  );
  // Each piece has a reading of its own, and none is one of the jaws on their way.
  expect(rims.map(({ number }) => number)).toEqual(Array.from({ length: 12 }, (_, index) => index + 1));
  for (const { value } of rims) expect(Math.abs((value ?? 0) - WET * (1 - TRUE))).toBeLessThan(0.35);

  // What they say is offered, with its evidence, and taken.
  await page.getByRole('link', { name: 'Records' }).first().click();
  await page.getByRole('link', { name: new RegExp(`^${CLAY}`) }).click();
  await textOf(page.locator('h1'), /^(Seventeen|17) pieces of Dock tumbler came out \d\.\d mm small$/);
  await textOf(page.locator('.under'), /Dock white shrinks 1[12]\.\d % here, not 10\.0 %/);
  await page.getByRole('button', { name: /^Use 1[12]\.\d % from now on$/ }).click();
  await textOf(page.locator('.said'), /is worked with at 1[12]\.\d %/);

  // The design asks, follows, and goes back once the figure is taken back.
  await page.goto(`${table.url}piece/${design.id}`);
  await textOf(page.locator('.apart'), /The clay book says 1[12]\.\d %; this piece is cut for 10\.0 %/);
  await page.getByRole('button', { name: /^Cut it for 1[12]\.\d %$/ }).click();
  const shrinkage = async () => (await ask<Design>(table, `designs/${design.id}`)).target.clay.shrinkage;
  await read(shrinkage, (now) => Math.abs(now - TRUE) < 0.005, { wanted: 'the learned shrinkage' });
  await page.getByRole('link', { name: 'Records' }).first().click();
  await page.getByRole('link', { name: new RegExp(`^${CLAY}`) }).click();
  await page.getByRole('button', { name: /^Take 1[12]\.\d % back$/ }).click();
  await textOf(page.locator('.said'), /Dock white is worked with as before/);
  await page.goto(`${table.url}piece/${design.id}`);
  await textOf(page.locator('.apart'), /The clay book says 10\.0 %; this piece is cut for 1[12]\.\d %/);

  // The story tells what was changed after it, and what the pieces cost, on one page.
  await page.goto(`${table.url}story/${making}/0`);
  await textOf(
    page.getByRole('region', { name: 'Changed since then' }),
    /Revision 2 of .*Shrinkage: 1[12]\.\d %, before 10\.0 %/,
  );
  await textOf(
    page.getByRole('region', { name: 'Price' }),
    /Clay in the pieces 5438 g; a bag of 10 kg costs 18\.00\s*9\.79/,
  );
  await countOf(page.locator('tbody tr').filter({ hasText: 'Rim across' }), 1);
  const file = join(mkdtempSync(join(tmpdir(), 'fawn-learn-')), 'story.pdf');
  await page.pdf({ format: 'A4', path: file });
  const [text = '', ...more] = wordsOf(file);
  expect(more).toEqual([]);
  for (const words of ['12 × Dock tumbler', 'Firing of', 'Changed since then', 'Each of 12 pieces'])
    expect(text.replace(/\s+/g, ' ')).toContain(words);
  expect(troubles).toEqual([]);
});
