import { borderOf, type Mesh } from '../../geometry/mesh/mesh.ts';
import { mouldMesh } from '../../forms/mould/mouldMesh.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { mouldSurface } from '../../forms/mould/mouldSurface.ts';
import type { Point3 } from '../../geometry/point.ts';

/** A printed tool. */
export interface Tool {
  readonly mesh: Mesh;
  /** Volume that it must have (mm3), worked out without its mesh. */
  readonly volume: number;
}

/** Distance between the corners of a mould's surface (mm). */
const SPACING = 2.5;

/** A slump mould's rim, and what stands below its floor (mm). */
export const SLUMP = { rim: 12, floor: 6 } as const;

const at = ({ positions }: Mesh, vertex: number): Point3 => [
  positions[3 * vertex] as number,
  positions[3 * vertex + 1] as number,
  positions[3 * vertex + 2] as number,
];

/** Volume between a surface that is seen from above and the level of its rim (mm3). */
function hollowOf(mesh: Mesh, rim: number): number {
  let sum = 0;
  for (let index = 0; index < mesh.triangles.length; index += 3) {
    const [a, b, c] = [0, 1, 2].map((side) => at(mesh, mesh.triangles[index + side] as number)) as [
      Point3,
      Point3,
      Point3,
    ];
    const plan = ((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])) / 2;
    sum += plan * (rim - (a[2] + b[2] + c[2]) / 3);
  }
  return sum;
}

/** A fan from a new middle point to a line of vertices; it faces the side from which the line is counter-clockwise. */
export const fan = (line: readonly number[], middle: number): number[] =>
  line.flatMap((vertex, index) => [vertex, line[(index + 1) % line.length] as number, middle]);

/** A strip between two lines of equally many vertices; it faces the side from which `low` runs to the right, below. */
export const strip = (low: readonly number[], high: readonly number[]): number[] =>
  low.flatMap((vertex, index) => {
    const next = (index + 1) % low.length;
    return [vertex, low[next], high[next], vertex, high[next], high[index]] as number[];
  });

/** The mean of the corners of a line (mm). */
export function meanPoint(line: readonly Point3[]): Point3 {
  const along = (axis: 0 | 1 | 2) => line.reduce((sum, point) => sum + point[axis], 0) / line.length;
  return [along(0), along(1), along(2)];
}

/**
 * A hump mould, standing on its rim, or a slump mould, its hollow up, at the size that the clay lies on (mm). The rim is level.
 *
 * @throws Error where the surface has no single rim
 */
export function mouldTool(form: MouldForm, side: 'hump' | 'slump'): Tool {
  const mesh = mouldMesh(mouldSurface(form), 0, SPACING);
  const border = borderOf(mesh);
  if (!border) throw new Error('the surface of a mould has one rim');
  const rim = border.map((vertex) => at(mesh, vertex));
  const hollow = hollowOf(mesh, form.depth);
  return side === 'hump' ? hump(mesh, { border, rim, volume: hollow }) : slump(mesh, { border, rim, hollow });
}

function hump(
  mesh: Mesh,
  {
    border,
    rim,
    volume,
  }: { readonly border: readonly number[]; readonly rim: readonly Point3[]; readonly volume: number },
): Tool {
  const depth = rim[0]?.[2] ?? 0;
  // Turned over about the x axis; the surface is seen from outside then.
  const positions = [...mesh.positions, ...meanPoint(rim)].map((value, index) =>
    index % 3 === 0 ? value : index % 3 === 1 ? -value : depth - value,
  );
  const outside = mesh.triangles.map(
    (_, index) => mesh.triangles[index % 3 === 0 ? index : index % 3 === 1 ? index + 1 : index - 1] as number,
  );
  const cap = fan(border, mesh.positions.length / 3);
  return {
    mesh: { positions: Float64Array.from(positions), triangles: Uint32Array.from([...outside, ...cap]) },
    volume,
  };
}

function slump(
  mesh: Mesh,
  {
    border,
    rim,
    hollow,
  }: { readonly border: readonly number[]; readonly rim: readonly Point3[]; readonly hollow: number },
): Tool {
  const depth = rim[0]?.[2] ?? 0;
  const [mx, my] = meanPoint(rim);
  // Outwards from the middle: the rim of a mould bulges everywhere.
  const outer = rim.map(([x, y]): Point3 => {
    const far = Math.hypot(x - mx, y - my) || 1;
    return [x + (SLUMP.rim * (x - mx)) / far, y + (SLUMP.rim * (y - my)) / far, depth];
  });
  const count = mesh.positions.length / 3;
  const low = outer.map(([x, y]): Point3 => [x, y, -SLUMP.floor]);
  const up = outer.map((_, index) => count + index);
  const down = outer.map((_, index) => count + outer.length + index);
  const positions = [...mesh.positions, ...outer.flat(), ...low.flat(), ...meanPoint(low)];
  const floor = fan([...down].reverse(), count + 2 * outer.length);
  const triangles = [...mesh.triangles, ...strip(down, up), ...strip(up, border), ...floor];
  const volume = (depth + SLUMP.floor) * planSize(outer) - hollow;
  return { mesh: { positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles) }, volume };
}

/** Area of a level counter-clockwise line (mm2). */
export function planSize(line: readonly Point3[]): number {
  return line.reduce((sum, [x, y], index) => {
    const [u, v] = line[(index + 1) % line.length] as Point3;
    return sum + (x * v - u * y) / 2;
  }, 0);
}
