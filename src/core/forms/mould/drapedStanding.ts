import { once, onDemand, remembered, ROUNDING, TINY } from '../../numbers.ts';
import { hull, hullReach } from '../../geometry/outline/hull.ts';
import { inward } from '../../geometry/outline/derived.ts';
import { type Support } from '../../geometry/outline/support.ts';
import { borderOf, type Mesh } from '../../geometry/mesh/mesh.ts';
import type { Reach, Standing } from '../kind/standing.ts';
import { faceMesh, meshOf, offsetsOf, type DrapedTarget } from './draped.ts';
import { hollowBelowRim, mouldMeasures } from './mouldMeasures.ts';
import { mouldSurface } from './mouldSurface.ts';
import type { Point3 } from '../../geometry/point.ts';

/** Rows of an imported mould's silhouette. */
const ROWS = 24;

interface Box {
  readonly least: Point3;
  readonly greatest: Point3;
}

const boxOf = once(({ positions }: Mesh): Box => {
  const least: [number, number, number] = [Infinity, Infinity, Infinity];
  const greatest: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (let axis = 0; axis < 3; axis += 1) {
    let [low, high] = [Infinity, -Infinity];
    for (let at = axis; at < positions.length; at += 3) {
      const value = positions[at] as number;
      if (value < low) low = value;
      if (value > high) high = value;
    }
    least[axis] = low;
    greatest[axis] = high;
  }
  return { least, greatest };
});

/** Volume between an open mesh and the level through its highest place (mm3). */
export function volumeBelow({ positions, triangles }: Mesh, level: number): number {
  let sum = 0;
  for (let index = 0; index < triangles.length; index += 3) {
    const a = 3 * (triangles[index] as number);
    const b = 3 * (triangles[index + 1] as number);
    const c = 3 * (triangles[index + 2] as number);
    const x0 = positions[a] as number;
    const y0 = positions[a + 1] as number;
    const flat =
      (((positions[b] as number) - x0) * ((positions[c + 1] as number) - y0) -
        ((positions[c] as number) - x0) * ((positions[b + 1] as number) - y0)) /
      2;
    const mean = ((positions[a + 2] as number) + (positions[b + 2] as number) + (positions[c + 2] as number)) / 3;
    sum += flat * (level - mean);
  }
  return Math.abs(sum);
}

/** The silhouette of a mesh seen along the y axis: how far it reaches to both sides at heights, from its lowest place up. */
const silhouette = once((mesh: Mesh): Reach[] => {
  const { positions, triangles } = mesh;
  const { least, greatest } = boxOf(mesh);
  const [low, high] = [least[2], greatest[2]];
  const per = ROWS / Math.max(ROUNDING, high - low);
  const left = new Float64Array(ROWS + 1).fill(Infinity);
  const right = new Float64Array(ROWS + 1).fill(-Infinity);
  for (let at = 0; at < triangles.length; at += 1) {
    const p = 3 * (triangles[at] as number);
    const q = 3 * (triangles[at % 3 === 2 ? at - 2 : at + 1] as number);
    const x0 = positions[p] as number;
    const z0 = positions[p + 2] as number;
    const x1 = positions[q] as number;
    const z1 = positions[q + 2] as number;
    const first = Math.max(0, Math.ceil((Math.min(z0, z1) - low) * per - ROUNDING));
    const last = Math.min(ROWS, Math.floor((Math.max(z0, z1) - low) * per + ROUNDING));
    for (let row = first; row <= last; row += 1) {
      const z = low + row / per;
      const x = z1 === z0 ? x0 : x0 + ((z - z0) / (z1 - z0)) * (x1 - x0);
      const other = z1 === z0 ? x1 : x;
      left[row] = Math.min(left[row] as number, x, other);
      right[row] = Math.max(right[row] as number, x, other);
    }
  }
  // Points of the rim in the top row count as at its top: hardly any edge ends exactly there.
  for (const vertex of borderOf(mesh) ?? []) {
    if ((positions[3 * vertex + 2] as number) < high - 1 / per) continue;
    const x = positions[3 * vertex] as number;
    left[ROWS] = Math.min(left[ROWS] as number, x);
    right[ROWS] = Math.max(right[ROWS] as number, x);
  }
  return Array.from(left, (reach, row): Reach => [low + row / per, reach, right[row] as number]).filter(
    ([, from, to]) => to >= from,
  );
});

function lifted(reaches: readonly Reach[], by: number): Reach[] {
  return reaches.map(([z, left, right]): Reach => [z + by, left, right]);
}

/** Root of a growing function between 0 and 1, by the false position method (Illinois). */
function shareAt(figure: (share: number) => number): number {
  let [low, high] = [0, 1];
  let [below, above] = [figure(0), figure(1)];
  if (below >= 0) return 0;
  if (above <= 0) return 1;
  let before = 0;
  for (let step = 0; step < 60 && high - low > TINY; step += 1) {
    const share = (low * above - high * below) / (above - below);
    const value = figure(share);
    if (Math.abs(value) < ROUNDING) return share;
    if (value < 0) [low, below, above] = [share, value, before < 0 ? above / 2 : above];
    else [high, above, below] = [share, value, before > 0 ? below / 2 : below];
    before = value;
  }
  return (low + high) / 2;
}

/** The level outline of a face at a height, by the tangents of the wall's sections at that height. */
function sectionAt(target: DrapedTarget, offset: number, height: number): Support {
  if (target.form.kind !== 'mould') return hullOf(faceMesh(target, 'outer', 0));
  const surface = mouldSurface(target.form);
  const { foot, rim, depth, profile } = surface;
  const reach = (phi: number): number => {
    const across = rim.h(phi) - foot.h(phi);
    const at = (share: number) => {
      const { out, up, outBy, upBy } = profile(share);
      const [dx, dz] = [across * outBy, depth * upBy];
      const long = Math.hypot(dx, dz) || 1;
      return [foot.h(phi) + across * out + (offset * dz) / long, depth * up - (offset * dx) / long] as const;
    };
    return at(shareAt((share) => at(share)[1] - height))[0];
  };
  const by = 1e-4;
  return { h: reach, slope: (phi) => (reach(phi + by) - reach(phi - by)) / (2 * by), flats: [] };
}

/** The hull of an imported mould seen from above, for packing shelves: without undercut nothing reaches over its border. */
const hullOf = once((mesh: Mesh): Support => {
  const { positions } = mesh;
  const border = borderOf(mesh) ?? [];
  const points = hull(
    border.map((vertex) => [positions[3 * vertex] as number, positions[3 * vertex + 1] as number] as const),
  );
  const h = hullReach(points);
  const by = 1e-4;
  return { h, slope: (phi) => (h(phi + by) - h(phi - by)) / (2 * by), flats: [] };
});

/** The outside with a level flange on its rim, as thick as the slab. */
function withFlange(
  outside: readonly Reach[],
  { flange, ledge, height }: { readonly flange: number; readonly ledge: number; readonly height: number },
): readonly Reach[] {
  const [, left, right] = outside.at(-1) ?? [height, 0, 0];
  if (flange === 0) return outside;
  const below = outside.filter(([z]) => z < ledge);
  const [, atLeft, atRight] = outside.find(([z]) => z >= ledge) ?? [ledge, left, right];
  return [
    ...below,
    [ledge, atLeft, atRight],
    [ledge, left - flange, right + flange],
    [height, left - flange, right + flange],
  ];
}

/** An imported mould is measured once for each of the last slabs: its mesh stays as it is while fields change. */
const SLABS = 6;
const measured = once<Mesh, Map<string, Standing>>(() => new Map());

/** The formed piece as it stands, floor down, wet mm. */
export function drapedStanding(target: DrapedTarget): Standing {
  const { form, slab } = target;
  if (form.kind !== 'mesh') return newStanding(target);
  const name = JSON.stringify([form.side, form.cloth, form.flange, slab.wall]);
  return remembered(measured(meshOf(form)), name, { make: () => newStanding(target), most: SLABS });
}

/** What is measured of a face of the slab: its box, its silhouette from below, and the hollow below the lowest place of its rim. */
interface Face {
  readonly least: Point3;
  readonly greatest: Point3;
  readonly silhouette: readonly Reach[];
  readonly hollow: () => number;
}

function faceOf(target: DrapedTarget, face: 'inner' | 'outer'): Face {
  const { form } = target;
  if (form.kind === 'mould') {
    const surface = mouldSurface(form);
    const offset = offsetsOf(target)[face];
    return { ...mouldMeasures(surface, offset), hollow: () => hollowBelowRim(surface, offset) };
  }
  const mesh = faceMesh(target, face, 0);
  return { ...boxOf(mesh), silhouette: silhouette(mesh), hollow: () => volumeBelow(mesh, lowestRim(mesh)) };
}

function newStanding(target: DrapedTarget): Standing {
  const offsets = offsetsOf(target);
  const [inner, outer] = [faceOf(target, 'inner'), faceOf(target, 'outer')];
  const lift = -Math.min(outer.least[2], inner.least[2]);
  const inside = lifted(inner.silhouette, lift);
  const height = Math.max(inner.greatest[2], outer.greatest[2]) + lift;
  const hollow = onDemand(inner.hollow);
  const flange = target.form.flange ?? 0;
  const ledge = height - target.slab.wall;
  const outside = withFlange(lifted(outer.silhouette, lift), { flange, ledge, height });
  const rim = outside.at(-1) ?? [height, 0, 0];
  const across = (box: Box, more = 0): readonly [number, number] => [
    box.greatest[0] - box.least[0] + 2 * more,
    box.greatest[1] - box.least[1] + 2 * more,
  ];
  const outerAt = (z: number) => {
    const shape = sectionAt(target, offsets.outer, z - lift);
    return flange > 0 && z >= ledge ? inward(shape, -flange) : shape;
  };
  const section = (z: number) => ({ outer: outerAt(z), inner: sectionAt(target, offsets.inner, z - lift) });
  return {
    height,
    floor: inner.least[2] + lift,
    outer: outside,
    rim,
    hollow: inside,
    mouth: across(inner),
    across: across(outer, flange),
    section,
    get hollowVolume() {
      return hollow();
    },
  };
}

/** Height of the lowest place of the rim, which the piece holds to (mm). */
function lowestRim(mesh: Mesh): number {
  return (borderOf(mesh) ?? []).reduce(
    (least, vertex) => Math.min(least, mesh.positions[3 * vertex + 2] as number),
    Infinity,
  );
}
