import type { Outline } from '../../geometry/outline/outline.ts';
import type { Face } from '../../target/face.ts';
import type { Part } from '../part/part.ts';

/** A strap as it is cut. Wet mm. */
export interface Strap {
  /** Neutral length on the piece, and what is added at each end. */
  readonly neutral: number;
  readonly ends: number;
  readonly top: number;
  readonly bottom: number;
  readonly thickness: number;
  readonly count: number;
  readonly faceUp: Face;
}

/** The flat strap: its upper end to the left, tapering evenly, its ends marked where they meet the wall. */
export function handlePart({ neutral, ends, top, bottom, thickness, count, faceUp }: Strap): Part {
  const length = neutral + 2 * ends;
  const wide = Math.max(top, bottom);
  const [middle, widthAt] = [wide / 2, (x: number) => top + ((bottom - top) * x) / length];
  const outline: Outline = [
    [0, middle - top / 2, 0],
    [length, middle - bottom / 2, 0],
    [length, middle + bottom / 2, 0],
    [0, middle + top / 2, 0],
  ];
  const across = (x: number) =>
    ({
      kind: 'line',
      name: 'overlap',
      from: [x, middle - widthAt(x) / 2],
      to: [x, middle + widthAt(x) / 2],
    }) as const;
  return {
    id: 'handle',
    role: 'handle',
    name: 'Handle',
    count,
    thickness,
    faceUp,
    outline,
    underside: outline,
    leans: [],
    marks: [
      { kind: 'line', name: 'centre', from: [0, middle], to: [length, middle] },
      ...(ends > 0 ? [across(ends), across(length - ends)] : []),
      { kind: 'words', at: [Math.min(length / 4, ends + 8), middle + 2], text: 'top' },
    ],
    volume: ((top + bottom) / 2) * length * thickness,
  };
}
