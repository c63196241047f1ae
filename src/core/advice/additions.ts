import { firedLength, wetLength } from '../units/shrinkage.ts';
import { withinFeet } from '../parts/feet/feet.ts';
import { degrees, radians } from '../numbers.ts';
import { planArea } from '../geometry/outline/planMeasures.ts';
import { additionsOf } from '../forms/additions.ts';
import { middleOfPlan } from '../forms/kind/standing.ts';
import { kindOf } from '../forms/kinds.ts';
import { DEFAULT_STIFFNESS, type Target } from '../target/target.ts';
import { BEND_LIMITS, checkBend } from './bend.ts';
import type { Check } from './check.ts';
import type { Point3 } from '../geometry/point.ts';

const NUMBERS = ['', 'One finger goes', 'Two fingers go', 'Three fingers go', 'Four fingers go'] as const;

/** A handle closer to the level of the rim may touch the rack when the piece is turned over (fired mm). */
const UNDER_RIM = 3;

/** Bend advice on a strap or flange, given only when care is needed. */
function bendOf(
  target: Target,
  {
    thickness,
    neutralRadius,
    name,
    code,
  }: { readonly thickness: number; readonly neutralRadius: number; readonly name: string; readonly code: string },
): Check[] {
  const { neutralFraction } = target.slab;
  const stiffness = target.clay.stiffness ?? DEFAULT_STIFFNESS;
  const check = checkBend({ thickness, neutralRadius, neutralFraction, stiffness });
  if (!check || check.level === 'note') return [];
  const title = `${name}: ${check.title.charAt(0).toLowerCase()}${check.title.slice(1)}`;
  return [{ ...check, code, title }];
}

/** A strap is bent at once and by hand: advice only where it splits even so. */
function strapBend({ slab, clay }: Target, thickness: number, neutralRadius: number): Check[] {
  const strain = ((1 - slab.neutralFraction) * thickness) / neutralRadius;
  if (neutralRadius > 0 && strain <= BEND_LIMITS[clay.stiffness ?? DEFAULT_STIFFNESS].hard) return [];
  return [
    {
      code: 'handle-bend',
      level: 'care',
      title: 'The strap bends tight',
      phrase: [
        'At its tightest its outer skin stretches by ',
        { percent: 100 * Math.max(0, strain) },
        '. Bend it while it is still soft and smooth its back, or cut it thinner.',
      ],
    },
  ];
}

function handleChecks(target: Target): Check[] {
  const { handle, clay, slab } = target;
  const made = additionsOf(target).handle;
  if (!handle || !made) return [];
  const { curve, wall } = made;
  const room: Check =
    curve.room >= handle.clearance - 0.05
      ? {
          code: 'handle-room',
          level: 'note',
          title: `${NUMBERS[handle.fingers] ?? 'Fingers go'} through the handle`,
          phrase: ['After firing there is ', { mm: curve.room }, ' between fingers and clay.'],
        }
      : {
          code: 'handle-room',
          level: 'care',
          title: 'Too little room in the handle',
          phrase: [
            'After firing there is ',
            { mm: Math.max(0, curve.room) },
            ' between fingers and clay, and ',
            { mm: handle.clearance },
            ' was asked for. Let it stand out or drop further.',
          ],
        };
  const top = Math.max(...curve.outer.map(([, height]) => height));
  const over: Check[] =
    wall.rim - top >= UNDER_RIM
      ? []
      : [
          {
            code: 'handle-top',
            level: 'care',
            title: 'The handle comes too near the rim',
            phrase: [
              'Its top lies ',
              { mm: Math.max(0, wall.rim - top) },
              ' below the rim: turned over on a rack the piece rocks. Set it lower.',
            ],
          },
        ];
  const radius = wetLength(curve.leastRadius, clay.shrinkage) + (slab.neutralFraction - 0.5) * handle.thickness;
  const bend = handle.kind === 'strap' ? strapBend(target, handle.thickness, radius) : [];
  return [room, ...over, ...bend];
}

/** Centre of mass of the empty piece without its feet, wet mm, z from the underside of its base. */
export function centreOfMass(target: Target): Point3 {
  const { slab, base, clay } = target;
  const { section, outer, height, floor } = kindOf(target).standing(target);
  const made = additionsOf(target);
  const masses: { readonly volume: number; readonly at: Point3 }[] = [];
  const add = (volume: number, [x, y]: readonly [number, number], z: number) => masses.push({ volume, at: [x, y, z] });
  const levels = [...new Set([0, ...outer.map(([z]) => z), height])].filter((z) => z <= height).sort((a, b) => a - b);
  levels.slice(1).forEach((to, index) => {
    const from = levels[index] ?? 0;
    // Simpson's weights: the wall's clay at both ends and in the middle of the band.
    for (const [z, weight] of [
      [from, 1],
      [(from + to) / 2, 4],
      [to, 1],
    ] as const) {
      const level = section(z);
      add(((to - from) * weight * (planArea(level.outer) - planArea(level.inner))) / 6, middleOfPlan(level.outer), z);
    }
  });
  if (base.join !== 'none') add(planArea(section(0).inner) * slab.base, middleOfPlan(section(0).outer), floor / 2);
  const { handle } = made;
  if (handle) {
    const count = handle.curve.middle.length;
    const sum = handle.curve.middle.reduce(([x, z], point) => [x + point[0], z + point[1]] as const, [0, 0] as const);
    const [reach, z] = [wetLength(sum[0] / count, clay.shrinkage), wetLength(sum[1] / count, clay.shrinkage)];
    for (const angle of handle.angles) {
      add(handle.volume, [reach * Math.cos(radians(angle)), reach * Math.sin(radians(angle))], z);
    }
  }
  if (made.lugs) add(made.lugs.figures.part.volume * 2, middleOfPlan(section(made.lugs.top).outer), made.lugs.top);
  if (made.knob) add(made.knob.volume, middleOfPlan(section(height).outer), height + slab.base + made.knob.across / 2);
  for (const part of made.lid?.parts ?? []) {
    add(part.volume * part.count, middleOfPlan(section(height).outer), height);
  }
  const total = masses.reduce((all, { volume }) => all + volume, 0);
  const mean = (axis: 0 | 1 | 2) => masses.reduce((all, { volume, at }) => all + volume * at[axis], 0) / total;
  return [mean(0), mean(1), mean(2)];
}

/** A piece that tips at a smaller angle than this falls over at a touch (degrees). */
const TIPS = 8;

function feetCheck(target: Target): Check[] {
  const { feet, clay } = target;
  const { feet: places } = additionsOf(target);
  if (!feet || places.length === 0) return [];
  const [x, y, z] = centreOfMass(target);
  const within = withinFeet(places, [x, y]);
  const tilt = degrees(Math.atan2(within, z + feet.thickness));
  const fired = firedLength(within, clay.shrinkage);
  if (within <= 0) {
    return [
      {
        code: 'feet',
        level: 'stop',
        title: 'Falls off its feet',
        phrase: ['Its weight lies ', { mm: -fired }, ' outside the line from foot to foot. Set the feet further out.'],
      },
    ];
  }
  return [
    {
      code: 'feet',
      level: tilt < TIPS ? 'care' : 'note',
      title: tilt < TIPS ? 'Stands unsteadily on its feet' : 'Stands on its feet',
      phrase: [
        'Empty, its weight lies ',
        { mm: fired },
        ' inside the line from foot to foot; it tips at ',
        { degrees: tilt },
        '.',
      ],
    },
  ];
}

function lidChecks(target: Target): Check[] {
  const { lid, clay, slab } = target;
  const made = additionsOf(target).lid;
  if (!lid || !made) return [];
  const name = lid.kind === 'flat' ? 'Flange' : 'Side of the cap';
  const fit: Check = {
    code: 'lid',
    level: lid.clearance < 0.5 ? 'care' : 'note',
    title: lid.clearance < 0.5 ? 'The lid may stick' : 'The lid goes on',
    phrase: [
      'Fired, it has ',
      { mm: lid.clearance },
      ' on each side, ',
      { mm: wetLength(lid.clearance, clay.shrinkage) },
      ' as it is cut. Dry and fire the lid on its piece, so that both warp alike.',
    ],
  };
  return [fit, ...bendOf(target, { thickness: slab.wall, neutralRadius: made.bendRadius, name, code: 'lid-bend' })];
}

/** A lug that stands out by more than this many times its thickness bends as it dries, or breaks off. */
const LUG_REACH = 5;

function lugChecks({ lugs, clay }: Target): Check[] {
  if (!lugs) return [];
  const out = wetLength(lugs.out, clay.shrinkage);
  if (out <= LUG_REACH * lugs.thickness) return [];
  return [
    {
      code: 'lugs',
      level: 'care',
      title: 'The lugs stand out far for their thickness',
      phrase: [
        'Wet they stand out ',
        { mm: out },
        ' and are ',
        { mm: lugs.thickness },
        ' thick. Hold them up with a roll of clay until they are leather-hard, or cut them thicker.',
      ],
    },
  ];
}

/** Advice on handles, lugs, feet and lid. */
export function additionChecks(target: Target): Check[] {
  return [...handleChecks(target), ...lugChecks(target), ...feetCheck(target), ...lidChecks(target)];
}
