import { DataTypes, type QueryInterface } from 'sequelize';

/** Designs and their revisions. */
export async function up({ context }: { context: QueryInterface }): Promise<void> {
  await context.createTable('designs', {
    id: { type: DataTypes.UUID, primaryKey: true },
    name: { type: DataTypes.STRING, allowNull: false },
    target: { type: DataTypes.TEXT, allowNull: false },
    revision: { type: DataTypes.INTEGER, allowNull: false },
    createdAt: { type: DataTypes.DATE, allowNull: false },
    updatedAt: { type: DataTypes.DATE, allowNull: false },
    deletedAt: { type: DataTypes.DATE, allowNull: true },
  });
  await context.addIndex('designs', ['createdAt']);
  await context.createTable('revisions', {
    designId: {
      type: DataTypes.UUID,
      primaryKey: true,
      references: { model: 'designs', key: 'id' },
    },
    number: { type: DataTypes.INTEGER, primaryKey: true },
    cause: { type: DataTypes.STRING, allowNull: false },
    target: { type: DataTypes.TEXT, allowNull: false },
    createdAt: { type: DataTypes.DATE, allowNull: false },
  });
}

export async function down({ context }: { context: QueryInterface }): Promise<void> {
  await context.dropTable('revisions');
  await context.dropTable('designs');
}
