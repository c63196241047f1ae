import type { Outline } from './outline.ts';

/** A ring sector about the origin, its middle up: as the arc template of a tapered cup (radii mm, sweep degrees). */
export function arcSector(inner: number, outer: number, sweep: number): Outline {
  const half = (sweep * Math.PI) / 360;
  const at = (radius: number, angle: number) => [radius * Math.sin(angle), radius * Math.cos(angle)] as const;
  const bulge = Math.tan(half / 2);
  return [
    [...at(inner, -half), -bulge],
    [...at(inner, half), 0],
    [...at(outer, half), bulge],
    [...at(outer, -half), 0],
  ];
}
