import { LENGTH_TOLERANCE } from '../../numbers.ts';
import { bounds } from '../../geometry/outline/outline.ts';
import { seamAllowance } from '../../parts/seam/seam.ts';
import type { Explained } from '../kind/kind.ts';
import type { FormerForm, Target } from '../../target/target.ts';
import { wetPiece } from './wetPiece.ts';
import { wetHeightSteps, type FigureId, type Step } from '../kind/step.ts';

function formerSteps(form: FormerForm, target: Target): Step[] {
  const { wall } = target.slab;
  return [
    {
      rule: 'wet outside = former + 2 × sleeve + 2 × wall',
      worked: [{ mmPlain: form.diameter }, ' + 2 × ', { mmPlain: form.sleeve }, ' + 2 × ', { mmPlain: wall }],
      gives: [{ mm: wetPiece(target).outside }],
    },
  ];
}

function outsideSteps(target: Target): Step[] {
  const { size, form, clay, slab } = target;
  if (form.kind === 'former') return formerSteps(form, target);
  if (form.kind !== 'cylinder') return [];
  const piece = wetPiece(target);
  const across = size.face === 'outside' ? piece.outside : piece.inside;
  const steps: Step[] = [];
  if (size.state === 'fired') {
    steps.push({
      rule: `wet ${size.face} = fired ${size.face} ÷ (1 − shrinkage)`,
      worked: [{ mmPlain: form.diameter }, ` ÷ (1 − ${clay.shrinkage})`],
      gives: [{ mm: across }],
    });
  }
  if (size.face === 'inside') {
    steps.push({
      rule: 'wet outside = wet inside + 2 × wall',
      worked: [{ mmPlain: piece.inside }, ' + 2 × ', { mmPlain: slab.wall }],
      gives: [{ mm: piece.outside }],
    });
  }
  return steps;
}

function wrapSteps(target: Target, { numbers }: Explained['developed']): Step[] {
  const { wall, neutralFraction: k } = target.slab;
  const { outsideDiameter = 0, neutralDiameter = 0, wrapLength = 0 } = numbers;
  return [
    ...outsideSteps(target),
    {
      rule: 'the slab keeps its length in the middle of the bend: neutral = wet outside − 2 × wall × (1 − k)',
      worked: [{ mmPlain: outsideDiameter }, ' − 2 × ', { mmPlain: wall }, ` × (1 − ${k})`],
      gives: [{ mm: neutralDiameter }],
    },
    {
      rule: 'wrap = π × neutral',
      worked: ['π × ', { mmPlain: neutralDiameter }],
      gives: [{ mm: wrapLength }],
    },
  ];
}

/** Steps to the length of the traced wall. */
function lengthSteps(target: Target, developed: Explained['developed']): Step[] {
  return [...wrapSteps(target, developed), ...cutLengthSteps(target, developed)];
}

/** Steps to the height of the traced wall. */
function heightSteps(target: Target, developed: Explained['developed']): Step[] {
  return [...wallHeightSteps(target, developed), ...cutHeightSteps(developed)];
}

/** From the wrap to the line that is cut: panels, and what the seam adds. */
function cutLengthSteps({ seam, slab }: Target, { numbers }: Explained['developed']): Step[] {
  const steps: Step[] = [];
  const { wrapLength = 0 } = numbers;
  const panel = wrapLength / seam.panels;
  const { added } = seamAllowance(seam, slab.wall);
  if (seam.panels > 1) {
    steps.push({
      rule: 'one of the equal pieces',
      worked: [{ mmPlain: wrapLength }, ` ÷ ${seam.panels}`],
      gives: [{ mm: panel }],
    });
  }
  if (added > 0) {
    const rule = seam.kind === 'cut-in-place' ? 'plus the spare at both ends' : 'plus the overlap';
    steps.push({ rule, worked: [{ mmPlain: panel }, ' + ', { mmPlain: added }], gives: [{ mm: panel + added }] });
  }
  return steps;
}

/** From the neutral height to the line on the face that lies up, where the foot leans. */
function cutHeightSteps({ numbers, parts }: Explained['developed']): Step[] {
  const { wallHeight = 0 } = numbers;
  const wall = parts.find((part) => part.id === 'wall');
  if (!wall) return [];
  const box = bounds(wall.outline);
  const cut = box.maxY - box.minY;
  const inset = wallHeight - cut;
  if (Math.abs(inset) < LENGTH_TOLERANCE) return [];
  const [sign, words] = inset > 0 ? [' − ', 'shorter'] : [' + ', 'taller'];
  return [
    {
      rule: `the foot leans: the line on the ${wall.faceUp} face is ${words} than the neutral line`,
      worked: [{ mmPlain: wallHeight }, sign, { mmPlain: Math.abs(inset) }],
      gives: [{ mm: cut }],
    },
  ];
}

function wallHeightSteps(target: Target, { numbers }: Explained['developed']): Step[] {
  const { wallHeight = 0 } = numbers;
  const { height } = wetPiece(target);
  const { base, neutralFraction: k } = target.slab;
  const steps = wetHeightSteps(target, height);
  switch (target.base.join) {
    case 'under':
    case 'skirt':
      steps.push({
        rule: 'the wall stands on the base: wall = wet height − base',
        worked: [{ mmPlain: height }, ' − ', { mmPlain: base }],
        gives: [{ mm: wallHeight }],
      });
      break;
    case 'mitre':
      steps.push({
        rule: 'slanted foot, measured on the neutral line: wall = wet height − base × (1 − k)',
        worked: [{ mmPlain: height }, ' − ', { mmPlain: base }, ` × (1 − ${k})`],
        gives: [{ mm: wallHeight }],
      });
      break;
    default:
      steps.push({
        rule: 'the wall goes down to the table: wall = wet height',
        worked: [{ mmPlain: height }],
        gives: [{ mm: wallHeight }],
      });
  }
  return steps;
}

/** Steps to a diameter of a round base. */
function baseSteps(target: Target, figure: number, face: 'under' | 'top'): Step[] {
  const { base, slab } = target;
  const piece = wetPiece(target);
  const steps = outsideSteps(target);
  const reachesInside = base.join === 'inside' || (base.join === 'mitre' && face === 'top');
  if (reachesInside) {
    steps.push({
      rule: 'the base fits within the wall: wet outside − 2 × wall',
      worked: [{ mmPlain: piece.outside }, ' − 2 × ', { mmPlain: slab.wall }],
      gives: [{ mm: piece.inside }],
    });
  }
  const from = reachesInside ? piece.inside : piece.outside;
  if (base.join === 'skirt' && face === 'under') {
    steps.push({
      rule: 'plus the skirt on both sides',
      worked: [{ mmPlain: from }, ' + 2 × ', { mmPlain: base.overlap }],
      gives: [{ mm: from + 2 * base.overlap }],
    });
  }
  if (base.trim > 0) {
    steps.push({
      rule: 'plus the trim on both sides, cut off after joining',
      worked: [{ mmPlain: figure - 2 * base.trim }, ' + 2 × ', { mmPlain: base.trim }],
      gives: [{ mm: figure }],
    });
  }
  if (steps.length === 0) {
    steps.push({ rule: 'as wide as the wet outside', worked: [{ mmPlain: from }], gives: [{ mm: figure }] });
  }
  return steps;
}

/** How a figure of a straight round piece came about. */
export function explainStraight(figure: FigureId, { target, developed }: Explained): Step[] {
  switch (figure) {
    case 'cutLength':
      return lengthSteps(target, developed);
    case 'cutHeight':
      return heightSteps(target, developed);
    case 'baseDiameter':
    case 'baseTopDiameter': {
      const across = developed.numbers[figure];
      return across === undefined ? [] : baseSteps(target, across, figure === 'baseDiameter' ? 'under' : 'top');
    }
    default:
      return [];
  }
}
