import { LENGTH_TOLERANCE } from '../../core/numbers.ts';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { Fault } from '../../core/errors.ts';
import type { Outline } from '../../core/geometry/outline/outline.ts';
import { develop, type Development } from '../../core/piece/develop.ts';
import { additionsOf } from '../../core/forms/additions.ts';
import { checkTarget } from '../../core/forms/checkTarget.ts';
import type { Target } from '../../core/target/target.ts';
import { checkPlan, type KeptPlacement, type KeptPlan, type KeptSlab } from '../../core/studio/slabPlan/keptPlan.ts';
import { laidBox, laidFaults } from '../../core/studio/slabPlan/laidSlab.ts';
import { offcutsOf } from '../../core/studio/slabPlan/offcuts.ts';
import { offcutName, offcutUses } from '../../core/studio/slabPlan/offcutUses.ts';
import { quickPlan, slabOf } from '../../core/studio/slabPlan/quickPlan.ts';
import type { SlabNeeded } from '../../core/bench/slab/slabNeeded.ts';
import type { Locked } from '../../core/studio/slabPlan/planSlabs.ts';
import {
  DEFAULT_PLAN,
  planGroups,
  planSum,
  type BatchPiece,
  type PlannedSlab,
  type PlanRules,
} from '../../core/studio/slabPlan/slabPlan.ts';
import { useBench } from './bench.ts';
import { usePiece } from './piece.ts';
import { usePlans } from './records.ts';
import { useShelf } from './shelf.ts';

/** The slab plan of the open design: its batch, rules and slabs, saved automatically. */
export const useSlabPlan = defineStore('slab-plan', () => {
  const piece = usePiece();
  const plans = usePlans();
  const shelf = useShelf();
  const bench = useBench();
  /** Slabs from the worker, until they are saved. */
  const live = shallowRef<readonly KeptSlab[] | null>(null);
  const making = ref(false);
  /** The plan before its record exists: the first change creates it. */
  const draft = shallowRef<KeptPlan | null>(null);
  let creating = false;

  const id = computed(() => piece.design?.id ?? '');
  /** Plans of this design: more than one if two people changed it separately. */
  const own = computed(() => plans.list.filter(({ body }) => body.design === id.value));
  const chosen = ref<string | null>(null);
  const kept = computed(() => own.value.find((one) => one.id === chosen.value) ?? own.value[0]);
  const plan = computed<KeptPlan>(
    () =>
      kept.value?.body ??
      draft.value ?? {
        name: piece.beside.target.name || 'Plan',
        design: id.value,
        pieces: [{ design: id.value, count: 1 }],
        ...DEFAULT_PLAN,
        slabs: [],
      },
  );
  const targetOf = (design: string): Target | undefined =>
    design === id.value ? piece.beside.target : shelf.designs.find((one) => one.id === design)?.target;
  const greatest = computed(() => bench.slab);
  const rules = computed<PlanRules>(() => ({
    ...greatest.value,
    gap: plan.value.gap,
    margin: plan.value.margin,
    alongRoll: plan.value.alongRoll,
  }));
  const batch = computed<readonly BatchPiece[]>(() =>
    plan.value.pieces.flatMap(({ design, count }) => {
      const target = targetOf(design);
      return target && checkTarget(target).length === 0 ? [{ key: design, target, count }] : [];
    }),
  );
  const groups = computed(() => planGroups(batch.value, rules.value));
  const outlines = computed(
    () =>
      new Map<string, Outline>(
        groups.value.flatMap(({ parts }) => parts.map(({ id: part, outline }) => [part, outline] as const)),
      ),
  );
  const parts = computed(
    () => new Map(groups.value.flatMap((group) => group.parts.map((part) => [part.id, part] as const))),
  );

  /** Slabs that hold the parts of the present batch; a plan of other parts is out of date. */
  const slabs = computed<readonly KeptSlab[]>(() => {
    const found = live.value ?? plan.value.slabs;
    const laid = new Map<string, number>();
    for (const { placements } of found) for (const one of placements) laid.set(one.id, (laid.get(one.id) ?? 0) + 1);
    const whole = [...laid].every(([part, count]) => count <= (parts.value.get(part)?.count ?? 0));
    return whole ? found : [];
  });
  const stale = computed(() => slabs.value.length === 0 && plan.value.slabs.length > 0);

  /** Each slab with its size and what is wrong on it. */
  const sized = computed(() =>
    slabs.value.map((slab) => {
      const { margin } = rules.value;
      const group = groups.value.find(({ thickness }) => thickness === slab.thickness);
      const box = laidBox(slab.placements, outlines.value);
      const room = {
        width: rules.value.width - 2 * margin,
        length: rules.value.length - 2 * margin,
        gap: group?.gap ?? plan.value.gap,
      };
      const length = box.maxY + 2 * margin;
      const width = box.maxX + 2 * margin;
      return {
        ...slab,
        length,
        width,
        room,
        faults: making.value ? null : laidFaults(slab.placements, outlines.value, room),
      };
    }),
  );
  /** Offcuts of each slab, named throughout the plan, and their use; none while the plan is being computed. */
  const offcuts = computed(() => {
    if (making.value) return sized.value.map(() => []);
    let named = 0;
    return sized.value.map((slab) => {
      const { margin, gap } = rules.value;
      const room = { width: slab.width - 2 * margin, length: slab.length - 2 * margin, gap };
      const cuts = offcutsOf(slab.placements, outlines.value, room);
      const here = groups.value.find(({ thickness }) => thickness === slab.thickness)?.parts ?? [];
      const small = here.map(({ name, piece: of, part, outline }) => ({
        name: `${name.toLowerCase()}, ${of}`,
        part,
        outline,
      }));
      const uses = offcutUses(cuts, small, gap);
      // Offcuts too small to cut from are trimmings, without a name.
      return cuts.flatMap((cut, index) => {
        const use = uses[index];
        return use ? [{ ...cut, name: offcutName(named++), use }] : [];
      });
    });
  });
  /** Clay that is weighed and not rolled: pulled handles. */
  const lumps = computed(() =>
    batch.value.flatMap(({ target, count }) =>
      additionsOf(target).lumps.map((lump) => ({
        name: `${lump.name}, ${target.name}`,
        count: lump.count * count,
        mass: (lump.volume / 1000) * target.clay.wetDensity,
      })),
    ),
  );
  /** Clay trimmed on the mould or in place is reclaimed too. */
  const sum = computed(() => {
    const laid = planSum(sized.value, groups.value, piece.beside.target.clay.wetDensity);
    const cut = batch.value.reduce((all, { target, count }) => all + count * develop(target).finished.cutAway, 0);
    return { ...laid, parts: laid.parts - cut, trim: laid.trim + cut };
  });

  /**
   * The slabs for one piece of the open design: those of its plan; or a quick plan's, before there is one or where the plan
   * is for more than this piece.
   */
  function slabsFor(target: Target, developed: Development): readonly SlabNeeded[] {
    const [only, ...others] = plan.value.pieces;
    const alone =
      only?.design === id.value && only.count === 1 && others.length === 0 && target === piece.beside.target;
    if (!alone || sized.value.length === 0) return quickPlan(target, developed.parts, rules.value) ?? developed.slabs;
    return sized.value.map((slab) => {
      const ids = slab.placements.map((one) => parts.value.get(one.id)?.part.id ?? one.id);
      return slabOf(slab, [...new Set(ids)], target.clay.wetDensity);
    });
  }

  function put(change: Partial<KeptPlan>, group: string | null = null): readonly Fault[] {
    const next = { ...plan.value, ...change };
    if (kept.value) return plans.change(kept.value.id, next, group);
    const faults = checkPlan(next);
    if (faults.length > 0) return faults;
    draft.value = next;
    if (!creating) void begin();
    return [];
  }

  /** Creates the record of the plan; changes made meanwhile are written afterwards. */
  async function begin(): Promise<void> {
    creating = true;
    const design = id.value;
    if (plans.state === 'loading') await plans.load();
    const first = draft.value;
    const made = first && (plans.list.find(({ body }) => body.design === design) ?? (await plans.create(first)));
    // A new record is in the list at once: later changes have gone there.
    if (made && draft.value && draft.value !== first && id.value === design) plans.change(made.id, draft.value);
    draft.value = null;
    creating = false;
  }

  const setCount = (design: string, count: number) =>
    put(
      { pieces: plan.value.pieces.map((one) => (one.design === design ? { design, count } : one)) },
      `count ${design}`,
    );
  const add = (design: string) => put({ pieces: [...plan.value.pieces, { design, count: 1 }] });
  const drop = (design: string) => put({ pieces: plan.value.pieces.filter((one) => one.design !== design) });

  /** Applies slabs from the worker, keeping locked placements. */
  function show(found: readonly PlannedSlab[], locked: readonly Locked[]): void {
    const isLocked = ({ id: part, x, y, turn }: KeptPlacement) =>
      locked.some(
        ({ placement: at }) =>
          at.id === part &&
          Math.hypot(at.x - x, at.y - y) < LENGTH_TOLERANCE &&
          Math.abs(((at.turn - turn + 540) % 360) - 180) < LENGTH_TOLERANCE,
      );
    live.value = found.map(({ thickness, placements }) => ({
      thickness,
      placements: placements.map((one) => (isLocked(one) ? { ...one, locked: true } : one)),
    }));
  }

  /** Saves the result. */
  function settle(): void {
    making.value = false;
    if (live.value) put({ slabs: live.value });
    live.value = null;
  }

  /** Locked placements by the slab of their thickness. */
  const locked = computed<Locked[]>(() => {
    const counted = new Map<number, number>();
    return slabs.value.flatMap(({ thickness, placements }) => {
      const slab = counted.get(thickness) ?? 0;
      const own = placements.filter((one) => one.locked);
      if (own.length > 0) counted.set(thickness, slab + 1);
      return own.map(({ id: part, x, y, turn }) => ({ slab, placement: { id: part, x, y, turn } }));
    });
  });

  /** Changes one placement by hand. */
  function move(
    slab: number,
    index: number,
    { change, group }: { readonly change: Partial<KeptPlacement>; readonly group: string | null },
  ): void {
    const next = slabs.value.map((one, at) =>
      at === slab
        ? {
            ...one,
            placements: one.placements.map((place, here) => (here === index ? { ...place, ...change } : place)),
          }
        : one,
    );
    put({ slabs: next }, group);
  }

  watch(id, () => {
    live.value = null;
    draft.value = null;
    making.value = false;
  });

  const state = {
    plan,
    rules,
    batch,
    groups,
    outlines,
    parts,
    slabs,
    sized,
    sum,
    offcuts,
    lumps,
    stale,
    locked,
    live,
    making,
    greatest,
    own,
    chosen,
    kept,
  };
  return { ...state, slabsFor, put, setCount, add, drop, show, settle, move, targetOf };
});
