import Joi from 'joi';
import { DEFAULT_PAPER, PAPER_NAMES, type PaperName } from '../core/sheet/paper.ts';
import { DEFAULT_INCH_MARKS, LENGTH_UNITS, type InchMarks, type LengthUnit } from '../core/units/lengthUnit.ts';
import type { TemplateRequest } from './api.ts';

const revision = () => Joi.number().strict().integer().min(1);

/** A target is read by `readTarget` after the body's own shape. */
const target = () => Joi.object().unknown(true).required();

/** POST /api/designs */
export const createBody = Joi.object<{ target: unknown }>({ target: target() }).required();

/** PUT /api/designs/:id */
export const writeBody = Joi.object<{ target: unknown; baseRevision: number }>({
  target: target(),
  baseRevision: revision().required(),
}).required();

/** POST /api/designs/:id/revisions/:number/restore */
export const restoreBody = Joi.object<{ baseRevision: number }>({ baseRevision: revision().required() }).required();

/** POST /api/develop */
export const developBody = Joi.object<{ target: unknown }>({ target: target() }).required();

/** POST /api/sheets */
export const templateBody = Joi.object<
  Required<Omit<TemplateRequest, 'target' | 'revision'>> & { target: unknown; revision?: number }
>({
  target: target(),
  format: Joi.string().valid('pdf', 'svg', 'dxf').required(),
  paper: Joi.string<PaperName>()
    .valid(...PAPER_NAMES)
    .default(DEFAULT_PAPER),
  units: Joi.string<LengthUnit>()
    .valid(...LENGTH_UNITS)
    .default('mm'),
  marks: Joi.number<InchMarks>().valid(16, 32).default(DEFAULT_INCH_MARKS),
  revision: revision(),
}).required();

/** POST /api/session */
export const signInBody = Joi.object<{ passphrase: string }>({
  passphrase: Joi.string().max(1000).required(),
}).required();

/** Entries of one page of a list: of the shelf and, unless more are asked for, of a history. */
export const PAGE = { most: 500, history: 50 } as const;

/** GET /api/designs */
export const listQuery = Joi.object<{ find: string; limit: number; offset: number }>({
  find: Joi.string().allow('').max(120).default(''),
  limit: Joi.number().integer().min(1).max(PAGE.most).default(PAGE.most),
  offset: Joi.number().integer().min(0).default(0),
}).required();

/** GET /api/designs/:id/revisions */
export const historyQuery = Joi.object<{ limit: number; offset: number }>({
  limit: Joi.number().integer().min(1).max(PAGE.most).default(PAGE.history),
  offset: Joi.number().integer().min(0).default(0),
}).required();

/** Path of a design, and of one of its revisions. */
export const designPath = Joi.object<{ id: string }>({ id: Joi.string().guid().required() }).required();
export const revisionPath = Joi.object<{ id: string; number: number }>({
  id: Joi.string().guid().required(),
  number: Joi.number().integer().min(1).required(),
}).required();
