import { readStl } from '../../core/geometry/mesh/readStl.ts';

/** What a closed solid measures in a file: its volume (mm3). */
export type SolidRead =
  { readonly kind: 'closed'; readonly volume: number } | { readonly kind: 'open'; readonly rule: string };

/** Reads an STL back: each edge has to be walked once either way, so that nothing is open and nothing is turned inside out. */
export function readSolid(bytes: Uint8Array): SolidRead {
  const reading = readStl(bytes);
  if (reading.kind === 'refused') return { kind: 'open', rule: reading.rule };
  const { positions, triangles } = reading.mesh;
  const walked = new Set<string>();
  let volume = 0;
  for (let at = 0; at < triangles.length; at += 3) {
    const corners = [...triangles.slice(at, at + 3)];
    for (const [side, from] of corners.entries()) {
      const edge = `${from} ${corners[(side + 1) % 3]}`;
      if (walked.has(edge)) return { kind: 'open', rule: 'has an edge that two triangles walk the same way' };
      walked.add(edge);
    }
    const [p, q, r] = corners.map((vertex) => positions.slice(3 * vertex, 3 * vertex + 3)) as [
      Float64Array,
      Float64Array,
      Float64Array,
    ];
    const [px = 0, py = 0, pz = 0] = p;
    const [qx = 0, qy = 0, qz = 0] = q;
    const [rx = 0, ry = 0, rz = 0] = r;
    volume += (px * (qy * rz - qz * ry) + py * (qz * rx - qx * rz) + pz * (qx * ry - qy * rx)) / 6;
  }
  for (const edge of walked) {
    const [from, to] = edge.split(' ');
    if (!walked.has(`${to} ${from}`)) return { kind: 'open', rule: 'has an open edge' };
  }
  return { kind: 'closed', volume };
}
