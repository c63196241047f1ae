import { storeToRefs } from 'pinia';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { bounds } from '../../core/geometry/outline/outline.ts';
import { partDrawing } from '../../core/files/sheet/partDrawing.ts';
import { templateParts } from '../../core/files/sheet/templateParts.ts';
import { usePiece } from '../stores/piece.ts';
import { useSettings } from '../stores/settings.ts';

/** The piece named in the address, and its part that is shown at true size, mirrored when its other face is up. */
export function useShownPart() {
  const route = useRoute();
  const piece = usePiece();
  const { style } = storeToRefs(useSettings());
  watch(
    () => String(route.params['id']),
    (id) => void piece.open(id),
    { immediate: true },
  );
  const parts = computed(() => (piece.state === 'ready' ? templateParts(piece.target, piece.developed.parts) : []));
  const chosen = ref<string | null>(null);
  const part = computed(() => parts.value.find(({ id }) => id === chosen.value) ?? parts.value[0] ?? null);
  const items = computed(() => (part.value ? partDrawing(part.value, style.value) : []));
  const box = computed(() =>
    bounds(
      part.value?.outline ?? [
        [0, 0, 0],
        [1, 0, 0],
        [1, 1, 0],
      ],
    ),
  );
  const names = computed(() => parts.value.map(({ id, name }) => ({ value: id, title: name })));
  return { piece, style, parts, part, items, box, names, chosen };
}
