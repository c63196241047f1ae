import { LENGTH_TOLERANCE } from '../../../core/numbers.ts';
import { MOULD_LIMITS } from '../../../core/target/mouldForm.ts';

/** A wall's profile that was read, as shares out and up from the floor; or why it was not. */
export type ProfileReading =
  | { readonly kind: 'profile'; readonly profile: readonly (readonly [number, number])[] }
  | { readonly kind: 'refused'; readonly rule: string };

/** Most characters of a drawing, and of its path. */
const LONGEST = { file: 500_000, path: 50_000 } as const;

/** Number of sample points of a wall. */
const POINTS = 25;

const refused = (rule: string): ProfileReading => ({ kind: 'refused', rule });

/**
 * Reads the one path of an SVG drawing as a wall's profile: from floor to rim, outward along x, upward on the page. Only the
 * path's own data is read: nothing in the file is shown, followed or run.
 */
export function readProfile(text: string): ProfileReading {
  if (text.length > LONGEST.file) return refused('is too large to be read');
  if (/<!DOCTYPE|<!ENTITY/i.test(text)) return refused('declares entities, which are not read');
  const page = new DOMParser().parseFromString(text, 'image/svg+xml');
  if (page.querySelector('parsererror')) return refused('is not sound SVG');
  const paths = [...page.querySelectorAll('path')];
  if (paths.length !== 1) return refused(`has ${paths.length} paths: one is wanted, from floor to rim`);
  const data = paths[0]?.getAttribute('d') ?? '';
  if (data.length > LONGEST.path) return refused('has too long a path');
  const path = document.createElementNS('http://www.w3.org/2000/svg', 'path');
  path.setAttribute('d', data);
  const length = path.getTotalLength();
  if (!(length > 0) || !Number.isFinite(length)) return refused('has a path without length');
  const points = Array.from({ length: POINTS }, (_, index) => {
    const { x, y } = path.getPointAtLength((length * index) / (POINTS - 1));
    return [x, -y] as const;
  });
  // A profile drawn from the rim down is reversed.
  const upward = (points.at(-1)?.[1] ?? 0) >= (points[0]?.[1] ?? 0) ? points : [...points].reverse();
  const [[x0, y0] = [0, 0], [x1, y1] = [0, 0]] = [upward[0], upward.at(-1)];
  const [across, rise] = [x1 - x0, y1 - y0];
  if (!(Math.abs(across) > LENGTH_TOLERANCE) || !(rise > LENGTH_TOLERANCE))
    return refused('must rise from the floor and lead outward');
  const profile = upward.map(([x, y]) => [(x - x0) / across, (y - y0) / rise] as const);
  const back = profile.some(
    ([out, up], index) =>
      index > 0 &&
      (out < (profile[index - 1]?.[0] ?? 0) - LENGTH_TOLERANCE ||
        up < (profile[index - 1]?.[1] ?? 0) - LENGTH_TOLERANCE),
  );
  if (back) return refused('turns back on itself: a wall leads outward and upward all the way');
  if (profile.length > MOULD_LIMITS.profile.greatest) return refused('has too many points');
  return { kind: 'profile', profile: [[0, 0], ...profile.slice(1, -1), [1, 1]] };
}
