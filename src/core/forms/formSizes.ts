import type { SheetBend } from '../target/sheetForm.ts';
import { wallPoints, withWallPoint } from './mould/drawnWall.ts';
import { type MouldForm } from '../target/mouldForm.ts';
import { acrossOf, rollsOf } from './stand/stand.ts';
import { DEFAULT_FRICTION } from '../target/standForm.ts';
import { hasCorners } from '../geometry/outline/arcOutline.ts';
import { drawnReach, scaledDrawn } from '../parts/plan/plan.ts';
import type { DrawnPlan, PlanOutline } from '../target/plan.ts';
import type { Form } from '../target/target.ts';

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

type Row = readonly [key: string, label: string, value: number, unit?: 'count'];

function planRows(key: string, plan: PlanOutline): Row[] {
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

/** The cylinder or the mould that a sheet is bent over. */
function bendRows(bend: SheetBend): Row[] {
  const angle = ['bend.angle', 'Turned by, degrees', bend.angle, 'count'] as const;
  if ('diameter' in bend)
    return [
      ['bend.diameter', 'Bent over, across', bend.diameter],
      ['bend.angle', 'Its axis at, degrees', bend.angle, 'count'],
    ];
  const { rim, foot, depth } = bend.mould;
  return [
    ...planRows('bend.mould.rim', rim),
    ...(foot ? planRows('bend.mould.foot', foot) : []),
    ['bend.mould.depth', 'Mould, deep', depth],
    angle,
  ];
}

function rows(form: Form): Row[] {
  switch (form.kind) {
    case 'cylinder':
      return [
        ['diameter', 'Across', form.diameter],
        ['height', 'Height', form.height],
      ];
    case 'taper':
      return [
        ['rim', 'Rim across', form.rim],
        ['foot', 'Foot across', form.foot],
        ['height', 'Height', form.height],
      ];
    case 'stack':
      return form.profile.flatMap(([height, across], index): Row[] => [
        ...(index === 0 ? [] : [[`profile.${index}.0`, `Height ${index + 1}`, height] as const]),
        [`profile.${index}.1`, index === 0 ? 'Foot across' : `Across ${index + 1}`, across],
      ]);
    case 'oval':
    case 'box':
      return [
        ['length', 'Length', form.length],
        ['width', 'Width', form.width],
        ['height', 'Height', form.height],
      ];
    case 'facet':
      return [
        ['sides', 'Sides', form.sides, 'count'],
        ['rim', 'Rim across flats', form.rim],
        ['foot', 'Foot across flats', form.foot],
        ['height', 'Height', form.height],
      ];
    case 'loft':
      return [...planRows('rim', form.rim), ...planRows('foot', form.foot), ['height', 'Height', form.height]];
    case 'former':
      return [
        ['diameter', 'Former across', form.diameter],
        ['sleeve', 'Sleeve, thick', form.sleeve],
        ['height', 'Height, wet', form.height],
      ];
    case 'mould':
      return [
        ...planRows('rim', form.rim),
        ...(form.foot ? planRows('foot', form.foot) : []),
        ['depth', 'Depth', form.depth],
        ['margin', 'Margin to trim', form.margin],
        ['flange', 'Flange left on, wet', form.flange ?? 0],
        ['cloth', 'Cloth between, thick', form.cloth ?? 0],
      ];
    case 'sheet':
      return [
        ...bendRows(form.bend),
        ...(form.feet
          ? ([
              ['feet.height', 'Feet, at least long', form.feet.height],
              ['feet.diameter', 'Feet, across', form.feet.diameter],
            ] as const)
          : []),
      ];
    case 'stand':
      return [
        ['device.length', 'Device, standing up', form.device.length],
        ['device.width', 'Device, along the slot', form.device.width],
        ['device.thickness', 'Device, thick', form.device.thickness],
        ['device.mass', 'Device weighs, g', form.device.mass, 'count'],
        ['lean', 'Leans back, degrees', form.lean, 'count'],
        ['clearance', 'Room in the slot', form.clearance],
        ...(typeof form.roll === 'object'
          ? ([
              ['roll.back', 'Back roll across, fired', form.roll.back],
              ['roll.front', 'Front roll across, fired', form.roll.front],
            ] as const)
          : ([['roll', 'A roll across, fired', rollsOf(form).back]] as const)),
        ['across', 'Strip across, fired', acrossOf(form)],
        ['friction', 'Friction of its foot', form.friction ?? DEFAULT_FRICTION, 'count'],
      ];
    case 'mesh':
      return [
        ['margin', 'Margin to trim', form.margin],
        ['flange', 'Flange left on, wet', form.flange ?? 0],
        ['cloth', 'Cloth between, thick', form.cloth ?? 0],
      ];
  }
}

/** Points of a drawn wall as heights and widths of the mould's section. */
function wallSizes(form: MouldForm): FormSize[] {
  return wallPoints(form).flatMap(({ index, up, across }): FormSize[] => [
    {
      key: `profile.${index}.0`,
      label: `Wall ${index}, up`,
      value: up,
      unit: 'length',
      put: (next) => withWallPoint(form, index, { up: next }),
    },
    {
      key: `profile.${index}.1`,
      label: `Wall ${index}, across`,
      value: across,
      unit: 'length',
      put: (next) => withWallPoint(form, index, { across: next }),
    },
  ]);
}

/** The figures of a form in the order in which they are asked for. */
export function formSizes(form: Form): FormSize[] {
  const own = rows(form).map(([key, label, value, unit]): FormSize => ({
    key,
    label,
    value,
    unit: unit ?? 'length',
    put: (next) => withValue<Form>(form, key.split('.'), next),
  }));
  return form.kind === 'mould' ? [...own, ...wallSizes(form)] : own;
}
