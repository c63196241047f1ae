import { inward } from '../../geometry/outline/derived.ts';
import { type Support } from '../../geometry/outline/support.ts';
import { baseAndSlope } from './flat.ts';
import type { Target } from '../../target/target.ts';
import { type Body, type PanelChain, type StandingPanel, platePoints } from '../kind/body.ts';
import type { Point3 } from '../../geometry/point.ts';

/** A flat edge of an outline by its normal (radians). */
type FlatEdge = readonly [plan: Support, normal: number];

/** The corner between two flat edges, the second one following the first counter-clockwise, at height z (mm). */
function cornerOf([first, one]: FlatEdge, [second, next]: FlatEdge, z: number): Point3 {
  const [h, g] = [first.h(one), second.h(next)];
  const sine = Math.sin(next - one);
  return [(h * Math.sin(next) - g * Math.sin(one)) / sine, (g * Math.cos(one) - h * Math.cos(next)) / sine, z];
}

/** A piece of flat panels as it stands: the panel whose outward normal is along x first, then anticlockwise. */
export function flatBody(target: Target): Body {
  const { form, slab, base: joined } = target;
  const { piece, base, from } = baseAndSlope(target);
  const { outerAt, slope, height } = piece;
  const depth = slab.wall / Math.cos(slope);
  const butt = form.kind === 'box' && target.seam.kind === 'butt';
  const normals = outerAt(0).flats;
  const innerFoot = joined.join === 'mitre' ? slab.base : from;
  const panels = normals.map((normal, index): StandingPanel => {
    const before = normals.at(index - 1) ?? 0;
    const after = normals[(index + 1) % normals.length] ?? 0;
    const row = (z: number, inset: (normal: 'own' | 'side') => number): readonly [Point3, Point3] => {
      const own = inward(outerAt(z), inset('own'));
      const side = inward(outerAt(z), inset('side'));
      return [cornerOf([side, before], [own, normal], z), cornerOf([own, normal], [side, after], z)];
    };
    // Butted: the sides square to x are the short ones and stand between the long ones.
    const short = butt && index % 2 === 0;
    const long = butt && index % 2 === 1;
    const outerSide = short ? depth : 0;
    const innerSide = long ? 0 : depth;
    const outer = (z: number) => row(z, (which) => (which === 'own' ? 0 : outerSide));
    const inner = (z: number) => row(z, (which) => (which === 'own' ? depth : innerSide));
    const round = (low: readonly [Point3, Point3], high: readonly [Point3, Point3]) =>
      [low[0], low[1], high[1], high[0]] as const;
    return { outer: round(outer(from), outer(height)), inner: round(inner(innerFoot), inner(height)) };
  });
  const strip = form.kind === 'facet' && form.fold === 'strip';
  const boxPart = (index: number) => (index % 2 === 0 ? 'short' : 'long');
  const walls: PanelChain[] = strip
    ? [{ kind: 'panels', part: 'wall', panels }]
    : panels.map((panel, index) => ({
        kind: 'panels',
        part: form.kind === 'box' ? boxPart(index) : 'panel',
        panels: [panel],
      }));
  const plate = base.under && base.top ? { ...platePoints(base.under, base.top), thickness: slab.base } : null;
  return { walls, base: plate, height, faceUp: slab.faceUp };
}
