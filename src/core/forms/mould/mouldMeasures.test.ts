import type { Mesh } from '../../geometry/mesh/mesh.ts';
import type { Reach } from '../kind/standing.ts';
import { volumeBelow } from './drapedStanding.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { hollowBelowRim, mouldMeasures } from './mouldMeasures.ts';
import { mouldMesh } from './mouldMesh.ts';
import { mouldSurface } from './mouldSurface.ts';

const form = (more: Omit<MouldForm, 'kind' | 'margin' | 'side'>): MouldForm => ({
  kind: 'mould',
  margin: 20,
  side: 'hump',
  ...more,
});
const rounded = (length: number, width: number, corner: number) =>
  ({ kind: 'rounded', length, width, corner }) as const;
const circle = (diameter: number, at?: readonly [number, number]) =>
  ({ kind: 'circle', diameter, ...(at && { at }) }) as const;

const MOULDS: readonly (readonly [string, MouldForm])[] = [
  ['a tray', form({ rim: rounded(320, 210, 50), foot: rounded(260, 150, 30), depth: 32, wall: 'straight' })],
  [
    'a sharp-cornered tray',
    form({ rim: rounded(200, 120, 0), foot: rounded(160, 80, 0), depth: 30, wall: 'straight' }),
  ],
  ['a dome', form({ rim: circle(180), depth: 60, wall: 'dome' })],
  ['an off-centre bowl', form({ rim: circle(200), foot: circle(90, [15, -10]), depth: 60, wall: 'curved' })],
  [
    'an s-walled oval',
    form({
      rim: { kind: 'ellipse', length: 260, width: 170 },
      foot: { kind: 'ellipse', length: 150, width: 90 },
      depth: 45,
      wall: 's',
    }),
  ],
  [
    'a hexagon',
    form({
      rim: { kind: 'polygon', sides: 6, acrossFlats: 180, corner: 8 },
      foot: { kind: 'polygon', sides: 6, acrossFlats: 110, corner: 5 },
      depth: 40,
      wall: 'curved',
    }),
  ],
];

/** Furthest a mesh reaches along an axis, and its lowest rim. */
const reach = ({ positions }: Mesh, axis: number, way: 1 | -1) => {
  let most = -Infinity;
  for (let at = axis; at < positions.length; at += 3) most = Math.max(most, way * (positions[at] as number));
  return most;
};

describe.each(MOULDS)('%s is measured as its fine mesh is', (_, mould) => {
  const surface = mouldSurface(mould);
  it.each([0, 4, -4])('moved by %i mm', (distance) => {
    const mesh = mouldMesh(surface, distance, 2.5);
    const { least, greatest, silhouette, lowestRim } = mouldMeasures(surface, distance);
    for (const axis of [0, 1, 2]) {
      // The mesh lies on the surface: it never reaches further, and hardly less far.
      for (const [way, found] of [
        [1, greatest[axis]],
        [-1, -(least[axis] ?? 0)],
      ] as const) {
        expect(found ?? 0).toBeGreaterThan(reach(mesh, axis, way) - 0.02);
        expect(found ?? 0).toBeLessThan(reach(mesh, axis, way) + 0.15);
      }
    }
    expect(Math.abs(hollowBelowRim(surface, distance) / volumeBelow(mesh, lowestRim) - 1)).toBeLessThan(0.0015);
    // Above the lowest row, where walls may leave the floor level, no place of the mesh lies outside the silhouette.
    const { positions } = mesh;
    const [[low], [next]] = silhouette as [Reach, Reach];
    let outside = -Infinity;
    for (let at = 0; at < positions.length; at += 3) {
      const row = ((positions[at + 2] as number) - low) / (next - low);
      if (row < 1) continue;
      const under = Math.min(silhouette.length - 2, Math.floor(row));
      const [one, other] = [silhouette[under], silhouette[under + 1]] as [Reach, Reach];
      const between = (side: 1 | 2) => one[side] + (row - under) * (other[side] - one[side]);
      const x = positions[at] as number;
      outside = Math.max(outside, x - between(2), between(1) - x);
    }
    expect(outside).toBeLessThan(0.5);
  });
});
