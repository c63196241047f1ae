type Place = readonly [number, number];

/**
 * Groups of points of a drawing that stand closer than a finger is wide (px), as lists of their indices: each about its first
 * one, so that no two groups' first points are closer than that.
 */
export function closeGrips(places: readonly Place[], finger: number): number[][] {
  const groups: number[][] = [];
  places.forEach(([x, y], index) => {
    const near = groups.find(([first = 0]) => {
      const [u, v] = places[first] ?? [NaN, NaN];
      return Math.hypot(x - u, y - v) < finger;
    });
    if (near) near.push(index);
    else groups.push([index]);
  });
  return groups;
}

/** How many times nearer a group of points must be seen so that those furthest apart leave room for a finger between them. */
export function nearerBy(places: readonly Place[], finger: number): number {
  const widest = Math.max(
    ...places.flatMap(([x, y], index) => places.slice(0, index).map(([u, v]) => Math.hypot(x - u, y - v))),
  );
  return Math.max(1, (2.2 * finger) / widest);
}
