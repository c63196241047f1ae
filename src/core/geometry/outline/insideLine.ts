type Line = readonly (readonly [number, number])[];

/** Where a closed line of straight pieces crosses a level (x of each crossing, in the order of the line). */
export function crossingsAt(line: Line, y: number): number[] {
  const found: number[] = [];
  let from = line.at(-1);
  for (const to of line) {
    if (from && from[1] > y !== to[1] > y)
      found.push(from[0] + ((y - from[1]) / (to[1] - from[1])) * (to[0] - from[0]));
    from = to;
  }
  return found;
}

/** Whether x is inside, given the crossings of its level. */
export function betweenCrossings(crossings: readonly number[], x: number): boolean {
  let inside = false;
  for (const at of crossings) if (x < at) inside = !inside;
  return inside;
}

/** Whether a point lies within a closed line of straight pieces. */
export function insideLine(line: Line, [x, y]: readonly [number, number]): boolean {
  return betweenCrossings(crossingsAt(line, y), x);
}
