import { readdirSync, readFileSync } from 'node:fs';
import { once } from '../../numbers.ts';
import { PAPER_ID } from '../../parts/part/part.ts';
import { developWhole } from '../../piece/develop.ts';
import { newTarget, type Target } from '../../target/target.ts';
import { quickPlan } from '../slabPlan/quickPlan.ts';
import { DEFAULT_PLAN } from '../slabPlan/slabPlan.ts';
import { writePhrase } from '../../units/phrase.ts';
import { orderOfWork } from './orderOfWork.ts';
import { waitingParts } from './waitingParts.ts';
import { DEFAULT_SCHOOLS, type Schools, type WorkStep } from './workStep.ts';

const RULES = { length: 900, width: 500, ...DEFAULT_PLAN };

/** The demo pieces, with what their files leave out. */
const PIECES = readdirSync('demo')
  .filter((file) => file.endsWith('.fawn.json'))
  .map((file): Target => {
    const read = JSON.parse(readFileSync(`demo/${file}`, 'utf8')) as Partial<Target>;
    const plain = newTarget('');
    return {
      ...plain,
      ...read,
      clay: { ...plain.clay, ...read.clay },
      slab: { ...plain.slab, ...read.slab },
      base: { ...plain.base, ...read.base },
      size: { ...plain.size, ...read.size },
    };
  });

/** Each piece is developed once: blanks are slow to lay. */
const developedOf = once((target: Target) => developWhole(target));

function orderOf(target: Target, schools: Partial<Schools> = {}): WorkStep[] {
  const developed = developedOf(target);
  const clay = developed.parts.filter(({ id }) => id !== PAPER_ID);
  const slabs = quickPlan(target, clay, RULES) ?? developed.slabs;
  return orderOfWork(target, { developed, slabs, schools: { ...DEFAULT_SCHOOLS, ...schools } });
}

/** A step on one line, as it is read aloud. */
const line = ({ title, says, until, waits, caution }: WorkStep, index: number) =>
  [
    `${index + 1}. ${title}.`,
    ...says.map((phrase) => writePhrase(phrase, { unit: 'mm' })),
    `Until: ${until}`,
    ...(waits ? [`(waits: ${waits.until})`] : []),
    ...(caution ? [`Take care: ${caution}`] : []),
  ].join(' ');

describe('the order of work', () => {
  it.each(PIECES.map((target) => [target.name, target] as const))('of %s reads as it stands', (_, target) => {
    const steps = orderOf(target);
    expect(steps.map(line)).toMatchSnapshot();
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
  });

  it.each(PIECES.map((target) => [target.name, target] as const))(
    'of %s waits with the parts that lie side by side: the wall before what is added, all of them once they are joined',
    (_, target) => {
      const { parts } = developedOf(target);
      const clay = parts.map(({ id }) => id).filter((id) => id !== PAPER_ID);
      for (const step of orderOf(target)) {
        const waiting = waitingParts(step, parts).map(({ id }) => id);
        if (!step.waits || step.id === 'handle firms' || step.id === 'holds') expect(waiting).toEqual([]);
        else if (step.waits.until !== 'opens') expect(waiting).toEqual(clay);
        else expect(waiting.some((id) => ['handle', 'lug', 'foot', 'lid', PAPER_ID].includes(id))).toBe(false);
      }
    },
  );

  it.each(PIECES.map((target) => [target.name, target] as const))(
    'of %s cuts every part before it is joined, says every lean, and ends dry',
    (_, target) => {
      const steps = orderOf(target);
      const { parts } = developedOf(target);
      for (const part of parts) {
        if (part.id === PAPER_ID) continue;
        const cut = steps.findIndex(({ act, part: id }) => act === 'cut' && id === part.id);
        const join = steps.findIndex(({ act, part: id }) => ['join', 'base', 'add'].includes(act) && id === part.id);
        expect(cut).toBeGreaterThanOrEqual(0);
        if (join >= 0) expect(cut).toBeLessThan(join);
        const said = JSON.stringify(steps[cut]?.says);
        for (const { lean, least, greatest, word } of part.leans) {
          if (word !== 'straight down' && Math.abs((greatest ?? lean) - (least ?? lean)) <= 2)
            expect(said).toContain(`{"degrees":${Math.abs(lean)}}`);
        }
      }
      expect(steps.at(-1)?.waits?.until).toBe('dry');
      for (const { says, until, minutes } of steps) {
        expect(says.every((phrase) => /[.!]$/.test(writePhrase(phrase, { unit: 'inch' })))).toBe(true);
        expect(until).toMatch(/\.$/);
        expect(minutes).toBeGreaterThan(0);
      }
    },
  );

  it.each<[Partial<Schools>, (steps: readonly WorkStep[]) => boolean]>([
    [{ coil: false }, (steps) => steps.every(({ id }) => id !== 'coil')],
    [
      { base: 'traced' },
      (steps) =>
        steps.findIndex(({ id }) => id === 'trace base') > steps.findIndex(({ id }) => id === 'seam') &&
        steps.every(({ id }) => id !== 'cut base'),
    ],
    [{ joins: 'slip' }, (steps) => JSON.stringify(steps).includes('brush slip into the grooves')],
    [{ seam: 'paddled' }, (steps) => steps.some(({ id, tools }) => id === 'seam' && tools.includes('paddle'))],
    [
      { texture: 'after' },
      (steps) => steps.findIndex(({ id }) => id === 'texture') > steps.findIndex(({ id }) => id === 'cut wall'),
    ],
  ])('follows the school %j', (schools, holds) => {
    const target = { ...newTarget('x'), marks: { repeat: 16 } };
    expect(holds(orderOf(target, schools))).toBe(true);
    expect(holds(orderOf(target))).toBe(false);
  });

  it('trims what stands out, presses an oval before it has a base, and takes a cup off its former before the coil', () => {
    const at = (steps: readonly WorkStep[], id: string) => steps.findIndex((step) => step.id === id);
    const named = (name: string) => orderOf(PIECES.find((target) => target.name === name) as Target);
    const [jar, dish, pipe] = ['Ladle jar', 'Relish dish', 'Cup on the old pipe'].map(named) as [
      WorkStep[],
      WorkStep[],
      WorkStep[],
    ];
    expect(at(jar, 'trim')).toBeGreaterThan(at(jar, 'base'));
    expect(at(dish, 'true')).toBeLessThan(at(dish, 'base'));
    expect(at(pipe, 'coil')).toBeGreaterThan(at(pipe, 'off the former'));
  });

  it('asks two to carry a heavy slab', () => {
    const large = {
      ...newTarget('x'),
      form: { kind: 'box', length: 700, width: 400, height: 120 },
      slab: { ...newTarget('x').slab, wall: 25, base: 25 },
    } as const;
    const steps = orderOf(large);
    expect(steps.some(({ act, caution }) => act === 'weigh' && /Two people/.test(caution ?? ''))).toBe(true);
  });
});
