import express, { type RequestHandler } from 'express';

/** Largest body that the server reads: a mesh of the most vertices. */
const TARGET_LIMIT = '4mb';

/** Largest table of records: some 200,000 rows. */
const TABLE_LIMIT = '40mb';

/** Largest body of anything else. */
const SMALL_LIMIT = '1mb';

/** A raw body: the workshop reads it. */
export function rawBody(): RequestHandler {
  return express.raw({ limit: TARGET_LIMIT, type: () => true });
}

/** A raw table of records: the workshop reads it. */
export function tableBody(): RequestHandler {
  return express.raw({ limit: TABLE_LIMIT, type: () => true });
}

/** A body of JSON. */
export function jsonBody(): RequestHandler {
  return express.json({ limit: SMALL_LIMIT });
}
