import { DataTypes, type QueryInterface } from 'sequelize';

/** Who makes each of the pieces of a making that is given to a class: names as a JSON list, empty where it is not. */
export async function up({ context }: { context: QueryInterface }): Promise<void> {
  await context.addColumn('making_pieces', 'names', { type: DataTypes.TEXT, allowNull: false, defaultValue: '[]' });
}

export async function down({ context }: { context: QueryInterface }): Promise<void> {
  await context.removeColumn('making_pieces', 'names');
}
