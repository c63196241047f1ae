import Joi from 'joi';
import { shortValue, type Fault, type FaultCode } from '../core/errors.ts';
import { DEFAULT_FEET } from '../core/target/feet.ts';
import { DEFAULT_HANDLE, HANDLE_KINDS } from '../core/target/handle.ts';
import { DEFAULT_LID, LID_KINDS } from '../core/target/lid.ts';
import { DEFAULT_LUGS } from '../core/target/lugs.ts';
import { FACES } from '../core/target/face.ts';
import { checkTarget } from '../core/forms/checkTarget.ts';
import {
  BASE_JOINS,
  DEFAULT_CLEARANCE,
  DEFAULT_SKIRT,
  LIMITS,
  RIMS,
  SIZE_STATES,
  STIFFNESSES,
  TARGET_DEFAULTS,
  TARGET_FORMAT,
  TARGET_VERSION,
  type Target,
} from '../core/target/target.ts';
import { IN_HAND_KINDS } from '../core/target/inHand.ts';
import { boundsFault } from './bounds.ts';
import { plainName } from './plainName.ts';
import { figure, formSchema, needed, oneOf, only } from './formSchema.ts';
import { DEFAULT_BEVEL_ANGLE, DEFAULT_MARGIN, DEFAULT_OVERLAP, SEAM_KINDS } from '../core/target/seam.ts';

const D = TARGET_DEFAULTS;

/** A name as it is kept: without invisible characters. */
export const nameSchema = () =>
  Joi.string()
    .custom((name: string, helpers) => {
      const plain = plainName(name);
      if (plain.length < LIMITS.nameLength.least) return helpers.error('string.empty');
      return plain.length > LIMITS.nameLength.greatest
        ? helpers.error('string.max', { limit: LIMITS.nameLength.greatest })
        : plain;
    })
    .max(4 * LIMITS.nameLength.greatest);

/** Marks on the wall; equal panels are counted or measured, not both. */
const marksSchema = Joi.object({
  panels: Joi.object({ count: figure(), width: figure(), marked: oneOf(['borders', 'every-other']) }).xor(
    'count',
    'width',
  ),
  places: Joi.array()
    .items(
      Joi.object({
        kind: oneOf(['handle', 'spout', 'feature']).required(),
        at: figure().required(),
        text: Joi.string()
          .custom(plainName)
          .min(LIMITS.featureText.least)
          .max(LIMITS.featureText.greatest)
          .when('kind', { is: 'feature', then: Joi.required(), otherwise: Joi.forbidden() }),
      }),
    )
    .max(LIMITS.places.greatest),
  repeat: figure(),
  text: Joi.string().custom(plainName).max(LIMITS.markText.greatest),
  textAt: Joi.object({ at: figure().required(), up: figure().required() }),
});

/** An object whose figures all have defaults; the kind alone must be given. */
function withDefaults<T extends object>(defaults: T, kinds: readonly string[] | null, more: Joi.SchemaMap = {}) {
  const figures = Object.entries(defaults).filter(([key]) => key !== 'kind');
  return Joi.object({
    ...(kinds && { kind: oneOf(kinds).required() }),
    ...Object.fromEntries(figures.map(([key, value]) => [key, figure().default(value)])),
    ...more,
  });
}

const handleSchema = withDefaults(DEFAULT_HANDLE, HANDLE_KINDS, { drop: figure() });
const feetSchema = withDefaults(DEFAULT_FEET, null);
const lidSchema = withDefaults(DEFAULT_LID, LID_KINDS, { knob: figure() });
const lugsSchema = withDefaults(DEFAULT_LUGS, null);

/** Shape of a target file, version 1. Ranges are core's ({@link checkTarget}), checked once the shape is right. */
export const targetSchema = Joi.object<Target>({
  format: Joi.string().valid(TARGET_FORMAT).required(),
  version: Joi.number().strict().valid(TARGET_VERSION).required(),
  name: nameSchema().required(),
  set: nameSchema(),
  clay: Joi.object({
    shrinkage: figure().default(D.clay.shrinkage),
    wetDensity: figure().default(D.clay.wetDensity),
    name: nameSchema(),
    stiffness: oneOf(STIFFNESSES),
  }).default(D.clay),
  slab: Joi.object({
    wall: figure().default(D.slab.wall),
    base: figure().default(D.slab.base),
    neutralFraction: figure().default(D.slab.neutralFraction),
    faceUp: oneOf(FACES).default(D.slab.faceUp),
  }).default(D.slab),
  size: Joi.object({
    state: oneOf(SIZE_STATES).default(D.size.state),
    face: oneOf(FACES).default(D.size.face),
  }).default(D.size),
  form: formSchema.required(),
  seam: Joi.object({
    kind: oneOf(SEAM_KINDS).required(),
    angle: only('kind', ['bevel'], DEFAULT_BEVEL_ANGLE),
    overlap: only('kind', ['lap', 'half-lap'], DEFAULT_OVERLAP),
    margin: only('kind', ['cut-in-place'], DEFAULT_MARGIN),
    panels: figure().default(D.seam.panels),
  }).default(D.seam),
  base: Joi.object({
    join: oneOf(BASE_JOINS).required(),
    overlap: only('join', ['skirt'], DEFAULT_SKIRT),
    trim: figure().default(D.base.trim),
  }).default(D.base),
  rim: oneOf(RIMS).default(D.rim),
  fit: Joi.object({ hole: figure(), shelf: figure(), clearance: figure().default(DEFAULT_CLEARANCE) }),
  marks: marksSchema,
  handle: handleSchema,
  lugs: lugsSchema,
  feet: feetSchema,
  lid: lidSchema,
  owned: Joi.object({ inner: figure().required(), outer: figure().required(), sweep: figure().required() }),
  inHand: Joi.object({
    kind: oneOf(IN_HAND_KINDS).required(),
    around: needed('kind', ['sheet']),
    up: needed('kind', ['sheet']),
    across: needed('kind', ['cutter']),
  }),
  belly: Joi.alternatives().conditional(Joi.number(), {
    then: figure(),
    otherwise: Joi.object({ diameter: figure().required(), at: figure().required() }),
  }),
}).required();

const CODES: Readonly<Record<string, FaultCode>> = {
  'object.unknown': 'unknown-key',
  'any.unknown': 'unknown-key',
  'any.required': 'missing',
  'any.only': 'not-offered',
};

function ruleOf(detail: Joi.ValidationErrorItem): string {
  const context = detail.context as { valids?: unknown[]; limit?: number } | undefined;
  switch (detail.type) {
    case 'object.unknown':
    case 'any.unknown':
      return 'this key is not known here';
    case 'any.required':
      return 'must be given';
    case 'any.only':
      return `must be ${(context?.valids ?? []).map(String).join(' or ')}`;
    case 'string.max':
      return `must have at most ${context?.limit} characters`;
    case 'string.empty':
    case 'string.min':
      return 'must not be empty';
    default:
      return detail.message.replace(/^"[^"]*" /, '');
  }
}

function faultOf(detail: Joi.ValidationErrorItem): Fault {
  return {
    code: CODES[detail.type] ?? 'wrong-type',
    path: detail.path.join('.'),
    value: shortValue((detail.context as { value?: unknown } | undefined)?.value),
    rule: ruleOf(detail),
  };
}

/** Most faults that are reported. */
export const MOST_FAULTS = 100;

/** Faults of a value against any of our Joi schemas, one a breach, or the value with defaults filled in. */
export function readShape<T>(schema: Joi.ObjectSchema<T>, value: unknown): { value: T } | { faults: Fault[] } {
  const outOfBounds = boundsFault(value);
  if (outOfBounds) return { faults: [outOfBounds] };
  const result = schema.validate(value, { abortEarly: false, convert: false });
  if (result.error) return { faults: result.error.details.slice(0, MOST_FAULTS).map(faultOf) };
  return { value: result.value };
}

function versionFault(value: unknown): Fault | null {
  const version = typeof value === 'object' && value !== null && 'version' in value ? value.version : undefined;
  if (typeof version !== 'number' || version <= TARGET_VERSION) return null;
  return {
    code: 'newer-version',
    path: 'version',
    value: shortValue(version),
    rule: `this program reads version ${TARGET_VERSION} and older; open the file with a newer Fawn Table`,
  };
}

/** A target that was read, or every fault that was found in it. */
export type TargetReading =
  { readonly kind: 'target'; readonly target: Target } | { readonly kind: 'faults'; readonly faults: readonly Fault[] };

/** Reads a parsed JSON value as a target: version, shape, then what core says of its figures. Never throws. */
export function readTarget(value: unknown): TargetReading {
  const newer = versionFault(value);
  if (newer) return { kind: 'faults', faults: [newer] };
  const shape = readShape<Target>(targetSchema, value);
  if ('faults' in shape) return { kind: 'faults', faults: shape.faults };
  const faults = checkTarget(shape.value);
  return faults.length > 0
    ? { kind: 'faults', faults: faults.slice(0, MOST_FAULTS) }
    : { kind: 'target', target: shape.value };
}

/** Reads the text of a `.fawn.json` file. Broken JSON is a fault of the whole file. Never throws. */
export function readTargetText(text: string): TargetReading {
  try {
    return readTarget(JSON.parse(text.replace(/^\uFEFF/, '')));
  } catch (error) {
    const rule = `is not JSON: ${error instanceof Error ? error.message : String(error)}`;
    return { kind: 'faults', faults: [{ code: 'unreadable', path: '', value: shortValue(text.slice(0, 40)), rule }] };
  }
}
