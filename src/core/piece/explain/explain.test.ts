import { createContext, runInContext } from 'node:vm';
import { DEFAULT_HANDLE } from '../../target/handle.ts';
import { DEFAULT_LID } from '../../target/lid.ts';
import { degrees, once, radians } from '../../numbers.ts';
import { seeded } from '../../seeded.ts';
import { writePhrase, type Phrase } from '../../units/phrase.ts';
import { develop } from '../develop.ts';
import { targetsOfEveryKind } from '../everyKind.test.helper.ts';
import type { Target } from '../../target/target.ts';
import { randomTarget, targetWith } from '../targets.test.helper.ts';
import { explain } from './explain.ts';
import type { FigureId, Step } from '../../forms/kind/step.ts';

const FIGURES: readonly FigureId[] = [
  'cutLength',
  'cutHeight',
  'baseDiameter',
  'baseTopDiameter',
  'bevelRun',
  'arcFoot',
  'arcRim',
  'sweep',
  'slant',
  'panelFoot',
  'panelRim',
  'sideMitre',
  'handleLength',
  'lidAcross',
  'weighOut',
  'capacityBrim',
  'massFired',
];

const random = seeded(77);
const mug = (more: Partial<Target>): Target => ({ ...targetWith(), ...more });
const TARGETS: readonly Target[] = [
  ...Array.from({ length: 40 }, () => randomTarget(random)),
  ...targetsOfEveryKind(78, 90),
  targetWith({ form: { kind: 'former', diameter: 76, sleeve: 0.5, height: 104 } }),
  mug({ handle: DEFAULT_HANDLE }),
  mug({ lid: DEFAULT_LID, rim: 'level' }),
  mug({ lid: { ...DEFAULT_LID, kind: 'cap' }, rim: 'level' }),
];

const degreesOf = (f: (x: number) => number) => (x: number) => degrees(f(x));
const FUNCTIONS = createContext({
  sin: (x: number) => Math.sin(radians(x)),
  cos: (x: number) => Math.cos(radians(x)),
  tan: (x: number) => Math.tan(radians(x)),
  asin: degreesOf(Math.asin),
  acos: degreesOf(Math.acos),
  atan: degreesOf(Math.atan),
  PI: Math.PI,
});

const valueOf = (item: Phrase[number]) => (typeof item === 'string' ? NaN : (Object.values(item)[0] as number));

/** A worked formula as a sum that a machine can do, its figures unrounded; null when there are words in it. */
function sumOf(worked: Phrase): string | null {
  const text = worked
    .map((item) => (typeof item === 'string' ? item : `(${valueOf(item)})`))
    .join('')
    .replace(/, ([\d.]+) g\/cm³$/, ' × $1 ÷ 1000')
    .replace(/(sin|cos)² (\(.*?\))/g, '$1$2²')
    .replaceAll('÷', '/')
    .replaceAll('×', '*')
    .replaceAll('−', '-')
    .replaceAll('°', '')
    .replaceAll('²', '**2')
    .replaceAll('³', '**3')
    .replace(/(\d)π/g, '($1*PI)')
    .replaceAll('π', 'PI');
  const words = text.replace(/\b(a?sin|a?cos|a?tan|PI)\b/g, '').replace(/\de[+-]?\d/g, '');
  return /[a-z,]/i.test(words) ? null : text;
}

const developed = once((target: Target) => develop(target));
const stepsOf = (figure: FigureId, target: Target): Step[] => explain(figure, { target, developed: developed(target) });

describe('every line of working', () => {
  const done = new Map<FigureId, number>();

  it.each(FIGURES)('for %s gives what its own sum gives', (figure) => {
    for (const target of TARGETS) {
      for (const { worked, gives, rule } of stepsOf(figure, target)) {
        const sum = sumOf(worked);
        const figures = gives.filter((item) => typeof item !== 'string');
        if (sum === null || figures.length !== 1) continue;
        const found = runInContext(sum, FUNCTIONS) as number;
        const wanted = valueOf(figures[0] as Phrase[number]);
        if (!(Math.abs(found - wanted) <= 1e-6 * Math.max(1, Math.abs(wanted))))
          throw new Error(`${target.form.kind}, ${rule}: ${sum} is ${found}, not ${wanted}`);
        done.set(figure, (done.get(figure) ?? 0) + 1);
      }
    }
    expect(done.get(figure)).toBeGreaterThan(0);
  });

  it('is told in words for a flange, which follows the outline of its lid', () => {
    const steps = TARGETS.flatMap((target) => stepsOf('flangeLength', target));
    expect(steps.length).toBeGreaterThan(1);
    for (const { gives } of steps) expect(valueOf(gives[0] ?? '')).toBeGreaterThan(150);
  });

  it('is written in the unit that is chosen, without holes', () => {
    for (const figure of FIGURES) {
      for (const target of TARGETS.slice(0, 60)) {
        for (const { rule, worked, gives } of stepsOf(figure, target)) {
          expect(rule).not.toBe('');
          for (const phrase of [worked, gives]) {
            for (const style of [{ unit: 'mm' }, { unit: 'inch' }] as const)
              expect(writePhrase(phrase, style)).not.toMatch(/NaN|undefined|null|Infinity|\[object/);
          }
        }
      }
    }
  });
});
