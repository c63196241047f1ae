import Joi from 'joi';
import { kindPath, recordCreate, recordPath, RECORD_SCHEMAS, recordWrite } from '../recordSchema.ts';
import { archivePath, archiveWord, signInBody } from '../requests.ts';
import { done, file, KEEPS, made, ok, type Operation } from './operation.ts';
import { ARCHIVE_OFFER, HEALTH, RECORD, RECORD_LIST, SESSION_STATE } from './replies.ts';

/** The body of a record of any kind. */
const anyRecord = Joi.alternatives(...Object.values<Joi.Schema>(RECORD_SCHEMAS)).required();

/** Whether the server answers, and signing in. */
export const SESSION: readonly Operation[] = [
  {
    method: 'get',
    path: '/api/health',
    summary: 'Whether the server and its database answer',
    reply: ok('The server answers', HEALTH),
  },
  {
    method: 'get',
    path: '/api/session',
    summary: 'Whether a passphrase is needed',
    reply: ok('Whether one is needed, and was given', SESSION_STATE),
  },
  {
    method: 'post',
    path: '/api/session',
    summary: 'Sign in',
    body: signInBody,
    reply: done('Signed in; the session is a cookie'),
    refuses: ['wrong-passphrase', 'too-many-tries'],
  },
  { method: 'delete', path: '/api/session', summary: 'Sign out', reply: done('Signed out') },
];

/** Clay book, kit, scraps, plans, orders, house way and firings. */
export const RECORDS: readonly Operation[] = [
  {
    method: 'get',
    path: '/api/records/:kind',
    summary: 'All records of a kind',
    params: kindPath,
    reply: ok('Records', RECORD_LIST),
  },
  {
    method: 'post',
    path: '/api/records/:kind',
    summary: 'A new record',
    params: kindPath,
    body: recordCreate.keys({ body: anyRecord }),
    reply: made('The record; sent again under its id, it is made once', RECORD),
    refuses: ['bad-record', ...KEEPS],
  },
  {
    method: 'put',
    path: '/api/records/:kind/:id',
    summary: 'Change a record',
    params: recordPath,
    body: recordWrite.keys({ body: anyRecord }),
    reply: ok('The record', RECORD),
    refuses: ['bad-record', 'record-not-found', 'record-conflict', ...KEEPS],
  },
  {
    method: 'delete',
    path: '/api/records/:kind/:id',
    summary: 'Remove a record',
    params: recordPath,
    reply: done('Removed; put-back undoes it'),
    refuses: ['record-not-found', ...KEEPS],
  },
  {
    method: 'post',
    path: '/api/records/:kind/:id/put-back',
    summary: 'Undo removing a record',
    params: recordPath,
    reply: ok('The record', RECORD),
    refuses: ['record-not-found', ...KEEPS],
  },
];

/** The whole studio as one file. */
export const ARCHIVE: readonly Operation[] = [
  {
    method: 'get',
    path: '/api/archive',
    summary: 'The whole studio as one file',
    reply: file('A studio file', 'application/zip'),
  },
  {
    method: 'post',
    path: '/api/archive',
    summary: 'Send a studio file and look at what it has',
    body: { type: 'application/zip' },
    reply: made('What it has, and its clashes with what is here; nothing is imported yet', ARCHIVE_OFFER),
    refuses: ['bad-archive', 'disk-full'],
  },
  {
    method: 'post',
    path: '/api/archive/:token',
    summary: 'Take a studio file that was sent',
    params: archivePath,
    body: archiveWord,
    reply: done('Taken'),
    refuses: ['archive-not-found', ...KEEPS],
  },
  {
    method: 'delete',
    path: '/api/archive/:token',
    summary: 'Give up a studio file that was sent',
    params: archivePath,
    reply: done('Given up'),
    refuses: ['archive-not-found'],
  },
];
