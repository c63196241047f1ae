import { radians, TAU } from '../../numbers.ts';
import type { Vertex } from '../../geometry/outline/outline.ts';
import { arcLine } from '../../geometry/outline/arcLine.ts';
import { drawingOf, READ_TOLERANCE, type DrawingReading, type DrawnLine } from './drawnLines.ts';

/** Limits of a DXF file: characters, entities, points. */
export const DXF_LIMITS = { file: 8_000_000, entities: 4000, points: 40_000, degree: 10 } as const;

/** Mm in one unit of `$INSUNITS`: none named (read as mm), inches, mm, cm, m. */
const UNITS: Readonly<Record<number, number>> = { 0: 1, 1: 25.4, 4: 1, 5: 10, 6: 1000 };

/** Entities that draw lines; others are ignored, except those that contain lines, which are refused. */
const HIDING: readonly string[] = [
  'INSERT',
  'ACAD_PROXY_ENTITY',
  '3DSOLID',
  'REGION',
  'BODY',
  'SURFACE',
  'MLINE',
  'HATCH',
];

/** Number of points at which a curve without arcs is sampled. */
const CURVE_POINTS = 128;

type Group = readonly [code: number, value: string];
type Entity = { readonly kind: string; readonly groups: Group[] };
class Refusal extends Error {}

function figure({ kind, groups }: Entity, code: number, fallback?: number): number {
  const found = groups.find(([one]) => one === code);
  if (!found && fallback !== undefined) return fallback;
  const value = found ? Number(found[1]) : NaN;
  if (!Number.isFinite(value)) throw new Refusal(`has ${kind} without a sound figure ${code}`);
  return value;
}

function figures({ kind, groups }: Entity, code: number): number[] {
  return groups
    .filter(([one]) => one === code)
    .map(([, text]) => {
      const value = Number(text);
      if (!Number.isFinite(value)) throw new Refusal(`has ${kind} with “${text.slice(0, 20)}” for a number`);
      return value;
    });
}

/** Splits the file into its pairs of lines. */
function groupsOf(text: string): Group[] {
  const rows = text.split(/\r\n|\n|\r/);
  const groups: Group[] = [];
  for (let at = 0; at + 1 < rows.length; at += 2) {
    const code = Number((rows[at] as string).trim());
    if (!Number.isInteger(code)) throw new Refusal(`line ${at + 1}: a group begins with its code: is it a DXF file?`);
    groups.push([code, (rows[at + 1] as string).trim()]);
  }
  return groups;
}

function unitOf(groups: readonly Group[]): number {
  const at = groups.findIndex(([code, value]) => code === 9 && value === '$INSUNITS');
  const named = at < 0 ? 0 : Number(groups[at + 1]?.[1]);
  const unit = UNITS[named];
  if (unit === undefined) throw new Refusal(`is in a unit that is not read (${named}): save it in mm, cm, m or inches`);
  return unit;
}

function entitiesOf(groups: readonly Group[]): Entity[] {
  const from = groups.findIndex(
    ([code, value], index) => code === 2 && value === 'ENTITIES' && groups[index - 1]?.[1] === 'SECTION',
  );
  if (from < 0) throw new Refusal('has no ENTITIES: is it a DXF file?');
  const entities: Entity[] = [];
  let ended = false;
  for (const group of groups.slice(from + 1)) {
    if (group[0] === 0) {
      ended = group[1] === 'ENDSEC';
      if (ended) break;
      entities.push({ kind: group[1], groups: [] });
      if (entities.length > DXF_LIMITS.entities) throw new Refusal(`has more than ${DXF_LIMITS.entities} entities`);
    } else entities.at(-1)?.groups.push(group);
  }
  if (!ended) throw new Refusal('ends in the middle of its ENTITIES: it is not whole');
  return entities;
}

/** Points with their bulges, in the order of the file. */
function polyline(entity: Entity): DrawnLine {
  const vertices: [number, number, number][] = [];
  for (const [code, text] of entity.groups) {
    const value = Number(text);
    if ([10, 20, 42].includes(code) && !Number.isFinite(value))
      throw new Refusal(`has ${entity.kind} with “${text.slice(0, 20)}” for a number`);
    const last = vertices.at(-1);
    if (code === 10) vertices.push([value, NaN, 0]);
    else if (code === 20 && last) last[1] = value;
    else if (code === 42 && last) last[2] = value;
  }
  if (vertices.length < 2 || vertices.some(([, y]) => Number.isNaN(y)))
    throw new Refusal(`has ${entity.kind} with too few points`);
  return { vertices, closed: (figure(entity, 70, 0) & 1) === 1 };
}

/** An arc about a centre, from one angle to the next (radians), in pieces of at most half a circle. */
function arc(
  [x, y]: readonly [number, number],
  { radius, from, to }: { readonly radius: number; readonly from: number; readonly to: number },
): DrawnLine {
  if (!(radius > 0)) throw new Refusal('has an arc without radius');
  const sweep = to > from ? to - from : to - from + TAU;
  const pieces = sweep > Math.PI ? 2 : 1;
  const bulge = Math.tan(sweep / pieces / 4);
  const vertices = Array.from({ length: pieces + 1 }, (_, index): Vertex => {
    const angle = from + (sweep * index) / pieces;
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle), index < pieces ? bulge : 0];
  });
  return { vertices, closed: false };
}

function circle(entity: Entity): DrawnLine {
  const [x, y, radius] = [figure(entity, 10), figure(entity, 20), figure(entity, 40)];
  if (!(radius > 0)) throw new Refusal('has a circle without radius');
  return {
    vertices: [
      [x + radius, y, 1],
      [x - radius, y, 1],
    ],
    closed: true,
  };
}

/** A curve by points on it, as few arcs. */
function curve(points: readonly (readonly [number, number])[]): DrawnLine {
  const [x, y] = points.at(-1) ?? [0, 0];
  return { vertices: [...arcLine(points, READ_TOLERANCE), [x, y, 0]], closed: false };
}

function ellipse(entity: Entity): DrawnLine {
  const [cx, cy, ax, ay, ratio] = [10, 20, 11, 21, 40].map((code) => figure(entity, code)) as [
    number,
    number,
    number,
    number,
    number,
  ];
  const [from, end] = [figure(entity, 41, 0), figure(entity, 42, TAU)];
  const to = end > from ? end : end + TAU;
  return curve(
    Array.from({ length: CURVE_POINTS + 1 }, (_, index) => {
      const angle = from + ((to - from) * index) / CURVE_POINTS;
      const [c, s] = [Math.cos(angle), ratio * Math.sin(angle)];
      return [cx + c * ax - s * ay, cy + c * ay + s * ax] as const;
    }),
  );
}

/** A rational spline by de Boor's recursion. */
function spline(entity: Entity): DrawnLine {
  const degree = figure(entity, 71);
  const [knots, xs, ys, weights] = [40, 10, 20, 41].map((code) => figures(entity, code)) as [
    number[],
    number[],
    number[],
    number[],
  ];
  const count = xs.length;
  const sound =
    Number.isInteger(degree) &&
    degree >= 1 &&
    degree <= DXF_LIMITS.degree &&
    count > degree &&
    ys.length === count &&
    knots.length === count + degree + 1 &&
    knots.every((knot, index) => index === 0 || knot >= (knots[index - 1] as number));
  if (!sound) throw new Refusal('has a spline that is not whole');
  const at = (parameter: number): readonly [number, number] => {
    let span = degree;
    while (span < count - 1 && parameter >= (knots[span + 1] as number)) span += 1;
    const rows = Array.from({ length: degree + 1 }, (_, index) => {
      const one = span - degree + index;
      const w = weights[one] ?? 1;
      return [(xs[one] as number) * w, (ys[one] as number) * w, w];
    });
    for (let level = 1; level <= degree; level += 1) {
      for (let index = degree; index >= level; index -= 1) {
        const low = knots[span - degree + index] as number;
        const wide = (knots[span + 1 + index - level] as number) - low;
        const f = wide > 0 ? (parameter - low) / wide : 0;
        rows[index] = [0, 1, 2].map(
          (axis) => (1 - f) * (rows[index - 1]?.[axis] ?? 0) + f * (rows[index]?.[axis] ?? 0),
        );
      }
    }
    const [x = 0, y = 0, w = 1] = rows[degree] ?? [];
    return [x / w, y / w];
  };
  const [from, to] = [knots[degree] as number, knots[count] as number];
  const steps = Math.min(2000, CURVE_POINTS * Math.max(1, Math.ceil(count / 16)));
  return curve(Array.from({ length: steps + 1 }, (_, index) => at(from + ((to - from) * index) / steps)));
}

function lineOf(entity: Entity, vertices: readonly Entity[]): DrawnLine | null {
  if (HIDING.includes(entity.kind))
    throw new Refusal(`holds ${entity.kind}, in which lines are hidden: take it apart into plain lines first`);
  const drawn = ['LINE', 'ARC', 'CIRCLE', 'ELLIPSE', 'SPLINE', 'LWPOLYLINE', 'POLYLINE'].includes(entity.kind);
  if (drawn && figure(entity, 230, 1) < 0)
    throw new Refusal(`has ${entity.kind} drawn from behind: turn it over first`);
  switch (entity.kind) {
    case 'LINE': {
      const [x0, y0, x1, y1] = [10, 20, 11, 21].map((code) => figure(entity, code)) as [number, number, number, number];
      return {
        vertices: [
          [x0, y0, 0],
          [x1, y1, 0],
        ],
        closed: false,
      };
    }
    case 'ARC':
      return arc([figure(entity, 10), figure(entity, 20)], {
        radius: figure(entity, 40),
        from: radians(figure(entity, 50)),
        to: radians(figure(entity, 51)),
      });
    case 'CIRCLE':
      return circle(entity);
    case 'ELLIPSE':
      return ellipse(entity);
    case 'SPLINE':
      return spline(entity);
    case 'LWPOLYLINE':
      return polyline(entity);
    case 'POLYLINE':
      return polyline({
        kind: 'POLYLINE',
        groups: [
          ...entity.groups.filter(([code]) => code === 70),
          ...vertices.flatMap(({ groups }) => groups.filter(([code]) => code !== 70)),
        ],
      });
    default:
      return null;
  }
}

/**
 * Reads the lines of a DXF drawing in its own unit (mm where it names none): lines, arcs, circles, ellipses, splines and
 * polylines of its entities. Text and points are passed over; blocks and solids are refused. Never throws.
 */
export function readDxf(text: string): DrawingReading {
  if (text.length > DXF_LIMITS.file) return { kind: 'refused', rule: 'is too large to be read' };
  if (text.startsWith('AutoCAD Binary DXF')) return { kind: 'refused', rule: 'is a binary DXF: save it as text' };
  try {
    const groups = groupsOf(text);
    const unit = unitOf(groups);
    const entities = entitiesOf(groups);
    const lines: DrawnLine[] = [];
    let points = 0;
    entities.forEach((entity, index) => {
      const own: Entity[] = [];
      if (entity.kind === 'POLYLINE')
        for (let at = index + 1; entities[at]?.kind === 'VERTEX'; at += 1) own.push(entities[at] as Entity);
      const line = lineOf(entity, own);
      if (!line) return;
      points += line.vertices.length;
      if (points > DXF_LIMITS.points) throw new Refusal(`has more than ${DXF_LIMITS.points} points`);
      lines.push({ ...line, vertices: line.vertices.map(([x, y, bulge]) => [unit * x, unit * y, bulge]) });
    });
    return drawingOf(lines);
  } catch (error) {
    if (error instanceof Refusal) return { kind: 'refused', rule: error.message };
    throw error;
  }
}
