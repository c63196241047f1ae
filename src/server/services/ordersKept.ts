import { LRUCache } from 'lru-cache';
import type { Transaction } from 'sequelize';
import type { WorkStep } from '../../core/studio/making/workStep.ts';
import { plainRows, type Plain } from '../models/plainRows.ts';
import type { Database } from '../models/database.ts';
import type { MakingStepRow } from '../models/makingRows.ts';

/** Number of makings whose order of work is cached. */
const ORDERS_KEPT = 400;

/** Number of cached steps. */
const STEPS_KEPT = 4000;

/** Groups rows by a key, in their order. */
export function group<T>(rows: readonly T[], nameOf: (row: T) => string): Map<string, T[]> {
  const lists = new Map<string, T[]>();
  for (const row of rows) {
    const list = lists.get(nameOf(row));
    if (list) list.push(row);
    else lists.set(nameOf(row), [row]);
  }
  return lists;
}

/** Reads orders of work of makings: they never change, so each is read once. */
export function ordersKept({ makingSteps }: Database) {
  /** Cached orders of work by their making: a list of steps for each kind of piece. */
  const kept = new LRUCache<string, readonly (readonly WorkStep[])[]>({ max: ORDERS_KEPT });

  /** Steps by their text, so that orders share equal steps. */
  const stepsKept = new LRUCache<string, WorkStep>({ max: STEPS_KEPT });

  return async function ordersOf(ids: readonly string[], transaction?: Transaction) {
    const orders = new Map(ids.map((id) => [id, kept.get(id)]));
    const missing = ids.filter((id) => !orders.get(id));
    if (missing.length === 0) return orders;
    const rows = await plainRows(makingSteps, {
      where: { makingId: missing },
      order: ['piece', 'place'],
      transaction,
    });
    const stepOf = ({ body }: Plain<MakingStepRow>): WorkStep => {
      const known = stepsKept.get(body) ?? (JSON.parse(body) as WorkStep);
      stepsKept.set(body, known);
      return known;
    };
    for (const [id, own] of group(rows, ({ makingId }) => makingId)) {
      const order = [...group(own, ({ piece }) => String(piece)).values()].map((steps) => steps.map(stepOf));
      kept.set(id, order);
      orders.set(id, order);
    }
    return orders;
  };
}
