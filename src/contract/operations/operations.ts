import { DESIGNS, PATTERNS } from './designs.ts';
import { MADE, MAKINGS } from './makings.ts';
import type { Operation } from './operation.ts';
import { ARCHIVE, RECORDS, SESSION } from './studio.ts';

/** Every request that the server answers under /api. */
export const OPERATIONS: readonly Operation[] = [
  ...SESSION,
  ...DESIGNS,
  ...RECORDS,
  ...MAKINGS,
  ...MADE,
  ...PATTERNS,
  ...ARCHIVE,
];
