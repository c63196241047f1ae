import type { SheetBend } from '../target/sheetForm.ts';
import { wallPoints, withWallPoint } from './mould/drawnWall.ts';
import { DEFAULT_BLANK_MARGIN, type MeshForm, type MouldForm } from '../target/mouldForm.ts';
import { acrossOf, rollsOf } from './stand/stand.ts';
import { DEFAULT_FRICTION } from '../target/standForm.ts';
import { once } from '../numbers.ts';
import { hasCorners } from '../geometry/outline/arcOutline.ts';
import { bounds, type Outline } from '../geometry/outline/outline.ts';
import { drawnReach, planReach, scaledDrawn } from '../parts/plan/plan.ts';
import type { DrawnPlan, PlanOutline } from '../target/plan.ts';
import type { Phrase } from '../units/phrase.ts';
import type { Form, FormKind } from '../target/target.ts';

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
      return [[`${key}.length`, `${name} length`, plan.length], [`${key}.width`, `${name} width`, plan.width]]; // prettier-ignore
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
      return [[`${key}.points`, `${name}, longest`, drawnReach(plan)], ...(hasCorners(plan.points) ? [[`${key}.corner`, `${name} corner radius`, plan.corner] as const] : [])]; // prettier-ignore
  }
}

/** The cylinder or the mould that a sheet is bent over. */
function bendRows(bend: SheetBend): Row[] {
  const angle = ['bend.angle', 'Turned by, degrees', bend.angle, 'count'] as const;
  if ('diameter' in bend) return [['bend.diameter', 'Bent over, across', bend.diameter], ['bend.angle', 'Its axis at, degrees', bend.angle, 'count']]; // prettier-ignore
  const { rim, foot, depth } = bend.mould;
  return [...planRows('bend.mould.rim', rim), ...(foot ? planRows('bend.mould.foot', foot) : []), ['bend.mould.depth', 'Mould, deep', depth], angle]; // prettier-ignore
}

function rows(form: Form): Row[] {
  switch (form.kind) {
    case 'cylinder':
      return [['diameter', 'Across', form.diameter], ['height', 'Height', form.height]]; // prettier-ignore
    case 'taper':
      return [['rim', 'Rim across', form.rim], ['foot', 'Foot across', form.foot], ['height', 'Height', form.height]]; // prettier-ignore
    case 'stack':
      return form.profile.flatMap(([height, across], index): Row[] => [
        ...(index === 0 ? [] : [[`profile.${index}.0`, `Height ${index + 1}`, height] as const]),
        [`profile.${index}.1`, index === 0 ? 'Foot across' : `Across ${index + 1}`, across],
      ]);
    case 'oval':
    case 'box':
      return [['length', 'Length', form.length], ['width', 'Width', form.width], ['height', 'Height', form.height]]; // prettier-ignore
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
      return [['margin', 'Margin to trim', form.margin], ['flange', 'Flange left on, wet', form.flange ?? 0], ['cloth', 'Cloth between, thick', form.cloth ?? 0]]; // prettier-ignore
  }
}

/** Points of a drawn wall as heights and widths of the mould's section. */
function wallSizes(form: MouldForm): FormSize[] {
  return wallPoints(form).flatMap(({ index, up, across }): FormSize[] => [
    { key: `profile.${index}.0`, label: `Wall ${index}, up`, value: up, unit: 'length', put: (next) => withWallPoint(form, index, { up: next }) }, // prettier-ignore
    { key: `profile.${index}.1`, label: `Wall ${index}, across`, value: across, unit: 'length', put: (next) => withWallPoint(form, index, { across: next }) }, // prettier-ignore
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

/** Across an imported mould, along x, and its depth (mm). */
const meshSize = once((form: MeshForm) => {
  const reach = (axis: 0 | 1 | 2) => {
    const all = form.vertices.map((vertex) => vertex[axis]);
    return all.reduce((most, value) => Math.max(most, value), -Infinity) - all.reduce((least, value) => Math.min(least, value), Infinity); // prettier-ignore
  };
  return { rim: reach(0), foot: reach(0), height: reach(2) };
});

/** Rough size of any form: across rim and foot, and height (mm). */
export function roughSize(form: Form): { readonly rim: number; readonly foot: number; readonly height: number } {
  switch (form.kind) {
    case 'cylinder':
    case 'former':
      return { rim: form.diameter, foot: form.diameter, height: form.height };
    case 'taper':
    case 'facet':
      return form;
    case 'stack': {
      const [height, rim] = form.profile.at(-1) ?? [0, 0];
      return { rim, foot: form.profile[0]?.[1] ?? 0, height };
    }
    case 'oval':
    case 'box':
      return { rim: form.length, foot: form.length, height: form.height };
    case 'loft':
      return { rim: planReach(form.rim), foot: planReach(form.foot), height: form.height };
    case 'mould':
      return { rim: planReach(form.rim), foot: planReach(form.foot ?? form.rim), height: form.depth };
    case 'mesh':
      return meshSize(form);
    case 'sheet': {
      const box = bounds(form.outline);
      return { rim: box.maxX - box.minX, foot: box.maxX - box.minX, height: box.maxY - box.minY };
    }
    case 'stand': {
      const { back } = rollsOf(form);
      return { rim: 3 * back, foot: 3 * back, height: back };
    }
  }
}

/** A shallow oval tray over a hump, about as wide (mm); an imported mould begins with a file, not here. */
function newMould(across: number): Form {
  const plan = (share: number) => ({ kind: 'ellipse', length: share * across, width: 0.7 * share * across }) as const;
  return { kind: 'mould', rim: plan(1), foot: plan(0.75), depth: 0.12 * across, wall: 'curved', side: 'hump', margin: DEFAULT_BLANK_MARGIN }; // prettier-ignore
}

/** A leaf over a bottle, with two veins cut out of it (mm). */
function leafSheet(): Form {
  const leaf = (x: number, y: number, length: number, bulge: number): Outline => [[x, y - length / 2, bulge], [x, y + length / 2, bulge]]; // prettier-ignore
  return {
    kind: 'sheet',
    outline: leaf(0, 0, 170, 0.42),
    holes: [leaf(-14, 10, 44, 0.12), leaf(14, -6, 44, 0.12)],
    lines: [[[0, -70], [0, 70]]], // prettier-ignore
    bend: { diameter: 90, angle: 90 },
    feet: { count: 3, height: 6, diameter: 12 },
  };
}

/** A form of another kind of about the same size. */
export function formOfKind(kind: FormKind, from: Form): Form {
  const { rim, foot, height } = roughSize(from);
  const taper = rim === foot ? { rim: rim * 1.25, foot } : { rim, foot };
  switch (kind) {
    case 'cylinder':
      return { kind, diameter: rim, height };
    case 'taper':
      return { kind, ...taper, height };
    case 'stack':
      return { kind, profile: [[0, foot], [height / 2, 1.3 * Math.max(rim, foot)], [height, rim]] }; // prettier-ignore
    case 'oval':
    case 'box':
      return { kind, length: rim, width: rim * 0.7, height };
    case 'facet':
      return { kind, sides: 6, ...taper, height, fold: 'separate' };
    case 'loft':
      return {
        kind,
        rim: { kind: 'rounded', length: rim * 1.2, width: rim * 1.2, corner: rim * 0.25 },
        foot: { kind: 'circle', diameter: foot },
        height,
      };
    case 'former':
      return { kind, diameter: rim, sleeve: 1, height };
    case 'mould':
    case 'mesh':
      return newMould(Math.max(rim, 120));
    case 'sheet':
      return leafSheet();
    case 'stand':
      return {
        kind,
        device: { length: 150, width: 75, thickness: 12, mass: 210 },
        clearance: 2,
        lean: 18,
        roll: 46,
        across: 45,
      };
  }
}

/** A form's size in a few figures: `84 × 110`, `120 / 80 × 90` for a taper, `150 × 100 × 60` for an oval. */
export function sizePhrase(form: Form): Phrase {
  if (form.kind === 'oval' || form.kind === 'box') {
    return [{ mmPlain: form.length }, ' × ', { mmPlain: form.width }, ' × ', { mm: form.height }];
  }
  if (form.kind === 'stand') return ['for ', { mmPlain: form.device.length }, ' × ', { mm: form.device.thickness }];
  const { rim, foot, height } = roughSize(form);
  const across: Phrase = rim === foot ? [{ mmPlain: rim }] : [{ mmPlain: rim }, ' / ', { mmPlain: foot }];
  return [...across, ' × ', { mm: height }];
}
