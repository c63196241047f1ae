import { plotDifference, plotLength } from './plotDifference.ts';

const square = [
  [0, 0],
  [10, 0],
  [10, 10],
  [0, 10],
  [0, 0],
] as const;

describe('how far a cut is from its file', () => {
  it.each([
    ['the same line', [square], [square], 0],
    [
      'more points on the same line',
      [
        [
          [0, 0],
          [4, 0],
          [10, 0],
        ],
      ],
      [
        [
          [0, 0],
          [10, 0],
        ],
      ],
      0,
    ],
    [
      'a line beside it',
      [
        [
          [0, 0.3],
          [10, 0.3],
        ],
      ],
      [
        [
          [0, 0],
          [10, 0],
        ],
      ],
      0.3,
    ],
    [
      'a line too short',
      [
        [
          [0, 0],
          [7, 0],
        ],
      ],
      [
        [
          [0, 0],
          [10, 0],
        ],
      ],
      3,
    ],
    [
      'a line that is missing',
      [square],
      [
        square,
        [
          [20, 0],
          [20, 5],
        ],
      ],
      Math.hypot(10, 0),
    ],
    ['nothing', [], [square], Infinity],
  ] as [string, [number, number][][], [number, number][][], number][])('%s', (_, cut, wanted, off) => {
    expect(plotDifference(cut, wanted)).toBeCloseTo(off, 9);
    expect(plotDifference(wanted, cut)).toBeCloseTo(off, 9);
  });

  it('is measured along all lines', () =>
    expect(
      plotLength([
        square,
        [
          [0, 0],
          [3, 4],
        ],
      ]),
    ).toBe(45));
});
