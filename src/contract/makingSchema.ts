import Joi from 'joi';
import { AIR_LIMITS, AIR_SPEEDS, COVERS } from '../core/studio/drying/air.ts';
import { SUPPORTS } from '../core/studio/drying/partDrying.ts';
import { CLASS_LIMITS } from '../core/studio/making/classNames.ts';
import { MARK_KINDS, type Spot } from '../core/studio/making/making.ts';
import { ACTS } from '../core/studio/making/workStep.ts';
import { MEASURED, PIECE_STATES } from '../core/studio/making/measured.ts';
import { plainName } from './plainName.ts';
import { FAULTS, type Entries, type MakingHead, type MakingStart, type Photograph } from './makings.ts';

/** How much one making may hold. */
export const MAKING_LIMITS = { pieces: 40, count: 500, steps: 80, entries: 2000, words: 600, text: 2000 } as const;

const id = () => Joi.string().guid().required();
const time = () => Joi.string().isoDate().max(40).required();
const words = (most: number) => Joi.string().max(most).required();
const figure = () => Joi.number().strict();

const phrase = Joi.array()
  .items(
    Joi.string().allow('').max(MAKING_LIMITS.words),
    ...['mm', 'mmPlain', 'degrees', 'percent', 'grams', 'ml'].map((unit) =>
      Joi.object({ [unit]: figure().required() }),
    ),
  )
  .max(60);

/** How a part dries, as a mark has it. */
export const dryingPartSchema = Joi.object({
  thickness: figure().greater(0).max(200).required(),
  faces: Joi.string().valid('one', 'both').required(),
  cover: Joi.string()
    .valid(...COVERS)
    .required(),
  support: Joi.string().valid(...SUPPORTS),
});

/** A step of an order of work. */
export const workStepSchema = Joi.object({
  id: words(80),
  act: Joi.string()
    .valid(...ACTS)
    .required(),
  title: words(MAKING_LIMITS.words),
  says: Joi.array().items(phrase).max(20).required(),
  part: Joi.string().max(80),
  edge: Joi.string().max(40),
  tools: Joi.array().items(Joi.string().max(MAKING_LIMITS.words)).max(20).required(),
  until: Joi.string().allow('').max(MAKING_LIMITS.words).required(),
  caution: Joi.string().max(MAKING_LIMITS.words),
  schools: Joi.string().max(MAKING_LIMITS.words),
  minutes: figure().min(0).max(1e4).required(),
  waits: Joi.object({
    until: Joi.string().valid('opens', 'leatherHard', 'dry').required(),
    part: dryingPartSchema.required(),
  }),
});

/** How a potter works where schools differ. */
export const schoolsSchema = Joi.object({
  joins: Joi.string().valid('water', 'slip', 'nothing').required(),
  texture: Joi.string().valid('before', 'after').required(),
  coil: Joi.boolean().strict().required(),
  base: Joi.string().valid('cut', 'traced').required(),
  seam: Joi.string().valid('rolled', 'paddled').required(),
  sticks: Joi.array().items(figure().greater(0).max(100)).max(40).required(),
});

/** The air of the shed. */
export const airSchema = Joi.object({
  temperature: figure().min(AIR_LIMITS.temperature.least).max(AIR_LIMITS.temperature.greatest).required(),
  humidity: figure().min(AIR_LIMITS.humidity.least).max(AIR_LIMITS.humidity.greatest).required(),
  speed: Joi.string()
    .valid(...AIR_SPEEDS)
    .required(),
});

/** The head of a making. */
export const makingHead = {
  name: words(120),
  clay: Joi.string().guid().allow(null).required(),
  startedAt: time(),
  dueAt: time().allow(null),
  schools: schoolsSchema.required(),
  air: airSchema.required(),
};

/** POST /api/makings */
export const makingStart = Joi.object<MakingStart>({
  ...makingHead,
  id: id(),
  pieces: Joi.array()
    .items(
      Joi.object({
        designId: id(),
        revision: figure().integer().min(1).required(),
        name: words(120),
        count: figure().integer().min(1).max(MAKING_LIMITS.count).required(),
        names: Joi.array()
          .items(Joi.string().custom(plainName).max(CLASS_LIMITS.name).required())
          .max(CLASS_LIMITS.names)
          .length(Joi.ref('count')),
        steps: Joi.array().items(workStepSchema).min(1).max(MAKING_LIMITS.steps).unique('id').required(),
      }),
    )
    .min(1)
    .max(MAKING_LIMITS.pieces)
    .required(),
}).required();

/** PUT /api/makings/:id */
export const makingChange = Joi.object<MakingHead & { endedAt: string | null }>({
  ...makingHead,
  endedAt: time().allow(null),
}).required();

const spot = {
  id: id(),
  piece: figure().integer().min(0).less(MAKING_LIMITS.pieces).required(),
  number: figure().integer().min(1).max(MAKING_LIMITS.count).required(),
  step: words(80),
  at: time(),
} satisfies Record<keyof Spot | 'id' | 'at', Joi.Schema>;

/** PUT /api/makings/:id/photographs/:photograph, whose figures stand in the address. */
export const photographPath = Joi.object<{ id: string; photograph: string }>({ id: id(), photograph: id() }).required();

/** Step and time of a photograph that is sent. */
export const photographQuery = Joi.object<Spot & { at: string }>({
  piece: Joi.number().integer().min(0).less(MAKING_LIMITS.pieces).required(),
  number: Joi.number().integer().min(1).max(MAKING_LIMITS.count).required(),
  step: words(80),
  at: time(),
}).required();

/** GET /api/photographs/:hash/:size.jpg */
export const photographFile = Joi.object<{ hash: string; size: 'full' | 'small' }>({
  hash: Joi.string().hex().length(64).required(),
  size: Joi.string().valid('full', 'small').required(),
}).required();

const entry = (more: Joi.PartialSchemaMap) => Joi.object({ ...spot, ...more });

/** A photograph as a table has it: its picture lies in the data folder under its hash. */
export const photographRow = Joi.object<Photograph>({
  ...spot,
  hash: Joi.string()
    .pattern(/^[0-9a-f]{64}$/)
    .required(),
  width: figure().integer().min(1).required(),
  height: figure().integer().min(1).required(),
}).required();

const said = () => Joi.boolean().strict().allow(null).required();
const share = () => figure().min(0).max(1).allow(null).required();

/** One entry of each kind. */
export const ENTRY_SCHEMAS = {
  marks: entry({
    kind: Joi.string()
      .valid(...MARK_KINDS)
      .required(),
    drying: Joi.object({ part: dryingPartSchema.required(), hours: figure().min(0).max(1e5).required() }),
  }),
  measurements: entry({
    what: Joi.string()
      .valid(...MEASURED)
      .required(),
    value: figure().greater(0).max(1e5).required(),
    state: Joi.string().valid(...PIECE_STATES),
  }),
  faults: entry({
    kind: Joi.string()
      .valid(...FAULTS)
      .required(),
    x: share(),
    y: share(),
  }),
  notes: entry({ text: words(MAKING_LIMITS.text) }),
  critiques: entry({
    holds: said(),
    even: said(),
    balanced: said(),
    fits: said(),
    rating: figure().integer().min(1).max(5).allow(null).required(),
    text: Joi.string().allow('').max(MAKING_LIMITS.text).required(),
  }),
  strikes: Joi.object({ id: id(), of: id(), out: Joi.boolean().strict().required(), at: time() }),
} satisfies Record<keyof Entries, Joi.Schema>;

/** POST /api/makings/:id/entries */
export const makingEntries = Joi.object<Entries>(
  Object.fromEntries(
    Object.entries(ENTRY_SCHEMAS).map(([kind, schema]) => [
      kind,
      Joi.array().items(schema).max(MAKING_LIMITS.entries).default([]),
    ]),
  ),
).required();

/** Path of a making. */
export const makingPath = Joi.object<{ id: string }>({ id: id() }).required();

/** GET /api/makings */
export const makingsQuery = Joi.object<{ limit: number; offset: number; find: string; design?: string }>({
  limit: Joi.number().integer().min(1).max(200).default(100),
  offset: Joi.number().integer().min(0).default(0),
  find: Joi.string().allow('').max(120).default(''),
  design: Joi.string().guid(),
}).required();

/** GET /api/makings/found */
export const foundQuery = Joi.object<{ clay: string }>({ clay: id() }).required();
