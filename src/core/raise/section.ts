import { degrees, ROUNDING } from '../numbers.ts';
import {
  rowsBetween,
  type BentWall,
  type Body,
  type PanelChain,
  type StandingPanel,
  type StripWall,
} from '../forms/kind/body.ts';
import { normalOf } from './hinges.ts';
import { length, plus, times } from './pose.ts';
import type { Point, Point3 } from '../geometry/point.ts';

/** Where the standing piece is cut open: level at a height (wet mm), or upright through the first seam and the axis. */
export type Section = { readonly kind: 'level'; readonly height: number } | { readonly kind: 'upright' };

const along = (from: Point3, to: Point3, f: number): Point3 => plus(times(from, 1 - f), to, f);

/** Points this little beyond the plane are on it (mm). */
const ON_PLANE = 1e-6;

/** The point of a line at height z. */
function atHeight(from: Point3, to: Point3, z: number): Point3 {
  return along(from, to, (z - from[2]) / (to[2] - from[2]));
}

/** Slope of a ruled wall at a ruling (degrees, positive when it flares): from the triangle next to it that has a width. */
function slopeNear({ lows, highs }: BentWall, index: number): number {
  for (let step = 0; step < lows.length; step += 1) {
    for (const at of [index + step, index - step - 1]) {
      const [a, b, c, d] = [lows[at], lows[at + 1], highs[at + 1], highs[at]];
      if (!a || !b || !c || !d) continue;
      const normal = plus(normalOf(a, b, d), normalOf(b, c, d));
      if (length(normal) > ROUNDING) return degrees(Math.asin(-normal[2] / length(normal)));
    }
  }
  return 0;
}

function loweredWall(wall: BentWall, z: number): BentWall[] {
  if ((wall.lows[0]?.[2] ?? 0) >= z) return [];
  if ((wall.highs[0]?.[2] ?? 0) <= z) return [wall];
  return [
    {
      ...wall,
      highs: wall.highs.map((high, index) => atHeight(wall.lows[index] ?? high, high, z)),
      rimLeans: wall.lows.map((_, index) => slopeNear(wall, index)),
    },
  ];
}

function loweredStrip(wall: StripWall, z: number): StripWall[] {
  const next = wall.rows.findIndex((row) => row.z > z);
  if (next < 0) return [wall];
  const [low, high] = [wall.rows[next - 1], wall.rows[next]];
  if (!low || !high) return [];
  const share = (z - low.z) / (high.z - low.z);
  const between = (key: keyof typeof low) => low[key] + share * (high[key] - low[key]);
  const top = { radius: between('radius'), z, slope: between('slope'), along: between('along') };
  const rows = rowsBetween([...wall.rows.slice(0, next), top], wall);
  return [{ ...wall, rows, rimLean: degrees(top.slope) }];
}

function halfStrip(wall: StripWall): StripWall[] {
  const [from, to] = [Math.max(wall.from, -wall.turn), Math.min(wall.to, Math.PI - wall.turn)];
  return to - from > ROUNDING ? [{ ...wall, from, to }] : [];
}

function loweredPanel({ outer, inner }: StandingPanel, z: number): StandingPanel {
  const low = ([a, b, c, d]: readonly Point3[]) => {
    const [left, right, rimRight, rimLeft] = [a, b, c, d] as [Point3, Point3, Point3, Point3];
    return [left, right, atHeight(right, rimRight, z), atHeight(left, rimLeft, z)];
  };
  return { outer: low(outer), inner: low(inner) };
}

function halfWall(wall: BentWall): BentWall[] {
  const kept = wall.lows
    .map((low, index) => ({ y: low[1] + (wall.highs[index]?.[1] ?? 0), index }))
    .filter(({ y }) => y >= -ON_PLANE)
    .map(({ index }) => index);
  // A wall that starts on the far side comes back to the plane at its end: only its longest run is kept.
  const from = kept.find((index, at) => kept[at + 1] === index + 1) ?? -1;
  let to = from;
  while (kept.includes(to + 1)) to += 1;
  if (from < 0 || to <= from) return [];
  const part = <T>(line: readonly T[]) => line.slice(from, to + 1);
  const cut = [...(from > 0 ? (['first'] as const) : []), ...(to < wall.lows.length - 1 ? (['last'] as const) : [])];
  return [
    {
      ...wall,
      lows: part(wall.lows),
      highs: part(wall.highs),
      footLeans: part(wall.footLeans),
      rimLeans: part(wall.rimLeans),
      ...(wall.normals && { normals: part(wall.normals) }),
      sectioned: cut,
    },
  ];
}

function halfPanel({ outer, inner }: StandingPanel): StandingPanel | null {
  const row = (left: Point3, right: Point3): readonly [Point3, Point3] => {
    const at = along(left, right, left[1] / (left[1] - right[1]));
    return [left[1] < 0 ? at : left, right[1] < 0 ? at : right];
  };
  const half = ([a, b, c, d]: readonly Point3[]) => {
    const [foot, rim] = [row(a as Point3, b as Point3), row(d as Point3, c as Point3)];
    return [foot[0], foot[1], rim[1], rim[0]];
  };
  if (outer.every(([, y]) => y <= ON_PLANE)) return null;
  return { outer: half(outer), inner: half(inner) };
}

function levelCut(body: Body, height: number): Body {
  const z = Math.max(height, (body.base?.thickness ?? 0) + 1);
  const lowered = (wall: PanelChain): PanelChain => ({
    ...wall,
    panels: wall.panels.map((panel) => loweredPanel(panel, Math.min(z, panel.inner[3]?.[2] ?? z))),
  });
  const walls = body.walls.flatMap((wall): Body['walls'] => {
    if (wall.kind === 'bent') return loweredWall(wall, z);
    return wall.kind === 'strip' ? loweredStrip(wall, z) : [lowered(wall)];
  });
  return { ...body, walls, height: Math.min(z, body.height) };
}

function uprightCut(body: Body): Body {
  const walls = body.walls.flatMap((wall): Body['walls'] => {
    if (wall.kind === 'bent') return halfWall(wall);
    if (wall.kind === 'strip') return halfStrip(wall);
    const panels = wall.panels.map(halfPanel).filter((panel) => panel !== null);
    return panels.length > 0 ? [{ ...wall, panels }] : [];
  });
  const half = (line: readonly Point[]) => line.filter(([, y]) => y >= -ON_PLANE);
  const base = body.base && { ...body.base, under: half(body.base.under), top: half(body.base.top) };
  return { ...body, walls, base };
}

/** What is left of a standing piece below a level section, or behind an upright one; the cut edges show the slab. */
export function sectioned(body: Body, section: Section): Body {
  return section.kind === 'level' ? levelCut(body, section.height) : uprightCut(body);
}
