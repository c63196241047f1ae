import { dryQuery, madePath, madeQuery } from '../madeSchema.ts';
import {
  foundQuery,
  makingChange,
  makingEntries,
  makingPath,
  makingsQuery,
  makingStart,
  photographFile,
  photographPath,
  photographQuery,
} from '../makingSchema.ts';
import { done, file, KEEPS, made, ok, page, type Operation } from './operation.ts';
import { COSTS, DRY_LIST, FOUND, LEARNING, MADE_LIST, MAKING, MAKING_LIST, NOW, TABLE_READ } from './replies.ts';

/** Makings in work, with their photographs. */
export const MAKINGS: readonly Operation[] = [
  {
    method: 'get',
    path: '/api/makings',
    summary: 'Makings, newest first',
    query: makingsQuery,
    reply: page('Makings without their steps and entries', MAKING_LIST),
  },
  {
    method: 'post',
    path: '/api/makings',
    summary: 'Begin a making under the id that is sent',
    body: makingStart,
    reply: made('The making; sent twice, it is begun once', MAKING),
    refuses: ['design-not-found', 'revision-not-found', ...KEEPS],
  },
  {
    method: 'get',
    path: '/api/makings/now',
    summary: 'All makings in work',
    reply: ok('Makings, their steps and names listed once', NOW),
  },
  {
    method: 'get',
    path: '/api/makings/calendar.ics',
    summary: 'Windows of makings and blocks of orders as a calendar',
    reply: file('A calendar (RFC 5545)', 'text/calendar'),
  },
  {
    method: 'get',
    path: '/api/makings/found',
    summary: 'What hands found of a clay',
    query: foundQuery,
    reply: ok('Marks, each with the air of its making', FOUND),
  },
  {
    method: 'get',
    path: '/api/makings/:id',
    summary: 'One making',
    params: makingPath,
    reply: ok('The making with its entries', MAKING),
    refuses: ['making-not-found'],
  },
  {
    method: 'put',
    path: '/api/makings/:id',
    summary: 'Change the head of a making',
    params: makingPath,
    body: makingChange,
    reply: ok('The making', MAKING),
    refuses: ['making-not-found', ...KEEPS],
  },
  {
    method: 'post',
    path: '/api/makings/:id/entries',
    summary: 'Add marks, measurements, faults, notes, corrections and critiques',
    params: makingPath,
    body: makingEntries,
    reply: ok('The making; each entry is kept once by its id', MAKING),
    refuses: ['making-not-found', ...KEEPS],
  },
  {
    method: 'delete',
    path: '/api/makings/:id',
    summary: 'Remove a making',
    params: makingPath,
    reply: done('Removed; put-back undoes it'),
    refuses: ['making-not-found', ...KEEPS],
  },
  {
    method: 'post',
    path: '/api/makings/:id/put-back',
    summary: 'Undo removing a making',
    params: makingPath,
    reply: ok('The making', MAKING),
    refuses: ['making-not-found', ...KEEPS],
  },
  {
    method: 'put',
    path: '/api/makings/:id/photographs/:photograph',
    summary: 'Keep a photograph, as JPEG without its metadata',
    params: photographPath,
    query: photographQuery,
    body: { type: 'image/*' },
    reply: done('Kept'),
    refuses: ['making-not-found', 'bad-photograph', ...KEEPS],
  },
  {
    method: 'get',
    path: '/api/photographs/:hash/:size.jpg',
    summary: 'A photograph or its thumbnail',
    params: photographFile,
    reply: file('The picture', 'image/jpeg'),
    refuses: ['not-found', 'bad-range'],
  },
];

/** What was made, and what it shows. */
export const MADE: readonly Operation[] = [
  {
    method: 'get',
    path: '/api/made',
    summary: 'Kinds of pieces that were made, by words and sizes',
    query: madeQuery,
    reply: page('Kinds of pieces with their making, clay and counts of faulty and fired ones', MADE_LIST),
  },
  {
    method: 'get',
    path: '/api/made/learning',
    summary: 'What the pieces of each clay show',
    reply: ok('Clays with their measured pieces', LEARNING),
  },
  {
    method: 'get',
    path: '/api/made/dry',
    summary: 'Dry pieces that were in no firing yet',
    query: dryQuery,
    reply: page('Pieces by making and kind', DRY_LIST),
  },
  {
    method: 'get',
    path: '/api/made/costs/:making/:piece',
    summary: 'Clay, bag and shares of firings that a kind of piece cost',
    params: madePath,
    reply: ok('The figures that the cost is computed from', COSTS),
    refuses: ['not-found'],
  },
  {
    method: 'get',
    path: '/api/made/records.csv',
    summary: 'All records as a table',
    reply: file('A table (RFC 4180)', 'text/csv'),
  },
  {
    method: 'post',
    path: '/api/made/records.csv',
    summary: 'Read a table of records',
    body: { type: 'text/csv' },
    reply: ok('What was kept', TABLE_READ),
    refuses: ['bad-record', 'too-slow', 'busy', ...KEEPS],
  },
];
