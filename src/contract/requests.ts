import Joi from 'joi';
import { LIMITS } from '../core/target/target.ts';
import { DEFAULT_PAPER, PAPER_NAMES, ROLL_LIMITS, type PaperName } from '../core/studio/printer/paper.ts';
import { SCALE_LIMITS, type CheckedPrinter } from '../core/studio/printer/printerCheck.ts';
import { CLEARANCE, DPI_LIMITS, OFFSET_LIMITS, PIECE_FORMATS } from '../core/files/sheet/templateFormat.ts';
import { DEFAULT_INCH_MARKS, LENGTH_UNITS, type InchMarks, type LengthUnit } from '../core/units/lengthUnit.ts';
import { CLASS_LIMITS } from '../core/studio/making/classNames.ts';
import type { ArchiveClash } from './archive.ts';
import type { ClassRequest, TemplateRequest } from './api.ts';
import { MOST_PUPILS } from './classList.ts';

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

/** Printed over true length. */
const printed = () => Joi.number().min(SCALE_LIMITS.least).max(SCALE_LIMITS.greatest).required();

/** How pages are drawn. */
const pages = {
  paper: Joi.string<PaperName>()
    .valid(...PAPER_NAMES)
    .default(DEFAULT_PAPER),
  thin: Joi.boolean().strict(),
  roll: Joi.number().min(ROLL_LIMITS.least).max(ROLL_LIMITS.greatest),
  units: Joi.string<LengthUnit>()
    .valid(...LENGTH_UNITS)
    .default('mm'),
  marks: Joi.number<InchMarks>().valid(16, 32).default(DEFAULT_INCH_MARKS),
  printer: Joi.object<CheckedPrinter>({
    name: Joi.string().max(LIMITS.nameLength.greatest).required(),
    paper: Joi.string<PaperName>()
      .valid(...PAPER_NAMES)
      .required(),
    scale: Joi.object({ short: printed(), long: printed() }).required(),
  }),
};

/** Most pieces in one PDF. */
export const MOST_PIECES = 40;

type Chosen = 'format' | 'paper' | 'units' | 'marks';

/** POST /api/sheets */
export const templateBody = Joi.object<
  Required<Pick<TemplateRequest, Chosen>> & Omit<TemplateRequest, 'target' | Chosen> & { target: unknown }
>({
  target: target(),
  format: Joi.string()
    .valid(...PIECE_FORMATS)
    .required(),
  ...pages,
  revision: revision(),
  dpi: Joi.number().integer().min(DPI_LIMITS.least).max(DPI_LIMITS.greatest),
  offset: Joi.number().min(0).max(OFFSET_LIMITS.greatest),
  part: Joi.string().max(LIMITS.nameLength.greatest),
  clearance: Joi.number().min(CLEARANCE.least).max(CLEARANCE.greatest),
}).required();

/** POST /api/class */
export const classBody = Joi.object<Required<ClassRequest> & { targets: unknown[] }>({
  targets: Joi.array().items(target()).min(1).max(MOST_PIECES).required(),
  names: Joi.array().items(Joi.string().max(CLASS_LIMITS.name)).max(MOST_PUPILS).default([]),
  cards: Joi.boolean().strict().default(true),
  ...pages,
}).required();

/** Path of an archive that waits for confirmation. */
export const archivePath = Joi.object<{ token: string }>({ token: Joi.string().guid().required() }).required();

/** POST /api/archive/:token */
export const archiveWord = Joi.object<{ mode: 'exactly' | 'merge'; archive: Pick<ArchiveClash, 'kind' | 'id'>[] }>({
  mode: Joi.string().valid('exactly', 'merge').required(),
  archive: Joi.array()
    .items(
      Joi.object({
        kind: Joi.string().valid('design', 'record', 'making').required(),
        id: Joi.string().guid().required(),
      }),
    )
    .max(10_000)
    .default([]),
}).required();

/** GET /api/printer-check.pdf */
export const printerCheckQuery = Joi.object<{ paper: PaperName }>({
  paper: Joi.string<PaperName>()
    .valid(...PAPER_NAMES)
    .default(DEFAULT_PAPER),
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

/** Path of a revision. */
export const revisionPath = Joi.object<{ id: string; number: number }>({
  id: Joi.string().guid().required(),
  number: Joi.number().integer().min(1).required(),
}).required();
