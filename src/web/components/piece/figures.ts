import { LENGTH_TOLERANCE } from '../../../core/numbers.ts';
import { bounds, type Outline } from '../../../core/outline/outline.ts';
import type { Part } from '../../../core/part/part.ts';
import type { Development } from '../../../core/piece/develop.ts';
import type { FigureId } from '../../../core/piece/explain.ts';
import type { Phrase } from '../../../core/units/phrase.ts';

/** A figure that the potter measures, weighs or wants to know. */
export interface Figure {
  readonly id: FigureId;
  readonly label: string;
  readonly phrase: Phrase;
  readonly unit: 'length' | 'none';
}

/** Bench scales show whole steps of this many grams: what is weighed out is rounded up to it. */
const SCALE_STEP = 10;

function boxOf(outline: Outline): { length: number; height: number } {
  const box = bounds(outline);
  return { length: box.maxX - box.minX, height: box.maxY - box.minY };
}

function lengthFigure(id: FigureId, label: string, mm: number): Figure {
  return { id, label, phrase: [{ mmPlain: mm }], unit: 'length' };
}

function wallFigures(wall: Part, wrapLength: number): Figure[] {
  const { length, height } = boxOf(wall.outline);
  const whole = Math.abs(length - wrapLength) < LENGTH_TOLERANCE;
  return [
    lengthFigure(
      'cutLength',
      whole ? 'Wrap' : wall.count > 1 ? `Each of ${wall.count} walls` : 'Wrap, with overlap',
      length,
    ),
    lengthFigure('cutHeight', 'Wall height', height),
  ];
}

/** The base over the line that is traced and, where its edge leans, over its underside. */
function baseFigures(base: Part): Figure[] {
  const up = boxOf(base.outline).length;
  const down = boxOf(base.underside).length;
  const [traced, hidden]: [FigureId, FigureId] =
    base.faceUp === 'inside' ? ['baseTopDiameter', 'baseDiameter'] : ['baseDiameter', 'baseTopDiameter'];
  const across = lengthFigure(traced, 'Base across', up);
  return Math.abs(up - down) < LENGTH_TOLERANCE ? [across] : [across, lengthFigure(hidden, 'Base, underside', down)];
}

/** The figures to measure with a ruler, the largest on the screen: lines as they are traced on the face that lies up. */
export function figuresToMeasure({ numbers, slabs, parts }: Development): Figure[] {
  const figures: (Figure | null)[] = [
    ...parts.flatMap((part) => (part.id === 'base' ? baseFigures(part) : wallFigures(part, numbers.wrapLength))),
    numbers.bevelRun > 0
      ? { id: 'bevelRun', label: 'Slant runs', phrase: [{ mmPlain: numbers.bevelRun }], unit: 'length' }
      : null,
    ...slabs.map((slab): Figure => ({
      id: 'slab',
      label: slabs.length > 1 ? `Slab for ${slab.parts.join(', ')}` : 'Slab',
      phrase: [{ mmPlain: slab.length }, ' × ', { mmPlain: slab.width }],
      unit: 'length',
    })),
    {
      id: 'weighOut',
      label: 'Weigh out',
      phrase: [{ grams: Math.ceil(slabs.reduce((sum, slab) => sum + slab.mass, 0) / SCALE_STEP) * SCALE_STEP }],
      unit: 'none',
    },
  ];
  return figures.filter((figure) => figure !== null);
}

/** What the finished piece will be. */
export function finishedFigures({ finished }: Development): Figure[] {
  return [
    ...(finished.capacityBrim > 0
      ? [
          {
            id: 'capacityBrim',
            label: 'Holds, to the brim',
            phrase: [{ ml: finished.capacityBrim }],
            unit: 'none',
          } as const,
        ]
      : []),
    { id: 'massFired', label: 'Weighs, fired, about', phrase: [{ grams: finished.mass.fired }], unit: 'none' },
  ];
}
