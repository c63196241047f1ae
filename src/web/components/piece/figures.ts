import { tracedEdge } from '../../../core/forms/kind/tracedSteps.ts';
import { LENGTH_TOLERANCE } from '../../../core/numbers.ts';
import { bounds, type Outline } from '../../../core/geometry/outline/outline.ts';
import { isWall, type Part } from '../../../core/parts/part/part.ts';
import type { Development } from '../../../core/piece/develop.ts';
import { kindOfForm } from '../../../core/forms/kinds.ts';
import type { Target } from '../../../core/target/target.ts';
import type { FigureId } from '../../../core/forms/kind/step.ts';
import { scaleUp, type MassSystem } from '../../../core/units/mass.ts';
import type { Phrase } from '../../../core/units/phrase.ts';

/** A figure that the potter measures, weighs or wants to know. */
export interface Figure {
  readonly id: FigureId;
  /** Which band of a stack it belongs to, from 0. */
  readonly band?: number;
  readonly label: string;
  readonly phrase: Phrase;
  readonly unit: 'length' | 'none';
  /** Shown smaller: it is not the first thing to measure. */
  readonly minor?: boolean;
}

function boxOf(outline: Outline): { length: number; height: number } {
  const box = bounds(outline);
  return { length: box.maxX - box.minX, height: box.maxY - box.minY };
}

function lengthFigure(
  id: FigureId,
  label: string,
  { mm, more = {} }: { readonly mm: number; readonly more?: Partial<Figure> },
): Figure {
  return { id, label, phrase: [{ mmPlain: mm }], unit: 'length', ...more };
}

function straightWall(wall: Part, wrapLength: number): Figure[] {
  const { length, height } = boxOf(wall.outline);
  const whole = Math.abs(length - wrapLength) < LENGTH_TOLERANCE;
  const several = wall.count > 1 ? `Each of ${wall.count} walls` : 'Wrap, with overlap';
  return [
    lengthFigure('cutLength', whole ? 'Wrap' : several, { mm: length }),
    lengthFigure('cutHeight', 'Wall height', { mm: height }),
  ];
}

/** The arcs of a cone's flat wall as they are traced on the face that lies up, and its slant. */
function coneWall(
  wall: Part,
  cone: { sweep: number },
  { band, prefix }: { readonly band: number; readonly prefix: string },
): Figure[] {
  const foot = tracedEdge(wall, 'foot').radius;
  const rim = tracedEdge(wall, 'rim').radius;
  const name = (text: string) => (prefix ? `${prefix} ${text}` : text.charAt(0).toUpperCase() + text.slice(1));
  const straight = !Number.isFinite(foot) || !Number.isFinite(rim);
  return [
    ...(straight
      ? [lengthFigure('girthRim', name('wrap'), { mm: boxOf(wall.outline).length, more: { band } })]
      : [
          lengthFigure('arcRim', name('rim radius'), { mm: rim, more: { band } }),
          lengthFigure('arcFoot', name('foot radius'), { mm: foot, more: { band } }),
          {
            id: 'sweep',
            band,
            label: name('sweep'),
            phrase: [{ degrees: cone.sweep / wall.count }],
            unit: 'none',
          } as const,
        ]),
    lengthFigure('slant', name('slant height'), { mm: tracedEdge(wall, 'left').length, more: { band, minor: true } }),
  ];
}

/** Width of a separate panel as it is traced; in a strip the fold lines on the outer face, as they are given. */
function panelWidth(part: Part, edge: 'foot' | 'rim', folded = 0): number {
  return part.id === 'panel' ? tracedEdge(part, edge).length : folded;
}

function wallFigures({ form }: Target, { numbers, parts }: Development): Figure[] {
  const walls = parts.filter(isWall);
  const [first] = walls;
  if (!first) return [];
  const own = kindOfForm(form).figures?.(form, numbers);
  if (own) return own.map(({ id, label, mm }) => lengthFigure(id, label, { mm }));
  if (numbers.wrapLength !== undefined) return straightWall(first, numbers.wrapLength);
  if (numbers.bands) {
    return numbers.bands.flatMap((band, index) => {
      const wall = walls[index];
      return wall ? coneWall(wall, band, { band: index, prefix: String.fromCharCode(65 + index) }) : [];
    });
  }
  if (numbers.sweep !== undefined) return coneWall(first, { sweep: numbers.sweep }, { band: 0, prefix: '' });
  if (numbers.panelFoot !== undefined) {
    return [
      lengthFigure('panelRim', 'Panel, rim', { mm: panelWidth(first, 'rim', numbers.panelRim) }),
      lengthFigure('panelFoot', 'Panel, foot', { mm: panelWidth(first, 'foot', numbers.panelFoot) }),
      lengthFigure('slant', 'Slant height', { mm: numbers.slant ?? 0 }),
      { id: 'sideMitre', label: 'Side mitre', phrase: [{ degrees: numbers.sideMitre ?? 0 }], unit: 'none' },
    ];
  }
  return walls.flatMap((wall) => {
    const { length, height } = boxOf(wall.outline);
    return [
      lengthFigure('cutLength', `${wall.name}, along`, { mm: length }),
      lengthFigure(
        'cutHeight',
        `${wall.name}, ${['blank', 'strip', 'sheet'].includes(wall.id) ? 'across' : 'height'}`,
        { mm: height },
      ),
    ];
  });
}

/** The base over the line that is traced and, where its edge leans, over its underside. */
function baseFigures(base: Part): Figure[] {
  const up = boxOf(base.outline);
  const down = boxOf(base.underside);
  const [traced, hidden]: [FigureId, FigureId] =
    base.faceUp === 'inside' ? ['baseTopDiameter', 'baseDiameter'] : ['baseDiameter', 'baseTopDiameter'];
  const round = Math.abs(up.length - up.height) < LENGTH_TOLERANCE;
  const across = (id: FigureId, label: string, box: typeof up): Figure => ({
    ...lengthFigure(id, label, { mm: box.length }),
    phrase: round ? [{ mmPlain: box.length }] : [{ mmPlain: box.length }, ' × ', { mmPlain: box.height }],
  });
  const top = across(traced, 'Base across', up);
  return Math.abs(up.length - down.length) < LENGTH_TOLERANCE ? [top] : [top, across(hidden, 'Base, underside', down)];
}

/** Handle, knob and lid: a strap by its length, a pulled handle and a knob by the lump. */
function addedFigures({ numbers, lumps = [] }: Development): Figure[] {
  const length = (id: FigureId, label: string, mm: number | undefined) =>
    mm === undefined ? [] : [lengthFigure(id, label, { mm, more: { minor: true } })];
  return [
    ...(lumps.every(({ id }) => id !== 'pulled-handle')
      ? length('handleLength', 'Handle strap', numbers.handleLength)
      : []),
    ...lumps
      .filter(({ id }) => id === 'pulled-handle')
      .map((lump): Figure => ({
        id: 'handleLength',
        label: 'Pulled handle',
        phrase: [{ grams: lump.mass }, ', to ', { mm: lump.length }],
        unit: 'none',
        minor: true,
      })),
    ...lumps
      .filter(({ id }) => id === 'knob')
      .map((lump): Figure => ({
        id: 'weighOut',
        label: 'Knob',
        phrase: [{ grams: lump.mass }, ', a ball of ', { mm: lump.length }],
        unit: 'none',
        minor: true,
      })),
    ...length('lidAcross', 'Lid across', numbers.lidAcross),
    ...length('flangeLength', 'Flange, round', numbers.flangeLength),
  ];
}

/** A mass (g); none while a piece from a mould has no parts yet. */
function weight(
  id: FigureId,
  label: string,
  { grams, more = {} }: { readonly grams: number; readonly more?: Partial<Figure> },
): Figure[] {
  return grams > 0 ? [{ id, label, phrase: [{ grams }], unit: 'none', ...more }] : [];
}

/** The figures to measure with a ruler, the largest on the screen: lines as they are traced on the face that lies up. */
export function figuresToMeasure(target: Target, developed: Development, scale: MassSystem): Figure[] {
  const { numbers, slabs, parts, lumps = [] } = developed;
  // Each slab and lump is weighed by itself, and rounded up to what a bench scale shows.
  const rolled = slabs.reduce((sum, slab) => sum + scaleUp(slab.mass, scale), 0);
  const mass = lumps.reduce((sum, lump) => sum + lump.count * scaleUp(lump.mass, scale), rolled);
  return [
    ...wallFigures(target, developed),
    ...parts.filter(({ role }) => role === 'base').flatMap(baseFigures),
    ...(numbers.slot === undefined ? [] : [lengthFigure('slot', 'Slot', { mm: numbers.slot })]),
    ...addedFigures(developed),
    ...(numbers.bevelRun > 0
      ? [lengthFigure('bevelRun', 'Slant runs', { mm: numbers.bevelRun, more: { minor: true } })]
      : []),
    ...slabs.map((slab): Figure => ({
      id: 'slab',
      label: slabs.length > 1 ? `Slab for ${slab.parts.join(', ')}` : 'Slab',
      phrase: [{ mmPlain: slab.length }, ' × ', { mmPlain: slab.width }],
      unit: 'length',
      minor: true,
    })),
    ...weight('weighOut', 'Weigh out', { grams: mass, more: { minor: true } }),
  ];
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
    ...(finished.inside.foot > 0
      ? [
          {
            id: 'insideRim',
            label: 'Inside, at the rim',
            phrase: [{ mmPlain: finished.inside.rim }],
            unit: 'length',
            minor: true,
          } as const,
          {
            id: 'insideFoot',
            label: 'Inside, on the floor',
            phrase: [{ mmPlain: finished.inside.foot }],
            unit: 'length',
            minor: true,
          } as const,
        ]
      : []),
    ...weight('massFired', 'Weighs, fired, about', { grams: finished.mass.fired }),
  ];
}
