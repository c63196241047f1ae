import type { QueryInterface } from 'sequelize';

const BEFORE = ['kind', 'makingId', 'piece', 'number'];
const AFTER = [...BEFORE, 'at'];

/** What is dry is found in the index of marks alone: when each was pressed is in it. */
export async function up({ context }: { context: QueryInterface }): Promise<void> {
  await context.addIndex('marks', AFTER);
  await context.removeIndex('marks', BEFORE);
}

export async function down({ context }: { context: QueryInterface }): Promise<void> {
  await context.addIndex('marks', BEFORE);
  await context.removeIndex('marks', AFTER);
}
