import { movedMould } from './movedMould.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { mouldSurface } from './mouldSurface.ts';
import type { Bearing } from './roundTable.ts';
import type { Point3 } from '../../geometry/point.ts';
import { ROUNDING } from '../../numbers.ts';

/** The three radii of a round mould's blank, without margin (wet mm). */
export interface RoundBlank {
  /** Along the neutral surface from the middle to the rim. */
  readonly lengthTrue: number;
  /** Of the disc as large as the neutral surface. */
  readonly areaTrue: number;
  /** Of the neutral surface at the rim. */
  readonly rim: number;
  /** How much the length-true disc's girth is too long for the rim. */
  readonly girthExcess: number;
}

/** Steps of each stretch of the section: far below a thousandth of a millimetre. */
const STEPS = 2000;

/** Whether a mould is turned about one upright axis. */
export function isRound({ rim, foot }: MouldForm): boolean {
  const at = ({ at: place = [0, 0] }: MouldForm['rim']) => place;
  if (rim.kind !== 'circle') return false;
  return !foot || (foot.kind === 'circle' && Math.hypot(at(rim)[0] - at(foot)[0], at(rim)[1] - at(foot)[1]) < ROUNDING);
}

/**
 * Radii of the blank of a round mould, its neutral surface `offset` mm out of the mould (negative: into it): the section's
 * length, and the disc as large as the surface it sweeps (geometry: drape, hump and slump blanks).
 */
export function roundBlank(form: MouldForm, offset: number): RoundBlank {
  const moved = movedMould(mouldSurface(form), offset);
  const [cx, cy] = form.rim.at ?? [0, 0];
  const bearing: Bearing = { phi: 0, along: 0 };
  let [length, area] = [0, 0];
  let radius = 0;
  const reach = ([x, y]: Point3) => Math.hypot(x - cx, y - cy);
  const walk = (at: (share: number) => Point3) => {
    let before = at(0);
    for (let step = 1; step <= STEPS; step += 1) {
      const next = at(step / STEPS);
      const by = Math.hypot(next[0] - before[0], next[1] - before[1], next[2] - before[2]);
      length += by;
      area += Math.PI * (reach(before) + reach(next)) * by;
      before = next;
    }
    radius = reach(before);
  };
  const edge = moved.floorAt(bearing);
  walk((share) => [cx + share * (edge[0] - cx), cy + share * (edge[1] - cy), edge[2]]);
  if (moved.turning) walk((share) => moved.edgeAt(bearing, share));
  walk((share) => moved.wallAt(bearing, share));
  const girthExcess = 2 * Math.PI * (length - radius);
  return { lengthTrue: length, areaTrue: Math.sqrt(area / Math.PI), rim: radius, girthExcess };
}
