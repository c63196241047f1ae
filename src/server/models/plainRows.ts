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

/** Rows with computed columns, such as counts: `attributes` define them, and `T` gives their types. */
export async function computedRows<T extends object>(table: ModelStatic<Model>, options: FindOptions): Promise<T[]> {
  const rows: unknown = await table.findAll({ ...options, raw: true });
  return rows as T[];
}
