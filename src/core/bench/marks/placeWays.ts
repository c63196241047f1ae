import { kindOfForm } from '../../forms/kinds.ts';
import { degrees } from '../../numbers.ts';
import type { JoinPlace, Target } from '../../target/target.ts';

/** A usual way to place handles or a spout, in the potter's words. Angles in degrees, as `marks.places` has them. */
export interface PlaceWay {
  readonly words: string;
  readonly places: readonly JoinPlace[];
}

const handles = (words: string, ...angles: number[]): PlaceWay => ({
  words,
  places: angles.map((at) => ({ kind: 'handle', at })),
});

const spout = (at: number): PlaceWay => ({ words: 'A spout', places: [{ kind: 'spout', at }] });

function facetWays(sides: number): PlaceWay[] {
  const panel = 360 / sides;
  const even = sides % 2 === 0;
  const opposite = 180 - panel / 2;
  // With an odd number no two panels are opposite: the pair is symmetrical about the seam.
  const near = Math.floor((sides - 1) / 4);
  const pair = even ? [0, 180] : [near * panel, (sides - 1 - near) * panel];
  return [
    handles('Handle on a panel', 0),
    handles('Handle on the seam', 360 - panel / 2),
    handles('Handle opposite the seam', opposite),
    handles('A pair of handles', ...pair),
    spout(even ? 180 : opposite),
  ];
}

/** The usual places on a wall of this form. */
export function placeWays({ form }: Target): PlaceWay[] {
  if (form.kind === 'facet') return facetWays(form.sides);
  if (form.kind === 'box') {
    const corner = degrees(Math.atan2(form.width, form.length));
    return [
      handles('Handle on a short side', 0),
      handles('Handle on a long side', 90),
      handles('Handle on a corner', 360 - corner),
      handles('A pair, short sides', 0, 180),
      handles('A pair, long sides', 90, 270),
      spout(180),
    ];
  }
  return [
    handles('Handle opposite the seam', 180),
    handles('Handle on the seam', 0),
    handles('A pair of handles', 90, 270),
    spout(180),
  ];
}

/** What the angle of a place is measured from on this form. */
export function placesFrom({ form }: Target): string {
  if (form.kind === 'facet') return 'the first panel';
  return form.kind === 'box' ? 'a short side' : 'the seam';
}

/** Whether places and lines can be marked on the wall of this form. */
export function isMarkable({ form }: Target): boolean {
  return kindOfForm(form).traits.markable === true;
}
