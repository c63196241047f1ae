import Joi from 'joi';
import { MEASURED, PIECE_STATES } from '../../core/studio/making/measured.ts';
import { airSchema, ENTRY_SCHEMAS, makingHead, photographRow, workStepSchema } from '../makingSchema.ts';

const id = () => Joi.string().guid().required();
const text = () => Joi.string().allow('').required();
const time = () => Joi.string().isoDate().required();
const figure = () => Joi.number().strict().required();
const count = () => figure().integer().min(0);
const maybe = (schema: Joi.Schema) => schema.allow(null).required();
const list = (item: Joi.Schema) => Joi.array().items(item.optional()).required();

/** A target file, as requests have it. */
const target = () => Joi.object().unknown(true).description('A target file');

/** Whether the server answers. */
export const HEALTH = Joi.object({ status: Joi.string().valid('ok').required() });

/** Whether a passphrase is needed, and whether this browser has given it. */
export const SESSION_STATE = Joi.object({ needed: Joi.boolean().required(), signedIn: Joi.boolean().required() });

const kept = { id: id(), revision: count().min(1), createdAt: time(), updatedAt: time() };

/** A design with its newest target. */
export const DESIGN = Joi.object({ ...kept, name: text(), target: target().required() });

/** A design; without its target where the caller asks for a minimal reply. */
export const DESIGN_WRITTEN = DESIGN.keys({ target: target() });

/** Designs of one page. */
export const DESIGN_LIST = list(DESIGN);

/** A target file by itself. */
export const TARGET_FILE = target();

const revision = {
  number: count().min(1),
  cause: Joi.string().valid('created', 'edited', 'restored', 'duplicated').required(),
  keptAt: time(),
};

/** Revisions of one page, without their targets. */
export const REVISION_LIST = list(Joi.object(revision));

/** A revision with its target. */
export const REVISION = Joi.object({ ...revision, target: target().required() });

/** The result of developing a target (docs/format.md). */
export const RESULT = Joi.object({
  numbers: Joi.object().unknown(true).required(),
  parts: list(Joi.object({ id: text(), role: text(), outline: list(Joi.array()) }).unknown(true)),
  lumps: Joi.array().items(Joi.object().unknown(true)),
  repeats: Joi.array().items(Joi.object().unknown(true)),
  blank: Joi.object().unknown(true),
  slabs: list(
    Joi.object({ thickness: figure(), length: figure(), width: figure(), mass: figure(), parts: list(text()) }),
  ),
  finished: Joi.object().unknown(true).required(),
  checks: list(
    Joi.object({
      code: text(),
      level: Joi.string().valid('note', 'care', 'stop').required(),
      title: text(),
      text: text(),
      phrase: Joi.array().required(),
    }),
  ),
});

/** A record; its body is that of its kind's requests. */
export const RECORD = Joi.object({ ...kept, body: Joi.object().unknown(true).required() });

/** All records of a kind. */
export const RECORD_LIST = list(RECORD);

const piece = {
  designId: id(),
  revision: count().min(1),
  name: text(),
  count: count().min(1),
  names: Joi.array().items(text()),
};

const line = { id: id(), name: text(), clay: maybe(Joi.string().guid()), startedAt: time() };
const ends = { dueAt: maybe(Joi.string().isoDate()), endedAt: maybe(Joi.string().isoDate()) };

/** Makings of one page, without their steps and entries. */
export const MAKING_LIST = list(Joi.object({ ...line, ...ends, pieces: list(Joi.object(piece)) }));

const { marks: mark } = ENTRY_SCHEMAS;
const entries = Object.fromEntries(Object.entries(ENTRY_SCHEMAS).map(([kind, schema]) => [kind, list(schema)]));
const said = () => maybe(Joi.boolean().strict());

/** A making with its steps and entries. */
export const MAKING = Joi.object({
  ...makingHead,
  id: id(),
  endedAt: ends.endedAt,
  updatedAt: time(),
  pieces: list(Joi.object({ ...piece, steps: list(workStepSchema) })),
  ...entries,
  photographs: list(photographRow),
});

/** Everything in work: `steps` and `names` are listed once, pieces and marks have their indices. */
export const NOW = Joi.object({
  steps: list(workStepSchema),
  names: list(text()),
  makings: list(
    Joi.object({
      ...makingHead,
      id: id(),
      endedAt: ends.endedAt,
      updatedAt: time(),
      pieces: list(Joi.object({ ...piece, steps: list(count()) })),
      marks: list(
        Joi.array()
          .ordered(id(), count(), count(), count(), mark.extract('kind'), time(), mark.extract('drying'))
          .description('id, piece, number, index of the step in `names`, kind, time, drying'),
      ),
    }),
  ),
});

/** Marks of a clay in all makings, each with the air that it was made in. */
export const FOUND = list(mark.keys({ air: airSchema.required() }));

const planned = Joi.object({
  sizes: Joi.object()
    .pattern(Joi.string().valid(...MEASURED), Joi.number().strict())
    .required(),
  clay: Joi.object({ wet: figure(), away: figure() }).required(),
  room: figure(),
  wrap: maybe(Joi.object({ length: figure(), thickness: figure() })),
});

const facts = { form: text(), thickness: figure(), seam: text(), base: text(), shrinkage: figure() };

/** Kinds of pieces that were made, of one page. */
export const MADE_LIST = list(
  Joi.object({
    ...piece,
    making: id(),
    piece: count(),
    called: text(),
    clay: line.clay,
    clayName: maybe(Joi.string()),
    startedAt: time(),
    endedAt: ends.endedAt,
    facts: maybe(Joi.object({ ...facts, planned: planned.required() })),
    faulty: count(),
    fired: count(),
  }),
);

/** What the measured pieces show for each clay of the clay book. */
export const LEARNING = list(
  Joi.object({
    clay: id(),
    name: text(),
    now: figure(),
    finding: Joi.object({
      kind: Joi.string().valid('few', 'agrees', 'offer').required(),
      shrinkage: figure(),
    })
      .unknown(true)
      .required(),
    patterns: list(Joi.object({ fault: text() }).unknown(true)),
    behaviour: Joi.object({ steps: Joi.array().required() }).unknown(true).required(),
    pieces: list(
      Joi.object({
        ...facts,
        making: id(),
        piece: count(),
        number: count().min(1),
        name: text(),
        firing: maybe(Joi.object({ id: id(), name: text(), shelf: maybe(Joi.string()) })),
        planned: planned.required(),
        measured: list(
          Joi.object({
            what: Joi.string()
              .valid(...MEASURED)
              .required(),
            state: Joi.string()
              .valid(...PIECE_STATES)
              .required(),
            value: figure(),
          }),
        ),
        faults: list(text()),
        missed: said(),
        drying: maybe(Joi.number().strict()),
      }),
    ),
  }),
);

/** Dry pieces in no firing, of one page, by making and kind. */
export const DRY_LIST = list(
  Joi.object({ making: id(), piece: count(), name: text(), called: text(), numbers: list(count().min(1)) }),
);

/** The figures that the cost of a kind of piece is computed from (g; prices in any currency). */
export const COSTS = Joi.object({
  count: count(),
  faulty: count(),
  clay: maybe(Joi.object({ wet: figure(), away: figure() })),
  bag: maybe(Joi.object({ price: figure(), grams: figure() })),
  firings: list(Joi.object({ name: text(), price: maybe(Joi.number().strict()), share: figure() })),
});

/** How many entries a table of records had, and the names of its makings that are unknown here. */
export const TABLE_READ = Joi.object({ entries: count(), unknown: list(text()) });

/** An archive that was read and waits for confirmation. */
export const ARCHIVE_OFFER = Joi.object({
  token: text(),
  madeAt: time(),
  counts: Joi.object().pattern(Joi.string(), count()).required(),
  clashes: list(
    Joi.object({
      kind: Joi.string().valid('design', 'record', 'making').required(),
      id: id(),
      name: text(),
      here: time(),
      archive: time(),
    }),
  ),
});
