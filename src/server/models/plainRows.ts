import type { FindOptions, Model, ModelStatic } from 'sequelize';

/** The columns of a row, without what Sequelize adds to a model. */
export type Plain<M extends Model> = Omit<M, keyof Model>;

/**
 * The rows that are asked for as plain objects: building a model of each takes longer than reading them. Sequelize's types say
 * that `raw` gives models, so this file is the one place that says what it gives.
 */
export async function plainRows<M extends Model>(
  table: ModelStatic<M>,
  options: FindOptions = {},
): Promise<Plain<M>[]> {
  const rows: unknown = await table.findAll({ ...options, raw: true });
  return rows as Plain<M>[];
}

/** Rows of what the database works out of a table: `attributes` say what, and `T` what they are called. */
export async function workedOut<T extends object>(table: ModelStatic<Model>, options: FindOptions): Promise<T[]> {
  const rows: unknown = await table.findAll({ ...options, raw: true });
  return rows as T[];
}
