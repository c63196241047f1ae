import Joi from 'joi';
import { COVERS } from '../core/studio/drying/air.ts';
import { ORDER_LIMITS, type KeptOrder } from '../core/studio/order/keptOrder.ts';
import { airSchema, dryingPartSchema } from './makingSchema.ts';
import { plainName } from './plainName.ts';

const figure = () => Joi.number().strict();
const whole = () => figure().integer();
const words = (most: number) => Joi.string().max(most);
const moment = () => figure().min(-8.64e15).max(8.64e15).required();
const day = () => words(10).required();

const block = Joi.object({
  id: words(80).required(),
  title: words(300).allow('').required(),
  once: figure().min(0).max(1e4).required(),
  each: figure().min(0).max(1e4).required(),
  waits: Joi.object({
    until: Joi.string().valid('opens', 'leatherHard', 'dry').required(),
    part: dryingPartSchema.required(),
  })
    .allow(null)
    .required(),
});

const line = Joi.object({
  design: Joi.string().guid().required(),
  revision: whole().min(1).required(),
  name: Joi.string().allow('').max(120).required(),
  count: whole().required(),
  blocks: Joi.array().items(block).max(ORDER_LIMITS.blocks).required(),
  factors: Joi.object().pattern(Joi.string().valid(...COVERS), figure().greater(0).max(100)),
});

const spot = {
  line: whole().min(0).max(ORDER_LIMITS.lines).required(),
  set: whole().min(1).max(500).required(),
  block: words(80).required(),
};
const held = Joi.object({ ...spot, start: moment() });
const done = Joi.object({ ...spot, at: moment() });
const counts = Joi.array().items(whole().min(0)).max(ORDER_LIMITS.lines).required();

const never = Joi.object({
  kind: Joi.string().valid('stretch', 'never-dry', 'waited').required(),
  line: spot.line,
  block: spot.block,
  minutes: figure(),
  stretch: figure(),
  pieces: whole(),
});

/** A block of each piece by itself. */
const MOST_BLOCKS = ORDER_LIMITS.pieces.greatest * ORDER_LIMITS.blocks;

const laid = Joi.object({
  of: words(40).required(),
  blocks: Joi.array()
    .items(
      Joi.object({
        ...spot,
        start: moment(),
        end: moment(),
        pieces: whole().required(),
        held: Joi.boolean().strict().required(),
        done: Joi.boolean().strict().valid(true),
      }),
    )
    .max(MOST_BLOCKS)
    .required(),
  sets: Joi.array()
    .items(Joi.array().items(whole().min(1)).max(500))
    .max(ORDER_LIMITS.lines)
    .required(),
  kiln: Joi.array()
    .items(
      Joi.object({
        kind: Joi.string().valid('load bisque', 'bisque', 'glazing', 'load glaze', 'glaze').required(),
        from: moment(),
        to: moment(),
      }),
    )
    .max(500)
    .required(),
  dryBy: figure().allow(null).required(),
  late: counts,
  left: counts,
  never: Joi.array().items(never).max(ORDER_LIMITS.lines).required(),
});

/** The shape of an order; ranges are core's. */
export const orderSchema = Joi.object<KeptOrder>({
  name: Joi.string().allow('').custom(plainName).required(),
  start: day(),
  ready: day(),
  week: Joi.array()
    .items(Joi.object({ day: whole().required(), from: figure().required(), to: figure().required() }))
    .max(ORDER_LIMITS.week)
    .required(),
  once: Joi.boolean().strict().required(),
  bisque: figure().required(),
  glaze: figure().required(),
  glazing: figure().required(),
  load: figure().required(),
  pace: figure().required(),
  air: airSchema.required(),
  lines: Joi.array().items(line).max(ORDER_LIMITS.lines).required(),
  held: Joi.array().items(held).max(ORDER_LIMITS.held).required(),
  makings: Joi.array().items(Joi.string().guid()).max(ORDER_LIMITS.lines),
  done: Joi.array().items(done).max(MOST_BLOCKS),
  laid: laid.allow(null).required(),
}).required();
