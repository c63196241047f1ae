import { circle } from '../../geometry/outline/shapes.ts';
import { leanWord, turnedLean } from './lean.ts';
import type { Face } from '../../target/face.ts';
import type { Part } from './part.ts';

/** A round base. Diameters of its under and upper face as it stands (wet mm); lean in degrees as seen inside up. */
export interface Disc {
  readonly under: number;
  readonly top: number;
  readonly lean: number;
  readonly thickness: number;
  readonly faceUp: Face;
}

/** The base disc as it lies with `faceUp` up, about the origin. */
export function discPart(disc: Disc): Part {
  const up = disc.faceUp === 'inside' ? disc.top : disc.under;
  const down = disc.faceUp === 'inside' ? disc.under : disc.top;
  const lean = disc.faceUp === 'inside' ? disc.lean : turnedLean(disc.lean);
  const r0 = disc.under / 2;
  const r1 = disc.top / 2;
  return {
    id: 'base',
    role: 'base',
    name: 'Base',
    count: 1,
    thickness: disc.thickness,
    faceUp: disc.faceUp,
    outline: circle(up),
    underside: circle(down),
    leans: [{ edge: 'round', from: 0, to: 0, lean, word: leanWord(lean) }],
    marks: [
      { kind: 'line', name: 'centre', from: [-4, 0], to: [4, 0] },
      { kind: 'line', name: 'centre', from: [0, -4], to: [0, 4] },
    ],
    volume: (Math.PI * disc.thickness * (r0 * r0 + r0 * r1 + r1 * r1)) / 3,
  };
}
