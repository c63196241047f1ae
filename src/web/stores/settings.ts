import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { LENGTH_UNITS, type InchMarks, type LengthUnit } from '../../core/units/lengthUnit.ts';
import { DEFAULT_PAPER, PAPER_NAMES, ROLL_LIMITS, type PaperName } from '../../core/studio/printer/paper.ts';
import { DEFAULT_BENCH } from '../../core/advice/bench.ts';
import { LIMITS } from '../../core/target/target.ts';
import type { LengthStyle } from '../../core/units/writeLength.ts';
import { memory } from '../memory.ts';
import type { Light } from '../theme.ts';

const KEY = 'fawn-settings';

/** Where Enter goes from a field: to the next one, or nowhere. */
export type EnterGoes = 'next' | 'stays';

interface Kept {
  readonly unit: LengthUnit;
  readonly marks: InchMarks;
  readonly volumes: 'us' | 'imperial';
  readonly light: Light;
  readonly paper: PaperName;
  /** Width of a roll used instead of sheets (mm); 0 is none. */
  readonly roll: number;
  /** Whether templates are printed with lines half as wide. */
  readonly thin: boolean;
  /** Width of the potter's own hand over the knuckles (mm). */
  readonly hand: number;
  /** The greatest slab that the potter can roll: along and across the roller (mm). */
  readonly slab: { readonly length: number; readonly width: number };
  /** Diameters of the round cutters that the potter owns (mm). */
  readonly cutters: readonly number[];
  /** Where Enter goes from a field, and whether single letters are shortcuts. */
  readonly enter: EnterGoes;
  readonly letters: boolean;
  /** Cost of an hour at the table, in any currency; 0 is not given. */
  readonly hour: number;
  /** The printer of the kit that templates are corrected for, by its id; empty is none. */
  readonly printer: string;
  /** Whether the browser notifies when a waiting window opens. */
  readonly alerts: boolean;
}

/** A set of round cutters as it is often sold (mm). */
const DEFAULT_CUTTERS = [50, 60, 70, 75, 80, 85, 90, 95, 100, 110] as const;

/** A length within its limits, or nothing. */
function sound(value: unknown): number | undefined {
  return typeof value === 'number' && value > 0 && value <= LIMITS.size.greatest ? value : undefined;
}

function read(): Kept {
  const evening = 'matchMedia' in globalThis && matchMedia('(prefers-color-scheme: dark)').matches;
  const fallback: Kept = {
    unit: 'mm',
    marks: 16,
    volumes: 'us',
    light: evening ? 'evening' : 'day',
    paper: DEFAULT_PAPER,
    roll: 0,
    thin: false,
    ...DEFAULT_BENCH,
    cutters: DEFAULT_CUTTERS,
    enter: 'next',
    letters: true,
    alerts: false,
    hour: 0,
    printer: '',
  };
  try {
    const kept = JSON.parse(memory.read(KEY) ?? '{}') as Partial<Kept>;
    return {
      unit: LENGTH_UNITS.find((unit) => unit === kept.unit) ?? fallback.unit,
      marks: kept.marks === 32 ? 32 : 16,
      volumes: kept.volumes === 'imperial' ? 'imperial' : 'us',
      light: kept.light === 'day' || kept.light === 'evening' ? kept.light : fallback.light,
      paper: PAPER_NAMES.find((paper) => paper === kept.paper) ?? fallback.paper,
      hand: sound(kept.hand) ?? fallback.hand,
      slab: {
        length: sound(kept.slab?.length) ?? fallback.slab.length,
        width: sound(kept.slab?.width) ?? fallback.slab.width,
      },
      cutters: Array.isArray(kept.cutters) ? kept.cutters.filter((one) => sound(one) !== undefined) : fallback.cutters,
      enter: kept.enter === 'stays' ? 'stays' : 'next',
      letters: kept.letters !== false,
      alerts: kept.alerts === true,
      roll:
        typeof kept.roll === 'number' && kept.roll >= ROLL_LIMITS.least && kept.roll <= ROLL_LIMITS.greatest
          ? kept.roll
          : 0,
      thin: kept.thin === true,
      printer: typeof kept.printer === 'string' ? kept.printer : '',
      hour: typeof kept.hour === 'number' && kept.hour > 0 && kept.hour < 1e6 ? kept.hour : 0,
    };
  } catch {
    return fallback;
  }
}

/** This browser's settings: units, light, paper. */
export const useSettings = defineStore('settings', () => {
  const kept = read();
  const unit = ref<LengthUnit>(kept.unit);
  const marks = ref<InchMarks>(kept.marks);
  const volumes = ref(kept.volumes);
  const light = ref<Light>(kept.light);
  const paper = ref<PaperName>(kept.paper);
  const roll = ref(kept.roll);
  const thin = ref(kept.thin);
  const hand = ref(kept.hand);
  const slab = ref(kept.slab);
  const cutters = ref(kept.cutters);
  const enter = ref(kept.enter);
  const letters = ref(kept.letters);
  const alerts = ref(kept.alerts);
  const hour = ref(kept.hour);
  const printer = ref(kept.printer);
  const style = computed<LengthStyle>(() => ({ unit: unit.value, marks: marks.value, volumes: volumes.value }));

  watch(
    [unit, marks, volumes, light, paper, roll, thin, hand, slab, cutters, enter, letters, alerts, hour, printer],
    () => {
      const now: Kept = {
        cutters: cutters.value,
        unit: unit.value,
        marks: marks.value,
        volumes: volumes.value,
        light: light.value,
        paper: paper.value,
        roll: roll.value,
        thin: thin.value,
        hand: hand.value,
        slab: slab.value,
        enter: enter.value,
        letters: letters.value,
        alerts: alerts.value,
        hour: hour.value,
        printer: printer.value,
      };
      memory.write(KEY, JSON.stringify(now));
    },
  );

  function nextUnit(): void {
    unit.value = LENGTH_UNITS[(LENGTH_UNITS.indexOf(unit.value) + 1) % LENGTH_UNITS.length] ?? 'mm';
  }

  function turnLight(): void {
    light.value = light.value === 'day' ? 'evening' : 'day';
  }

  return {
    unit,
    marks,
    volumes,
    light,
    paper,
    roll,
    thin,
    hand,
    slab,
    cutters,
    enter,
    letters,
    alerts,
    hour,
    printer,
    style,
    nextUnit,
    turnLight,
  };
});
