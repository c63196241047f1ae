import type { Fault } from '../core/errors.ts';
import { readDryJob } from './drySchema.ts';
import { readLearnJob } from './learnSchema.ts';
import { LOAD_LIMITS, readLoadJob } from './loadSchema.ts';
import { NEST_LIMITS, readNestJob } from './nestSchema.ts';
import { readPlanTask } from './planSchema.ts';

/** A rectangle, its corners counter-clockwise and without bulges. */
const box = (wide: number, deep: number) => [
  [0, 0],
  [wide, 0],
  [wide, deep],
  [0, deep],
];
const BOW_TIE = [
  [0, 0],
  [80, 60],
  [80, 0],
  [0, 60],
];

const LOAD = {
  shelves: [
    { id: 'low', width: 400, depth: 300 },
    { id: 'top', diameter: 380 },
  ],
  clear: [120, 90],
  gap: 5,
  pieces: [{ id: 'cup', count: 4, outline: box(80, 60), height: 84 }],
};
const NEST = { width: 400, gap: 3, parts: [{ id: 'wall', count: 2, outline: box(281, 119), turns: 'half' }] };
const step = (id: string, more: object = {}) => ({ id, minutes: 20, ...more });
const PLAN = {
  hours: [
    [0, 240],
    [300, 600],
  ],
  jobs: [{ id: 'cups', due: 600, steps: [step('roll'), step('join', { least: 60, most: 180 })] }],
};
const DRY = { hours: 48, every: 2, parts: [{ id: 'wall', thickness: 6, cover: 'cloth' }] };
const LEARN = {
  bars: [{ wet: 100, fired: 88, firing: 'a' }],
  pieces: [{ firing: 'a', lines: [{ wet: 95, fired: 84 }], wrap: { length: 281, thickness: 6, outside: 95.5 } }],
};

/** A value with the one at a dotted path replaced; undefined takes it away. */
function withAt(whole: unknown, path: string, value: unknown): unknown {
  const [key = '', ...rest] = path.split('.');
  const own = whole as Record<string, unknown>;
  const next = rest.length === 0 ? value : withAt(own[key], rest.join('.'), value);
  if (Array.isArray(whole)) return whole.map((one, at) => (`${at}` === key ? next : (one as unknown)));
  return Object.fromEntries(Object.entries({ ...own, [key]: next }).filter(([, one]) => one !== undefined));
}

type Read = (
  value: unknown,
) => { readonly kind: 'faults'; readonly faults: readonly Fault[] } | { readonly kind: 'job' | 'task' };
const SAMPLES: readonly (readonly [string, Read, object])[] = [
  ['a load', readLoadJob, LOAD],
  ['a nesting job', readNestJob, NEST],
  ['work to plan', readPlanTask, PLAN],
  ['parts that dry', readDryJob, DRY],
  ['measurements', readLearnJob, LEARN],
];
const faultsIn = (read: Read, value: unknown) => {
  const reading = read(value);
  return reading.kind === 'faults' ? reading.faults.map(({ path, rule }) => `${path} ${rule}`) : [];
};

describe.each(SAMPLES)('%s', (_, read, sample) => {
  it('that is sound is read', () => expect(faultsIn(read, sample)).toEqual([]));

  it.each([null, 7, 'x', [], true, undefined])('that is %p is refused', (value) =>
    expect(faultsIn(read, value)).not.toEqual([]),
  );

  it('with any figure, list or text spoilt is refused, or read, and never throws', () => {
    const paths = (value: unknown, path: string): string[] =>
      typeof value === 'object' && value !== null
        ? Object.entries(value).flatMap(([key, own]) => [`${path}${key}`, ...paths(own, `${path}${key}.`)])
        : [];
    for (const path of paths(sample, '')) {
      for (const spoilt of [NaN, Infinity, {}, '', -1e9])
        expect([path, spoilt, faultsIn(read, withAt(sample, path, spoilt)).length > 0]).toEqual([path, spoilt, true]);
      for (const value of [undefined, null, [], 1])
        expect(['faults', 'job', 'task']).toContain(read(withAt(sample, path, value)).kind);
    }
  });
});

describe('faults name what is wrong and where', () => {
  it.each<[string, Read, object, string, unknown, string]>([
    ['a shelf twice', readLoadJob, LOAD, 'shelves.1', LOAD.shelves[0], 'shelves.1.id must be given once only'],
    [
      'a piece twice',
      readLoadJob,
      LOAD,
      'pieces',
      [LOAD.pieces[0], LOAD.pieces[0]],
      'pieces.1.id must be given once only',
    ],
    [
      'three heights for two shelves',
      readLoadJob,
      LOAD,
      'clear',
      [9, 9, 9],
      'clear must have one height for each of the 2 shelves, or one for all',
    ],
    [
      'too many pieces',
      readLoadJob,
      LOAD,
      'pieces',
      [0, 1, 2].map((at) => ({ ...LOAD.pieces[0], id: `${at}`, count: LOAD_LIMITS.count })),
      `pieces must be at most ${LOAD_LIMITS.copies} in all`,
    ],
    [
      'a piece that crosses itself',
      readLoadJob,
      LOAD,
      'pieces.0.outline',
      [...BOW_TIE, [-40, 30]],
      'pieces.0.outline must not cross itself',
    ],
    ['a part kilometres long', readNestJob, NEST, 'parts.0.outline.1.0', 1e9, 'parts.0.outline is longer than 200 m'],
    [
      'an arc of a huge bulge',
      readLoadJob,
      LOAD,
      'pieces.0.outline.1',
      [80, 0, 1e9],
      'pieces.0.outline is longer than 200 m',
    ],
    ['a part twice', readNestJob, NEST, 'parts', [NEST.parts[0], NEST.parts[0]], 'parts.1.id must be given once only'],
    ['a part wider than the slab', readNestJob, NEST, 'width', 100, 'parts.0.outline is wider than the slab of 100 mm'],
    [
      'too many copies',
      readNestJob,
      NEST,
      'parts',
      [0, 1, 2].map((at) => ({ ...NEST.parts[0], id: `${at}`, count: NEST_LIMITS.count })),
      `parts must be at most ${NEST_LIMITS.copies} copies in all`,
    ],
    ['hours that end before they begin', readPlanTask, PLAN, 'hours.1', [300, 300], 'hours.1 must end after it begins'],
    [
      'a piece of work twice',
      readPlanTask,
      PLAN,
      'jobs',
      [PLAN.jobs[0], PLAN.jobs[0]],
      'jobs.1.id must be given once only',
    ],
    [
      'a step twice',
      readPlanTask,
      PLAN,
      'jobs.0.steps',
      [step('roll'), step('join'), step('roll')],
      'jobs.0.steps.2.id must be given once only in a piece',
    ],
    [
      'a window that closes before it opens',
      readPlanTask,
      PLAN,
      'jobs.0.steps.1.most',
      59,
      'jobs.0.steps.1.most must not be under least, 60',
    ],
    [
      'too fine a curve',
      readDryJob,
      DRY,
      'every',
      1e-6,
      'every must be greater: all curves together have at most 200000 points',
    ],
    [
      'clay that takes up water',
      readDryJob,
      DRY,
      'model',
      { diffusivity: 1e-9, transfer: 1, initial: 0.1, equilibrium: 0.2 },
      'model.equilibrium must not be over model.initial: clay that takes up water is not followed',
    ],
    [
      'a part twice as it dries',
      readDryJob,
      DRY,
      'parts',
      [DRY.parts[0], DRY.parts[0]],
      'parts.1.id must be given once only',
    ],
  ])('%s', (_, read, sample, path, value, fault) => {
    expect(faultsIn(read, withAt(sample, path, value))).toEqual([fault]);
  });

  it('nothing measured is nothing to learn from', () => {
    expect(faultsIn(readLearnJob, {})).toEqual([
      'pieces must have something measured: a bar, or a piece with a line or a wrap',
    ]);
    expect(faultsIn(readLearnJob, { pieces: [{ firing: 'a' }] })).toHaveLength(1);
    expect(faultsIn(readLearnJob, { pieces: [{ firing: 'a', wrap: LEARN.pieces[0]?.wrap }] })).toEqual([]);
  });
});

describe('what is left out', () => {
  const job = <T extends { kind: string }>(reading: T) => reading as Extract<T, { kind: 'job' | 'task' }>;

  it('has its default', () => {
    const load = job(
      readLoadJob({ ...LOAD, gap: undefined, pieces: [{ id: 'cup', outline: box(80, 60), height: 84 }] }),
    ).job;
    expect([load.gap, load.pieces[0]?.count]).toEqual([0, 1]);
    const nest = job(readNestJob({ width: 300, parts: [{ id: 'wall', outline: box(200, 100) }] })).job;
    expect([nest.gap, nest.parts[0]?.count, nest.parts[0]?.turns]).toEqual([0, 1, 'any']);
    const { task } = job(readPlanTask({ hours: [[0, 60]], jobs: [{ id: 'cups', steps: [step('roll')] }] }));
    expect(task.jobs[0]).toEqual({ id: 'cups', due: null, steps: [{ id: 'roll', minutes: 20, least: 0, most: null }] });
    const dry = job(readDryJob({ parts: [{ id: 'wall', thickness: 6 }] })).job;
    expect([dry.hours, dry.every, dry.clay.factor, dry.parts[0]]).toEqual([
      72,
      1,
      1,
      { id: 'wall', thickness: 6, faces: 'one', cover: 'open' },
    ]);
    expect(job(readLearnJob({ bars: LEARN.bars })).job.pieces).toEqual([]);
  });

  it('as heights above shelves are each shelf’s own, or one for all', () => {
    const clear = (heights: readonly number[]) =>
      job(readLoadJob({ ...LOAD, clear: heights })).job.shelves.map((shelf) => shelf.clear);
    expect(clear([120, 90])).toEqual([120, 90]);
    expect(clear([75])).toEqual([75, 75]);
  });

  it('as the way round an outline runs is found: all are counter-clockwise', () => {
    const backward = [...box(80, 60)].reverse();
    const [load, nest] = [
      job(readLoadJob(withAt(LOAD, 'pieces.0.outline', backward))).job.pieces[0],
      job(readNestJob(withAt(NEST, 'parts.0.outline', [...box(281, 119)].reverse()))).job.parts[0],
    ];
    for (const outline of [load?.outline, nest?.outline]) {
      const corners = outline ?? [];
      const twice = corners.reduce((sum, [x, y], at) => {
        const [u, v] = corners[(at + 1) % corners.length] ?? [0, 0];
        return sum + x * v - u * y;
      }, 0);
      expect(twice).toBeGreaterThan(0);
    }
  });
});
