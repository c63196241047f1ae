import { chamberFaults } from './chamber.ts';
import type { FiringShelf } from './keptFiring.ts';

const KILN = { name: 'Shed kiln', length: 500, width: 450, height: 420 };
const low: FiringShelf = { id: '1', name: 'Low', width: 480, depth: 420, clear: 180 };

it.each<readonly [string, readonly FiringShelf[], readonly unknown[]]>([
  ['two that just fit', [low, { ...low, id: '2', clear: 200 }], []],
  [
    'two that are a millimetre too high',
    [low, { ...low, id: '2', clear: 201 }],
    [{ kind: 'high', stands: 421, chamber: 420 }],
  ],
  ['one that lies the other way round', [{ ...low, width: 420, depth: 480 }], []],
  ['one that is too long', [{ ...low, width: 501 }], [{ kind: 'wide', shelf: 'Low' }]],
  ['one that is too deep', [{ ...low, depth: 455 }], [{ kind: 'wide', shelf: 'Low' }]],
  [
    'a round one that is wider than the chamber',
    [{ id: '3', name: 'Round', diameter: 460, clear: 100 }],
    [{ kind: 'wide', shelf: 'Round' }],
  ],
])('shelves: %s', (_, shelves, faults) => {
  expect(chamberFaults(KILN, shelves)).toEqual(faults);
});

it('says nothing of a kiln that is not told', () =>
  expect(chamberFaults(undefined, [{ ...low, width: 9999 }])).toEqual([]));
