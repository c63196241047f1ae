import type { PanelChain, RaisedPart, Ribbon, StandingPanel } from '../forms/kind/body.ts';
import { hingeAngle, normalOf, type Hinge } from './hinges.ts';
import { after, cross, dot, inverse, length, minus, placedBy, unit, type Pose } from './pose.ts';
import type { Point, Point3 } from '../geometry/point.ts';

/** A panel's own frame as it stands: x along its foot, y up its outer face, z outward; origin at its left foot corner. */
function frameOf({ outer }: StandingPanel): Pose {
  const [at, right, , left] = outer as readonly [Point3, Point3, Point3, Point3];
  const x = unit(minus(right, at));
  const z = unit(cross(x, minus(left, at)));
  return { x, y: cross(z, x), z, at };
}

const flatOf = ([x, y]: Point3): Point => [x, y];

/** Where each panel's frame lies in the flat, the first one at the origin: neighbours share a folded edge of their outer faces. */
function flatFrames({ panels }: PanelChain): Pose[] {
  const frames: Pose[] = [];
  panels.forEach((panel, index) => {
    const before = panels[index - 1];
    const last = frames[index - 1];
    if (!before || !last) {
      frames.push({ x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1], at: [0, 0, 0] });
      return;
    }
    // The right edge of the panel before is the left edge of this one.
    const local = (of: StandingPanel, corner: number) => placedBy(inverse(frameOf(of)), of.outer[corner] as Point3);
    const edge = (of: StandingPanel, low: number, high: number) => minus(local(of, high), local(of, low));
    const angle = (v: Point3) => Math.atan2(v[1], v[0]);
    const heading = Math.atan2(last.x[1], last.x[0]);
    const turn = heading + angle(edge(before, 1, 2)) - angle(edge(panel, 0, 3));
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    frames.push({ x: [cos, sin, 0], y: [-sin, cos, 0], z: [0, 0, 1], at: placedBy(last, local(before, 1)) });
  });
  return frames;
}

/** The hinges of a chain: the folded edges of its outer faces. */
export function chainHinges(chain: PanelChain): Hinge[] {
  const frames = flatFrames(chain);
  return chain.panels.slice(1).map((panel, index) => {
    const before = chain.panels[index] as StandingPanel;
    const at = (corner: number) =>
      flatOf(placedBy(frames[index] as Pose, placedBy(inverse(frameOf(before)), before.outer[corner] as Point3)));
    const normal = ({ outer }: StandingPanel) => {
      const found = normalOf(outer[0] as Point3, outer[1] as Point3, outer[2] as Point3);
      return dot(found, found) > 0 ? unit(found) : found;
    };
    const edge = minus(before.outer[2] as Point3, before.outer[1] as Point3);
    return { from: at(1), to: at(2), angle: hingeAngle(normal(before), normal(panel), edge) };
  });
}

/** The pose that lays the flat chain so that panel `index` is where it stands. */
export function panelPose(chain: PanelChain, index: number): Pose {
  return after(frameOf(chain.panels[index] as StandingPanel), inverse(flatFrames(chain)[index] as Pose));
}

/** A folded chain before it is placed: heights are over the outer face, so the clay lies below 0. */
export function foldPanels(chain: PanelChain, poses: readonly Pose[], anchor: number) {
  const frames = flatFrames(chain);
  const solids = chain.panels.map((panel, index) => {
    const own = inverse(frameOf(panel));
    const flat = (corners: readonly Point3[]) =>
      corners.map((corner) => placedBy(frames[index] as Pose, placedBy(own, corner)));
    return { outer: flat(panel.outer), inner: flat(panel.inner) };
  });
  const folded = solids.map(({ outer, inner }, index) => {
    const pose = poses[index] as Pose;
    return { outer: outer.map((p) => placedBy(pose, p)), inner: inner.map((p) => placedBy(pose, p)) };
  });
  const own = solids[anchor] ?? { outer: [], inner: [] };
  const [a = [0, 0, 0], b = [0, 0, 0]] = own.outer;
  const part: RaisedPart = { part: chain.part, ribbons: folded.flatMap(panelRibbons), neutral: null };
  return {
    folded: { part, lowest: solids.flatMap(({ outer, inner }) => [...outer, ...inner]) },
    thickness: length([0, 0, own.inner[0]?.[2] ?? 0]),
    foot: [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] as const,
  };
}

/** The six sides of a panel. */
function panelRibbons({ outer, inner }: StandingPanel): Ribbon[] {
  const pick = (line: readonly Point3[], ...corners: number[]) => corners.map((corner) => line[corner] as Point3);
  const side = (from: number, to: number): Ribbon => ({
    face: from % 2 === 0 ? 'edge' : 'cut',
    one: pick(inner, from, to),
    other: pick(outer, from, to),
  });
  return [
    { face: 'outside', one: pick(outer, 0, 1), other: pick(outer, 3, 2) },
    { face: 'inside', one: pick(inner, 3, 2), other: pick(inner, 0, 1) },
    side(0, 1),
    side(1, 2),
    side(2, 3),
    side(3, 0),
  ];
}
