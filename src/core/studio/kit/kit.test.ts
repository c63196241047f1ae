import { greatestSlab, thicknesses, thicknessWay, type KitItem } from './kit.ts';

const stick = (thickness: number): KitItem => ({ kind: 'stick', name: `Sticks ${thickness}`, sizes: { thickness } });
const roller = (...settings: number[]): KitItem => ({
  kind: 'roller',
  name: 'Roller',
  sizes: { width: 500 },
  settings,
});

describe('what rolls a slab', () => {
  it.each<[string, KitItem[], number, [string, string, number | null]]>([
    ['sticks before a setting of the roller', [roller(6), stick(6)], 6, ['stick', 'Sticks 6', 6]],
    ['a setting where no sticks are as thick', [stick(5), roller(6)], 6, ['roller', 'Roller', 6]],
    ['the nearest below', [stick(5), stick(8)], 6, ['none', '', 5]],
    ['the nearest above', [stick(3), stick(7)], 6, ['none', '', 7]],
    ['of two as near the thinner', [stick(7), stick(5)], 6, ['none', '', 5]],
    ['nothing', [{ kind: 'board', name: 'Board', sizes: { length: 400, width: 300 } }], 6, ['none', '', null]],
  ])('%s', (_, kit, wanted, [kind, name, nearest]) => {
    expect(thicknessWay(kit, wanted)).toEqual({ kind, name, nearest });
  });

  it('lists every thickness from thin to thick', () => {
    expect(thicknesses([roller(9, 4), stick(6)]).map(({ thickness }) => thickness)).toEqual([4, 6, 9]);
  });
});

describe('the greatest slab', () => {
  const board = (length: number, width: number): KitItem => ({
    kind: 'board',
    name: 'Board',
    sizes: { length, width },
  });
  it.each<[string, KitItem[], [number, number] | null]>([
    ['none without board and roller', [stick(6)], null],
    ['of the larger board', [board(400, 300), board(600, 250)], [600, 250]],
    ['no wider than the roller', [board(900, 700), roller(6)], [900, 500]],
  ])('is %s', (_, kit, size) => {
    const slab = greatestSlab(kit);
    expect(slab && [slab.length, slab.width]).toEqual(size);
  });
});
