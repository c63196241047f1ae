import express, { Router, type Request, type RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import type { SessionState } from '../../contract/api.ts';
import { signInBody } from '../../contract/requests.ts';
import { Refusal } from '../refusal.ts';
import { SESSION_LIFE, type Door } from '../services/door.ts';
import { parse } from './parse.ts';

const COOKIE = 'fawn-session';

/** Tries of the passphrase that one address has in the window (ms). */
const TRIES = 10;
const TRIES_WINDOW = 10 * 60 * 1000;

function tokenOf(req: Request): string | undefined {
  const pairs = (req.headers.cookie ?? '').split(';').map((pair) => pair.trim().split('='));
  return pairs.find(([name]) => name === COOKIE)?.[1];
}

/** /api/session: sign in, sign out, and how things stand. Without a door nobody is asked. */
export function sessionRoutes(door: Door | null): Router {
  const router = Router();
  const limit = rateLimit({
    windowMs: TRIES_WINDOW,
    limit: TRIES,
    standardHeaders: true,
    legacyHeaders: false,
    // Which proxies are trusted is a setting of the app.
    validate: { xForwardedForHeader: false },
    skipSuccessfulRequests: true,
    handler: (_req, _res, next) => next(new Refusal('too-many-tries')),
  });

  router.get('/', async (req, res) => {
    const state: SessionState = { needed: door !== null, signedIn: !door || (await door.isSignedIn(tokenOf(req))) };
    res.json(state);
  });

  router.post('/', limit, express.json({ limit: '4kb' }), async (req, res) => {
    const { passphrase } = parse(signInBody, req.body);
    const token = door ? await door.signIn(passphrase) : '';
    if (token === null) throw new Refusal('wrong-passphrase');
    if (token) res.cookie(COOKIE, token, { httpOnly: true, sameSite: 'strict', maxAge: SESSION_LIFE, path: '/' });
    res.status(204).end();
  });

  router.delete('/', async (req, res) => {
    await door?.signOut(tokenOf(req));
    res.clearCookie(COOKIE, { httpOnly: true, sameSite: 'strict', path: '/' });
    res.status(204).end();
  });

  return router;
}

/** Lets a request pass only when there is no door or its cookie is good. */
export function signedInOnly(door: Door | null): RequestHandler {
  return async (req, _res, next) => {
    next(!door || (await door.isSignedIn(tokenOf(req))) ? undefined : new Refusal('sign-in-needed'));
  };
}
