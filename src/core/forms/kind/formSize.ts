import { hasCorners } from '../../geometry/outline/arcOutline.ts';
import { drawnReach, scaledDrawn } from '../../parts/plan/plan.ts';
import type { DrawnPlan, PlanOutline } from '../../target/plan.ts';
import type { Form } from '../../target/target.ts';

/** One figure of a form that a person may change. */
export interface FormSize {
  /** Its path within the form, as in the file. */
  readonly key: string;
  readonly label: string;
  readonly value: number;
  readonly unit: 'length' | 'count';
  /** The form with this figure changed. */
  readonly put: (value: number) => Form;
}

type Keyed = Record<string, unknown>;

/** Copies `whole` with the value at a dotted path replaced; a drawn outline is scaled to it. */
function withValue<T>(whole: T, path: readonly string[], value: number): T {
  const [key, ...rest] = path;
  if (key === undefined) return value as T;
  if (key === 'points') return scaledDrawn(whole as DrawnPlan, value / drawnReach(whole as DrawnPlan)) as T;
  if (Array.isArray(whole)) {
    return whole.map((item, index) => (index === Number(key) ? withValue(item as unknown, rest, value) : item)) as T;
  }
  return { ...whole, [key]: withValue((whole as Keyed)[key], rest, value) };
}

/** A figure as a form lists it: its path, what it is called, and its value. */
export type SizeRow = readonly [key: string, label: string, value: number, unit?: 'count'];

/** The figures of a form, each with the way to change it. */
export function sizesOf(form: Form, rows: readonly SizeRow[]): FormSize[] {
  return rows.map(([key, label, value, unit]) => ({
    key,
    label,
    value,
    unit: unit ?? 'length',
    put: (next) => withValue<Form>(form, key.split('.'), next),
  }));
}

/** Height, in its own row wherever a form has one. */
export function heightRow(height: number): SizeRow {
  return ['height', 'Height', height];
}

/** The figures of a plan outline. */
export function planRows(key: string, plan: PlanOutline): SizeRow[] {
  const name = key.endsWith('rim') ? 'Rim' : 'Foot';
  switch (plan.kind) {
    case 'circle':
      return [[`${key}.diameter`, `${name} across`, plan.diameter]];
    case 'ellipse':
      return [
        [`${key}.length`, `${name} length`, plan.length],
        [`${key}.width`, `${name} width`, plan.width],
      ];
    case 'rounded':
      return [
        [`${key}.length`, `${name} length`, plan.length],
        [`${key}.width`, `${name} width`, plan.width],
        [`${key}.corner`, `${name} corner radius`, plan.corner],
      ];
    case 'polygon':
      return [
        [`${key}.sides`, `${name} sides`, plan.sides, 'count'],
        [`${key}.acrossFlats`, `${name} across flats`, plan.acrossFlats],
        [`${key}.corner`, `${name} corner radius`, plan.corner],
      ];
    case 'drawn':
      return [
        [`${key}.points`, `${name}, longest`, drawnReach(plan)],
        ...(hasCorners(plan.points) ? [[`${key}.corner`, `${name} corner radius`, plan.corner] as const] : []),
      ];
  }
}
