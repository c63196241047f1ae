import { curveText, readCurve } from './readCurve.ts';

it.each([
  [
    '0:00 20\n1:30 120',
    [
      [0, 20],
      [90, 120],
    ],
  ],
  [
    '0 20\r\n\r\n2.5 h, 180 °C\n',
    [
      [0, 20],
      [150, 180],
    ],
  ],
  [
    '0;20\n2,5;180,5',
    [
      [0, 20],
      [150, 180.5],
    ],
  ],
  [
    '0\t20\n10:05\t1222 C',
    [
      [0, 20],
      [605, 1222],
    ],
  ],
  ['', []],
])('%j is read', (text, curve) => {
  expect(readCurve(text)).toEqual({ kind: 'curve', curve });
});

it.each([
  ['0:00 20\nabout noon 300', 2],
  ['0:00 20\n\n0:00 30', 3],
  ['1:75 20', 1],
  ['1:00 2000', 1],
  ['1:00 -5', 1],
  ['120', 1],
])('%j is refused at its line', (text, line) => {
  expect(readCurve(text)).toMatchObject({ kind: 'fault', line });
});

it('what is written is read again', () => {
  const curve = Array.from({ length: 50 }, (_, index) => [index * 37, 20 + index * 24] as const);
  expect(readCurve(curveText(curve))).toEqual({ kind: 'curve', curve });
});
