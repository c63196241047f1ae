import { LENGTH_TOLERANCE } from '../numbers.ts';
import { passagesOf, stopIn, widestAcross } from '../bench/fit/passage.ts';
import { standingLevels, type StandingThing } from '../bench/fit/standingLevels.ts';
import type { Target } from '../target/target.ts';
import type { Check } from './check.ts';

/** The words for what is in the way. */
const THINGS: Readonly<Record<Exclude<StandingThing, 'wall'>, string>> = {
  handle: 'handle',
  lug: 'lug',
  lid: 'lid',
  knob: 'knob',
};

function checkHole(target: Target, hole: number, clearance: number): Check {
  const code = 'rack-hole';
  const widest = widestAcross(target);
  const added = [target.handle && 'handle', target.lugs && 'lugs', target.lid && 'lid'].filter(Boolean).join(' and ');
  const needs = [
    'Seen from above',
    added ? ` with its ${added}` : '',
    ' a circle of ',
    { mm: widest },
    ' goes round it, fired',
  ] as const;
  const room = hole - clearance + LENGTH_TOLERANCE;
  if (widest <= room) {
    const phrase = [...needs, ': it clears the hole of ', { mm: hole }, ' by ', { mm: hole - widest }, '.'];
    return { code, level: 'note', title: 'Drops into the rack hole', phrase };
  }
  const foot = passagesOf(target)[0]?.across ?? 0;
  const stop = stopIn(target, hole);
  if (foot > room || stop === null) {
    const phrase = [
      ...needs,
      '; a hole of ',
      { mm: hole },
      ' with ',
      { mm: clearance },
      ' to spare takes ',
      { mm: hole - clearance },
      '. Make it narrower.',
    ];
    return { code, level: 'stop', title: 'Too wide for the rack hole', phrase };
  }
  if (stop.by === 'wall') {
    const phrase = [
      'It stops ',
      { mm: stop.z },
      ' above its foot, where it is as wide as the hole of ',
      { mm: hole },
      '.',
    ];
    return { code, level: 'note', title: 'Hangs in the rack hole', phrase };
  }
  const thing = THINGS[stop.by];
  return {
    code,
    level: 'care',
    title: `Its ${thing} catches on the rack hole`,
    phrase: [
      `Its ${thing} stops it `,
      { mm: stop.z },
      ' above its foot: ',
      ...needs,
      ', and the hole is ',
      { mm: hole },
      '.',
    ],
  };
}

function checkShelf(target: Target, shelf: number, clearance: number): Check {
  const { height } = standingLevels(target);
  const high = ['Fired, it is ', { mm: height }, target.lid ? ' high with its lid' : ' high'] as const;
  const spare = shelf - height;
  if (spare >= clearance - LENGTH_TOLERANCE) {
    const phrase = [...high, ', and ', { mm: spare }, ' stays free above it.'];
    return { code: 'shelf', level: 'note', title: 'Stands under the shelf', phrase };
  }
  return {
    code: 'shelf',
    level: 'stop',
    title: 'Too high for the shelf',
    phrase: [
      ...high,
      '; ',
      { mm: shelf },
      ' with ',
      { mm: clearance },
      ' to spare takes ',
      { mm: shelf - clearance },
      '.',
    ],
  };
}

/** Whether the finished piece fits what it was made for: all that stands is looked at, seen from above (fired mm). */
export function checkFit(target: Target): Check[] {
  const { fit } = target;
  if (!fit) return [];
  return [
    ...(fit.hole === undefined ? [] : [checkHole(target, fit.hole, fit.clearance)]),
    ...(fit.shelf === undefined ? [] : [checkShelf(target, fit.shelf, fit.clearance)]),
  ];
}
