import { DataTypes, type QueryInterface } from 'sequelize';

/** What was written down and is struck out, or stands again: measurements, faults, notes and photographs by their ids. */
export async function up({ context }: { context: QueryInterface }): Promise<void> {
  await context.createTable('strikes', {
    id: { type: DataTypes.UUID, primaryKey: true },
    makingId: { type: DataTypes.UUID, allowNull: false, references: { model: 'makings', key: 'id' } },
    of: { type: DataTypes.UUID, allowNull: false },
    out: { type: DataTypes.BOOLEAN, allowNull: false },
    at: { type: DataTypes.DATE, allowNull: false },
  });
  await context.addIndex('strikes', ['makingId', 'at']);
}

export async function down({ context }: { context: QueryInterface }): Promise<void> {
  await context.dropTable('strikes');
}
