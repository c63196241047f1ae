import type { QueryInterface } from 'sequelize';

/** What revisions say is worked out again: since now with the clay and the room of a piece. */
export async function up({ context }: { context: QueryInterface }): Promise<void> {
  await context.bulkDelete('revision_facts', {});
}

/** Nothing is lost: it is worked out again whenever it is missing. */
export async function down({ context }: { context: QueryInterface }): Promise<void> {
  await context.bulkDelete('revision_facts', {});
}
