import { degrees, TAU } from '../../numbers.ts';
import type { Support } from '../../geometry/outline/support.ts';
import type { LaidPanel } from '../../parts/part/laidPanel.ts';
import { laidPanel, type Panel, type PlaceOnPart } from '../../parts/part/panelPart.ts';
import type { Part } from '../../parts/part/part.ts';
import type { FacetForm, Target } from '../../target/target.ts';

/** The parts of a wall of flat panels, and where each panel lies on them. */
export interface FlatWalls {
  readonly parts: readonly Part[];
  readonly panels: readonly LaidPanel[];
}

/** Corners of a trapezoid standing on its foot, about x = 0 (mm). */
function trapezoid(foot: number, rim: number, slant: number): (readonly [number, number])[] {
  return [
    [-foot / 2, 0],
    [foot / 2, 0],
    [rim / 2, slant],
    [-rim / 2, slant],
  ];
}

/** All panels joined along their folded edges: corners of the fan's outer face, foot from left to right, then the rim back. */
function fan(
  foot: number,
  { rim, slant, sides }: { readonly rim: number; readonly slant: number; readonly sides: number },
) {
  const tilt = 2 * Math.atan((rim - foot) / 2 / slant);
  const low: [number, number][] = [[0, 0]];
  const side = Math.hypot(slant, (rim - foot) / 2);
  const lean = tilt / 2;
  let heading = ((sides - 1) * tilt) / 2;
  const high: [number, number][] = [
    [side * Math.cos(heading + Math.PI / 2 + lean), side * Math.sin(heading + Math.PI / 2 + lean)],
  ];
  const headings: number[] = [];
  for (let panel = 0; panel < sides; panel += 1) {
    const [x, y] = low[panel] as [number, number];
    const [u, v] = high[panel] as [number, number];
    headings.push(heading);
    low.push([x + foot * Math.cos(heading), y + foot * Math.sin(heading)]);
    high.push([u + rim * Math.cos(heading), v + rim * Math.sin(heading)]);
    heading -= tilt;
  }
  return { corners: [...low, ...[...high].reverse()], low, headings };
}

/** The place on a strip of a point in the frame of one of its panels: its left foot corner, its width and its heading. */
function inFan(
  place: PlaceOnPart,
  {
    corner: [x0, y0],
    foot,
    heading,
  }: { readonly corner: readonly [number, number]; readonly foot: number; readonly heading: number },
): PlaceOnPart {
  const [cos, sin] = [Math.cos(heading), Math.sin(heading)];
  return ([x, y]) => place([x0 + (x + foot / 2) * cos - y * sin, y0 + (x + foot / 2) * sin + y * cos]);
}

/** Walls of a faceted piece: one panel that is cut so often, or a strip that is folded. Wet mm, degrees. */
export function facetWalls(
  form: FacetForm,
  target: Target,
  wall: { foot: number; rim: number; slant: number; slope: number; mitre: number; footLean: number },
): FlatWalls {
  const { wall: thickness, faceUp } = target.slab;
  const { foot, rim, slant, mitre, footLean } = wall;
  const shared = { thickness, faceUp };
  const rimLean = degrees(wall.slope);
  const { part: panel, place } = laidPanel({
    ...shared,
    id: 'panel',
    name: 'Panel',
    count: form.sides,
    corners: trapezoid(foot, rim, slant),
    edges: [
      { name: 'foot', lean: footLean },
      { name: 'right', lean: mitre },
      { name: 'rim', lean: rimLean },
      { name: 'left', lean: mitre },
    ],
  });
  const depth = faceUp === 'inside' ? thickness : 0;
  const apart = TAU / form.sides;
  const apothem = (width: number) => width / 2 / Math.tan(apart / 2);
  const laid = (
    copy: number,
    part: string,
    { ends, at }: { readonly ends: { left: number; right: number }; readonly at: PlaceOnPart },
  ): LaidPanel => ({
    part,
    copy,
    faces: degrees(copy * apart),
    reach: { foot: apothem(foot), rim: apothem(rim) },
    foot,
    rim,
    slant,
    leans: { foot: footLean, rim: rimLean, ...ends },
    depth,
    place: at,
  });
  const copies = Array.from({ length: form.sides }, (_, copy) => copy);
  if (form.fold === 'separate') {
    return {
      parts: [panel],
      panels: copies.map((copy) => laid(copy, 'panel', { ends: { left: mitre, right: mitre }, at: place })),
    };
  }
  const { corners, low, headings } = fan(foot, { rim, slant, sides: form.sides });
  const edges = corners.map((_, index) => {
    if (index < form.sides) return { name: 'foot', lean: footLean } as const;
    if (index === form.sides) return { name: 'right', lean: mitre } as const;
    if (index < 2 * form.sides + 1) return { name: 'rim', lean: rimLean } as const;
    return { name: 'left', lean: mitre } as const;
  });
  const strip = laidPanel({ ...shared, id: 'wall', role: 'wall', name: 'Wall strip', count: 1, corners, edges });
  const folded = copies.map((copy) => {
    const ends = { left: copy === 0 ? mitre : 0, right: copy === form.sides - 1 ? mitre : 0 };
    return laid(copy, 'wall', {
      ends,
      at: inFan(strip.place, { corner: low[copy] ?? [0, 0], foot, heading: headings[copy] ?? 0 }),
    });
  });
  // The clay that the V-grooves take out goes back to the bag: what is left is the panels.
  return { parts: [{ ...strip.part, volume: form.sides * panel.volume }], panels: folded };
}

/** Walls of a box: two long and two short sides, mitred or the short ones butted between the long. Wet mm, degrees. */
export function boxWalls(
  target: Target,
  { from, rim, slant, footLean }: { from: Support; rim: Support; slant: number; footLean: number },
): FlatWalls {
  const { wall: thickness, faceUp } = target.slab;
  const butt = target.seam.kind === 'butt';
  const mitre = butt ? 0 : 45;
  const side = (id: string, name: string, width: number) => {
    const spec: Panel = {
      id,
      name,
      count: 2,
      thickness,
      faceUp,
      corners: trapezoid(width, width, slant),
      edges: [
        { name: 'foot', lean: footLean },
        { name: 'right', lean: mitre },
        { name: 'rim', lean: 0 },
        { name: 'left', lean: mitre },
      ],
    };
    const { part, place } = laidPanel(spec);
    const panel = (copy: number, faces: number): LaidPanel => {
      const phi = (faces * Math.PI) / 180;
      return {
        part: id,
        copy,
        faces,
        reach: { foot: from.h(phi), rim: rim.h(phi) },
        foot: width,
        rim: width,
        slant,
        leans: { foot: footLean, rim: 0, left: mitre, right: mitre },
        depth: faceUp === 'inside' ? thickness : 0,
        place,
      };
    };
    return { part, panel };
  };
  const long = side('long', 'Long side', 2 * from.h(0));
  const short = side('short', 'Short side', 2 * from.h(Math.PI / 2) - (butt ? 2 * thickness : 0));
  return {
    parts: [long.part, short.part],
    panels: [short.panel(0, 0), long.panel(0, 90), short.panel(1, 180), long.panel(1, 270)],
  };
}
