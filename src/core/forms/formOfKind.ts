import type { Outline } from '../geometry/outline/outline.ts';
import { DEFAULT_BLANK_MARGIN } from '../target/mouldForm.ts';
import type { Form, FormKind } from '../target/target.ts';
import { roughSize } from './roughSize.ts';

/** A shallow oval tray over a hump, about as wide (mm); an imported mould begins with a file, not here. */
function newMould(across: number): Form {
  const plan = (share: number) => ({ kind: 'ellipse', length: share * across, width: 0.7 * share * across }) as const;
  return {
    kind: 'mould',
    rim: plan(1),
    foot: plan(0.75),
    depth: 0.12 * across,
    wall: 'curved',
    side: 'hump',
    margin: DEFAULT_BLANK_MARGIN,
  };
}

/** A leaf over a bottle, with two veins cut out of it (mm). */
function leafSheet(): Form {
  const leaf = (x: number, y: number, length: number, bulge: number): Outline => [
    [x, y - length / 2, bulge],
    [x, y + length / 2, bulge],
  ];
  return {
    kind: 'sheet',
    outline: leaf(0, 0, 170, 0.42),
    holes: [leaf(-14, 10, 44, 0.12), leaf(14, -6, 44, 0.12)],
    lines: [
      [
        [0, -70],
        [0, 70],
      ],
    ],
    bend: { diameter: 90, angle: 90 },
    feet: { count: 3, height: 6, diameter: 12 },
  };
}

/** A form of another kind of about the same size. */
export function formOfKind(kind: FormKind, from: Form): Form {
  const { rim, foot, height } = roughSize(from);
  const taper = rim === foot ? { rim: rim * 1.25, foot } : { rim, foot };
  switch (kind) {
    case 'cylinder':
      return { kind, diameter: rim, height };
    case 'taper':
      return { kind, ...taper, height };
    case 'stack':
      return {
        kind,
        profile: [
          [0, foot],
          [height / 2, 1.3 * Math.max(rim, foot)],
          [height, rim],
        ],
      };
    case 'oval':
    case 'box':
      return { kind, length: rim, width: rim * 0.7, height };
    case 'facet':
      return { kind, sides: 6, ...taper, height, fold: 'separate' };
    case 'loft':
      return {
        kind,
        rim: { kind: 'rounded', length: rim * 1.2, width: rim * 1.2, corner: rim * 0.25 },
        foot: { kind: 'circle', diameter: foot },
        height,
      };
    case 'former':
      return { kind, diameter: rim, sleeve: 1, height };
    case 'mould':
    case 'mesh':
      return newMould(Math.max(rim, 120));
    case 'sheet':
      return leafSheet();
    case 'stand':
      return {
        kind,
        device: { length: 150, width: 75, thickness: 12, mass: 210 },
        clearance: 2,
        lean: 18,
        roll: 46,
        across: 45,
      };
  }
}
