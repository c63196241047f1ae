import { readStl } from '../../core/geometry/mesh/readStl.ts';

/** What a closed solid measures in a file: its volume (mm3). */
export type SolidRead =
  { readonly kind: 'closed'; readonly volume: number } | { readonly kind: 'open'; readonly rule: string };

/** Signed volume between a triangle and the origin (mm3). */
function tetrahedron(positions: Float64Array, corners: readonly [number, number, number]): number {
  const [p, q, r] = corners;
  const at = (vertex: number, axis: number) => positions[3 * vertex + axis] as number;
  return (
    (at(p, 0) * (at(q, 1) * at(r, 2) - at(q, 2) * at(r, 1)) +
      at(p, 1) * (at(q, 2) * at(r, 0) - at(q, 0) * at(r, 2)) +
      at(p, 2) * (at(q, 0) * at(r, 1) - at(q, 1) * at(r, 0))) /
    6
  );
}

/** Reads an STL back: each edge has to be walked once either way, so that nothing is open and nothing is turned inside out. */
export function readSolid(bytes: Uint8Array): SolidRead {
  const reading = readStl(bytes);
  if (reading.kind === 'refused') return { kind: 'open', rule: reading.rule };
  const { positions, triangles } = reading.mesh;
  const vertices = positions.length / 3;
  const edge = (from: number, to: number) => from * vertices + to;
  const walked = new Set<number>();
  let volume = 0;
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b, c] = [triangles[at], triangles[at + 1], triangles[at + 2]] as [number, number, number];
    for (const walk of [edge(a, b), edge(b, c), edge(c, a)]) {
      if (walked.has(walk)) return { kind: 'open', rule: 'has an edge that two triangles walk the same way' };
      walked.add(walk);
    }
    volume += tetrahedron(positions, [a, b, c]);
  }
  for (const walk of walked) {
    const [from, to] = [Math.floor(walk / vertices), walk % vertices];
    if (!walked.has(edge(to, from))) return { kind: 'open', rule: 'has an open edge' };
  }
  return { kind: 'closed', volume };
}
