import Joi from 'joi';
import { SHEET_LIMITS } from '../core/target/sheetForm.ts';
import { MOULD_SIDES } from '../core/target/mouldSide.ts';
import { DEFAULT_BLANK_MARGIN, MOULD_LIMITS, CAST_FACES, MOULD_STATES, MOULD_WALLS } from '../core/target/mouldForm.ts';
import { PLAN_KINDS } from '../core/target/plan.ts';
import { FORM_KINDS, MOST_PROFILE_POINTS } from '../core/target/target.ts';

/** A figure, strictly a number. */
export const figure = () => Joi.number().strict().unsafe();
/** One of some words. */
export const oneOf = (values: readonly string[]) => Joi.string().valid(...values);

/** A figure that some kinds must have: refused with the others. */
export function needed(field: string, kinds: readonly string[]): Joi.Schema {
  return Joi.when(field, { is: Joi.valid(...kinds), then: figure().required(), otherwise: Joi.forbidden() });
}

/** A figure that belongs to some kinds only: refused with the others, its default with these. */
export function only(field: string, kinds: readonly string[], fallback: number): Joi.Schema {
  return Joi.when(field, {
    is: Joi.valid(...kinds),
    then: figure().default(fallback),
    otherwise: Joi.forbidden(),
  });
}

const at = Joi.array().items(figure().required()).length(2);

/** An outline: points with the bulge of the arc to the next. */
const outlineSchema = Joi.array()
  .items(Joi.array().items(figure().required()).length(3))
  .min(SHEET_LIMITS.points.least)
  .max(SHEET_LIMITS.points.greatest);

/** A plan outline: one of the kinds, each with its own sizes. */
const planSchema = Joi.object({
  kind: oneOf(PLAN_KINDS).required(),
  diameter: needed('kind', ['circle']),
  length: needed('kind', ['ellipse', 'rounded']),
  width: needed('kind', ['ellipse', 'rounded']),
  sides: needed('kind', ['polygon']),
  acrossFlats: needed('kind', ['polygon']),
  corner: only('kind', ['rounded', 'polygon', 'drawn'], 0),
  points: Joi.when('kind', { is: 'drawn', then: outlineSchema.required(), otherwise: Joi.forbidden() }),
  grow: Joi.when('kind', { is: 'drawn', then: figure(), otherwise: Joi.forbidden() }),
  at,
});

const pairs = (least: number, most: number) =>
  Joi.array().items(Joi.array().items(figure().required()).length(2)).min(least).max(most);
/** A mould of clay: how often it shrank, or each of its casts. */
const ownMould = Joi.object({
  shrinkage: figure().required(),
  casts: Joi.alternatives()
    .conditional(Joi.array(), {
      then: Joi.array()
        .items(Joi.object({ thickness: figure().required(), face: oneOf(CAST_FACES).default('same') }))
        .min(1)
        .max(MOULD_LIMITS.casts.greatest),
      otherwise: figure(),
    })
    .default(1),
  state: oneOf(MOULD_STATES),
  wall: figure(),
});
const profile = pairs(2, MOST_PROFILE_POINTS);

/** Lists of triples (vertices, or corners of triangles), checked by a plain loop up to the first wrong one. */
const triples = (what: 'figures' | 'whole numbers', most: number) =>
  Joi.any().custom((value: unknown, helpers) => {
    if (!Array.isArray(value)) return helpers.message({ custom: 'must be a list' });
    if (value.length < 1 || value.length > most) return helpers.message({ custom: `must have 1 to ${most} entries` });
    const sound = (item: unknown) =>
      what === 'figures' ? Number.isFinite(item) : Number.isInteger(item) && (item as number) >= 0;
    for (const [index, item] of value.entries()) {
      if (Array.isArray(item) && item.length === 3 && item.every(sound)) continue;
      return helpers.message({ custom: `entry ${index} must be three ${what}` });
    }
    return value as unknown;
  });

/** A key of a bent sheet, refused with all other forms. */
function bentOnly(schema: Joi.Schema): Joi.Schema {
  return Joi.when('kind', { is: 'sheet', then: schema, otherwise: Joi.forbidden() });
}

/** A mould that a sheet is laid on. */
const sheetMould = Joi.object({
  rim: planSchema.required(),
  foot: planSchema,
  depth: figure().required(),
  wall: oneOf(MOULD_WALLS.filter((wall) => wall !== 'drawn')).default('curved'),
  side: oneOf(MOULD_SIDES).default('hump'),
});

/** A mould of the kit as it was drawn: any but one from a file. */
export const kitMouldSchema = Joi.object({
  rim: planSchema.required(),
  foot: planSchema,
  depth: figure().required(),
  wall: oneOf(MOULD_WALLS).default('curved'),
  profile: pairs(MOULD_LIMITS.profile.least, MOULD_LIMITS.profile.greatest),
  side: oneOf(MOULD_SIDES).default('hump'),
  own: ownMould,
});

/** A key of a scroll stand, refused with all other forms. */
function standing(schema: Joi.Schema): Joi.Schema {
  return Joi.when('kind', { is: 'stand', then: schema, otherwise: Joi.forbidden() });
}

/** A key of a slab on a mould, refused with all other forms. */
function draped(schema: Joi.Schema): Joi.Schema {
  return Joi.when('kind', { is: Joi.valid('mould', 'mesh'), then: schema, otherwise: Joi.forbidden() });
}

/** A form: one of the kinds, each with its own sizes. */
export const formSchema = Joi.object({
  kind: oneOf(FORM_KINDS).required(),
  diameter: needed('kind', ['cylinder', 'former']),
  height: Joi.when('kind', {
    switch: [
      { is: Joi.valid('cylinder', 'taper', 'oval', 'facet', 'box', 'loft', 'former'), then: figure().required() },
      { is: 'gores', then: figure() },
    ],
    otherwise: Joi.forbidden(),
  }),
  rim: Joi.when('kind', {
    switch: [
      { is: Joi.valid('taper', 'facet'), then: figure().required() },
      { is: Joi.valid('loft', 'mould'), then: planSchema.required() },
    ],
    otherwise: Joi.forbidden(),
  }),
  foot: Joi.when('kind', {
    switch: [
      { is: Joi.valid('taper', 'facet'), then: figure().required() },
      { is: 'loft', then: planSchema.required() },
      { is: 'mould', then: planSchema },
      { is: 'gores', then: figure() },
    ],
    otherwise: Joi.forbidden(),
  }),
  strips: needed('kind', ['gores']),
  ball: Joi.when('kind', { is: 'gores', then: figure(), otherwise: Joi.forbidden() }),
  profile: Joi.when('kind', {
    switch: [
      { is: 'stack', then: profile.required() },
      { is: 'gores', then: profile },
      { is: 'mould', then: pairs(MOULD_LIMITS.profile.least, MOULD_LIMITS.profile.greatest) },
    ],
    otherwise: Joi.forbidden(),
  }),
  device: standing(
    Joi.object({
      length: figure().required(),
      width: figure().required(),
      thickness: figure().required(),
      mass: figure().required(),
    }).required(),
  ),
  clearance: standing(figure().default(2)),
  lean: standing(figure().required()),
  roll: standing(
    Joi.alternatives().conditional(Joi.number(), {
      then: figure(),
      otherwise: Joi.object({ front: figure().required(), back: figure().required() }),
    }),
  ),
  friction: standing(figure()),
  across: standing(figure()),
  outline: bentOnly(outlineSchema.required()),
  holes: bentOnly(Joi.array().items(outlineSchema).max(SHEET_LIMITS.holes.greatest)),
  lines: bentOnly(Joi.array().items(pairs(2, SHEET_LIMITS.points.greatest)).max(SHEET_LIMITS.lines.greatest)),
  bend: bentOnly(
    Joi.object({ diameter: figure(), mould: sheetMould, angle: figure().default(0) })
      .xor('diameter', 'mould')
      .required(),
  ),
  feet: bentOnly(
    Joi.object({
      count: figure().valid(3, 4).default(3),
      height: figure().required(),
      diameter: figure().required(),
      at: pairs(3, 4),
    }),
  ),
  grew: bentOnly(figure()),
  depth: needed('kind', ['mould']),
  wall: Joi.when('kind', { is: 'mould', then: oneOf(MOULD_WALLS).default('curved'), otherwise: Joi.forbidden() }),
  vertices: Joi.when('kind', {
    is: 'mesh',
    then: triples('figures', MOULD_LIMITS.vertices.greatest).required(),
    otherwise: Joi.forbidden(),
  }),
  triangles: Joi.when('kind', {
    is: 'mesh',
    then: triples('whole numbers', 2 * MOULD_LIMITS.vertices.greatest).required(),
    otherwise: Joi.forbidden(),
  }),
  own: Joi.when('kind', {
    is: 'mould',
    then: ownMould,
    otherwise: Joi.forbidden(),
  }),
  side: draped(oneOf(MOULD_SIDES).default('hump')),
  margin: draped(figure().default(DEFAULT_BLANK_MARGIN)),
  flange: draped(figure()),
  cloth: draped(figure()),
  darts: draped(
    Joi.array()
      .items(Joi.object({ at: figure().required(), depth: figure().required() }))
      .max(MOULD_LIMITS.darts.greatest),
  ),
  limits: draped(Joi.object({ stretch: figure().required(), gather: figure().required() })),
  length: needed('kind', ['oval', 'box']),
  width: needed('kind', ['oval', 'box']),
  sides: needed('kind', ['facet']),
  fold: Joi.when('kind', {
    is: 'facet',
    then: oneOf(['separate', 'strip']).default('separate'),
    otherwise: Joi.forbidden(),
  }),
  sleeve: only('kind', ['former'], 0),
}).when(Joi.object({ kind: 'gores' }).unknown(), {
  // By a profile, or by a ball with its foot and height.
  then: Joi.object().xor('ball', 'profile').and('ball', 'foot', 'height').messages({
    'object.missing': 'needs a profile, or a ball with its foot and height',
    'object.xor': 'is given by a profile or by a ball, not both',
    'object.and': 'needs ball, foot and height together, and none of them beside a profile',
  }),
});
