import { DataTypes, type QueryInterface } from 'sequelize';

/** Clays, kit and scraps: what is kept beside designs. */
export async function up({ context }: { context: QueryInterface }): Promise<void> {
  await context.createTable('records', {
    id: { type: DataTypes.UUID, primaryKey: true },
    kind: { type: DataTypes.STRING, allowNull: false },
    name: { type: DataTypes.STRING, allowNull: false },
    body: { type: DataTypes.TEXT, allowNull: false },
    revision: { type: DataTypes.INTEGER, allowNull: false },
    createdAt: { type: DataTypes.DATE, allowNull: false },
    updatedAt: { type: DataTypes.DATE, allowNull: false },
    deletedAt: { type: DataTypes.DATE, allowNull: true },
  });
  await context.addIndex('records', ['kind', 'createdAt']);
}

export async function down({ context }: { context: QueryInterface }): Promise<void> {
  await context.dropTable('records');
}
