import type { QueryInterface } from 'sequelize';

/** What is asked of a piece, of what was struck out, and of marks of one kind: by index. */
const INDEXES: readonly (readonly [table: string, columns: readonly string[]])[] = [
  ['measurements', ['makingId', 'piece', 'what', 'state', 'value']],
  ['measurements', ['makingId', 'piece', 'number', 'state']],
  ['faults', ['makingId', 'piece', 'number']],
  ['marks', ['kind', 'makingId', 'piece', 'number']],
  ['strikes', ['of']],
];

export async function up({ context }: { context: QueryInterface }): Promise<void> {
  for (const [table, columns] of INDEXES) await context.addIndex(table, [...columns]);
}

export async function down({ context }: { context: QueryInterface }): Promise<void> {
  for (const [table, columns] of INDEXES) await context.removeIndex(table, [...columns]);
}
