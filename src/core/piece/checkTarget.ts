import { shortValue, type Fault } from '../errors.ts';
import { BEVEL_LIMITS } from '../seam/seam.ts';
import { LIMITS, type Target } from './target.ts';
import { wetPiece } from './wetPiece.ts';

interface Range {
  readonly least?: number;
  readonly greatest?: number;
  /** The value must be greater than this. */
  readonly above?: number;
}

function rangeRule(range: Range): string {
  if (range.above !== undefined) return `must be greater than ${range.above} and at most ${range.greatest}`;
  return `must be from ${range.least} to ${range.greatest}`;
}

function inRange(value: number, range: Range): boolean {
  return (
    Number.isFinite(value) &&
    (range.least === undefined || value >= range.least) &&
    (range.above === undefined || value > range.above) &&
    (range.greatest === undefined || value <= range.greatest)
  );
}

function rangeFault(path: string, value: number, range: Range): Fault[] {
  if (inRange(value, range)) return [];
  return [{ code: 'out-of-range', path, value: shortValue(value), rule: rangeRule(range) }];
}

/** Ranges of every figure; sizes are mm. */
function rangeFaults(target: Target): Fault[] {
  const size = { above: 0, greatest: LIMITS.size.greatest };
  const { clay, slab, form, seam, base } = target;
  const faults = [
    ...rangeFault('clay.shrinkage', clay.shrinkage, LIMITS.shrinkage),
    ...rangeFault('clay.wetDensity', clay.wetDensity, LIMITS.wetDensity),
    ...rangeFault('slab.wall', slab.wall, LIMITS.thickness),
    ...rangeFault('slab.base', slab.base, LIMITS.thickness),
    ...rangeFault('slab.neutralFraction', slab.neutralFraction, LIMITS.neutralFraction),
    ...rangeFault('form.diameter', form.diameter, size),
    ...rangeFault('form.height', form.height, size),
    ...rangeFault('seam.panels', seam.panels, LIMITS.panels),
    ...rangeFault('base.trim', base.trim, LIMITS.trim),
  ];
  if (seam.kind === 'bevel') faults.push(...rangeFault('seam.angle', seam.angle, BEVEL_LIMITS));
  if (seam.kind === 'lap' || seam.kind === 'half-lap') {
    faults.push(...rangeFault('seam.overlap', seam.overlap, LIMITS.overlap));
  }
  if (seam.kind === 'cut-in-place') faults.push(...rangeFault('seam.margin', seam.margin, LIMITS.overlap));
  if (base.join === 'skirt') faults.push(...rangeFault('base.overlap', base.overlap, LIMITS.overlap));
  if (!Number.isInteger(seam.panels)) {
    faults.push({
      code: 'out-of-range',
      path: 'seam.panels',
      value: shortValue(seam.panels),
      rule: 'must be a whole number',
    });
  }
  return faults;
}

/** Shapes that no slab can make, once each figure alone is in range. */
function pieceFaults(target: Target): Fault[] {
  const piece = wetPiece(target);
  const faults: Fault[] = [];
  if (piece.inside <= 0) {
    faults.push({
      code: 'impossible-piece',
      path: 'slab.wall',
      value: shortValue(target.slab.wall),
      rule: `must be less than half the wet outside diameter (${(piece.outside / 2).toFixed(1)} mm), or nothing is left inside`,
    });
  }
  if (piece.height <= piece.floor) {
    faults.push({
      code: 'impossible-piece',
      path: 'form.height',
      value: shortValue(target.form.height),
      rule: `must stand higher than the base is thick (${piece.floor.toFixed(1)} mm wet)`,
    });
  }
  return faults;
}

/**
 * Every reason why a target of the right shape cannot be developed: figures out of range first, then what no slab can
 * make. Empty when it can. Figures are checked against {@link LIMITS}.
 */
export function checkTarget(target: Target): Fault[] {
  const faults = rangeFaults(target);
  return faults.length > 0 ? faults : pieceFaults(target);
}
