import { girth } from '../../geometry/outline/planMeasures.ts';
import { kindOf } from '../../forms/kinds.ts';
import type { Part } from '../../parts/part/part.ts';
import type { Target } from '../../target/target.ts';
import type { Phrase } from '../../units/phrase.ts';
import { leanSentences } from './partWords.ts';
import { WETTED } from './wallSteps.ts';
import { WHY, type Schools, type WorkStep } from './workStep.ts';

/** How the base meets the wall, in one sentence. */
function baseSays({ base }: Target): Phrase {
  switch (base.join) {
    case 'under':
      return ['Stand the wall on the base and wiggle it until it grips.'];
    case 'inside':
      return ['Set the base into the wall, level with the foot, and press the wall to it.'];
    case 'mitre':
      return ['Set both slants together; press the wall down and in all round.'];
    case 'skirt':
      return ['Stand the wall on the base and fold the skirt of ', { mm: base.overlap }, ' up the wall.'];
    case 'none':
      return [];
  }
}

/** Length of the corner inside, where wall and base meet (wet mm). */
export function cornerLength(target: Target): number {
  const { floor, section } = kindOf(target).standing(target);
  return girth(section(floor).inner);
}

/** Setting the base and closing its corner. */
export function baseWork(target: Target, base: Part | undefined, schools: Schools): WorkStep[] {
  if (!base) return [];
  const { trim } = target.base;
  const former = target.form.kind === 'former';
  const traced = schools.base === 'traced' && trim === 0;
  const steps: WorkStep[] = [];
  if (traced) {
    steps.push({
      id: 'trace base',
      act: 'cut',
      title: 'Trace the base from the wall',
      says: [
        ['Stand the wall on the slab and draw round it; it should be as large as the template.'],
        ...leanSentences(base),
      ],
      part: 'base',
      tools: ['needle', 'knife'],
      until: 'The line follows the wall all round.',
      schools: WHY.base,
      minutes: 4,
    });
  }
  steps.push({
    id: 'base',
    act: 'base',
    title: 'Join the base',
    says: [
      [`Score wall and base in two directions and ${WETTED[schools.joins]}.`],
      baseSays(target),
      ['Work the outer edge up or down with a finger.'],
    ],
    part: 'base',
    tools: ['scoring tool', 'brush', 'rib'],
    until: 'No gap between wall and base, seen from below.',
    schools: `${WHY.base} ${WHY.joins}`,
    minutes: 8,
  });
  if (former) {
    steps.push({
      id: 'off the former',
      act: 'form',
      title: 'Take it off the former',
      says: [
        ['Roll the corner once round, then tap the cup on the board from a hand’s breadth.'],
        ['If it sticks, roll once more, or tear the paper out.'],
      ],
      tools: ['former'],
      until: 'It slides off, and the base is flat.',
      minutes: 4,
    });
  }
  if (schools.coil) {
    steps.push({
      id: 'coil',
      act: 'coil',
      title: 'Press a coil into the corner',
      says: [['About ', { mm: cornerLength(target) }, ' of it, thin, in short pieces.'], ['Run a wet brush round it.']],
      tools: ['coil', 'brush'],
      until: 'A smooth, round corner inside.',
      schools: WHY.coil,
      minutes: 5,
    });
  }
  if (trim > 0) {
    steps.push({
      id: 'trim',
      act: 'cut',
      title: 'Trim the base',
      says: [['When it holds, cut off the ', { mm: trim }, ' that stand out, along the wall.']],
      part: 'base',
      tools: ['needle'],
      until: 'Base and wall are one line from the side.',
      minutes: 4,
    });
  }
  return steps;
}
