import type { BallGores, ProfileGores } from '../../target/goresForm.ts';

/** A ball of at least this much more than its foot, so that its wall stands. */
const OVER_FOOT = 1.15;

/** A rim stays at least so far below the top of its ball, as a share of the ball's radius above its middle. */
const UNDER_TOP = 0.85;

/** Height of the ball's middle over its foot, and the most that a piece of it may stand high (mm). */
function ballHeights(ball: number, foot: number): { readonly middle: number; readonly most: number } {
  const middle = Math.sqrt(ball ** 2 - foot ** 2) / 2;
  return { middle, most: middle + (UNDER_TOP * ball) / 2 };
}

/** The piece of strips as part of a ball as wide as its belly, with its foot, and its height as far as the ball reaches (mm). */
export function asBall({ strips, profile }: ProfileGores): BallGores {
  const foot = profile[0]?.[1] ?? 0;
  const ball = Math.max(OVER_FOOT * foot, ...profile.map(([, across]) => across));
  const height = Math.min(profile.at(-1)?.[0] ?? 0, ballHeights(ball, foot).most);
  return { kind: 'gores', strips, ball, foot, height };
}

/** The points of a ball's side at its foot, its widest level if it reaches that, and its rim (mm). */
export function asProfile({ strips, ball, foot, height }: BallGores): ProfileGores {
  const { middle } = ballHeights(ball, foot);
  const across = (z: number) => Math.sqrt(Math.max(0, ball ** 2 - 4 * (z - middle) ** 2));
  const between = middle < height ? middle : height / 2;
  return {
    kind: 'gores',
    strips,
    profile: [
      [0, foot],
      [between, across(between)],
      [height, across(height)],
    ],
  };
}
