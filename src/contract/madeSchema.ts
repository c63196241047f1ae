import Joi from 'joi';
import { MEASURED, PIECE_STATES, type Measured, type PieceState } from '../core/studio/making/measured.ts';

/** A search of the records: one making or all, words, and a size between two limits in a state. */
export interface MadeQuery {
  readonly making?: string;
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
  making: Joi.string().guid(),
  find: Joi.string().allow('').max(200).default(''),
  what: Joi.string().valid(...MEASURED),
  state: Joi.string().valid(...PIECE_STATES),
  least: Joi.number().min(0).max(1e6),
  most: Joi.number().min(0).max(1e6),
  limit: Joi.number().integer().min(1).max(200).default(60),
  offset: Joi.number().integer().min(0).default(0),
}).required();

/** GET /api/made/dry */
export const dryQuery = Joi.object<Pick<MadeQuery, 'limit' | 'offset'>>({
  limit: Joi.number().integer().min(1).max(200).default(200),
  offset: Joi.number().integer().min(0).default(0),
}).required();

/** GET /api/made/costs/:making/:piece */
export const madePath = Joi.object<{ readonly making: string; readonly piece: number }>({
  making: Joi.string().guid().required(),
  piece: Joi.number().integer().min(0).max(1000).required(),
}).required();
