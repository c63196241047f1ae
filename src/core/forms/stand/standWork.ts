import { shortValue, type Fault } from '../../errors.ts';
import { supportOf } from '../../parts/plan/plan.ts';
import type { Part } from '../../parts/part/part.ts';
import { rangeFaults } from '../../ranges.ts';
import { acrossOf, rollsOf, standSide, stripOf } from './stand.ts';
import { STAND_LIMITS, type StandForm } from '../../target/standForm.ts';
import type { Reach, Standing } from '../kind/standing.ts';
import type { Target } from '../../target/target.ts';
import { explainStand } from './standSteps.ts';
import type { DevelopedForm, FormKindWork } from '../kind/kind.ts';

const formOf = (target: Target) => target.form as StandForm;

/** The empty stand, wet mm: two rolls on a floor, seen from the side. */
function standing(target: Target): Standing {
  const { slab, clay } = target;
  const strip = stripOf(formOf(target), { t: slab.wall, k: slab.neutralFraction, shrinkage: clay.shrinkage });
  const { back, front } = strip.rollOuter;
  const reach = strip.floor / 2 + Math.max(back, front) / 2;
  const box: readonly Reach[] = [
    [0, -strip.floor / 2, strip.floor / 2],
    [slab.wall, -strip.floor / 2, strip.floor / 2],
  ];
  const plan = supportOf({ kind: 'rounded', length: 2 * reach, width: strip.across, corner: 0 });
  return {
    height: Math.max(back, front),
    floor: slab.wall,
    outer: box,
    rim: [slab.wall, -strip.floor / 2, strip.floor / 2],
    hollow: box.map(([, left, right]): Reach => [slab.wall, left, right]),
    mouth: [strip.slot, strip.across],
    across: [2 * reach, strip.across],
    section: () => ({ outer: plan, inner: plan }),
    hollowVolume: 0,
  };
}

/** The strip: where each roll begins, and the middle of the slot. */
function stripPart(target: Target): Part {
  const { slab, clay } = target;
  const strip = stripOf(formOf(target), { t: slab.wall, k: slab.neutralFraction, shrinkage: clay.shrinkage });
  const { length, across, rollLengths } = strip;
  const line = (x: number, name: 'fold' | 'centre') => ({ kind: 'line', name, from: [x, 0], to: [x, across] }) as const;
  const outline = [
    [0, 0, 0],
    [length, 0, 0],
    [length, across, 0],
    [0, across, 0],
  ] as const;
  const straight = (edge: 'foot' | 'rim', from: number) =>
    ({ edge, from, to: (from + 1) % 4, lean: 0, word: 'straight down' }) as const;
  return {
    id: 'strip',
    role: 'strip',
    name: 'Strip',
    count: 1,
    thickness: slab.wall,
    faceUp: slab.faceUp,
    outline,
    underside: outline,
    leans: [straight('foot', 0), straight('rim', 2)],
    marks: [
      line(rollLengths.back, 'fold'),
      line(length - rollLengths.front, 'fold'),
      line(rollLengths.back + strip.floor / 2, 'centre'),
      { kind: 'words', at: [rollLengths.back / 2, across / 2], text: 'back roll' },
      { kind: 'words', at: [length - rollLengths.front / 2, across / 2], text: 'front roll' },
    ],
    volume: length * across * slab.wall,
  };
}

function develop(target: Target): DevelopedForm {
  const { slab, clay } = target;
  const strip = stripOf(formOf(target), { t: slab.wall, k: slab.neutralFraction, shrinkage: clay.shrinkage });
  return {
    numbers: {
      bevelRun: 0,
      stripLength: strip.length,
      slot: strip.slot,
      rollAcross: strip.rollOuter.back,
      rollFront: strip.rollOuter.front,
    },
    parts: [stripPart(target)],
    bendRadius: strip.neutralRadius,
  };
}

function faults(target: Target): Fault[] {
  const form = formOf(target);
  const { size, mass, clearance, lean } = STAND_LIMITS;
  const rolls = rollsOf(form);
  const ranges = [
    ...(['length', 'width', 'thickness'] as const).flatMap((key) =>
      rangeFaults(`form.device.${key}`, form.device[key], size),
    ),
    ...rangeFaults('form.device.mass', form.device.mass, mass),
    ...rangeFaults('form.clearance', form.clearance, clearance),
    ...rangeFaults('form.lean', form.lean, lean),
    ...rangeFaults(typeof form.roll === 'object' ? 'form.roll.back' : 'form.roll', rolls.back, size),
    ...(typeof form.roll === 'object' ? rangeFaults('form.roll.front', rolls.front, size) : []),
    ...rangeFaults('form.friction', form.friction, STAND_LIMITS.friction),
    ...rangeFaults('form.across', acrossOf(form), size),
  ];
  if (ranges.length > 0) return ranges;
  const impossible = (path: string, value: unknown, rule: string): Fault => ({
    code: 'impossible-piece',
    path,
    value: shortValue(value),
    rule,
  });
  const unwanted = (['handle', 'lid', 'feet', 'lugs'] as const).filter((key) => target[key] !== undefined);
  if (unwanted.length > 0) return unwanted.map((key) => impossible(key, key, 'does not go on a rolled stand'));
  const { wall, neutralFraction } = target.slab;
  const { shrinkage } = target.clay;
  const least = Math.min(rolls.back, rolls.front);
  const path = typeof form.roll === 'object' ? `form.roll.${least === rolls.front ? 'front' : 'back'}` : 'form.roll';
  if (least / (1 - shrinkage) <= 2 * wall)
    return [
      impossible(path, least, `must be over ${(2 * wall * (1 - shrinkage)).toFixed(1)} mm: twice the slab, fired`),
    ];
  const side = standSide(form, wall * (1 - shrinkage));
  if (stripOf(form, { t: wall, k: neutralFraction, shrinkage }).slot <= 0)
    return [impossible('form.clearance', form.clearance, 'leaves no slot')];
  if (side.meant.corners[0][0] < side.back[0] || side.meant.corners[1][0] > side.front[0])
    return [
      impossible(
        'form.lean',
        form.lean,
        'leans so far that the device’s foot slips under a roll: make the rolls smaller',
      ),
    ];
  return [];
}

/** A strip rolled from both ends. */
export const standWork = { standing, develop, faults, explain: explainStand } satisfies Partial<FormKindWork>;
