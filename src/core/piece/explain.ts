import { LENGTH_TOLERANCE } from '../numbers.ts';
import { bounds } from '../outline/outline.ts';
import { seamAllowance } from '../seam/seam.ts';
import type { Phrase } from '../units/phrase.ts';
import { FIRED_MASS_FRACTION } from '../clay/shrinkage.ts';
import { PART_GAP } from '../slab/slabNeeded.ts';
import type { Development } from './develop.ts';
import type { Target } from './target.ts';
import { wetPiece } from './wetPiece.ts';

/** The figures that can say how they came about. */
export type FigureId =
  | 'cutLength'
  | 'cutHeight'
  | 'baseDiameter'
  | 'baseTopDiameter'
  | 'bevelRun'
  | 'slab'
  | 'weighOut'
  | 'capacityBrim'
  | 'massFired';

/** One line of the working: the rule in words or symbols, the same with this piece's figures, and what comes out. */
export interface Step {
  readonly rule: string;
  readonly worked: Phrase;
  readonly gives: Phrase;
}

function outsideSteps(target: Target): Step[] {
  const { size, form, clay, slab } = target;
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

function heightSteps(target: Target): Step[] {
  if (target.size.state === 'wet') return [];
  return [
    {
      rule: 'wet height = fired height ÷ (1 − shrinkage)',
      worked: [{ mmPlain: target.form.height }, ` ÷ (1 − ${target.clay.shrinkage})`],
      gives: [{ mm: wetPiece(target).height }],
    },
  ];
}

function wrapSteps(target: Target, { numbers }: Development): Step[] {
  const { wall, neutralFraction: k } = target.slab;
  return [
    ...outsideSteps(target),
    {
      rule: 'the slab keeps its length in the middle of the bend: neutral = wet outside − 2 × wall × (1 − k)',
      worked: [{ mmPlain: numbers.outsideDiameter }, ' − 2 × ', { mmPlain: wall }, ` × (1 − ${k})`],
      gives: [{ mm: numbers.neutralDiameter }],
    },
    {
      rule: 'wrap = π × neutral',
      worked: ['π × ', { mmPlain: numbers.neutralDiameter }],
      gives: [{ mm: numbers.wrapLength }],
    },
  ];
}

/** From the wrap to the line that is cut: panels, and what the seam adds. */
function cutLengthSteps({ seam, slab }: Target, { numbers }: Development): Step[] {
  const steps: Step[] = [];
  const panel = numbers.wrapLength / seam.panels;
  const { added } = seamAllowance(seam, slab.wall);
  if (seam.panels > 1) {
    steps.push({
      rule: 'one of the equal pieces',
      worked: [{ mmPlain: numbers.wrapLength }, ` ÷ ${seam.panels}`],
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
function cutHeightSteps({ numbers, parts }: Development): Step[] {
  const wall = parts.find((part) => part.id === 'wall');
  if (!wall) return [];
  const box = bounds(wall.outline);
  const cut = box.maxY - box.minY;
  const inset = numbers.wallHeight - cut;
  if (Math.abs(inset) < LENGTH_TOLERANCE) return [];
  const [sign, words] = inset > 0 ? [' − ', 'shorter'] : [' + ', 'taller'];
  return [
    {
      rule: `the foot leans: the line on the ${wall.faceUp} face is ${words} than the neutral line`,
      worked: [{ mmPlain: numbers.wallHeight }, sign, { mmPlain: Math.abs(inset) }],
      gives: [{ mm: cut }],
    },
  ];
}

function wallHeightSteps(target: Target, { numbers }: Development): Step[] {
  const { height } = wetPiece(target);
  const { base, neutralFraction: k } = target.slab;
  const steps = heightSteps(target);
  switch (target.base.join) {
    case 'under':
    case 'skirt':
      steps.push({
        rule: 'the wall stands on the base: wall = wet height − base',
        worked: [{ mmPlain: height }, ' − ', { mmPlain: base }],
        gives: [{ mm: numbers.wallHeight }],
      });
      break;
    case 'mitre':
      steps.push({
        rule: 'slanted foot, measured on the neutral line: wall = wet height − base × (1 − k)',
        worked: [{ mmPlain: height }, ' − ', { mmPlain: base }, ` × (1 − ${k})`],
        gives: [{ mm: numbers.wallHeight }],
      });
      break;
    default:
      steps.push({
        rule: 'the wall goes down to the table: wall = wet height',
        worked: [{ mmPlain: height }],
        gives: [{ mm: numbers.wallHeight }],
      });
  }
  return steps;
}

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

function slabSteps({ slabs, parts }: Development): Step[] {
  return slabs.map((slab) => ({
    rule: `parts of one thickness one above the other${slab.parts.length > 1 ? ', with a gap between them' : ''}; the slanted ends count`,
    worked: parts
      .filter((part) => slab.parts.includes(part.id))
      .flatMap((part, index) => [
        ...(index > 0 ? [' + ', { mmPlain: PART_GAP }, ' gap + '] : []),
        `${part.count > 1 ? `${part.count} × ` : ''}${part.name.toLowerCase()}`,
      ]),
    gives: [{ mmPlain: slab.length }, ' × ', { mm: slab.width }, ', ', { mm: slab.thickness }, ' thick'],
  }));
}

/**
 * How a figure came about: the formula and the same with this piece's figures, one line a step.
 *
 * @returns the steps in order; empty when the piece has no such figure
 */
export function explain(figure: FigureId, target: Target, developed: Development): Step[] {
  const { numbers, finished, slabs } = developed;
  switch (figure) {
    case 'cutLength':
      return [...wrapSteps(target, developed), ...cutLengthSteps(target, developed)];
    case 'cutHeight':
      return [...wallHeightSteps(target, developed), ...cutHeightSteps(developed)];
    case 'baseDiameter':
      return numbers.baseDiameter === undefined ? [] : baseSteps(target, numbers.baseDiameter, 'under');
    case 'baseTopDiameter':
      return numbers.baseTopDiameter === undefined ? [] : baseSteps(target, numbers.baseTopDiameter, 'top');
    case 'bevelRun':
      return target.seam.kind !== 'bevel'
        ? []
        : [
            {
              rule: 'slant = wall ÷ tan(bevel angle)',
              worked: [{ mmPlain: target.slab.wall }, ' ÷ tan ', { degrees: target.seam.angle }],
              gives: [{ mm: numbers.bevelRun }],
            },
          ];
    case 'slab':
      return slabSteps(developed);
    case 'weighOut':
      return slabs.map((slab) => ({
        rule: 'slab length × width × thickness × density of the wet clay',
        worked: [
          { mmPlain: slab.length },
          ' × ',
          { mmPlain: slab.width },
          ' × ',
          { mm: slab.thickness },
          `, ${target.clay.wetDensity} g/cm³`,
        ],
        gives: [{ grams: slab.mass }],
      }));
    case 'capacityBrim':
      return [
        {
          rule: 'to the brim, fired: π ÷ 4 × inside² × (height − base)',
          worked: [
            'π ÷ 4 × ',
            { mmPlain: finished.inside },
            '² × ',
            { mm: finished.height - wetPiece(target).floor * (1 - target.clay.shrinkage) },
          ],
          gives: [{ ml: finished.capacityBrim }],
        },
      ];
    case 'massFired':
      return [
        {
          rule: 'about what is left when the water and what burns off are gone: an estimate until you weigh one',
          worked: [{ grams: finished.mass.wet }, ` × ${FIRED_MASS_FRACTION}`],
          gives: [{ grams: finished.mass.fired }],
        },
      ];
  }
}
