import { onMounted, ref, shallowRef } from 'vue';
import type { DryLine } from '../../contract/made.ts';
import { pieceKey, type PieceAt } from '../../core/studio/kiln/keptFiring.ts';
import { api } from '../api.ts';
import { freshFiring } from '../components/kiln/freshFiring.ts';
import { useConnection } from '../stores/connection.ts';
import { useFirings } from '../stores/records.ts';

/** Pieces that are dry and in no firing yet. They go into the firing that is being packed, or into a new one. */
export function useDryPieces() {
  const connection = useConnection();
  const firings = useFirings();
  const lines = shallowRef<readonly DryLine[]>([]);
  /** Number of kinds of pieces beyond this page. They appear once a firing has these. */
  const more = ref(0);

  async function load(): Promise<void> {
    try {
      const page = await api.dry();
      lines.value = page.lines;
      more.value = page.total - page.lines.length;
    } catch (error) {
      // What is in work is still shown.
      connection.note(error);
    }
  }
  onMounted(() => void load());

  /** Adds all dry pieces to a firing, by its id, or to the newest one whose kiln was not opened. Returns the firing's id. */
  async function take(id?: string): Promise<string | null> {
    if (firings.state !== 'ready') await firings.load();
    const pieces = lines.value.flatMap(({ making, piece, numbers }) =>
      numbers.map((number): PieceAt => ({ making, piece, number })),
    );
    const firing = id
      ? firings.list.find((one) => one.id === id)
      : firings.list.findLast(({ body }) => body.opened === null && body.curve.length === 0);
    lines.value = [];
    const wanting = firing ? firing.id : ((await firings.create(freshFiring(pieces)))?.id ?? null);
    if (firing) {
      const there = new Set(firing.body.wanted.map(pieceKey));
      firings.change(firing.id, {
        ...firing.body,
        wanted: [...firing.body.wanted, ...pieces.filter((one) => !there.has(pieceKey(one)))],
      });
      firings.endGesture();
    }
    if (wanting !== null && more.value > 0) {
      await firings.whenKept();
      await load();
    }
    return wanting;
  }

  return { lines, more, load, take };
}
