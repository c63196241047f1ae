import { area, bounds, edges, validateOutline, type Outline } from '../../geometry/outline/outline.ts';
import { pathPoints } from '../drawn/pathPoints.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { mouldMesh } from '../../forms/mould/mouldMesh.ts';
import { mouldSurface } from '../../forms/mould/mouldSurface.ts';
import { frameParts } from './frame.ts';

const ROUND: MouldForm = {
  kind: 'mould',
  rim: { kind: 'circle', diameter: 220 },
  depth: 40,
  wall: 'dome',
  side: 'slump',
  margin: 10,
};
const OVAL: MouldForm = {
  kind: 'mould',
  rim: { kind: 'ellipse', length: 280, width: 190 },
  foot: { kind: 'ellipse', length: 200, width: 120 },
  depth: 36,
  wall: 'straight',
  side: 'hump',
  margin: 10,
};
const FORMS: readonly (readonly [string, MouldForm])[] = [
  ['dome', ROUND],
  ['oval', OVAL],
  [
    'tray',
    {
      ...OVAL,
      rim: { kind: 'rounded', length: 300, width: 200, corner: 40 },
      foot: { kind: 'rounded', length: 240, width: 140, corner: 20 },
      wall: 'curved',
    },
  ],
  [
    'drawn, off its middle',
    {
      ...OVAL,
      side: 'slump',
      wall: 's',
      rim: {
        kind: 'drawn',
        points: [
          [-100, -60, 0],
          [100, -60, 1],
        ],
        corner: 20,
        at: [30, -12],
      },
      foot: { kind: 'circle', diameter: 70, at: [20, 0] },
    },
  ],
];
const named = (form: MouldForm, id: string): Outline => frameParts(form).find((part) => part.id === id)?.outline ?? [];
const size = (outline: Outline) => {
  const { minX, minY, maxX, maxY } = bounds(outline);
  return [maxX - minX, maxY - minY];
};

describe('a mould that is sawn of wood', () => {
  it('as a dome has the segment of its sphere as its section', () => {
    const sphere = 110 ** 2 / 80 + 20;
    const [arc] = edges(named(ROUND, 'section-long')).filter(({ radius }) => Number.isFinite(radius));
    expect(arc?.radius).toBeCloseTo(sphere, 0);
    const half = Math.asin(110 / sphere);
    expect(area(named(ROUND, 'section-long')) / ((sphere ** 2 * (2 * half - Math.sin(2 * half))) / 2)).toBeCloseTo(
      1,
      3,
    );
  });

  it.each(FORMS)(
    '%s: its sections are as wide as the rim through its middle, as deep as the mould, and lie on its surface',
    (_, form) => {
      const surface = mouldSurface(form);
      const middle = [
        (surface.rim.h(0) - surface.rim.h(Math.PI)) / 2,
        (surface.rim.h(Math.PI / 2) - surface.rim.h(1.5 * Math.PI)) / 2,
      ];
      const { positions } = mouldMesh(surface, 0, 2);
      for (const [id, along] of [
        ['section-long', 0],
        ['section-across', 1],
      ] as const) {
        const outline = named(form, id);
        expect(validateOutline(outline)).toEqual([]);
        expect(size(outline)[1]).toBeCloseTo(form.depth, 1);
        const points = pathPoints(outline);
        // Corners of the mould's mesh near the cut lie on the section's line.
        let near = 0;
        for (let at = 0; at < positions.length; at += 3) {
          const [p, q, z] = [
            positions[at + along] as number,
            positions[at + 1 - along] as number,
            positions[at + 2] as number,
          ];
          if (Math.abs(q - (middle[1 - along] as number)) > 0.02 || z < 0.5 || z > form.depth - 0.5) continue;
          near += 1;
          const off = Math.min(
            ...points.map(([x, y], index) => {
              const [u, v] = points[(index + 1) % points.length] as readonly [number, number];
              const [dx, dy] = [u - x, v - y];
              const share = Math.max(
                0,
                Math.min(1, ((p - (middle[along] as number) - x) * dx + (z - y) * dy) / (dx * dx + dy * dy || 1)),
              );
              return Math.hypot(p - (middle[along] as number) - x - share * dx, z - y - share * dy);
            }),
          );
          expect(off).toBeLessThan(0.1);
        }
        if (form.rim.kind !== 'drawn') expect(near).toBeGreaterThan(4);
      }
    },
  );

  it('has a board with the opening for a slump, and without one for a hump', () => {
    const [frame] = frameParts(ROUND);
    expect(frame?.holes?.map(size)).toEqual([[expect.closeTo(220, 3), expect.closeTo(220, 3)]]);
    expect(size(frame?.outline ?? [])).toEqual([expect.closeTo(320, 3), expect.closeTo(320, 3)]);
    const [board] = frameParts(OVAL);
    expect([board?.holes, size(board?.outline ?? [])]).toEqual([
      undefined,
      [expect.closeTo(280, 3), expect.closeTo(190, 3)],
    ]);
  });
});
