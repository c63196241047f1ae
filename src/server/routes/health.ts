import { Router } from 'express';
import type { Database } from '../models/database.ts';

/** /api/health: whether the server and its database answer. */
export function healthRoutes(database: Database): Router {
  const router = Router();
  router.get('/', async (_req, res) => {
    await database.sequelize.authenticate();
    res.json({ status: 'ok' });
  });
  return router;
}
