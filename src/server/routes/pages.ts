import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Router } from 'express';
import expressStaticGzip from 'express-static-gzip';
import { NONCE_PLACE, nonceOf } from './safety.ts';

/** Files as the build packed them, brotli first. */
const packed = (folder: string, serveStatic: object) =>
  expressStaticGzip(folder, {
    enableBrotli: true,
    orderPreference: ['br', 'gz'],
    index: false,
    serveStatic: { ...serveStatic, index: false },
  });

/** The built screens: files by name, and the one page for every place. Without a build only the API answers. */
export function pageRoutes(folder: string | null): Router {
  const router = Router();
  if (!folder || !existsSync(join(folder, 'index.html'))) return router;
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  // The page is a template: it is sent filled in, and by its own address only.
  router.get('/index.html', (_req, res) => res.redirect(308, '/'));
  router.use('/assets', packed(join(folder, 'assets'), { immutable: true, maxAge: '365d', fallthrough: false }));
  router.use(packed(folder, {}));
  router.get(/^\/(?!api\/)/, (req, res, next) => {
    if (!req.accepts('html')) return next();
    return res
      .type('html')
      .set('Cache-Control', 'no-store')
      .send(page.replaceAll(NONCE_PLACE, nonceOf(res)));
  });
  return router;
}
