import { randomUUID } from 'node:crypto';
import { openTable, type TestTable } from '../e2e/testTable.ts';
import type { Design } from '../src/contract/api.ts';
import { ROOM } from '../src/core/studio/drying/air.ts';
import { orderOfWork } from '../src/core/studio/making/orderOfWork.ts';
import { DEFAULT_SCHOOLS } from '../src/core/studio/making/workStep.ts';
import { develop } from '../src/core/piece/develop.ts';
import { seeded } from '../src/core/seeded.ts';
import { designService } from '../src/server/services/designs.ts';
import { recordService } from '../src/server/services/records.ts';
import { makingService } from '../src/server/services/makings.ts';
import { keptTarget } from './keptTarget.ts';
import { measure, type Times } from './measure.ts';

/** A studio of many years: so many makings, their measurements, and how many are in work. */
const MAKINGS = 5000;
const EACH = 20;
const IN_WORK = 60;
/** Pieces of a making. */
const PIECES = 5;

/** Fills a table with so many makings; gives the id of their design. */
export async function fillMakings({ database }: TestTable, makings = MAKINGS): Promise<string> {
  const designs = designService(database);
  const service = makingService(database);
  const kept = keptTarget('Rack tumbler');
  const { id: designId } = JSON.parse(JSON.stringify(await designs.create(kept))) as Design;
  const developed = develop(JSON.parse(kept.text) as Design['target']);
  const steps = orderOfWork(JSON.parse(kept.text) as Design['target'], { developed, slabs: developed.slabs });
  const { id: clay } = await recordService(database).create('clay', {
    name: 'Siding buff',
    wetDensity: 1.95,
    shrinkage: 0.12,
    basis: 'maker',
    bars: [],
  });
  const random = seeded(1);
  const day = (number: number) => new Date(Date.UTC(2012, 0, 1) + number * 86_400_000).toISOString();
  for (let index = 0; index < makings; index += 1) {
    const id = randomUUID();
    const at = day(index);
    const ended = index < makings - IN_WORK;
    const head = {
      name: `Tumblers ${index}`,
      clay: index % 3 === 0 ? null : clay,
      startedAt: at,
      dueAt: null,
      schools: DEFAULT_SCHOOLS,
      air: ROOM,
    };
    await service.begin({
      id,
      ...head,
      pieces: [{ designId, revision: 1, name: 'Rack tumbler', count: PIECES, steps }],
    });
    const spot = (number: number) => ({
      id: randomUUID(),
      piece: 0,
      number: 1 + (number % PIECES),
      step: steps[number % steps.length]?.id ?? '',
      at,
    });
    await service.keep(id, {
      marks: Array.from({ length: EACH }, (_, number) => ({
        ...spot(number),
        kind: number % 6 === 5 ? ('dry' as const) : ('done' as const),
      })),
      // Rim and height of every piece, wet and, where the making is ended, fired; some are dry.
      measurements: Array.from({ length: EACH }, (_, number) => ({
        ...spot(number >> 2),
        what: number & 1 ? ('rim' as const) : ('height' as const),
        state: number & 2 && ended ? ('fired' as const) : ('wet' as const),
        value: (number & 1 ? 95 : 125) * (number & 2 ? 0.88 : 1) + random(),
      })),
      faults: index % 5 === 0 ? [{ ...spot(index), kind: 'crack at the base' as const, x: null, y: null }] : [],
      notes: [],
      strikes: [],
      critiques: [],
    });
    if (ended) await service.change(id, { ...head, endedAt: at });
  }
  return designId;
}

/** Today and lists of a studio with 100,000 measurements, over the API. */
export async function makingLists(): Promise<Times[]> {
  const table = await openTable({ pages: false });
  const times = await listTimes(table, await fillMakings(table));
  await table.close();
  return times;
}

/** Asks a filled table again and again, with the clock. */
export async function listTimes(table: TestTable, designId: string): Promise<Times[]> {
  const ask = async (path: string) => (await fetch(`${table.url}api/makings${path}`)).json();
  const made = async (query: string, path = '') => (await fetch(`${table.url}api/made${path}?${query}`)).json();
  return [
    await measure(`Today: ${IN_WORK} of ${MAKINGS} makings in work, over the API`, 40, () => ask('/now')),
    await measure(`first page of ${MAKINGS} makings`, 40, () => ask('')),
    await measure(`all that was made, found by clay, thickness and fault`, 40, () => made('find=buff, 6 mm, cracked')),
    await measure(`all that was made, found by a size`, 40, () => made('what=rim&state=fired&least=83.6&most=83.61')),
    await measure(`what the pieces of all clays say`, 3, () => made('', '/learning')),
    await measure(`what is dry and waits for the kiln`, 10, () => made('', '/dry')),
    await measure(`makings of one design, found by a name`, 40, () => ask(`?design=${designId}&find=499`)),
  ];
}
