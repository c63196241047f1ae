import { inward } from '../outline/plan.ts';
import { type Support } from '../outline/support.ts';
import { borderOf, type Mesh } from '../mesh/mesh.ts';
import type { Reach, Standing } from '../piece/standing.ts';
import { faceMesh, offsetsOf, type DrapedTarget } from './draped.ts';
import { mouldSurface } from './mouldSurface.ts';

/** Vertices with which volume and silhouettes are measured. */
const MEASURED = 900;

/** Points of a silhouette's side. */
const ROWS = 24;

interface Box {
  readonly least: readonly [number, number, number];
  readonly greatest: readonly [number, number, number];
}

function boxOf({ positions }: Mesh): Box {
  const least: [number, number, number] = [Infinity, Infinity, Infinity];
  const greatest: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  positions.forEach((value, index) => {
    const axis = index % 3;
    least[axis] = Math.min(least[axis] as number, value);
    greatest[axis] = Math.max(greatest[axis] as number, value);
  });
  return { least, greatest };
}

/** Volume between an open mesh and the level through its highest place (mm3). */
export function volumeBelow({ positions, triangles }: Mesh, level: number): number {
  let sum = 0;
  const at = (index: number, axis: number) => positions[3 * (triangles[index] as number) + axis] as number;
  for (let index = 0; index < triangles.length; index += 3) {
    const [x, y, z] = [0, 1, 2].map((axis) => [0, 1, 2].map((side) => at(index + side, axis))) as [number[], number[], number[]]; // prettier-ignore
    const [x0 = 0, x1 = 0, x2 = 0] = x;
    const [y0 = 0, y1 = 0, y2 = 0] = y;
    const flat = ((x1 - x0) * (y2 - y0) - (x2 - x0) * (y1 - y0)) / 2;
    sum += flat * (level - ((z[0] ?? 0) + (z[1] ?? 0) + (z[2] ?? 0)) / 3);
  }
  return Math.abs(sum);
}

/** The silhouette of a mesh seen along the y axis: how far it reaches to both sides at heights, from its lowest place up. */
function silhouette(mesh: Mesh, lift: number): Reach[] {
  const { least, greatest } = boxOf(mesh);
  const [low, high] = [least[2], greatest[2]];
  const rows = Array.from({ length: ROWS + 1 }, (_, row) => [low + ((high - low) * row) / ROWS, Infinity, -Infinity] as [number, number, number]); // prettier-ignore
  const { positions, triangles } = mesh;
  for (let at = 0; at < triangles.length; at += 1) {
    const next = at - (at % 3) + ((at + 1) % 3);
    const [p, q] = [3 * (triangles[at] as number), 3 * (triangles[next] as number)];
    const [x0, z0, x1, z1] = [positions[p], positions[p + 2], positions[q], positions[q + 2]] as unknown as [number, number, number, number]; // prettier-ignore
    const rowAt = (z: number) => ((z - low) * ROWS) / Math.max(1e-9, high - low);
    const [first, last] = [Math.ceil(rowAt(Math.min(z0, z1)) - 1e-9), Math.floor(rowAt(Math.max(z0, z1)) + 1e-9)];
    for (const row of rows.slice(Math.max(0, first), last + 1)) {
      const x = z1 === z0 ? x0 : x0 + ((row[0] - z0) / (z1 - z0)) * (x1 - x0);
      row[1] = Math.min(row[1], x, z1 === z0 ? x1 : x);
      row[2] = Math.max(row[2], x, z1 === z0 ? x1 : x);
    }
  }
  return rows.filter(([, left, right]) => right >= left).map(([z, left, right]): Reach => [z + lift, left, right]);
}

/** The level outline of a face at a height: each tangent of the wall's section where it stands at that height. */
function sectionAt(target: DrapedTarget, offset: number, height: number): Support {
  if (target.form.kind !== 'mould') return hullOf(target);
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
    let [low, high] = [0, 1];
    for (let step = 0; step < 24; step += 1) {
      const middle = (low + high) / 2;
      if (at(middle)[1] < height) low = middle;
      else high = middle;
    }
    return at((low + high) / 2)[0];
  };
  const by = 1e-4;
  return { h: reach, slope: (phi) => (reach(phi + by) - reach(phi - by)) / (2 * by), flats: [] };
}

/** The hull of an imported mould seen from above: its outline at any height, for packing shelves. */
function hullOf(target: DrapedTarget): Support {
  const { positions } = faceMesh(target, 'outer', 0);
  const h = (phi: number) => {
    let most = -Infinity;
    for (let at = 0; at < positions.length; at += 3) most = Math.max(most, (positions[at] as number) * Math.cos(phi) + (positions[at + 1] as number) * Math.sin(phi)); // prettier-ignore
    return most;
  };
  const by = 1e-4;
  return { h, slope: (phi) => (h(phi + by) - h(phi - by)) / (2 * by), flats: [] };
}

/** The outside with a level flange on its rim, as thick as the slab. */
function withFlange(outside: readonly Reach[], flange: number, ledge: number, height: number): readonly Reach[] {
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

/** The formed piece as it stands, floor down, wet mm. */
export function drapedStanding(target: DrapedTarget): Standing {
  const offsets = offsetsOf(target);
  const [inner, outer] = [faceMesh(target, 'inner', MEASURED), faceMesh(target, 'outer', MEASURED)];
  const [innerBox, outerBox] = [boxOf(inner), boxOf(outer)];
  const lift = -Math.min(outerBox.least[2], innerBox.least[2]);
  const inside = silhouette(inner, lift);
  const height = Math.max(innerBox.greatest[2], outerBox.greatest[2]) + lift;
  const flange = target.form.flange ?? 0;
  const ledge = height - target.slab.wall;
  const outside = withFlange(silhouette(outer, lift), flange, ledge, height);
  const rim = outside.at(-1) ?? [height, 0, 0];
  const across = (box: Box, more = 0): readonly [number, number] => [box.greatest[0] - box.least[0] + 2 * more, box.greatest[1] - box.least[1] + 2 * more]; // prettier-ignore
  const outerAt = (z: number) => {
    const shape = sectionAt(target, offsets.outer, z - lift);
    return flange > 0 && z >= ledge ? inward(shape, -flange) : shape;
  };
  const section = (z: number) => ({ outer: outerAt(z), inner: sectionAt(target, offsets.inner, z - lift) });
  return {
    height,
    floor: innerBox.least[2] + lift,
    outer: outside,
    rim,
    hollow: inside,
    mouth: across(innerBox),
    across: across(outerBox, flange),
    section,
    hollowVolume: volumeBelow(inner, lowestRim(inner)),
  };
}

/** Height of the lowest place of the rim, which the piece holds to (mm). */
function lowestRim(mesh: Mesh): number {
  return (borderOf(mesh) ?? []).reduce((least, vertex) => Math.min(least, mesh.positions[3 * vertex + 2] as number), Infinity); // prettier-ignore
}
