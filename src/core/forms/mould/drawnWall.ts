import { planReach } from '../../parts/plan/plan.ts';
import { mouldSurface } from './mouldSurface.ts';
import { DRAGGED_POINTS, type MouldForm } from '../../target/mouldForm.ts';
import { ROUNDING } from '../../numbers.ts';

/** A point of a drawn wall between floor and rim, on the mould's own section (mm). */
export interface WallPoint {
  readonly index: number;
  readonly up: number;
  readonly across: number;
}

/** The inner points of a drawn wall that are few enough to be dragged. */
export function wallPoints(form: MouldForm): WallPoint[] {
  const { profile = [], rim, foot, depth } = form;
  if (form.wall !== 'drawn' || profile.length > DRAGGED_POINTS || !foot) return [];
  const [low, high] = [planReach(foot), planReach(rim)];
  return profile
    .slice(1, -1)
    .map(([out, up], index) => ({ index: index + 1, up: depth * up, across: low + (high - low) * out }));
}

/** The mould with a point of its drawn wall moved (mm); where foot and rim are equal a point cannot go outward. */
export function withWallPoint(form: MouldForm, index: number, to: Partial<Omit<WallPoint, 'index'>>): MouldForm {
  const { profile = [], rim, foot, depth } = form;
  const [low, high] = [foot ? planReach(foot) : 0, planReach(rim)];
  const next = profile.map(([out, up], at) => {
    if (at !== index) return [out, up] as const;
    const moved = to.across === undefined || high - low < ROUNDING ? out : (to.across - low) / (high - low);
    return [moved, to.up === undefined ? up : to.up / depth] as const;
  });
  return { ...form, profile: next };
}

/** The wall by `count` points (with both ends), evenly along its present line. */
export function wallBy(form: MouldForm, count: number): MouldForm {
  const { profile } = mouldSurface(form);
  const points = Array.from({ length: count }, (_, index) => {
    const { out, up } = profile(index / (count - 1));
    return [out, up] as const;
  });
  return { ...form, wall: 'drawn', profile: [[0, 0], ...points.slice(1, -1), [1, 1]] };
}
