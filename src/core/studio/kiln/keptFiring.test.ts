import { checkFiring, insideOf, leftOver, openedAt, USUAL_SEGMENTS, type KeptFiring } from './keptFiring.ts';
import { celsiusAt, gapsOf, peakOf, scheduleCurve } from './schedule.ts';

const piece = { making: 'a', piece: 0, number: 1 };
const FIRING: KeptFiring = {
  name: 'Galley, first',
  kind: 'bisque',
  day: '2026-11-02',
  cone: '06',
  segments: USUAL_SEGMENTS.bisque,
  curve: [
    [0, 20],
    [30, 80],
  ],
  witness: [{ cone: '06', state: 'down' }],
  gap: 5,
  shelves: [
    { id: 'top', name: 'Top', width: 400, depth: 300, clear: 120 },
    { id: 'low', name: 'Low', diameter: 380, clear: 120 },
  ],
  wanted: [piece, { ...piece, number: 2 }],
  placed: [{ ...piece, shelf: 'top', x: 100, y: 100, turn: 0 }],
  opened: null,
  note: '',
};

describe('a firing', () => {
  it('is kept as it is, and says what is left', () => {
    expect(checkFiring(FIRING)).toEqual([]);
    expect(leftOver(FIRING)).toEqual([{ ...piece, number: 2 }]);
  });

  it.each<readonly [string, Partial<KeptFiring>]>([
    ['name', { name: '' }],
    ['day', { day: '2026-02-30' }],
    ['segments.0.rate', { segments: [{ rate: 0, to: 100, hold: 0 }] }],
    ['segments.0.to', { segments: [{ rate: 100, to: 2000, hold: 0 }] }],
    [
      'curve.1',
      {
        curve: [
          [10, 20],
          [10, 30],
        ],
      },
    ],
    ['shelves', { shelves: [FIRING.shelves[0], FIRING.shelves[0]] as KeptFiring['shelves'] }],
    ['shelves.0.clear', { shelves: [{ id: 'top', name: '', diameter: 300, clear: 0 }] }],
    ['placed.0.shelf', { placed: [{ ...piece, shelf: 'none', x: 0, y: 0, turn: 0 }] }],
    ['wanted', { wanted: [piece, piece] }],
    ['price', { price: -1 }],
    ['kiln.height', { kiln: { name: 'Shed kiln', length: 500, width: 450, height: 0 } }],
  ])('is refused at %s', (path, change) => {
    expect(checkFiring({ ...FIRING, ...change }).map((fault) => fault.path)).toEqual([path]);
  });
});

describe('what is in a firing', () => {
  const second = { ...piece, number: 2 };
  it.each<readonly [string, Partial<KeptFiring>, readonly number[]]>([
    ['what stands, while it is packed', {}, [1]],
    ['all that was written down, where nothing is placed', { placed: [] }, [1, 2]],
    ['all of it once it was opened', { opened: '2026-11-03T17:30:00.000Z' }, [1, 2]],
  ])('is %s', (_, change, numbers) => {
    expect(insideOf({ ...FIRING, ...change }).map(({ number }) => number)).toEqual(numbers);
  });

  it('leaves the rest for the next when it is opened, and takes what is added after that', () => {
    const opened = openedAt(FIRING, '2026-11-03T17:30:00.000Z');
    expect(opened.wanted).toEqual([piece]);
    expect(checkFiring(opened)).toEqual([]);
    expect(insideOf({ ...opened, wanted: [...opened.wanted, second] })).toEqual([piece, second]);
  });
});

describe('a schedule', () => {
  // 100 °C/h from 20 to 120: an hour; held for half an hour; 50 °C/h down to 70: an hour.
  const curve = scheduleCurve([
    { rate: 100, to: 120, hold: 30 },
    { rate: 50, to: 70, hold: 0 },
  ]);

  it('takes the time that its rates and holds come to', () =>
    expect(curve).toEqual([
      [0, 20],
      [60, 120],
      [90, 120],
      [150, 70],
    ]));

  it.each([
    [-5, 20],
    [0, 20],
    [30, 70],
    [75, 120],
    [120, 95],
    [400, 70],
  ])('is at minute %d at %d °C', (at, celsius) => {
    expect(celsiusAt(curve, at)).toBeCloseTo(celsius, 9);
  });

  it('has its peak, and gaps where nothing was read', () => {
    expect(peakOf(curve)).toEqual({ celsius: 120, minutes: 60 });
    expect(peakOf([])).toBeNull();
    expect(
      gapsOf([
        [0, 20],
        [10, 30],
        [60, 90],
        [70, 95],
      ]),
    ).toEqual([[10, 60]]);
  });
});
