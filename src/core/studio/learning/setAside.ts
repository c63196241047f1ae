import type { Hierarchy, PieceReadings, Reading } from './hierarchy.ts';

/** Which reading: the piece by its place in the list, the reading by its place in the piece. */
export interface ReadingAt {
  readonly piece: number;
  readonly reading: number;
}

/** Prior of a slip: one reading in so many, with an error so many times as large. */
const SLIP = { share: 0.05, times: 10 } as const;

/** Prior of a whole piece that is out of line, which is rarer. */
const ODD_PIECE = { share: 0.02, times: 10 } as const;

/** Deviations from the other readings beyond which a slip is more likely than not: the odds of both normals are even there. */
function farAt({ share, times }: { readonly share: number; readonly times: number }): number {
  return Math.sqrt((2 * (Math.log((1 - share) / share) + Math.log(times))) / (1 - 1 / times ** 2));
}
const FAR_READING = farAt(SLIP);
const FAR_PIECE = farAt(ODD_PIECE);

/** Limit of the first round, before any spread is known, in typical distances from the firing's median. */
const FAR_AT_FIRST = 4.5;

/** Typical distance from the median, as a share of the standard deviation of a normal distribution. */
const MEDIAN_SHARE = 0.6745;

/** Most rounds: what is left out settles after two or three. */
const LOOKS = 8;

function median(values: readonly number[]): number {
  const sorted = [...values].sort((one, other) => one - other);
  const half = sorted.length / 2;
  return ((sorted[Math.ceil(half) - 1] ?? 0) + (sorted[Math.floor(half)] ?? 0)) / 2;
}

/** Readings that lie far from the middle of all, each in its own deviations. */
function farAtFirst(pieces: readonly PieceReadings[]): Set<string> {
  const firings = new Map<string, number[]>();
  for (const { firing, readings } of pieces) {
    const values = firings.get(firing) ?? [];
    values.push(...readings.map(({ value }) => value));
    firings.set(firing, values);
  }
  const middle = median([...firings.values()].flat());
  // In a small firing a slip may lead the median: compare with the median of all.
  const middleFor = (firing: string) => {
    const values = firings.get(firing) ?? [];
    return values.length >= 5 ? median(values) : middle;
  };
  const far = pieces.flatMap(({ firing, readings }, piece) =>
    readings.map(({ value, scale }, reading) => ({
      key: keyOf({ piece, reading }),
      far: Math.abs(value - middleFor(firing)) / scale,
    })),
  );
  const usual = median(far.map((one) => one.far)) / MEDIAN_SHARE;
  return new Set(far.filter((one) => one.far > FAR_AT_FIRST * usual).map(({ key }) => key));
}

const keyOf = ({ piece, reading }: ReadingAt) => `${piece} ${reading}`;

/** A value and the variance with which it is known. */
interface Known {
  readonly value: number;
  readonly variance: number;
}

/** The mean of values, weighted by precision; for no values, one of infinite variance. */
function pooled(values: readonly Known[]): Known {
  const weights = values.reduce((sum, { variance }) => sum + 1 / variance, 0);
  const weighted = values.reduce((sum, { value, variance }) => sum + value / variance, 0);
  return weights > 0 ? { value: weighted / weights, variance: 1 / weights } : { value: 0, variance: Infinity };
}

/** The readings that remain when some are left out. */
function leftOf(pieces: readonly PieceReadings[], out: ReadonlySet<string>): PieceReadings[] {
  return pieces.map(({ firing, readings }, piece) => ({
    firing,
    readings: readings.filter((_, reading) => !out.has(keyOf({ piece, reading }))),
  }));
}

/** What the pieces of each firing say together: the sum of their weights, and of their values by weight; and each piece's own share. */
function sharesOf(left: readonly PieceReadings[], { spread }: Hierarchy) {
  const firings = new Map<string, { weights: number; weighted: number }>();
  const own = left.map(({ firing, readings }) => {
    if (readings.length === 0) return { weight: 0, weighted: 0 };
    const { value, variance } = pieceOf(readings, spread.measuring);
    const weight = 1 / (variance + spread.piece ** 2);
    const sum = firings.get(firing) ?? { weights: 0, weighted: 0 };
    firings.set(firing, { weights: sum.weights + weight, weighted: sum.weighted + weight * value });
    return { weight, weighted: weight * value };
  });
  return { firings, own };
}

/** The prediction for a piece from the others of its firing and from all. */
function expectedOf(
  firing: string,
  own: { readonly weight: number; readonly weighted: number },
  {
    firings,
    all: { mean, spread },
  }: { readonly firings: ReturnType<typeof sharesOf>['firings']; readonly all: Hierarchy },
): Known {
  // Without a spread between firings the others of a firing say no more than the mean.
  if (spread.firing === 0) return { value: mean, variance: spread.piece ** 2 };
  const { weights = 0, weighted = 0 } = firings.get(firing) ?? {};
  const [ofAll, ofOthers] = [1 / spread.firing ** 2, Math.max(0, weights - own.weight)];
  const value = (mean * ofAll + (weighted - own.weighted)) / (ofAll + ofOthers);
  return { value, variance: 1 / (ofAll + ofOthers) + spread.piece ** 2 };
}

function pieceOf(readings: readonly Reading[], measuring: number): Known {
  return pooled(readings.map(({ value, scale }) => ({ value, variance: (measuring * scale) ** 2 })));
}

/** Outliers, once the spreads are known: each reading is compared with all others. */
function farFrom(pieces: readonly PieceReadings[], out: ReadonlySet<string>, fit: Hierarchy): Set<string> {
  const left = leftOf(pieces, out);
  const { firings, own } = sharesOf(left, fit);
  const found = new Set<string>();
  pieces.forEach(({ firing, readings }, piece) => {
    const expected = expectedOf(firing, own[piece] ?? { weight: 0, weighted: 0 }, { firings, all: fit });
    const whole = left[piece]?.readings ?? [];
    if (whole.length > 1) {
      const { value, variance } = pieceOf(whole, fit.spread.measuring);
      if (Math.abs(value - expected.value) > FAR_PIECE * Math.sqrt(variance + expected.variance)) {
        readings.forEach((_, reading) => found.add(keyOf({ piece, reading })));
        return;
      }
    }
    readings.forEach(({ value, scale }, reading) => {
      const others = readings.filter((_, index) => index !== reading && !out.has(keyOf({ piece, reading: index })));
      const known = pooled([
        expected,
        ...others.map((other) => ({ value: other.value, variance: (fit.spread.measuring * other.scale) ** 2 })),
      ]);
      const variance = known.variance + (fit.spread.measuring * scale) ** 2;
      if (Math.abs(value - known.value) > FAR_READING * Math.sqrt(variance)) found.add(keyOf({ piece, reading }));
    });
  });
  return found;
}

const alike = (one: ReadonlySet<string>, other: ReadonlySet<string>) =>
  one.size === other.size && [...one].every((key) => other.has(key));

/**
 * Fits what belongs together and sets the slips aside. A reading is left out where a normal error ten times as large, one
 * reading in twenty, explains it better than the error of all; a piece of several readings as a whole, one in fifty.
 * Found by looking again until nothing changes; the first look is at medians, so that slips cannot hide one another.
 *
 * @returns null of no reading
 */
export function fitWithoutSlips(
  pieces: readonly PieceReadings[],
  fit: (pieces: readonly PieceReadings[]) => Hierarchy | null,
): { readonly fit: Hierarchy; readonly aside: readonly ReadingAt[] } | null {
  let out = farAtFirst(pieces);
  let found = fit(leftOf(pieces, out));
  for (let look = 0; look < LOOKS && found; look += 1) {
    const next = farFrom(pieces, out, found);
    const again = alike(next, out) ? null : fit(leftOf(pieces, next));
    if (!again) break;
    out = next;
    found = again;
  }
  if (!found) return null;
  const aside = pieces.flatMap(({ readings }, piece) =>
    readings.flatMap((_, reading) => (out.has(keyOf({ piece, reading })) ? [{ piece, reading }] : [])),
  );
  return { fit: found, aside };
}
