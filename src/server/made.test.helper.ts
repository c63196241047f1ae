import { randomUUID } from 'node:crypto';
import request from 'supertest';
import type { Design } from '../contract/api.ts';
import type { ClayRecords } from '../contract/made.ts';
import type { Entries, MakingStart, Measurement } from '../contract/makings.ts';
import type { Kept } from '../contract/records.ts';
import { ROOM } from '../core/studio/drying/air.ts';
import { USUAL_SEGMENTS, type KeptFiring } from '../core/studio/kiln/keptFiring.ts';
import { DEFAULT_SCHOOLS } from '../core/studio/making/workStep.ts';
import { seeded } from '../core/seeded.ts';
import { buildApp } from './app.ts';
import { openDatabase, type Database } from './models/database.ts';
import { AT, NONE, STEPS, TARGET } from './makings.test.helper.ts';
import { ownWorkshop } from './workshop/workshop.ts';

/** The table of the running test. */
export let database: Database;
export let agent: ReturnType<typeof request>;
export let design: Design;
export let clay: Kept<'clay'>;

/** Opens a new table, with one design and one clay, before each test. */
export function eachTable(): void {
  beforeEach(async () => {
    database = await openDatabase(':memory:');
    agent = request(buildApp({ database, door: null, workshop: ownWorkshop(), address: '127.0.0.1', pages: null }));
    design = (await agent.post('/api/designs').send({ target: TARGET })).body as Design;
    const body = { name: 'Siding buff', wetDensity: 1.95, shrinkage: 0.12, basis: 'maker', bars: [] };
    clay = (await agent.post('/api/records/clay').send({ body })).body as Kept<'clay'>;
  });
  afterEach(() => database.close());
}

export const spot = (number: number) => ({ id: randomUUID(), piece: 0, number, step: 'stiffen', at: AT });

export async function make(count: number, entries: Partial<Entries>, of: Kept<'clay'> | null = clay): Promise<string> {
  const id = randomUUID();
  const start: MakingStart = {
    id,
    name: 'Tumblers for the galley',
    clay: of?.id ?? null,
    startedAt: AT,
    dueAt: null,
    schools: DEFAULT_SCHOOLS,
    air: ROOM,
    pieces: [{ designId: design.id, revision: 1, name: 'Rack tumbler', count, steps: STEPS.slice(1) }],
  };
  await agent.post('/api/makings').send(start).expect(201);
  await agent
    .post(`/api/makings/${id}/entries`)
    .send({ ...NONE, ...entries })
    .expect(200);
  return id;
}

/** Rim and height of pieces, wet and fired, that shrank by so much. */
export function sizes(count: number, shrinkage: number): Measurement[] {
  const random = seeded(count);
  return Array.from({ length: count }, (_, index) => index + 1).flatMap((number) =>
    (
      [
        ['rim', 95.4],
        ['height', 125],
      ] as const
    ).flatMap(([what, about]): Measurement[] => {
      const wet = about + random();
      return [
        { ...spot(number), what, state: 'wet', value: wet },
        { ...spot(number), what, state: 'fired', value: wet * (1 - shrinkage) + 0.2 * (random() - 0.5) },
      ];
    }),
  );
}

export async function fire(day: string, making: string, count: number): Promise<void> {
  const pieces = Array.from({ length: count }, (_, index) => ({ making, piece: 0, number: index + 1 }));
  const body: KeptFiring = {
    name: `Firing of ${day}`,
    kind: 'once',
    day,
    cone: '6',
    segments: USUAL_SEGMENTS.once,
    curve: [],
    witness: [],
    gap: 5,
    shelves: [{ id: 'a', name: 'Top', width: 400, depth: 400, clear: 150 }],
    wanted: pieces,
    placed: pieces.map((one, index) => ({ ...one, shelf: 'a', x: 100 * index, y: 100, turn: 0 })),
    opened: AT,
    note: '',
  };
  await agent.post('/api/records/firing').send({ body }).expect(201);
}

export const learning = async () => (await agent.get('/api/made/learning').expect(200)).body as ClayRecords[];
