import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { briefly } from '../../core/briefly.ts';
import type { Kept, RecordBodies, RecordKind } from '../../contract/records.ts';
import { checkClay, checkScrap } from '../../core/studio/clay/checkClay.ts';
import type { Fault } from '../../core/errors.ts';
import { checkKitItem } from '../../core/studio/kit/checkKit.ts';
import { checkHouseWay } from '../../core/studio/making/houseWay.ts';
import { checkFiring } from '../../core/studio/kiln/keptFiring.ts';
import { checkOrder, withItsWork } from '../../core/studio/order/keptOrder.ts';
import { checkPlan } from '../../core/studio/slabPlan/keptPlan.ts';
import { LIMITS } from '../../core/target/target.ts';
import { api, Refused, Unreachable } from '../api.ts';
import { lastSeen } from '../lastSeen.ts';
import { useConnection } from './connection.ts';
import { dropHeldRecord, heldRecords, holdRecord, newId } from './heldRecords.ts';
import { keptThing, type KeptLinks, type KeptThing, type Named } from './keptThing.ts';
import { hearTabs, tellTabs } from './otherTabs.ts';
import { undoSteps } from './undoSteps.ts';

/** A book: all records of one kind, edited in place, saved automatically, with undo. */
function bookOf<K extends RecordKind>(
  kind: K,
  check: (body: RecordBodies[K]) => readonly Fault[],
  /** What a record keeps of its present state when it is undone. */
  undone: (then: RecordBodies[K], now: RecordBodies[K]) => RecordBodies[K] = (then) => then,
) {
  type Body = RecordBodies[K];
  return defineStore(`records-${kind}`, () => {
    const connection = useConnection();
    const things = shallowRef<ReadonlyMap<string, KeptThing<Kept<K>, Body>>>(new Map());
    const list = computed<readonly Kept<K>[]>(() =>
      [...things.value.values()].map(({ base, body }) => ({ ...base.value, body: body.value })),
    );
    const state = ref<'loading' | 'ready' | 'failed'>('loading');
    /** Why the book could not be read, or a record could not be deleted or restored. */
    const problem = ref('');
    const trouble = computed(() => {
      const kept = [...things.value.values()].find((thing) => thing.trouble.value !== '');
      return problem.value || (kept?.trouble.value ?? '');
    });
    /** Conflicts: records that were changed elsewhere meanwhile, as the server has them. */
    const conflicts = computed<Readonly<Record<string, Kept<K>>>>(() =>
      Object.fromEntries([...things.value].flatMap(([id, { theirs }]) => (theirs.value ? [[id, theirs.value]] : []))),
    );
    const steps = undoSteps<Named<Body>>();

    const same = (one: Body, other: Body) => one === other || JSON.stringify(one) === JSON.stringify(other);
    const links: KeptLinks<Kept<K>, Body> = {
      bodyOf: ({ body }) => body,
      withBody: (kept, body) => ({ ...kept, body }),
      same,
      fingerprint: (body) => briefly(JSON.stringify(body)),
      send: async ({ id, revision }, body) => {
        const kept = await (revision === 0
          ? api.createRecord(kind, id, body)
          : api.writeRecord(kind, id, { body, baseRevision: revision }));
        const others = [...things.value.values()].map(({ base }) => base.value).filter((one) => one.id !== id);
        void lastSeen.keepRecords(kind, [...others.filter((one) => one.revision > 0), kept]);
        return kept;
      },
      failure: (error) => {
        const words = connection.note(error);
        const newer = error instanceof Refused ? (error.reply.record as Kept<K> | undefined) : undefined;
        if (newer) return { kind: 'conflict', newer };
        return { kind: error instanceof Unreachable ? 'away' : 'refused', words };
      },
      hold: (kept, body, sent) => holdRecord(kind, { ...kept, body }, sent),
      drop: (id) => dropHeldRecord(kind, id),
      whenBack: connection.whenBack,
      tell: (now) => tellTabs({ kind, now }),
      steps,
    };

    const find = (id: string) => list.value.find((one) => one.id === id);

    /** Adds a record to the book. */
    function add(kept: Kept<K>): KeptThing<Kept<K>, Body> {
      const thing = keptThing(kept, links);
      things.value = new Map(things.value).set(kept.id, thing);
      return thing;
    }

    function takeOut(id: string): void {
      const rest = new Map(things.value);
      rest.delete(id);
      things.value = rest;
    }

    /** Runs `work`, and shows the user when it fails. */
    async function attempt<T>(work: () => Promise<T>): Promise<T | null> {
      try {
        const found = await work();
        problem.value = '';
        return found;
      } catch (error) {
        problem.value = connection.note(error);
        return null;
      }
    }

    async function load(): Promise<void> {
      const asked = new Map([...things.value].map(([id, { base }]) => [id, base.value]));
      const found = await attempt(() => api.records(kind));
      if (found) void lastSeen.keepRecords(kind, found);
      const seen = found ?? (things.value.size === 0 && connection.down ? await lastSeen.records(kind) : undefined);
      if (seen) await show(seen, asked);
      state.value = seen || things.value.size > 0 ? 'ready' : 'failed';
      if (!found) connection.whenBack(() => void load());
    }

    /**
     * Loads the server's records and the changes that this browser still holds, which are sent again or shown beside the server's.
     *
     * @param asked the records as they were here when the server's were asked for
     */
    async function show(found: readonly Kept<K>[], asked: ReadonlyMap<string, Kept<K>>): Promise<void> {
      // Before any record can be changed here, which would replace what is held of it.
      const changes = await heldRecords(kind);
      const before = things.value;
      // A record that is being changed or sent stays as it is here, and so does one that was kept, added or removed meanwhile.
      const busy = [...before].filter(
        ([id, { keeping, base }]) => keeping.value !== 'kept' || base.value !== asked.get(id),
      );
      const read = found
        .filter(({ id }) => before.has(id) || !asked.has(id))
        .map((kept) => [kept.id, keptThing(kept, links)] as const);
      const now = new Map([...read, ...busy]);
      things.value = now;
      for (const { id, body, baseRevision, sent } of changes) {
        if (busy.some(([other]) => other === id)) continue;
        const own = now.get(id);
        if (own && same(own.body.value, body)) dropHeldRecord(kind, id);
        else (own ?? add(fresh(id, body))).takeUp(body, baseRevision, sent);
      }
    }

    function fresh(id: string, body: Body): Kept<K> {
      const now = new Date().toISOString();
      return { id, body, revision: 0, createdAt: now, updatedAt: now };
    }

    /** Adds a new record to the list at once; while the server is away it is held, to be sent later. */
    async function create(body: Body, id = newId()): Promise<Kept<K> | null> {
      const thing = add(fresh(id, body));
      holdRecord(kind, fresh(id, body));
      await thing.keep();
      if (thing.keeping.value === 'refused') {
        problem.value = thing.trouble.value;
        dropHeldRecord(kind, id);
        takeOut(id);
        return null;
      }
      steps.push({ id, body: null }, { id, body });
      return find(id) ?? null;
    }

    /** Resolves a conflict: mine becomes the newest revision, or theirs stays and mine becomes a separate record. */
    async function settle(id: string, way: 'mine' | 'both'): Promise<void> {
      const thing = things.value.get(id);
      const theirs = thing?.theirs.value;
      if (!thing || !theirs) return;
      if (way === 'mine') return thing.keepMine();
      const mine = thing.body.value;
      thing.adopt(theirs);
      // A ledger entry is named after its clay.
      const name = kind === 'scrap' ? mine.name : `${mine.name}, mine`.slice(0, LIMITS.nameLength.greatest);
      await create({ ...mine, name });
    }

    /** Applies a change if it is valid; otherwise returns what is wrong with it. */
    function change(id: string, body: Body, group: string | null = null): readonly Fault[] {
      const faults = check(body);
      if (faults.length > 0) return faults;
      const thing = things.value.get(id);
      if (!thing || same(thing.body.value, body)) return [];
      thing.change(body, group);
      return [];
    }

    /** Applies a result computed from the last change: no separate undo step. */
    function follow(id: string, body: Body): void {
      if (check(body).length === 0) things.value.get(id)?.put(body);
    }

    /** Records that were deleted before the server had them. */
    const unsent = new Set<string>();

    async function drop(id: string): Promise<boolean> {
      const thing = things.value.get(id);
      if (thing && thing.keeping.value !== 'kept') await thing.keep();
      const gone = await attempt(async () => {
        if (thing && thing.base.value.revision > 0) await api.removeRecord(kind, id);
        else unsent.add(id);
        dropHeldRecord(kind, id);
        return true;
      });
      if (!gone) return false;
      takeOut(id);
      tellTabs({ kind, gone: id });
      return true;
    }

    async function putBack(id: string, body: Body): Promise<boolean> {
      if (unsent.delete(id)) {
        holdRecord(kind, fresh(id, body));
        void add(fresh(id, body)).keep();
        return true;
      }
      const back = await attempt(() => api.putBackRecord(kind, id));
      if (back) add(back);
      return back !== null;
    }

    async function remove(id: string): Promise<void> {
      const now = find(id);
      if (now && (await drop(id))) steps.push({ id, body: now.body }, { id, body: null });
    }

    /** Brings a record to one side of an undo step; false when the server refused. */
    async function bring({ id, body }: Named<Body>): Promise<boolean> {
      const thing = things.value.get(id);
      if (body === null) return thing ? drop(id) : true;
      if (!thing) return putBack(id, body);
      thing.put(undone(body, thing.body.value));
      void thing.keep();
      return true;
    }

    /** Undoes the last step: a change, a new record, or a deletion. */
    async function undo(): Promise<void> {
      const step = steps.back();
      if (step && !(await bring(step.before))) steps.forth();
    }

    async function redo(): Promise<void> {
      const step = steps.forth();
      if (step && !(await bring(step.after))) steps.back();
    }

    hearTabs((news) => {
      if (news.kind !== kind || state.value !== 'ready') return;
      if ('gone' in news) {
        if (things.value.get(news.gone)?.keeping.value === 'kept') takeOut(news.gone);
        return;
      }
      const now = news.now as Kept<K>;
      const thing = things.value.get(now.id);
      if (thing) thing.hear(now);
      else add(now);
    });

    /** Sends what is still waiting, as the page is left. */
    function keepAll(): void {
      for (const thing of things.value.values()) if (thing.keeping.value === 'changed') void thing.keep();
    }

    /** Waits until every change is saved, or held while the server is away. */
    async function whenKept(): Promise<void> {
      await Promise.all(
        [...things.value.values()].filter(({ keeping }) => keeping.value !== 'kept').map((thing) => thing.keep()),
      );
    }

    const { past, future, end: endGesture } = steps;
    const verbs = { settle, load, create, change, follow, endGesture, remove, undo, redo, keepAll, whenKept };
    return { list, state, trouble, past, future, conflicts, ...verbs };
  });
}

/** The clay book, the kit, the scrap ledger and slab plans. */
export const useClays = bookOf('clay', checkClay);
export const useKit = bookOf('kit', checkKitItem);
export const useScraps = bookOf('scrap', checkScrap);
export const usePlans = bookOf('plan', checkPlan);
/** The house way: one record. */
export const useWays = bookOf('way', checkHouseWay);
/** Orders, planned back from their due dates. */
/** Firings: what stood where, and the kiln's log. */
export const useFirings = bookOf('firing', checkFiring);
export const useOrders = bookOf('order', checkOrder, withItsWork);
