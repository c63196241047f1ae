import { randomBytes } from 'node:crypto';
import type { RequestHandler, Response } from 'express';
import helmet from 'helmet';
import { isLoopback } from '../config.ts';
import { Refusal } from '../refusal.ts';

/** The word that stands for the nonce in the built page. */
export const NONCE_PLACE = '__FAWN_NONCE__';

/** The nonce of a reply, for the one style sheet that the page makes at run time. */
export function nonceOf(res: Response): string {
  return String(res.locals['nonce']);
}

/** Security headers: everything from this server only. */
export function securityHeaders(): RequestHandler[] {
  const self = ["'self'"];
  return [
    (_req, res, next) => {
      res.locals['nonce'] = randomBytes(16).toString('base64');
      next();
    },
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: self,
          scriptSrc: self,
          styleSrc: ["'self'", (_req, res) => `'nonce-${nonceOf(res as Response)}'`],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: self,
          connectSrc: self,
          workerSrc: self,
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          formAction: self,
          frameAncestors: ["'none'"],
        },
      },
      strictTransportSecurity: false,
    }),
  ];
}

/** Refuses an address with a sign in it that no address has. */
export const plainAddress: RequestHandler = (req, _res, next) => {
  next(/%00|\0/.test(req.url) ? new Refusal('bad-request') : undefined);
};

function hostName(host: string | undefined): string {
  return (host ?? '').replace(/:\d+$/, '').replace(/^\[|\]$/g, '');
}

/**
 * Refuses requests that another site makes through this browser: a write whose Origin is not this host, and, on a table
 * that only this machine reaches, any request under another host name.
 */
export function sameSiteOnly(address: string): RequestHandler {
  const local = isLoopback(address);
  return (req, _res, next) => {
    const { host, origin } = req.headers;
    if (local && !isLoopback(hostName(host))) return next(new Refusal('wrong-host'));
    if (origin && origin !== 'null' && URL.canParse(origin) && new URL(origin).host !== host) {
      return next(new Refusal('wrong-host'));
    }
    if (origin === 'null' && req.method !== 'GET') return next(new Refusal('wrong-host'));
    return next();
  };
}
