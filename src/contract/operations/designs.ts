import Joi from 'joi';
import {
  classBody,
  createBody,
  designPath,
  developBody,
  historyQuery,
  listQuery,
  printerCheckQuery,
  restoreBody,
  revisionPath,
  templateBody,
  writeBody,
} from '../requests.ts';
import { targetSchema } from '../targetSchema.ts';
import { COMPUTES, done, file, KEEPS, made, ok, page, type Operation } from './operation.ts';
import { DESIGN, DESIGN_LIST, DESIGN_WRITTEN, RESULT, REVISION, REVISION_LIST, TARGET_FILE } from './replies.ts';

/** A body with the whole shape of its target, which the server reads by itself. */
const withTarget = (body: Joi.ObjectSchema) => body.keys({ target: targetSchema.required() });

/** The shelf and its designs. */
export const DESIGNS: readonly Operation[] = [
  {
    method: 'get',
    path: '/api/designs',
    summary: 'The shelf',
    query: listQuery,
    reply: page('Designs', DESIGN_LIST),
  },
  {
    method: 'post',
    path: '/api/designs',
    summary: 'A new design',
    body: withTarget(createBody),
    reply: made('The design', DESIGN),
    refuses: [...COMPUTES, ...KEEPS],
  },
  {
    method: 'get',
    path: '/api/designs/:id',
    summary: 'One design',
    params: designPath,
    reply: ok('The design', DESIGN),
    refuses: ['design-not-found'],
  },
  {
    method: 'put',
    path: '/api/designs/:id',
    summary: 'Keep a new revision of a design',
    params: designPath,
    body: withTarget(writeBody),
    reply: ok('The design; without its target after "Prefer: return=minimal" (RFC 7240)', DESIGN_WRITTEN),
    refuses: ['design-not-found', 'conflict', ...COMPUTES, ...KEEPS],
  },
  {
    method: 'delete',
    path: '/api/designs/:id',
    summary: 'Take a design off the shelf',
    params: designPath,
    reply: done('Taken off; put-back undoes it'),
    refuses: ['design-not-found', ...KEEPS],
  },
  {
    method: 'post',
    path: '/api/designs/:id/put-back',
    summary: 'Undo taking a design off the shelf',
    params: designPath,
    reply: ok('The design', DESIGN),
    refuses: ['design-not-found', ...KEEPS],
  },
  {
    method: 'post',
    path: '/api/designs/:id/duplicate',
    summary: 'Copy a design',
    params: designPath,
    reply: made('The copy', DESIGN),
    refuses: ['design-not-found', ...KEEPS],
  },
  {
    method: 'get',
    path: '/api/designs/:id/file',
    summary: 'The target file of a design',
    params: designPath,
    reply: ok('A .fawn.json file', TARGET_FILE),
    refuses: ['design-not-found'],
  },
  {
    method: 'get',
    path: '/api/designs/:id/revisions',
    summary: 'Revisions of a design',
    params: designPath,
    query: historyQuery,
    reply: page('Revisions without their targets, newest first', REVISION_LIST),
    refuses: ['design-not-found'],
  },
  {
    method: 'get',
    path: '/api/designs/:id/revisions/:number',
    summary: 'One revision',
    params: revisionPath,
    reply: ok('The revision with its target', REVISION),
    refuses: ['design-not-found', 'revision-not-found'],
  },
  {
    method: 'post',
    path: '/api/designs/:id/revisions/:number/restore',
    summary: 'Keep an older revision as the newest',
    params: revisionPath,
    body: restoreBody,
    reply: ok('The design', DESIGN),
    refuses: ['design-not-found', 'revision-not-found', 'conflict', ...KEEPS],
  },
];

/** Results and templates of targets that need not be kept. */
export const PATTERNS: readonly Operation[] = [
  {
    method: 'post',
    path: '/api/develop',
    summary: 'Develop a target; nothing is kept',
    body: withTarget(developBody),
    reply: ok('The result, as docs/format.md describes it', RESULT),
    refuses: COMPUTES,
  },
  {
    method: 'post',
    path: '/api/sheets',
    summary: 'Templates of a target as a file',
    body: withTarget(templateBody),
    reply: file(
      'The file in the format asked for',
      'application/pdf',
      'image/svg+xml',
      'image/png',
      'application/octet-stream',
    ),
    refuses: COMPUTES,
  },
  {
    method: 'post',
    path: '/api/class',
    summary: 'Templates of several pieces for a class, in one PDF',
    body: classBody.keys({ targets: Joi.array().items(targetSchema.required()).min(1).required() }),
    reply: file('The pages', 'application/pdf'),
    refuses: COMPUTES,
  },
  {
    method: 'get',
    path: '/api/printer-check.pdf',
    summary: 'The sheet by which a printer is checked',
    query: printerCheckQuery,
    reply: file('One page', 'application/pdf'),
  },
];
