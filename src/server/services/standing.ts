import { literal, Op } from 'sequelize';

/** Ids of entries that are struck out now, queried once for a whole search: the last strike of an entry counts. */
const STRUCK = `
  SELECT s.of FROM strikes s WHERE s.out AND NOT EXISTS (
    SELECT 1 FROM strikes l
    WHERE l.of = s.of AND l.makingId = s.makingId AND (l.at > s.at OR (l.at = s.at AND l.id > s.id)))`;

/** In SQL, an entry `e` that was not struck out, or was put back. */
export const STANDS = `e.id NOT IN (${STRUCK})`;

/** The same for a finder, of entries of these makings. */
export const standing = (makings: readonly string[]) => ({
  makingId: [...makings],
  id: { [Op.notIn]: literal(`(${STRUCK})`) },
});
