import Joi from 'joi';
import { shortValue, type Fault } from '../core/errors.ts';
import { AIR_LIMITS, AIR_SPEEDS, COVERS, ROOM, type Air, type Cover } from '../core/studio/drying/air.ts';
import { DRYING_LIMITS, SUPPORTS, type PlainModel, type Support } from '../core/studio/drying/partDrying.ts';
import { givenOnce } from './givenOnce.ts';
import { readShape } from './targetSchema.ts';

/** Parts that dry in one air, and how long they are followed. */
export interface DryJob {
  readonly air: Air;
  readonly hours: number;
  /** Hours between two points of a curve. */
  readonly every: number;
  readonly parts: readonly {
    readonly id: string;
    readonly thickness: number;
    readonly faces: 'one' | 'both';
    readonly cover: Cover;
    readonly support?: Support;
  }[];
  readonly clay: { readonly factor: number };
  /** Constants in place of air, cover and clay. */
  readonly model?: PlainModel;
}

/** Points of all curves together. */
const MOST_POINTS = 200_000;

/** Limits of the constants: a hundred times beyond real slabs, clays and air. */
const MODEL_LIMITS = { diffusivity: 1e-3, transfer: 1e3, moisture: 2 } as const;

const figure = () => Joi.number().strict();
const within = ({ least, greatest }: { readonly least: number; readonly greatest: number }) =>
  figure().min(least).max(greatest);

const jobSchema = Joi.object<DryJob>({
  air: Joi.object({
    temperature: within(AIR_LIMITS.temperature).default(ROOM.temperature),
    humidity: within(AIR_LIMITS.humidity).default(ROOM.humidity),
    speed: Joi.string()
      .valid(...AIR_SPEEDS)
      .default(ROOM.speed),
  }).default(ROOM),
  hours: figure().greater(DRYING_LIMITS.hours.above).max(DRYING_LIMITS.hours.greatest).default(72),
  every: figure().greater(0).max(DRYING_LIMITS.hours.greatest).default(1),
  parts: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().min(1).max(120).required(),
        thickness: within(DRYING_LIMITS.thickness).required(),
        faces: Joi.string().valid('one', 'both').default('one'),
        cover: Joi.string()
          .valid(...COVERS)
          .default('open'),
        support: Joi.string().valid(...SUPPORTS),
      }),
    )
    .min(1)
    .max(DRYING_LIMITS.parts)
    .required(),
  clay: Joi.object({ factor: within(DRYING_LIMITS.factor).default(1) }).default({ factor: 1 }),
  model: Joi.object({
    diffusivity: figure().greater(0).max(MODEL_LIMITS.diffusivity).required(),
    transfer: figure().min(0).max(MODEL_LIMITS.transfer).required(),
    initial: figure().greater(0).max(MODEL_LIMITS.moisture).required(),
    equilibrium: figure().min(0).max(MODEL_LIMITS.moisture).required(),
  }),
}).required();

/** A job that was read, or every fault in it. */
export type DryReading =
  { readonly kind: 'job'; readonly job: DryJob } | { readonly kind: 'faults'; readonly faults: readonly Fault[] };

/** Reads a parsed JSON value as parts that dry. Never throws. */
export function readDryJob(value: unknown): DryReading {
  const shape = readShape(jobSchema, value);
  if ('faults' in shape) return { kind: 'faults', faults: shape.faults };
  const job = shape.value;
  const faults: Fault[] = [];
  const fault = (path: string, found: unknown, rule: string) =>
    faults.push({ code: 'out-of-range', path, value: shortValue(found), rule });
  const points = (job.hours / job.every + 1) * job.parts.length;
  if (points > MOST_POINTS)
    fault('every', job.every, `must be greater: all curves together have at most ${MOST_POINTS} points`);
  if (job.model && job.model.equilibrium > job.model.initial)
    fault(
      'model.equilibrium',
      job.model.equilibrium,
      'must not be over model.initial: clay that takes up water is not followed',
    );
  faults.push(
    ...givenOnce(
      job.parts.map(({ id }) => id),
      (index) => `parts.${index}.id`,
    ),
  );
  return faults.length > 0 ? { kind: 'faults', faults } : { kind: 'job', job };
}
