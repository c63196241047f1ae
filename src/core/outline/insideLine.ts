/** Whether a point lies within a closed line of straight pieces. */
export function insideLine(line: readonly (readonly [number, number])[], [x, y]: readonly [number, number]): boolean {
  let inside = false;
  line.forEach(([x0, y0], index) => {
    const [x1, y1] = line[(index + 1) % line.length] as readonly [number, number];
    if (y0 > y !== y1 > y && x < x0 + ((y - y0) / (y1 - y0)) * (x1 - x0)) inside = !inside;
  });
  return inside;
}
