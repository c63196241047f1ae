import { DEFAULT_FRICTION, type StandForm } from '../../target/standForm.ts';
import { sizesOf } from '../kind/formSize.ts';
import type { FormKindWork } from '../kind/kind.ts';
import { acrossOf, rollsOf } from './stand.ts';
import { standWork } from './standWork.ts';

/** A rolled strip that holds a device. */
export const standKind: FormKindWork<StandForm> = {
  ...standWork,
  words: {
    title: 'a rolled stand',
    why: 'A strip rolled from both ends, for a phone or a card.',
    piece: 'stand',
  },
  traits: { ofTool: true, cornered: true },
  ranges: () => [],
  sizes: (form) =>
    sizesOf(form, [
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
    ]),
  rough: (form) => {
    const { back } = rollsOf(form);
    return { rim: 3 * back, foot: 3 * back, height: back };
  },
  fresh: () => ({
    kind: 'stand',
    device: { length: 150, width: 75, thickness: 12, mass: 210 },
    clearance: 2,
    lean: 18,
    roll: 46,
    across: 45,
  }),
};
