import type { ErrorRequestHandler } from 'express';
import type { ErrorReply } from '../../contract/api.ts';
import { ERRORS, type ErrorCode } from '../../contract/errors.ts';
import { FaultError } from '../../core/errors.ts';
import { Refusal } from '../refusal.ts';

/** Errors of other libraries by status: the caller's mistakes. */
const BY_STATUS: Readonly<Record<number, ErrorCode>> = {
  400: 'bad-request',
  403: 'not-found',
  404: 'not-found',
  413: 'too-large',
  415: 'bad-request',
  416: 'bad-range',
};

/** Errors of the disk. */
const BY_DISK: readonly (readonly [RegExp, ErrorCode])[] = [
  [/SQLITE_FULL|ENOSPC|disk is full/, 'disk-full'],
  [/SQLITE_READONLY|EROFS|EACCES|readonly database/, 'read-only'],
];

function refusalOf(error: unknown): Refusal {
  if (error instanceof Refusal) return error;
  if (error instanceof FaultError) return new Refusal('bad-target', { faults: error.faults });
  if (error instanceof URIError) return new Refusal('bad-request');
  const { status, statusCode, code, message } = (typeof error === 'object' && error !== null ? error : {}) as Partial<
    Record<string, unknown>
  >;
  const byStatus = BY_STATUS[Number(status ?? statusCode)];
  if (byStatus) return new Refusal(byStatus);
  // A body that says it is packed and is not.
  if (typeof code === 'string' && /^Z_|ERR_.*(ZLIB|BROTLI)/.test(code)) return new Refusal('bad-request');
  const words = `${String(code ?? '')} ${String(message ?? '')}`;
  return new Refusal(BY_DISK.find(([sign]) => sign.test(words))?.[1] ?? 'internal');
}

/** The one error middleware, last: every error becomes a reply out of the catalogue. */
// eslint-disable-next-line max-params -- Express knows an error middleware by its four parameters.
export const answerRefusals: ErrorRequestHandler = (error, req, res, next) => {
  if (res.headersSent) return next(error);
  const refusal = refusalOf(error);
  if (refusal.code === 'internal') {
    // The log names lines of the sources.
    process.setSourceMapsEnabled(true);
    req.log?.error({ err: error }, 'request failed');
    process.setSourceMapsEnabled(false);
  }
  const { status, message, todo } = ERRORS[refusal.code];
  // What a file's own headers said holds for the file only.
  for (const name of ['Content-Type', 'Content-Encoding', 'Cache-Control', 'ETag', 'Last-Modified'])
    res.removeHeader(name);
  const reply: ErrorReply = { error: refusal.code, message, todo, ...refusal.detail };
  return res.status(status).json(reply);
};
