import type { Clay, ScrapEntry } from '../core/studio/clay/clay.ts';
import type { HouseWay } from '../core/studio/making/houseWay.ts';
import type { KeptFiring } from '../core/studio/kiln/keptFiring.ts';
import type { KeptOrder } from '../core/studio/order/keptOrder.ts';
import type { KeptPlan } from '../core/studio/slabPlan/keptPlan.ts';
import type { KitItem } from '../core/studio/kit/kit.ts';

/** What is kept beside designs. Each kind has a body of its own, and a name to find it by. */
export interface RecordBodies {
  readonly clay: Clay;
  readonly kit: KitItem;
  readonly scrap: ScrapEntry;
  readonly plan: KeptPlan;
  readonly order: KeptOrder;
  readonly way: HouseWay;
  readonly firing: KeptFiring;
}

/** A kind of record. */
export type RecordKind = keyof RecordBodies;

/** A record as it is kept: its newest state. Times are ISO 8601 in UTC. */
export interface Kept<K extends RecordKind = RecordKind> {
  readonly id: string;
  readonly body: RecordBodies[K];
  /** Number of the newest state, from 1. */
  readonly revision: number;
  readonly createdAt: string;
  readonly updatedAt: string;
}
