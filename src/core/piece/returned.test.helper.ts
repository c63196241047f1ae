import { bounds, edgeAt } from '../geometry/outline/outline.ts';
import type { Part } from '../parts/part/part.ts';
import { rollUp } from './rollUp.test.helper.ts';
import type { Form, Target } from '../target/target.ts';

/** A size as it was asked for, and as the cut parts give it back when they are bent and joined (mm, as asked). */
export interface Returned {
  readonly what: string;
  readonly asked: number;
  readonly got: number;
}

type FormOf<K extends Form['kind']> = Extract<Form, { kind: K }>;

const RADIANS = Math.PI / 180;
const tan = (degrees: number) => Math.tan(degrees * RADIANS);

/** Wet mm of one mm as asked. */
export function wetOf({ size, clay, form }: Target): number {
  return size.state === 'wet' || form.kind === 'former' ? 1 : 1 / (1 - clay.shrinkage);
}

/** Height at which the wall's outer face begins (wet mm). */
function footOf({ base, slab }: Target): number {
  return base.join === 'under' || base.join === 'skirt' ? slab.base : 0;
}

/** Height at which the foot is measured (wet mm): outside on the table, inside on the floor. */
export function footMeasuredAt({ size, base, slab }: Target): number {
  return size.face === 'inside' && base.join !== 'none' ? slab.base : 0;
}

/** The lean of an edge that a part has. */
export function leanOf(part: Part, edge: string) {
  const lean = part.leans.find((one) => one.edge === edge);
  if (!lean) throw new Error(`${part.id} has no edge called ${edge}`);
  return lean;
}

function straight(target: Target, form: FormOf<'cylinder' | 'former'>, parts: readonly Part[]): Returned[] {
  const wet = wetOf(target);
  const made = rollUp(target, parts);
  if (form.kind === 'former') {
    return [
      { what: 'former', asked: form.diameter + 2 * form.sleeve, got: made.inside },
      { what: 'height', asked: form.height, got: made.height },
    ];
  }
  return [
    { what: 'diameter', asked: form.diameter, got: made[target.size.face] / wet },
    { what: 'height', asked: form.height, got: made.height / wet },
  ];
}

/** Perimeter of an ellipse by its midpoint sum, which converges faster than any power. */
function ellipsePerimeter(length: number, width: number): number {
  const steps = 2000;
  let sum = 0;
  for (let step = 0; step < steps; step += 1) {
    const angle = ((step + 0.5) * 2 * Math.PI) / steps;
    sum += Math.sqrt((length * Math.sin(angle)) ** 2 + (width * Math.cos(angle)) ** 2);
  }
  return (sum * Math.PI) / steps;
}

/** The wrap closes round an oval whose shape is the base's: its girth tells its size. */
function oval(target: Target, form: FormOf<'oval'>, parts: readonly Part[]): Returned[] {
  const wet = wetOf(target);
  const made = rollUp(
    target,
    parts.filter(({ id }) => id !== 'base'),
  );
  const girth = Math.PI * made[target.size.face];
  const scale = girth / ellipsePerimeter(form.length * wet, form.width * wet);
  return [
    { what: 'length', asked: form.length, got: form.length * scale },
    { what: 'width', asked: form.width, got: form.width * scale },
    { what: 'height', asked: form.height, got: made.height / wet },
  ];
}

/** A conical band as it stands: heights (over its outer foot) and radii of the four corners of its section, wet mm. */
interface StandingBand {
  readonly slope: number;
  readonly outer: { readonly foot: readonly [number, number]; readonly rim: readonly [number, number] };
  readonly inner: { readonly rim: readonly [number, number] };
}

/** Bends one band's traced part: its arcs are closed to a cone, and the slab laid on both sides of its neutral surface. */
function standBand(wall: Part, { slab, seam }: Target): StandingBand {
  const { wall: t, neutralFraction: k, faceUp } = slab;
  const [foot, rim] = [leanOf(wall, 'foot'), leanOf(wall, 'rim')];
  const sign = faceUp === 'inside' ? 1 : -1;
  const toUpper = faceUp === 'inside' ? k * t : (1 - k) * t;
  const [low, high] = [edgeAt(wall.outline, foot.from), edgeAt(wall.outline, rim.from)];
  const girths = [low, high].map((edge) => edge.length * seam.panels) as [number, number];
  // What a lap or a spare adds at both ends is no part of the ring.
  const without = (edge: 'foot' | 'rim') => ({ left: 0, right: 0, ...wall.added?.[edge] });
  (['foot', 'rim'] as const).forEach((edge, index) => {
    const { left, right } = without(edge);
    girths[index] = (girths[index] as number) - seam.panels * (left + right);
  });
  const curved = Number.isFinite(low.radius) && Number.isFinite(high.radius);
  // Ends with a strip added run beside the radius, not along it: arcs about one centre tell the slant.
  const slantTraced = curved
    ? Math.abs(high.radius - low.radius)
    : edgeAt(wall.outline, leanOf(wall, 'left').from).length;
  // From the traced line out to the neutral surface: below it the blade runs out by the lean.
  const slant = slantTraced + toUpper * (tan(foot.lean) + tan(rim.lean));
  let slope = 0;
  let radii: [number, number] = [girths[0] / (2 * Math.PI), girths[1] / (2 * Math.PI)];
  if (curved) {
    const flares = high.radius > low.radius ? 1 : -1;
    const sweep = girths[0] / low.radius;
    slope = flares * Math.asin(sweep / (2 * Math.PI));
    const shares = [low.radius - flares * toUpper * tan(foot.lean), high.radius + flares * toUpper * tan(rim.lean)];
    radii = shares.map((radius) => (radius * sweep) / (2 * Math.PI)) as [number, number];
  }
  const [cos, sin] = [Math.cos(slope), Math.sin(slope)];
  const section = ([z, radius]: readonly [number, number], rise: number, along: number): readonly [number, number] => [
    z - rise * sin + along * cos,
    radius + rise * cos + along * sin,
  ];
  const [out, within] = [(1 - k) * t, -k * t];
  const outerFoot = section([0, radii[0]], out, -sign * out * tan(foot.lean));
  const lift = ([z, r]: readonly [number, number]): readonly [number, number] => [z - outerFoot[0], r];
  return {
    slope,
    outer: { foot: lift(outerFoot), rim: lift(section([slant * cos, radii[1]], out, sign * out * tan(rim.lean))) },
    inner: { rim: lift(section([slant * cos, radii[1]], within, sign * within * tan(rim.lean))) },
  };
}

function round(target: Target, form: FormOf<'taper' | 'stack'>, parts: readonly Part[]): Returned[] {
  const wet = wetOf(target);
  const { wall: t } = target.slab;
  const inset = (slope: number) => (target.size.face === 'inside' ? (2 * t) / Math.cos(slope) : 0);
  const bands = parts.filter(({ role }) => role === 'wall').map((wall) => standBand(wall, target));
  const profile =
    form.kind === 'stack'
      ? form.profile
      : ([
          [0, form.foot],
          [form.height, form.rim],
        ] as const);
  const all: Returned[] = [];
  let z = footOf(target);
  bands.forEach((band, index) => {
    const [from, to] = [profile[index], profile[index + 1]] as [readonly [number, number], readonly [number, number]];
    const [low, high] = [band.outer.foot, band.outer.rim];
    const atFoot = 2 * (index === 0 ? low[1] + (footMeasuredAt(target) - z) * Math.tan(band.slope) : low[1]);
    // The narrower side of a bend is measured on both bands, each over its own slope.
    all.push({ what: `band ${index} foot`, asked: from[1], got: (atFoot - inset(band.slope)) / wet });
    all.push({ what: `band ${index} rim`, asked: to[1], got: (2 * high[1] - inset(band.slope)) / wet });
    z += index === bands.length - 1 ? Math.max(high[0], band.inner.rim[0]) : high[0];
    all.push({ what: `band ${index} top`, asked: to[0], got: z / wet });
  });
  return all;
}

/** Corners of the outer face of a panel, in the order of its traced line. */
const outerFace = (part: Part, { slab }: Target) => (slab.faceUp === 'inside' ? part.underside : part.outline);

function facet(target: Target, form: FormOf<'facet'>, parts: readonly Part[]): Returned[] {
  const wet = wetOf(target);
  const wall = parts.find(({ id }) => id !== 'base') as Part;
  const outer = outerFace(wall, target);
  const widths = (edge: string) =>
    wall.leans.filter((lean) => lean.edge === edge).map(({ from }) => edgeAt(outer, from).length);
  const side = edgeAt(outer, leanOf(wall, 'left').from).length;
  const start = footOf(target);
  const feet = widths('foot');
  const rims = widths('rim');
  if (wall.id !== 'panel' && feet.length !== form.sides) throw new Error('a strip has a foot for each side');
  return feet.flatMap((foot, index): Returned[] => {
    const rim = rims[rims.length - 1 - index] ?? NaN;
    const apothem = (width: number) => width / (2 * Math.tan(Math.PI / form.sides));
    const [low, high] = [apothem(foot), apothem(rim)];
    const slant = Math.sqrt(side ** 2 - ((rim - foot) / 2) ** 2);
    const height = Math.sqrt(slant ** 2 - (high - low) ** 2);
    const slope = Math.atan((high - low) / height);
    const inset = target.size.face === 'inside' ? target.slab.wall / Math.cos(slope) : 0;
    return [
      { what: 'rim', asked: form.rim, got: (2 * (high - inset)) / wet },
      {
        what: 'foot',
        asked: form.foot,
        got: (2 * (low + (footMeasuredAt(target) - start) * Math.tan(slope) - inset)) / wet,
      },
      { what: 'height', asked: form.height, got: (height + start) / wet },
    ];
  });
}

function box(target: Target, form: FormOf<'box'>, parts: readonly Part[]): Returned[] {
  const wet = wetOf(target);
  const sizeOf = (id: string) => {
    const face = bounds(outerFace(parts.find((part) => part.id === id) as Part, target));
    return [face.maxX - face.minX, face.maxY - face.minY] as const;
  };
  const inset = target.size.face === 'inside' ? 2 * target.slab.wall : 0;
  const ends = target.seam.kind === 'butt' ? 2 * target.slab.wall : 0;
  const [length, height] = sizeOf('long');
  return [
    { what: 'length', asked: form.length, got: (length - inset) / wet },
    { what: 'width', asked: form.width, got: (sizeOf('short')[0] + ends - inset) / wet },
    { what: 'height', asked: form.height, got: (height + footOf(target)) / wet },
  ];
}

/** Every size asked for, except a loft's, and the size that the cut parts have when they are rolled up. */
export function returned(target: Target, parts: readonly Part[]): Returned[] {
  const { form } = target;
  switch (form.kind) {
    case 'cylinder':
    case 'former':
      return straight(target, form, parts);
    case 'taper':
    case 'stack':
      return round(target, form, parts);
    case 'oval':
      return oval(target, form, parts);
    case 'facet':
      return facet(target, form, parts);
    case 'box':
      return box(target, form, parts);
    case 'loft':
      throw new TypeError('a loft is folded up, see returnedLoft');
    case 'gores':
      throw new TypeError('a gore is bent two ways, see gores.test');
    case 'mould':
    case 'mesh':
    case 'stand':
    case 'sheet':
      throw new TypeError('a draped slab is stretched, not rolled up');
  }
}
