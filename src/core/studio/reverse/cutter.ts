import { area, bounds } from '../../geometry/outline/outline.ts';
import { root } from '../../numbers.ts';
import type { Part } from '../../parts/part/part.ts';
import { checkTarget } from '../../forms/checkTarget.ts';
import { kindOf } from '../../forms/kinds.ts';
import type { Form, Target } from '../../target/target.ts';
import { impossible, type Reversed } from './reversed.ts';

/** The cutters of a set next below and above a diameter, or as wide (mm); null where there is none. */
export function cuttersAround(
  diameter: number,
  cutters: readonly number[],
): { readonly below: number | null; readonly above: number | null } {
  const below = cutters.filter((one) => one <= diameter);
  const above = cutters.filter((one) => one > diameter);
  return {
    below: below.length > 0 ? Math.max(...below) : null,
    above: above.length > 0 ? Math.min(...above) : null,
  };
}

/** A base this near to a cutter is cut by it (mm): a cutter's own edge is no truer. */
export const CUTTER_TOLERANCE = 0.3;

/**
 * The design with its base enlarged to the size of a wider cutter; it is trimmed to the wall after joining, so its edge need
 * not lean. Null where the base is not cut so, or the cutter is no wider.
 *
 * @param cutter across, mm
 */
export function trimmedForCutter(target: Target, parts: readonly Part[], cutter: number): Target | null {
  const wide = cutBase(parts);
  if (wide === null || target.base.join !== 'under' || cutter <= wide) return null;
  const at = (trim: number): Target => ({ ...target, base: { join: 'under', trim } });
  const off = (trim: number) => (cutBase(kindOf(at(trim)).develop(at(trim)).parts) ?? NaN) - cutter;
  const found = root(off, target.base.trim, target.base.trim + cutter);
  const changed = found === null ? null : at(found);
  return changed && checkTarget(changed).length === 0 ? changed : null;
}

/** A base whose width and length differ by less is round (mm). */
const ROUND = 0.01;

/** ... and its area is a circle's to this share: a rounded square is as wide as it is long, too. */
const ROUND_AREA = 1e-3;

/** Width of a round base on the face that lies up, as a cutter cuts it (mm), or null when the base is not round. */
export function cutBase(parts: readonly Part[]): number | null {
  const base = parts.find(({ role }) => role === 'base');
  if (!base) return null;
  const box = bounds(base.outline);
  const [length, width] = [box.maxX - box.minX, box.maxY - box.minY];
  const full = Math.abs(area(base.outline) / ((Math.PI / 4) * length * width) - 1) < ROUND_AREA;
  return Math.abs(length - width) < ROUND && full ? length : null;
}

/** The form with its foot as wide as given (mm, over the measured face), its rim and height kept where it has a rim of its own. */
function withFoot(form: Form, foot: number): Form | null {
  switch (form.kind) {
    case 'cylinder':
      return { ...form, diameter: foot };
    case 'taper':
      return { ...form, foot };
    case 'stack': {
      const [[height] = [0], ...rest] = form.profile;
      return { ...form, profile: [[height, foot], ...rest] };
    }
    case 'loft':
      return form.foot.kind === 'circle' ? { ...form, foot: { ...form.foot, diameter: foot } } : null;
    default:
      return null;
  }
}

/** Feet that are tried (mm). */
const FEET = { least: 1, greatest: 4000, steps: 160 } as const;

/**
 * The design with its foot changed so that the base is cut by a round cutter of a diameter (mm); the wall follows. A cup
 * keeps its rim and height, a straight piece becomes as wide throughout.
 */
export function pieceForCutter(target: Target, cutter: number): Reversed {
  if (!(cutter > 0)) return impossible('a cutter must be more than 0 across');
  if (target.base.join === 'none') return impossible('the piece has no base to cut');
  if (target.owned) return impossible('the wall is traced with a template that you own: trim the base instead');
  if (!withFoot(target.form, 1)) return impossible('a round cutter cuts round bases only');
  const at = (foot: number): Target | null => {
    const form = withFoot(target.form, foot);
    const changed = form && { ...target, form };
    return changed && checkTarget(changed).length === 0 ? changed : null;
  };
  const off = (foot: number) => {
    const changed = at(foot);
    return changed ? (cutBase(kindOf(changed).develop(changed).parts) ?? NaN) - cutter : NaN;
  };
  const step = Math.log(FEET.greatest / FEET.least) / FEET.steps;
  let before: { foot: number; off: number } | null = null;
  for (let index = 0; index <= FEET.steps; index += 1) {
    const foot = FEET.least * Math.exp(index * step);
    const now = { foot, off: off(foot) };
    if (before && before.off <= 0 && now.off >= 0) {
      const found = root(off, before.foot, now.foot);
      const changed = found === null ? null : at(found);
      if (changed) return { kind: 'made', target: changed };
    }
    before = Number.isNaN(now.off) ? null : now;
  }
  return impossible('no foot of this piece comes out at that size');
}
