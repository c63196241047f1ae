import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router } from 'express';
import { NONCE_PLACE, nonceOf } from './safety.ts';

/** The built screens: files by name, and the one page for every place. Without a build only the API answers. */
export function pageRoutes(folder: string | null): Router {
  const router = Router();
  if (!folder || !existsSync(join(folder, 'index.html'))) return router;
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  router.use(
    '/assets',
    express.static(join(folder, 'assets'), { immutable: true, maxAge: '365d', fallthrough: false, index: false }),
  );
  router.use(express.static(folder, { index: false }));
  router.get(/^\/(?!api\/)/, (req, res, next) => {
    if (!req.accepts('html')) return next();
    return res
      .type('html')
      .set('Cache-Control', 'no-store')
      .send(page.replaceAll(NONCE_PLACE, nonceOf(res)));
  });
  return router;
}
