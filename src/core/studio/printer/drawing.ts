import type { Outline } from '../../geometry/outline/outline.ts';

/** What a line is for; each has its own layer or class in every file. */
export type Layer = 'cut' | 'mark' | 'lean' | 'text';

/** Where a text hangs on its point. */
export type Anchor = 'start' | 'middle' | 'end';

/** One thing on a drawing, in mm, y up. */
export type Primitive =
  | {
      readonly kind: 'path';
      readonly layer: Layer;
      readonly outline: Outline;
      /** Its last vertex is its end, and does not join the first. */
      readonly open?: true;
      readonly dash?: 'dash' | 'chain';
      readonly fill?: 'shade';
    }
  | {
      readonly kind: 'line';
      readonly layer: Layer;
      readonly from: readonly [number, number];
      readonly to: readonly [number, number];
      readonly dash?: 'dash' | 'chain';
    }
  | {
      readonly kind: 'text';
      readonly layer: Layer;
      readonly at: readonly [number, number];
      /** Height of the letters' body (mm). */
      readonly size: number;
      readonly text: string;
      readonly anchor: Anchor;
      readonly weight?: 'bold';
    };

/** A primitive moved by (dx, dy) mm. */
export function movedPrimitive(item: Primitive, dx: number, dy: number): Primitive {
  const shift = ([x, y]: readonly [number, number]) => [x + dx, y + dy] as const;
  switch (item.kind) {
    case 'path':
      return { ...item, outline: item.outline.map(([x, y, bulge]) => [x + dx, y + dy, bulge]) };
    case 'line':
      return { ...item, from: shift(item.from), to: shift(item.to) };
    case 'text':
      return { ...item, at: shift(item.at) };
  }
}
