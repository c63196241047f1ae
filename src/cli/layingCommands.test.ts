import { runCommand } from './commands.ts';
import { fakeStation } from './fakeStation.test.helper.ts';

describe('load', () => {
  const outline = [
    [0, 0],
    [0, 50],
    [80, 50],
    [80, 0],
  ];
  const kiln = (change: object) =>
    JSON.stringify({
      shelves: [
        { id: 'a', width: 170, depth: 60 },
        { id: 'b', diameter: 100 },
      ],
      clear: [100, 60],
      gap: 5,
      pieces: [{ id: 'dish', count: 3, outline, height: 40 }],
      ...change,
    });

  it('prints what stands where; an outline may run either way round', async () => {
    const { station, printed } = fakeStation({ a: kiln({}) });
    expect(await runCommand(['load', 'a'], station)).toBe(0);
    const { shelves, left } = JSON.parse(printed[0] ?? '') as {
      shelves: { id: string; placements: object[] }[];
      left: object[];
    };
    expect(shelves.map(({ id, placements }) => [id, placements.length])).toEqual([
      ['a', 2],
      ['b', 1],
    ]);
    expect(left).toEqual([]);
  });

  it.each([
    ['a shelf that is neither', { shelves: [{ id: 'a' }] }, /^x: shelves\.0: /],
    ['heights for other shelves', { clear: [1, 2, 3] }, /^x: clear: 3: must have one height for each of the 2/],
    [
      'an outline that crosses itself',
      {
        pieces: [
          {
            id: 'x',
            outline: [
              [0, 0],
              [50, 50],
              [50, 0],
              [0, 40],
            ],
            height: 40,
          },
        ],
      },
      /^x: pieces\.0\.outline: .*must not cross/,
    ],
    [
      'a point that stands twice',
      {
        pieces: [
          {
            id: 'x',
            outline: [
              [0, 0],
              [50, 0],
              [50, 0],
              [0, 40],
            ],
            height: 40,
          },
        ],
      },
      /^x: pieces\.0\.outline: /,
    ],
    [
      'two shelves of one name',
      {
        shelves: [
          { id: 'a', diameter: 90 },
          { id: 'a', diameter: 90 },
        ],
      },
      /^x: shelves\.1\.id: "a": must be given once/,
    ],
  ])('refuses %s', async (_, change, line) => {
    const { station, complained } = fakeStation({ x: kiln(change) });
    expect(await runCommand(['load', 'x'], station)).toBe(2);
    expect(complained).toEqual([expect.stringMatching(line)]);
  });
});

describe('nest', () => {
  const square = [
    [0, 0],
    [50, 0],
    [50, 40],
    [0, 40],
  ];
  const job = (change: object) =>
    JSON.stringify({
      width: 210,
      gap: 5,
      parts: [{ id: 'panel', count: 4, outline: square, turns: 'half' }],
      ...change,
    });

  it('prints the layout of every copy, in either direction of the outline', async () => {
    for (const outline of [square, [...square].reverse()]) {
      const text = job({ parts: [{ id: 'panel', count: 3, outline, turns: 'none' }] });
      const { station, printed } = fakeStation({ 'job.json': text });
      expect(await runCommand(['nest', 'job.json', '--seconds', '0.1'], station)).toBe(0);
      const found = JSON.parse(printed[0] ?? '') as { used: number; utilisation: number; placements: object[] };
      expect(found.used).toBeCloseTo(40, 6);
      expect(found.utilisation).toBeCloseTo((3 * 2000) / (210 * found.used), 9);
      expect(found.placements).toHaveLength(3);
      expect(found).toHaveProperty('seconds');
    }
  });

  it.each([
    ['broken JSON', '{', [], /is not JSON/],
    ['an unknown key', job({ colour: 1 }), [], /colour: .* not known/],
    ['a part wider than the slab', job({ width: 30 }), [], /wider than the slab/],
    [
      'a turning that is not offered',
      job({ parts: [{ id: 'a', outline: square, turns: 'some' }] }),
      [],
      /must be any or half or none/,
    ],
    ['an outline of one point', job({ parts: [{ id: 'a', outline: [[0, 0]] }] }), [], /parts\.0\.outline/],
    [
      'an id given twice',
      job({
        parts: [
          { id: 'a', outline: square },
          { id: 'a', outline: square },
        ],
      }),
      [],
      /once only/,
    ],
    ['seconds that are none', job({}), ['--seconds', 'soon'], /--seconds: soon/],
    ['a file that is not there', undefined, [], /cannot be read/],
  ] as const)('refuses %s', async (_, text, more, words) => {
    const { station, printed, complained } = fakeStation(text === undefined ? {} : { x: text });
    expect(await runCommand(['nest', 'x', ...more], station)).toBe(2);
    expect(printed).toEqual([]);
    expect(complained.join('\n')).toMatch(words);
  });
});

describe('flatten', () => {
  const tent = 'v 0 0 0\nv 100 0 0\nv 100 80 0\nv 0 80 0\nv 50 40 20\nf 1 2 5\nf 2 3 5\nf 3 4 5\nf 4 1 5\n';

  it('prints where every vertex lies, in the order of the file, with what the clay must do', async () => {
    const { station, printed } = fakeStation({ 'tent.obj': tent });
    expect(await runCommand(['flatten', 'tent.obj'], station)).toBe(0);
    const result = JSON.parse(printed[0] ?? '') as {
      uv: [number, number][];
      distortion: number;
      stretchMin: number;
      stretchMax: number;
      iterations: number;
      seconds: number;
    };
    expect(result.uv).toHaveLength(5);
    const side = (a: number, b: number) =>
      Math.hypot(
        (result.uv[a]?.[0] ?? 0) - (result.uv[b]?.[0] ?? 0),
        (result.uv[a]?.[1] ?? 0) - (result.uv[b]?.[1] ?? 0),
      );
    // The sides of a tent are longer than its ground, and alike on opposite sides.
    expect(side(0, 1)).toBeCloseTo(side(2, 3), 6);
    expect(side(0, 2)).toBeGreaterThan(Math.hypot(100, 80));
    expect(result.distortion).toBeGreaterThan(0);
    expect(result.distortion).toBeLessThan(0.05);
    expect(result.stretchMin).toBeLessThan(1);
    expect(result.stretchMax).toBeGreaterThan(1);
  });

  it('lays the middle of a thick slab flat: larger over a hump than in a hollow', async () => {
    const across = async (side: string) => {
      const { station, printed } = fakeStation({ 'tent.obj': tent });
      await runCommand(['flatten', 'tent.obj', '--thickness', '8', '--side', side], station);
      const { uv } = JSON.parse(printed[0] ?? '') as { uv: [number, number][] };
      return Math.hypot((uv[0]?.[0] ?? 0) - (uv[2]?.[0] ?? 0), (uv[0]?.[1] ?? 0) - (uv[2]?.[1] ?? 0));
    };
    expect(await across('hump')).toBeGreaterThan(await across('slump'));
  });

  it.each([
    [['flatten', 'tent.obj', '--thickness', '99'], /--thickness: 99: must be from 0 to 40/],
    [['flatten', 'tent.obj', '--side', 'top'], /--side: top: must be hump or slump/],
    [['flatten', 'none.obj'], /none\.obj: .*no such file/],
    [['flatten', 'text.obj'], /text\.obj: has no vertices/],
    [['flatten', 'two.obj', 'tent.obj'], /Fawn Table, the command line/],
  ])('%j is refused', async (args, words) => {
    const { station, printed, complained } = fakeStation({ 'tent.obj': tent, 'text.obj': 'nothing here' });
    expect(await runCommand(args, station)).toBe(2);
    expect(complained.join('\n')).toMatch(words);
    expect(printed).toEqual([]);
  });
});
