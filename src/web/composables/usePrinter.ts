import { storeToRefs } from 'pinia';
import { computed, onMounted } from 'vue';
import { checkedPrinter } from '../../core/studio/kit/checkedPrinter.ts';
import { useKit } from '../stores/records.ts';
import { useSettings } from '../stores/settings.ts';

/** The checked printers of the kit, and the one that templates are corrected for. */
export function usePrinter() {
  const kit = useKit();
  const { printer: id, paper } = storeToRefs(useSettings());
  onMounted(() => kit.state !== 'ready' && void kit.load());
  const printers = computed(() =>
    kit.list.flatMap(({ id: value, body }) => {
      const checked = checkedPrinter(body);
      return checked ? [{ value, title: body.name, checked }] : [];
    }),
  );
  const chosen = computed(() => printers.value.find(({ value }) => value === id.value)?.checked ?? null);
  /** The printer was checked on another paper size, which may come out otherwise. */
  const otherPaper = computed(() => (chosen.value && chosen.value.paper !== paper.value ? chosen.value.paper : null));
  return { id, printers, chosen, otherPaper };
}
