import type { LaidMesh } from '../kind/blank.ts';
import { blankBase } from '../mould/blank.ts';
import { spacingFor } from '../mould/draped.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { mouldMesh } from '../mould/mouldMesh.ts';
import { mouldSurface } from '../mould/mouldSurface.ts';
import { strainOf } from '../mould/strain.ts';
import { flatten } from '../../geometry/flatten/flatten.ts';
import { borderOf, meshArea } from '../../geometry/mesh/mesh.ts';
import { once, radians } from '../../numbers.ts';
import type { Bending } from './bentSheet.ts';
import { flatPlaces } from './flatPlaces.ts';
import { insideLine } from '../../geometry/outline/insideLine.ts';
import { pointsOf } from './sheetForm.ts';
import type { SheetForm, SheetMould } from '../../target/sheetForm.ts';
import type { Point } from '../../geometry/point.ts';

/** Vertices of the mould's surface. */
const VERTICES = 700;

/** Flattening passes; the second selects triangles by the flat outline. */
const ROUNDS = 2;

/** The mould as a form of its own, without a blank's margin. */
export function mouldUnder(mould: SheetMould): MouldForm {
  return { kind: 'mould', margin: 0, ...mould };
}

/** A mould's neutral surface laid flat, its middle at the origin: once for each mould and distance from it (mm). */
const whole = once((mould: SheetMould) => {
  const known = new Map<number, LaidMesh>();
  return (offset: number): LaidMesh => {
    const found = known.get(offset) ?? layWhole(mould, offset);
    known.set(offset, found);
    return found;
  };
});

function layWhole(mould: SheetMould, offset: number): LaidMesh {
  const surface = mouldSurface(mouldUnder(mould));
  const rough = (surface.rim.h(0) + surface.rim.h(Math.PI) + surface.depth) / 12;
  const { mesh, uv } = blankBase(
    mouldMesh(surface, offset, spacingFor(meshArea(mouldMesh(surface, offset, rough)), VERTICES)),
  );
  const [x, y] = [uv[0] as number, uv[1] as number];
  return { mesh, uv: uv.map((value, index) => value - (index % 2 === 0 ? x : y)) };
}

/** The triangles that a sheet covers, with one more all round it; null where they are not one open surface. */
function covered({ mesh, uv }: LaidMesh, line: readonly Point[]): { part: LaidMesh; back: number[] } | null {
  const { positions, triangles } = mesh;
  const place = (vertex: number): Point => [uv[2 * vertex] as number, uv[2 * vertex + 1] as number];
  const ring = Math.sqrt(meshArea(mesh) / (triangles.length / 3));
  const near = Array.from({ length: uv.length / 2 }, (_, vertex) => {
    const at = place(vertex);
    return insideLine(line, at) || line.some(([x, y]) => Math.hypot(x - at[0], y - at[1]) < 1.2 * ring);
  });
  const kept: number[] = [];
  for (let at = 0; at < triangles.length; at += 3) {
    const corners = [0, 1, 2].map((side) => triangles[at + side] as number);
    if (corners.some((vertex) => near[vertex])) kept.push(...corners);
  }
  const back = [...new Set(kept)];
  const names = new Map(back.map((vertex, index) => [vertex, index]));
  const part = {
    positions: Float64Array.from(
      back.flatMap((vertex) => [0, 1, 2].map((axis) => positions[3 * vertex + axis] as number)),
    ),
    triangles: Uint32Array.from(kept.map((vertex) => names.get(vertex) as number)),
  };
  if (kept.length === 0 || !borderOf(part)) return null;
  return { part: { mesh: part, uv: Float64Array.from(back.flatMap(place)) }, back };
}

/** A layout rotated and moved to fit another layout of the same vertices. */
function rejoined(uv: Float64Array, to: Float64Array): Float64Array {
  const count = uv.length / 2;
  const mean = (list: Float64Array, axis: number) =>
    list.reduce((sum, value, index) => (index % 2 === axis ? sum + value : sum), 0) / count;
  const [mu, mv, mx, my] = [mean(uv, 0), mean(uv, 1), mean(to, 0), mean(to, 1)];
  let [cos, sin] = [0, 0];
  for (let at = 0; at < uv.length; at += 2) {
    const [u, v] = [(uv[at] as number) - mu, (uv[at + 1] as number) - mv];
    const [x, y] = [(to[at] as number) - mx, (to[at + 1] as number) - my];
    cos += u * x + v * y;
    sin += u * y - v * x;
  }
  const turn = Math.atan2(sin, cos);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return uv.map((_, index) => {
    const at = index - (index % 2);
    const [u, v] = [(uv[at] as number) - mu, (uv[at + 1] as number) - mv];
    return index % 2 === 0 ? mx + c * u - s * v : my + s * u + c * v;
  });
}

/** The part of a mould that a flat outline covers, laid flat by itself: the rest of the mould does not stretch the sheet. */
function fitted(all: LaidMesh, line: readonly Point[]): LaidMesh {
  let laid = all;
  for (let round = 0; round < ROUNDS; round += 1) {
    const found = covered(laid, line);
    if (!found) return laid;
    const { part } = found;
    const { uv } = flatten(part.mesh, { start: part.uv });
    const next = rejoined(uv, part.uv);
    if (round === ROUNDS - 1) return { mesh: part.mesh, uv: next };
    // All other places keep their position, to choose from again.
    const wide = Float64Array.from(laid.uv);
    found.back.forEach((vertex, index) => {
      wide[2 * vertex] = next[2 * index] as number;
      wide[2 * vertex + 1] = next[2 * index + 1] as number;
    });
    laid = { mesh: laid.mesh, uv: wide };
  }
  return laid;
}

/** A sheet on a mould: each point is where the flattened covered part of the mould has it. Plan: the mould's, about its middle. */
export function onMould(
  { outline }: SheetForm,
  mould: SheetMould,
  { angle, at }: { readonly angle: number; readonly at: { offset: number; thickness: number } },
): Bending {
  const [cos, sin] = [Math.cos(radians(angle)), Math.sin(radians(angle))];
  const turned = ([x, y]: Point): Point => [x * cos + y * sin, y * cos - x * sin];
  const line = pointsOf(outline, 2).map(turned);
  const laid = fitted(whole(mould)(at.offset), line);
  const find = flatPlaces(laid);
  const { stretch, gather } = strainOf(laid, at);
  const strain = { stretch: 0, gather: 0 };
  for (let vertex = 0; vertex < laid.uv.length / 2; vertex += 1) {
    if (!insideLine(line, [laid.uv[2 * vertex] as number, laid.uv[2 * vertex + 1] as number])) continue;
    strain.stretch = Math.max(strain.stretch, stretch[vertex] as number);
    strain.gather = Math.max(strain.gather, gather[vertex] as number);
  }
  return { place: (point) => find(turned(point)), bendRadius: Infinity, wrap: 0, axis: null, strain };
}
