import type { SizeRow } from './formSize.ts';
import type { RoughSize } from './kind.ts';
import { CORNER, SIZE, type Ranged } from './ranged.ts';

/** Points of a round piece's side from the foot up: height over the table, and diameter (mm). */
export type Profile = readonly (readonly [height: number, across: number])[];

/** The figures of a profile with their ranges. */
export function profileRanges(profile: Profile): Ranged[] {
  return profile.flatMap(([height, across], index): Ranged[] => [
    [`profile.${index}.0`, height, CORNER],
    [`profile.${index}.1`, across, SIZE],
  ]);
}

/** The figures of a profile as they are asked for: the lowest point stands on the table. */
export function profileRows(profile: Profile): SizeRow[] {
  return profile.flatMap(([height, across], index): SizeRow[] => [
    ...(index === 0 ? [] : [[`profile.${index}.0`, `Height ${index + 1}`, height] as const]),
    [`profile.${index}.1`, index === 0 ? 'Foot across' : `Across ${index + 1}`, across],
  ]);
}

/** About how large a piece of this profile is (mm). */
export function profileRough(profile: Profile): RoughSize {
  const [height, rim] = profile.at(-1) ?? [0, 0];
  return { rim, foot: profile[0]?.[1] ?? 0, height };
}

/** The widths at the ends of a profile, as paths in the form. */
export function profileEdges(profile: Profile): { readonly rim: string; readonly foot: string } {
  return { rim: `profile.${profile.length - 1}.1`, foot: 'profile.0.1' };
}
