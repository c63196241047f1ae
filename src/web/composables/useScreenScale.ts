import { computed, ref } from 'vue';
import { MM_PER_INCH } from '../../core/numbers.ts';
import { memory } from '../memory.ts';

const KEY = 'fawn-screen';

/** CSS px per mm of a screen: limits, and the value that browsers assume. */
export const SCREEN_LIMITS = { least: 1.5, greatest: 20 } as const;
const NOMINAL = 96 / MM_PER_INCH;

/** The calibration of this screen: CSS px per mm, and the page zoom at that time (device px per CSS px). */
interface Measured {
  readonly perMm: number;
  readonly ratio: number;
}

function read(): Measured | null {
  try {
    const { perMm, ratio } = JSON.parse(memory.read(KEY) ?? 'null') as Measured;
    const sound = perMm >= SCREEN_LIMITS.least && perMm <= SCREEN_LIMITS.greatest && ratio > 0;
    return sound ? { perMm, ratio } : null;
  } catch {
    return null;
  }
}

/** The scale of this screen, measured once and kept in this browser. A later change of the zoom is noticed and allowed for. */
export function useScreenScale() {
  const measured = ref(read());
  const ratio = ref(globalThis.devicePixelRatio || 1);
  addEventListener('resize', () => (ratio.value = devicePixelRatio || 1));
  /** CSS px per mm at the present zoom. */
  const perMm = computed(() =>
    measured.value ? (measured.value.perMm * measured.value.ratio) / ratio.value : NOMINAL,
  );
  function keep(value: number): void {
    measured.value = { perMm: value, ratio: ratio.value };
    memory.write(KEY, JSON.stringify(measured.value));
  }
  return { perMm, measured: computed(() => measured.value !== null), keep };
}
