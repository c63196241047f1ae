import { newTarget } from '../core/target/target.ts';
import { runCommand } from './commands.ts';
import { fakeStation } from './fakeStation.test.helper.ts';

const good = JSON.stringify(newTarget('Rack tumbler'));
const bad = (change: object) => JSON.stringify({ ...newTarget('Bad'), ...change });

describe('develop', () => {
  it('prints one line of JSON a file, in order, unrounded', async () => {
    const { station, printed } = fakeStation({ 'a.json': good, '-': good.replace('Rack', 'Short') });
    expect(await runCommand(['develop', 'a.json', '-'], station)).toBe(0);
    expect(printed).toHaveLength(2);
    const { numbers } = JSON.parse(printed[0] ?? '') as { numbers: { wrapLength: number } };
    expect(numbers.wrapLength).toBeCloseTo(Math.PI * (84 / 0.88 - 6), 10);
  });

  it.each([
    [
      'a negative height',
      bad({ form: { kind: 'cylinder', diameter: 84, height: -5 } }),
      /^x: form\.height: -5: must be/,
    ],
    ['shrinkage of 12', bad({ clay: { shrinkage: 12 } }), /^x: clay\.shrinkage: 12: must be from 0 to 0\.25/],
    ['an unknown key', bad({ glaze: 'celadon' }), /^x: glaze: "celadon": this key/],
    ['broken JSON', '{\n"format"', /^x: \(file\): .*is not JSON/],
    [
      'a wall thicker than the radius',
      bad({ slab: { wall: 40 }, form: { kind: 'cylinder', diameter: 40, height: 90 } }),
      /^x: slab\.wall: 40: must be less/,
    ],
  ])('refuses %s with exit code 2, one line, and prints nothing', async (_, text, line) => {
    const { station, printed, complained } = fakeStation({ x: text, y: good });
    expect(await runCommand(['develop', 'y', 'x'], station)).toBe(2);
    expect(printed).toEqual([]);
    expect(complained).toEqual([expect.stringMatching(line)]);
    expect(complained[0]).not.toContain('\n');
  });

  it('refuses a file that is not there', async () => {
    const { station, complained } = fakeStation({});
    expect(await runCommand(['develop', 'gone.json'], station)).toBe(2);
    expect(complained[0]).toMatch(/^gone\.json: .*cannot be read/);
  });
});

describe('dry', () => {
  const job = (change: object) =>
    JSON.stringify({ hours: 10, every: 4, parts: [{ id: 'wall', thickness: 6 }], ...change });

  it('prints one line a file: times, curve to the last hour, and the water that left', async () => {
    const model = { diffusivity: 1e-9, transfer: 1e-7, initial: 0.25, equilibrium: 0.05 };
    const { station, printed } = fakeStation({ a: job({}), b: job({ model }) });
    expect(await runCommand(['dry', 'a', 'b'], station)).toBe(0);
    const [room, plain] = printed.map((line) => JSON.parse(line) as { parts: { id: string; dry: number | null; lost: number; curve: number[][] }[] }); // prettier-ignore
    for (const [found, initial] of [[room, 0.27], [plain, 0.25]] as const) {
      const part = found?.parts[0];
      expect(part?.curve.map(([hour]) => hour)).toEqual([0, 4, 8, 10]);
      expect(part?.curve.at(-1)?.[1]).toBeCloseTo(initial - (part?.lost ?? 0), 9);
      expect(part?.dry).toBeNull();
    }
  }); // prettier-ignore

  it.each([
    ['no parts', job({ parts: [] }), /^x: parts: .*at least 1/],
    ['two parts of one name', job({ parts: [{ id: 'a', thickness: 5 }, { id: 'a', thickness: 5 }] }), /^x: parts\.1\.id: "a": must be given once/],
    ['no thickness', job({ parts: [{ id: 'a', thickness: 0 }] }), /^x: parts\.0\.thickness: 0: must be/],
    ['a curve without end', job({ hours: 10_000, every: 0.001 }), /^x: every: 0\.001: must be greater/],
    ['clay that takes up water', job({ model: { diffusivity: 1e-9, transfer: 1e-7, initial: 0.1, equilibrium: 0.2 } }), /^x: model\.equilibrium: 0\.2: must not/],
    ['a humidity in per cent', job({ air: { humidity: 55 } }), /^x: air\.humidity: 55: must be less than or equal to 1/],
  ])('refuses %s', async (_, text, line) => {
    const { station, complained } = fakeStation({ x: text });
    expect(await runCommand(['dry', 'x'], station)).toBe(2);
    expect(complained).toEqual([expect.stringMatching(line)]);
  }); // prettier-ignore
});

describe('plan', () => {
  const job = (change: object) => ({ id: 'a', steps: [{ id: 'roll', minutes: 20 }, { id: 'join', minutes: 15, least: 60, most: 150 }], ...change }); // prettier-ignore
  const task = (...jobs: object[]) => JSON.stringify({ hours: [[0, 240]], jobs });

  it('prints when each step is done, what is late and what is left, one line a file', async () => {
    const { station, printed } = fakeStation({ a: task(job({}), job({ id: 'b', due: 30 })), b: task(job({ steps: [{ id: 'roll', minutes: 300 }] })) }); // prettier-ignore
    expect(await runCommand(['plan', 'a', 'b'], station)).toBe(0);
    const [two, none] = printed.map((line) => JSON.parse(line) as object);
    expect(two).toMatchObject({ end: 115, late: ['b'], left: [] });
    expect(none).toMatchObject({ steps: [], end: 0, late: [], left: ['a'] });
  });

  it.each([
    ['hours that end before they begin', JSON.stringify({ hours: [[60, 0]], jobs: [job({})] }), /^x: hours\.0: \[60,0\]: must end/],
    ['two pieces of one name', task(job({}), job({})), /^x: jobs\.1\.id: "a": must be given once/],
    ['a window that closes before it opens', task(job({ steps: [{ id: 'a', minutes: 5 }, { id: 'b', minutes: 5, least: 9, most: 8 }] })), /^x: jobs\.0\.steps\.1\.most: 8: must not/],
    ['a step without minutes', task(job({ steps: [{ id: 'a' }] })), /^x: jobs\.0\.steps\.0\.minutes: /],
  ])('refuses %s', async (_, text, line) => {
    const { station, complained } = fakeStation({ x: text });
    expect(await runCommand(['plan', 'x'], station)).toBe(2);
    expect(complained).toEqual([expect.stringMatching(line)]);
  }); // prettier-ignore
});

describe('learn', () => {
  it('prints what a clay is learned from, and what was set aside, one line a file', async () => {
    const lines = [{ wet: 96, fired: 84.5 }, { wet: 120, fired: 105.6 }]; // prettier-ignore
    const pieces = ['a', 'a', 'b', 'b'].map((firing) => ({ firing, lines }));
    const slip = { firing: 'b', lines: [{ wet: 96, fired: 48 }, ...lines] };
    const { station, printed } = fakeStation({ a: JSON.stringify({ pieces: [...pieces, slip] }) });
    expect(await runCommand(['learn', 'a'], station)).toBe(0);
    const learnt = JSON.parse(printed[0] ?? '') as { shrinkage: { mean: number; low: number } };
    expect(learnt).toMatchObject({ neutralFraction: null, setAside: [{ piece: 4, line: 0, wet: 96, fired: 48 }] });
    expect(learnt.shrinkage.mean).toBeCloseTo(0.12, 3);
    expect(learnt.shrinkage.low).toBeLessThan(0.12);
  });

  it.each([
    ['nothing measured', {}, /^x: pieces: \[\]: must have something measured/],
    ['a length of nothing', { bars: [{ wet: 0, fired: 88 }] }, /^x: bars\.0\.wet: 0: must be/],
    ['a piece of no firing', { pieces: [{ lines: [] }] }, /^x: pieces\.0\.firing: /],
  ])('refuses %s', async (_, value, line) => {
    const { station, complained } = fakeStation({ x: JSON.stringify(value) });
    expect(await runCommand(['learn', 'x'], station)).toBe(2);
    expect(complained).toEqual([expect.stringMatching(line)]);
  }); // prettier-ignore
});

describe('load', () => {
  const outline = [[0, 0], [0, 50], [80, 50], [80, 0]]; // prettier-ignore
  const kiln = (change: object) => JSON.stringify({ shelves: [{ id: 'a', width: 170, depth: 60 }, { id: 'b', diameter: 100 }], clear: [100, 60], gap: 5, pieces: [{ id: 'dish', count: 3, outline, height: 40 }], ...change }); // prettier-ignore

  it('prints what stands where; an outline may run either way round', async () => {
    const { station, printed } = fakeStation({ a: kiln({}) });
    expect(await runCommand(['load', 'a'], station)).toBe(0);
    const { shelves, left } = JSON.parse(printed[0] ?? '') as { shelves: { id: string; placements: object[] }[]; left: object[] }; // prettier-ignore
    expect(shelves.map(({ id, placements }) => [id, placements.length])).toEqual([['a', 2], ['b', 1]]); // prettier-ignore
    expect(left).toEqual([]);
  });

  it.each([
    ['a shelf that is neither', { shelves: [{ id: 'a' }] }, /^x: shelves\.0: /],
    ['heights for other shelves', { clear: [1, 2, 3] }, /^x: clear: 3: must have one height for each of the 2/],
    ['an outline that crosses itself', { pieces: [{ id: 'x', outline: [[0, 0], [50, 50], [50, 0], [0, 40]], height: 40 }] }, /^x: pieces\.0\.outline: .*must not cross/],
    ['a point that stands twice', { pieces: [{ id: 'x', outline: [[0, 0], [50, 0], [50, 0], [0, 40]], height: 40 }] }, /^x: pieces\.0\.outline: /],
    ['two shelves of one name', { shelves: [{ id: 'a', diameter: 90 }, { id: 'a', diameter: 90 }] }, /^x: shelves\.1\.id: "a": must be given once/],
  ])('refuses %s', async (_, change, line) => {
    const { station, complained } = fakeStation({ x: kiln(change) });
    expect(await runCommand(['load', 'x'], station)).toBe(2);
    expect(complained).toEqual([expect.stringMatching(line)]);
  }); // prettier-ignore
});

describe('nest', () => {
  const square = [[0, 0], [50, 0], [50, 40], [0, 40]]; // prettier-ignore
  const job = (change: object) => JSON.stringify({ width: 210, gap: 5, parts: [{ id: 'panel', count: 4, outline: square, turns: 'half' }], ...change }); // prettier-ignore

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
    ['a turning that is not offered', job({ parts: [{ id: 'a', outline: square, turns: 'some' }] }), [], /must be any or half or none/], // prettier-ignore
    ['an outline of one point', job({ parts: [{ id: 'a', outline: [[0, 0]] }] }), [], /parts\.0\.outline/],
    ['an id given twice', job({ parts: [{ id: 'a', outline: square }, { id: 'a', outline: square }] }), [], /once only/], // prettier-ignore
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
    const result = JSON.parse(printed[0] ?? '') as { uv: [number, number][]; distortion: number; stretchMin: number; stretchMax: number; iterations: number; seconds: number }; // prettier-ignore
    expect(result.uv).toHaveLength(5);
    const side = (a: number, b: number) => Math.hypot((result.uv[a]?.[0] ?? 0) - (result.uv[b]?.[0] ?? 0), (result.uv[a]?.[1] ?? 0) - (result.uv[b]?.[1] ?? 0)); // prettier-ignore
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
