import { planArea } from '../../geometry/outline/planMeasures.ts';
import type { Support } from '../../geometry/outline/support.ts';
import { supportOf } from '../../parts/plan/plan.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { profileOf, type WallProfile } from './wallProfile.ts';

/** A mould as a surface that can be moved along its normals. Z from the floor (0) up to the rim, open upward; mm. */
export interface MouldSurface {
  readonly foot: Support;
  readonly rim: Support;
  readonly depth: number;
  readonly profile: WallProfile;
  /** The wall meets the floor at an edge. */
  readonly edged: boolean;
  /** There is a flat floor. */
  readonly floored: boolean;
}

/** Radius of the circle as large as an outline (mm). */
export function evenRadius(shape: Support): number {
  return Math.sqrt(planArea(shape) / Math.PI);
}

/** The surface of a mould that is given by outlines and a wall (geometry: drape, hump and slump blanks). */
export function mouldSurface(form: MouldForm): MouldSurface {
  const rim = supportOf(form.rim);
  const [x, y] = form.rim.at ?? [0, 0];
  return {
    foot: supportOf(form.foot ?? { kind: 'circle', diameter: 0, at: [x, y] }),
    rim,
    depth: form.depth,
    profile: profileOf(form, evenRadius(rim)),
    edged: form.wall === 'straight',
    floored: form.foot !== undefined,
  };
}
