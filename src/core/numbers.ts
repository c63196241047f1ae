/** A full turn in radians. */
export const TAU = 2 * Math.PI;

/** Millimetres in an inch, exactly. */
export const MM_PER_INCH = 25.4;

/** Lengths that differ by less count as equal (mm): a hundredth of what a sharp knife can follow, far above rounding. */
export const LENGTH_TOLERANCE = 1e-6;

/** Outline points closer than this count as one (mm): well under print resolution (0.04 mm at 600 dpi). */
export const POINT_TOLERANCE = 1e-4;

/** Rounding noise: computed lengths (mm), angles (radians) and shares that differ by less count as equal. */
export const ROUNDING = 1e-9;

/** Smallest bulge that still is an arc; below it the edge is a straight line (ratio of sagitta to half chord). */
export const BULGE_TOLERANCE = 1e-9;

/** Angles that differ by less are one (radians): a ten-thousandth of a mm, 100 mm away. */
export const TURN_TOLERANCE = 1e-6;

/** The smallest divisor, and the smallest step that still counts (in the unit of what it is compared with). */
export const TINY = 1e-12;

/** Degrees to radians. */
export function radians(degrees: number): number {
  return (degrees * Math.PI) / 180;
}

/** Radians to degrees. */
export function degrees(angle: number): number {
  return (angle * 180) / Math.PI;
}

/** Rounds up to the next multiple of `step` (same unit as `value`), forgiving rounding noise. */
export function roundUpTo(value: number, step: number): number {
  return Math.ceil(value / step - LENGTH_TOLERANCE) * step;
}

/** An arc of a larger radius is drawn as a straight line (mm): over a wrap of 300 mm it bows by a hundredth of a mm. */
export const STRAIGHT_RADIUS = 1e6;

/** Angles closer to 0 than this count as straight (radians). */
export const ANGLE_TOLERANCE = 1e-12;

/**
 * A root of `f` between `low` and `high`, to rounding, by inverse quadratic interpolation where that is safe and by
 * bisection elsewhere (Chandrupatla, Advances in Engineering Software 28, 1997, 145-149). `f` must change its sign between them.
 *
 * @returns the root, or null when both ends have the same sign
 */
export function root(f: (x: number) => number, low: number, high: number): number | null {
  // The root lies between a and b; c is the previous end.
  let [a, b, c] = [high, low, low];
  let [atA, atB, atC] = [f(high), f(low), 0];
  if (atB === 0) return low;
  if (atA === 0) return high;
  if (atA > 0 === atB > 0) return null;
  let share = 0.5;
  for (let step = 0; step < 200; step += 1) {
    const next = a + share * (b - a);
    const atNext = f(next);
    if (atNext > 0 === atA > 0) [c, atC] = [a, atA];
    else [c, atC, b, atB] = [b, atB, a, atA];
    [a, atA] = [next, atNext];
    const best = Math.abs(atB) < Math.abs(atA) ? b : a;
    const least = (2 * Number.EPSILON * Math.abs(best) + Number.MIN_VALUE) / Math.abs(b - a);
    if (atA === 0 || least > 0.5) return best;
    const way = (a - b) / (c - b);
    const rise = (atA - atB) / (atC - atB);
    const safe = rise ** 2 < way && (1 - rise) ** 2 < 1 - way;
    const wanted = safe
      ? ((atA / (atB - atA)) * atC) / (atB - atC) + (((((c - a) / (b - a)) * atA) / (atC - atA)) * atB) / (atC - atB)
      : 0.5;
    share = Math.min(1 - least, Math.max(least, wanted));
  }
  return a;
}

/** A value that is computed at its first use and then kept. */
export function onDemand<V>(work: () => V): () => V {
  let known: { readonly value: V } | null = null;
  return () => (known ??= { value: work() }).value;
}

/** The value of a key, made now if it is not there; beyond `most` values the oldest is dropped. */
export function remembered<V>(
  known: Map<string, V>,
  name: string,
  { make, most }: { readonly make: () => V; readonly most: number },
): V {
  const value = known.has(name) ? (known.get(name) as V) : make();
  known.delete(name);
  known.set(name, value);
  if (known.size > most) known.delete(known.keys().next().value as string);
  return value;
}

/** A function whose result is kept for each object: for objects that never change. */
export function once<K extends object, V>(work: (key: K) => V): (key: K) => V {
  const known = new WeakMap<K, { readonly value: V }>();
  return (key) => {
    const found = known.get(key);
    if (found) return found.value;
    const value = work(key);
    known.set(key, { value });
    return value;
  };
}
