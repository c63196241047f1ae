import Joi from 'joi';
import { MEASURED, PIECE_STATES, type Measured, type PieceState } from '../core/making/measured.ts';

/** Which records are asked for: words, and a size between two figures in a state. */
export interface MadeQuery {
  readonly find: string;
  readonly what?: Measured;
  readonly state?: PieceState;
  readonly least?: number;
  readonly most?: number;
  readonly limit: number;
  readonly offset: number;
}

/** GET /api/made */
export const madeQuery = Joi.object<MadeQuery>({
  find: Joi.string().allow('').max(200).default(''),
  what: Joi.string().valid(...MEASURED),
  state: Joi.string().valid(...PIECE_STATES),
  least: Joi.number().min(0).max(1e6),
  most: Joi.number().min(0).max(1e6),
  limit: Joi.number().integer().min(1).max(200).default(60),
  offset: Joi.number().integer().min(0).default(0),
}).required();
