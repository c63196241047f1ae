import { computed, ref } from 'vue';
import type { Design } from '../../../contract/api.ts';
import { memory } from '../../memory.ts';
import { useShelf } from '../../stores/shelf.ts';
import { FORM_WAYS } from '../piece/formWays.ts';

/** Orders in which the shelf can stand. */
export const SHELF_ORDERS = [
  { value: 'came', title: 'oldest first' },
  { value: 'changed', title: 'last changed first' },
  { value: 'name', title: 'by name' },
  { value: 'form', title: 'by form' },
] as const;

/** An order of the shelf. */
export type ShelfOrder = (typeof SHELF_ORDERS)[number]['value'];

const KEY = 'fawn-shelf-order';

const formTitle = ({ target }: Design): string =>
  FORM_WAYS.find(({ value }) => value === target.form.kind)?.title ?? '';

const COMPARE: Readonly<Record<ShelfOrder, (one: Design, other: Design) => number>> = {
  came: () => 0,
  changed: (one, other) => other.updatedAt.localeCompare(one.updatedAt),
  name: (one, other) => one.name.localeCompare(other.name),
  form: (one, other) => formTitle(one).localeCompare(formTitle(other)) || one.name.localeCompare(other.name),
};

/** Which pieces of the shelf are shown, in which order, and which of them are chosen. */
export function useShelfView() {
  const shelf = useShelf();
  const words = ref('');
  const set = ref<string | null>(null);
  const order = ref<ShelfOrder>(SHELF_ORDERS.find(({ value }) => value === memory.read(KEY))?.value ?? 'came');
  const choosing = ref(false);
  const chosen = ref<readonly string[]>([]);

  const sets = computed(() =>
    [...new Set(shelf.designs.flatMap(({ target }) => (target.set ? [target.set] : [])))].sort((one, other) =>
      one.localeCompare(other),
    ),
  );
  /** A set that nothing belongs to any more is not looked at. */
  const shownSet = computed(() => (set.value !== null && sets.value.includes(set.value) ? set.value : null));
  const shown = computed(() => {
    const asked = words.value.toLowerCase().split(/\s+/).filter(Boolean);
    const told = (design: Design) =>
      [design.name, design.target.set ?? '', formTitle(design), design.target.clay.name ?? ''].join(' ').toLowerCase();
    return shelf.designs
      .filter(({ target }) => shownSet.value === null || target.set === shownSet.value)
      .filter((design) => asked.every((word) => told(design).includes(word)))
      .sort(COMPARE[order.value]);
  });
  const chosenDesigns = computed(() => shelf.designs.filter(({ id }) => chosen.value.includes(id)));

  function sortBy(next: ShelfOrder): void {
    order.value = next;
    memory.write(KEY, next);
  }

  function choose(id: string): void {
    chosen.value = chosen.value.includes(id) ? chosen.value.filter((one) => one !== id) : [...chosen.value, id];
  }

  /** Begins to choose, or leaves it with nothing chosen. */
  function turnChoosing(): void {
    choosing.value = !choosing.value;
    chosen.value = [];
  }

  function chooseAll(): void {
    chosen.value = shown.value.map(({ id }) => id);
  }

  return {
    words,
    set,
    shownSet,
    sets,
    order,
    shown,
    choosing,
    chosen,
    chosenDesigns,
    sortBy,
    choose,
    turnChoosing,
    chooseAll,
  };
}
