import { evaporation, faceAir, type Air, type Cover } from './air.ts';
import {
  balanceAt,
  activityOf,
  diffusivityAt,
  DRY_DENSITY,
  lengthLeft,
  PLASTIC,
  STATES,
  type DryingState,
} from './dryingClay.ts';
import { dryLayer, momentAt } from './diffusion.ts';
import type { FaceLaw, Layer, Moistures } from './layer.ts';
import { ROUNDING } from '../../numbers.ts';

/** What a part lies on: plaster draws water for itself; film, board and cloth let none through to speak of. */
export const SUPPORTS = ['board', 'cloth', 'plaster'] as const;

/** What a part lies on. */
export type Support = (typeof SUPPORTS)[number];

/** A part as it dries: its thickness (wet mm), which faces the air reaches, and what it lies on when that is one. */
export interface DryingPart {
  readonly thickness: number;
  readonly faces: 'one' | 'both';
  readonly cover: Cover;
  readonly support?: Support;
}

/** Limits of a drying part. */
export const DRYING_LIMITS = {
  thickness: { least: 0.5, greatest: 100 },
  hours: { above: 0, greatest: 10_000 },
  /** Times over those of the model. */
  factor: { least: 0.05, greatest: 20 },
  parts: 1000,
} as const;

/** How fast dry plaster takes water from the face on it (m/s times moisture), and the moisture that it leaves there. */
const PLASTER = { transfer: 1.2e-8, leaves: 0.1 };

/** A part's moistures through time, and when it reaches each state. */
export interface DryingCourse {
  /** Hours at which the mean falls to each state; null where it does not. */
  readonly reached: Readonly<Record<DryingState, number | null>>;
  /** Moistures at any hour up to the last. */
  readonly at: (hour: number) => PartMoistures;
  readonly hours: number;
  /** Water lost by the last hour, counted at the faces. */
  readonly lost: number;
  /** Greatest difference between the mean and an open face, in moisture, while the clay still shrinks. */
  readonly steepest: number;
}

/** Moistures of a part: mean, at the face that dries most, and where it dries least. */
export interface PartMoistures {
  readonly mean: number;
  readonly surface: number;
  readonly core: number;
}

const HOUR = 3600;

/** When the mean first falls to a moisture (seconds), between the steps of the solver. */
function timeOf(moments: readonly Moistures[], moisture: number): number | null {
  const index = moments.findIndex(({ mean }) => mean <= moisture);
  if (index < 0) return null;
  if (index === 0) return 0;
  let [low, high] = [(moments[index - 1] as Moistures).time, (moments[index] as Moistures).time];
  for (let step = 0; step < 60 && high - low > ROUNDING * high; step += 1) {
    const middle = (low + high) / 2;
    if (momentAt(moments, middle).mean <= moisture) high = middle;
    else low = middle;
  }
  return high;
}

/**
 * Follows a layer through time.
 *
 * @param both whether water leaves by both faces: then the core is half-way through, else at the second face
 * @param slower times over those of the model
 */
function courseOf(
  layer: Layer,
  { both, hours, slower }: { readonly both: boolean; readonly hours: number; readonly slower: number },
): DryingCourse {
  const moments = dryLayer(layer, (hours * HOUR) / slower);
  const read = ({ mean, faces, middle }: Moistures): PartMoistures => ({
    mean,
    surface: Math.min(...faces),
    core: both ? middle : Math.max(...faces),
  });
  const hourOf = (state: DryingState) => {
    const time = timeOf(moments, STATES[state]);
    return time === null ? null : (time * slower) / HOUR;
  };
  const shrinking = moments.map(read).filter(({ mean }) => mean > STATES.leatherHard);
  return {
    reached: {
      opens: hourOf('opens'),
      closes: hourOf('closes'),
      leatherHard: hourOf('leatherHard'),
      dry: hourOf('dry'),
    },
    at: (hour) => read(momentAt(moments, (hour * HOUR) / slower)),
    hours,
    lost: (moments.at(-1) as Moistures).lost,
    steepest: shrinking.reduce((most, { mean, surface }) => Math.max(most, mean - surface), 0),
  };
}

/** Steps of the table of a face's law: a hundredth of what the isotherm bends in. */
const TABLE = 2048;

/** A face's law as a table up to the greatest moisture, linear in between. */
function tabulated(law: (moisture: number) => number, greatest: number): (moisture: number) => number {
  const values = new Float64Array(TABLE + 1);
  for (let at = 0; at <= TABLE; at += 1) values[at] = law((greatest * at) / TABLE);
  return (moisture) => {
    const place = (moisture / greatest) * TABLE;
    if (!(place > 0 && place < TABLE)) return law(moisture);
    const at = Math.floor(place);
    const low = values[at] as number;
    return low + ((values[at + 1] as number) - low) * (place - at);
  };
}

/**
 * A part that dries in the air of the shed.
 *
 * @param slower times over those of the model, as learned for the clay and cover
 */
export function dryPart(
  part: DryingPart,
  air: Air,
  { hours, slower = 1 }: { readonly hours: number; readonly slower?: number },
): DryingCourse {
  const over = faceAir(air, part.cover);
  const balance = balanceAt(air.humidity);
  const open = tabulated(
    (moisture) => evaporation(over, activityOf(moisture)) / DRY_DENSITY,
    Math.max(PLASTIC, balance),
  );
  const plaster: FaceLaw = (moisture) =>
    PLASTER.transfer * Math.max(0, (moisture - PLASTER.leaves) / (PLASTIC - PLASTER.leaves));
  const under = part.faces === 'both' ? open : part.support === 'plaster' ? plaster : null;
  const material = {
    initial: Math.max(PLASTIC, balance),
    diffusivity: diffusivityAt(air.temperature),
    lengthLeft,
  };
  return courseOf(
    { thickness: part.thickness / 1000, material, faces: [open, under] },
    { both: under !== null, hours, slower },
  );
}

/** Constants in place of air, cover and clay: the textbook's problem. */
export interface PlainModel {
  /** Diffusivity (m2/s), transfer at the open faces (m/s), and moistures. */
  readonly diffusivity: number;
  readonly transfer: number;
  readonly initial: number;
  readonly equilibrium: number;
}

/** A layer with constant figures that does not shrink: flux = transfer x (surface - equilibrium). */
export function dryPlainly(
  part: Pick<DryingPart, 'thickness' | 'faces'>,
  model: PlainModel,
  hours: number,
): DryingCourse {
  const open: FaceLaw = (moisture) => model.transfer * (moisture - model.equilibrium);
  const material = { initial: model.initial, diffusivity: () => model.diffusivity, lengthLeft: () => 1 };
  const both = part.faces === 'both';
  return courseOf(
    { thickness: part.thickness / 1000, material, faces: [open, both ? open : null] },
    { both, hours, slower: 1 },
  );
}
