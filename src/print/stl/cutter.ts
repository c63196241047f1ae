import type { Mesh } from '../../core/geometry/mesh/mesh.ts';
import type { Part } from '../../core/parts/part/part.ts';
import type { Tool } from '../../core/files/tool/mouldTool.ts';
import { grown, layered, regionArea, regionOf, withoutGaps, withoutSlivers, type Region } from './layers.ts';

/**
 * A cutter that is pressed through the slab: a rim to press on, a wall, and an edge, mm. The inner face of the blade is the
 * line of the part; it grows thicker outwards.
 */
export const CUTTER = {
  rim: { width: 8, height: 3 },
  wall: { thickness: 1.6, height: 6 },
  edge: { thickness: 0.8, beyond: 2 },
} as const;

/** Height of the edge that goes through a slab (mm). */
function edgeHeight({ thickness }: Part): number {
  return thickness + CUTTER.edge.beyond;
}

/** Outer and inner lines of a blade, thickness by thickness, from the line that it cuts. */
interface Blade {
  readonly line: Region;
  readonly edge: Region;
  readonly wall: Region;
}

/** Outside a part: between blades that would be thinner than the edge, the gap is filled. */
function bladeRound(outline: Region): Blade {
  const line = withoutGaps(outline, CUTTER.edge.thickness);
  return { line, edge: grown(line, CUTTER.edge.thickness), wall: grown(line, CUTTER.wall.thickness) };
}

/** Inside a hole; where it is narrower than two blades, they are one pin. */
function bladeIn(hole: Region): Blade {
  const line = withoutSlivers(hole, CUTTER.edge.thickness);
  return { line, edge: grown(line, -CUTTER.edge.thickness), wall: grown(line, -CUTTER.wall.thickness) };
}

/**
 * A cutter of a part, as it is printed: the rim on the bed, the edge up. Turned over to be pressed it is the part with its face
 * up, so it is mirrored. A part with holes has a plate for its rim, which holds the blades of the holes.
 *
 * @throws Error where the lines cannot be built
 */
export function cutterOf(part: Part): Tool {
  const outer = bladeRound(regionOf(part.outline));
  const holes = (part.holes ?? []).map((hole) => bladeIn(regionOf(hole)));
  const rim = grown(outer.line, CUTTER.rim.width);
  const [low, high] = [CUTTER.rim.height, CUTTER.rim.height + CUTTER.wall.height];
  const top = high + edgeHeight(part);
  const through = holes.flatMap(({ wall }) => wall);
  const under = holes.length > 0 ? through : outer.line;
  const mesh = layered([
    { lines: [...rim, ...under], from: 0, to: low },
    { lines: [...outer.wall, ...outer.line, ...holes.flatMap(({ line }) => line), ...through], from: low, to: high },
    {
      lines: [...outer.edge, ...outer.line, ...holes.flatMap(({ line, edge }) => [...line, ...edge])],
      from: high,
      to: top,
    },
  ]);
  const area = regionArea;
  const blade = (which: 'edge' | 'wall') =>
    area(outer[which]) - area(outer.line) + holes.reduce((sum, hole) => sum + area(hole.line) - area(hole[which]), 0);
  const volume = low * (area(rim) - area(under)) + (high - low) * blade('wall') + (top - high) * blade('edge');
  return { mesh: mirroredMesh(mesh), volume };
}

/** A mesh as a mirror shows it, its triangles still seen from outside. */
function mirroredMesh({ positions, triangles }: Mesh): Mesh {
  return {
    positions: positions.map((value, at) => (at % 3 === 0 ? -value : value)),
    triangles: triangles.map((_, at) => triangles[at % 3 === 0 ? at : at % 3 === 1 ? at + 1 : at - 1] as number),
  };
}
