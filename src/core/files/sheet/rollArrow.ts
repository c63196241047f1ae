import type { Primitive } from '../../studio/printer/drawing.ts';

/** Length of the arrow, and of its head (mm). */
const LENGTH = 40;
const HEAD = 3;

/** The direction in which the slab is rolled: along the part's x axis, from (x, y). */
export function rollArrow(x: number, y: number): Primitive[] {
  const line = (from: readonly [number, number], to: readonly [number, number]): Primitive => ({
    kind: 'line',
    layer: 'mark',
    from,
    to,
  });
  const end = [x + LENGTH, y] as const;
  return [
    line([x, y], end),
    line([end[0] - HEAD, y + HEAD / 2], end),
    line([end[0] - HEAD, y - HEAD / 2], end),
    { kind: 'text', layer: 'text', at: [end[0] + 2, y - 1.2], size: 3, text: 'roll', anchor: 'start' },
  ];
}
