import Joi from 'joi';
import { CONE_STATES, FIRING_KINDS, FIRING_LIMITS, type KeptFiring } from '../core/studio/kiln/keptFiring.ts';
import { plainName } from './plainName.ts';

const figure = () => Joi.number().strict();
const words = (most: number) => Joi.string().allow('').max(most).required();

const pieceAt = {
  making: Joi.string().guid().required(),
  piece: figure().integer().min(0).required(),
  number: figure().integer().min(1).required(),
};

/** A firing's shape; its ranges are core's. */
export const firingSchema = Joi.object<KeptFiring>({
  name: Joi.string().allow('').custom(plainName).required(),
  kind: Joi.string()
    .valid(...FIRING_KINDS)
    .required(),
  day: words(10),
  cone: words(60),
  segments: Joi.array()
    .items(Joi.object({ rate: figure().required(), to: figure().required(), hold: figure().required() }))
    .max(FIRING_LIMITS.segments)
    .required(),
  curve: Joi.array()
    .items(Joi.array().ordered(figure().min(0).max(1e6).required(), figure().min(-50).max(2000).required()))
    .max(FIRING_LIMITS.curve)
    .required(),
  witness: Joi.array()
    .items(
      Joi.object({
        cone: Joi.string().max(20).required(),
        state: Joi.string()
          .valid(...CONE_STATES)
          .required(),
      }),
    )
    .max(FIRING_LIMITS.cones)
    .required(),
  energy: figure(),
  price: figure(),
  gap: figure().required(),
  kiln: Joi.object({
    name: words(120),
    length: figure().required(),
    width: figure().required(),
    height: figure().required(),
  }),
  shelves: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().max(60).required(),
        name: words(120),
        width: figure(),
        depth: figure(),
        diameter: figure(),
        clear: figure().required(),
      })
        .xor('width', 'diameter')
        .and('width', 'depth'),
    )
    .max(FIRING_LIMITS.shelves)
    .required(),
  wanted: Joi.array().items(Joi.object(pieceAt)).max(FIRING_LIMITS.pieces).required(),
  placed: Joi.array()
    .items(
      Joi.object({
        ...pieceAt,
        shelf: Joi.string().max(60).required(),
        x: figure().required(),
        y: figure().required(),
        turn: figure().required(),
        locked: Joi.boolean().strict(),
      }),
    )
    .max(FIRING_LIMITS.pieces)
    .required(),
  opened: Joi.string().isoDate().allow(null).required(),
  note: words(FIRING_LIMITS.text),
}).required();
