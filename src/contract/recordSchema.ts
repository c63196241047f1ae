import Joi from 'joi';
import { PAPER_NAMES } from '../core/studio/printer/paper.ts';
import { BAR_RUNS, BASES } from '../core/studio/clay/bars.ts';
import { checkClay, checkScrap } from '../core/studio/clay/checkClay.ts';
import type { Clay, ScrapEntry } from '../core/studio/clay/clay.ts';
import type { Fault } from '../core/errors.ts';
import { checkKitItem } from '../core/studio/kit/checkKit.ts';
import { KIT_KINDS, type KitItem } from '../core/studio/kit/kit.ts';
import { checkFiring } from '../core/studio/kiln/keptFiring.ts';
import { checkPlan, type KeptPlan } from '../core/studio/slabPlan/keptPlan.ts';
import { checkHouseWay, type HouseWay } from '../core/studio/making/houseWay.ts';
import { OWN_LIMITS } from '../core/studio/making/ownWork.ts';
import { FORM_KINDS } from '../core/target/target.ts';
import { checkOrder } from '../core/studio/order/keptOrder.ts';
import { firingSchema } from './firingSchema.ts';
import { kitMouldSchema } from './formSchema.ts';
import { airSchema, schoolsSchema } from './makingSchema.ts';
import { orderSchema } from './orderSchema.ts';
import { plainName } from './plainName.ts';
import type { RecordBodies, RecordKind } from './records.ts';
import { readShape } from './targetSchema.ts';

const figure = () => Joi.number().strict();
const text = () => Joi.string().allow('');
const name = () => Joi.string().allow('').custom(plainName);
const oneOf = (values: readonly string[]) => Joi.string().valid(...values);

/** Most entries of each list in a record. */
const MOST = { bars: 500, settings: 60, pieces: 200, slabs: 200, placements: 2000, steps: 200 } as const;

const bar = Joi.object({
  wet: figure().required(),
  dry: figure(),
  bisque: figure(),
  fired: figure(),
  run: oneOf(BAR_RUNS).default('any'),
  aside: Joi.boolean().strict(),
});

const placement = Joi.object({
  id: Joi.string().max(200).required(),
  x: figure().required(),
  y: figure().required(),
  turn: figure().required(),
  locked: Joi.boolean().strict(),
});

const stepIds = Joi.array().items(Joi.string().max(80)).max(MOST.steps).required();
const ownWork = Joi.object({
  order: stepIds,
  left: stepIds,
  added: Joi.array()
    .items(Joi.object({ id: Joi.string().max(80).required(), title: text().required(), minutes: figure().required() }))
    .max(OWN_LIMITS.added)
    .required(),
});

/** A learned shrinkage that was accepted. */
const learnt = {
  shrinkage: figure().required(),
  low: figure().required(),
  high: figure().required(),
  pieces: figure().integer().min(0).required(),
  firings: figure().integer().min(0).required(),
  day: Joi.string().max(10).required(),
};

/** The shape of each kind of record. Ranges are core's, checked once the shape is right. */
export const RECORD_SCHEMAS: { readonly [K in RecordKind]: Joi.ObjectSchema<RecordBodies[K]> } = {
  clay: Joi.object<Clay>({
    name: name().required(),
    wetDensity: figure().required(),
    shrinkage: figure().required(),
    basis: oneOf(BASES).required(),
    price: figure(),
    bag: figure(),
    firing: text(),
    note: text(),
    bars: Joi.array().items(bar).max(MOST.bars).default([]),
    learnt: Joi.object({ ...learnt, before: Joi.object(learnt) }),
  }).required(),
  kit: Joi.object<KitItem>({
    kind: oneOf(KIT_KINDS).required(),
    name: name().required(),
    sizes: Joi.object().pattern(Joi.string(), figure()).required(),
    settings: Joi.array().items(figure()).max(MOST.settings),
    mould: kitMouldSchema,
    check: Joi.object({
      paper: oneOf(PAPER_NAMES).required(),
      across: figure().required(),
      up: figure().required(),
      day: text().required(),
    }),
    note: text(),
  }).required(),
  scrap: Joi.object<ScrapEntry>({
    day: text().required(),
    name: name().required(),
    out: figure().required(),
    back: figure().required(),
    note: text(),
  }).required(),
  plan: Joi.object<KeptPlan>({
    name: name().required(),
    design: Joi.string().guid().required(),
    pieces: Joi.array()
      .items(Joi.object({ design: Joi.string().guid().required(), count: figure().integer().required() }))
      .max(MOST.pieces)
      .required(),
    gap: figure().required(),
    margin: figure().required(),
    alongRoll: Joi.boolean().strict().required(),
    slabs: Joi.array()
      .items(
        Joi.object({
          thickness: figure().required(),
          placements: Joi.array().items(placement).max(MOST.placements).required(),
        }),
      )
      .max(MOST.slabs)
      .required(),
  }).required(),
  order: orderSchema,
  firing: firingSchema,
  way: Joi.object<HouseWay>({
    name: name().required(),
    schools: schoolsSchema.required(),
    air: airSchema.required(),
    own: Joi.object().pattern(oneOf(FORM_KINDS), ownWork).required(),
  }).required(),
};

const CHECKS: { readonly [K in RecordKind]: (body: RecordBodies[K]) => Fault[] } = {
  clay: checkClay,
  kit: checkKitItem,
  scrap: checkScrap,
  plan: checkPlan,
  order: checkOrder,
  firing: checkFiring,
  way: checkHouseWay,
};

/** All kinds of records. */
export const RECORD_KINDS = Object.keys(RECORD_SCHEMAS) as RecordKind[];

/** Reads a parsed JSON value as the body of a record: shape, then what core says of its figures. Never throws. */
export function readRecord<K extends RecordKind>(
  kind: K,
  value: unknown,
): { body: RecordBodies[K] } | { faults: readonly Fault[] } {
  const shape = readShape<RecordBodies[K]>(RECORD_SCHEMAS[kind], value);
  if ('faults' in shape) return shape;
  const faults = CHECKS[kind](shape.value);
  return faults.length > 0 ? { faults } : { body: shape.value };
}

/** Path of a kind of record, and of one of them. */
export const kindPath = Joi.object<{ kind: RecordKind }>({ kind: oneOf(RECORD_KINDS).required() }).required();

/** Path of one record. */
export const recordPath = Joi.object<{ kind: RecordKind; id: string }>({
  kind: oneOf(RECORD_KINDS).required(),
  id: Joi.string().guid().required(),
}).required();

/** POST and PUT of a record: its body is read by its kind; a write names the state that it was made from. */
export const recordCreate = Joi.object<{ body: unknown; id?: string }>({
  body: Joi.object().unknown(true).required(),
  id: Joi.string().guid(),
}).required();

/** PUT /api/records/:kind/:id */
export const recordWrite = Joi.object<{ body: unknown; baseRevision: number }>({
  body: Joi.object().unknown(true).required(),
  baseRevision: Joi.number().strict().integer().min(1).required(),
}).required();
