import type { QueryInterface } from 'sequelize';

const BEFORE = ['kind', 'makingId', 'piece', 'number'];
const AFTER = [...BEFORE, 'at'];

/** Pieces that were measured after a firing. */
const FIRED = 'measurements_fired';

/** What is dry is found in the index of marks alone, since when each was pressed is in it; what was fired in an index of its own. */
export async function up({ context }: { context: QueryInterface }): Promise<void> {
  await context.addIndex('marks', AFTER);
  await context.removeIndex('marks', BEFORE);
  const where = { state: ['bisque', 'fired'] };
  await context.addIndex('measurements', ['makingId', 'piece', 'number', 'id'], { name: FIRED, where });
}

export async function down({ context }: { context: QueryInterface }): Promise<void> {
  await context.removeIndex('measurements', FIRED);
  await context.addIndex('marks', BEFORE);
  await context.removeIndex('marks', AFTER);
}
