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
    const [room, plain] = printed.map(
      (line) => JSON.parse(line) as { parts: { id: string; dry: number | null; lost: number; curve: number[][] }[] },
    );
    for (const [found, initial] of [
      [room, 0.27],
      [plain, 0.25],
    ] as const) {
      const part = found?.parts[0];
      expect(part?.curve.map(([hour]) => hour)).toEqual([0, 4, 8, 10]);
      expect(part?.curve.at(-1)?.[1]).toBeCloseTo(initial - (part?.lost ?? 0), 9);
      expect(part?.dry).toBeNull();
    }
  });

  it.each([
    ['no parts', job({ parts: [] }), /^x: parts: .*at least 1/],
    [
      'two parts of one name',
      job({
        parts: [
          { id: 'a', thickness: 5 },
          { id: 'a', thickness: 5 },
        ],
      }),
      /^x: parts\.1\.id: "a": must be given once/,
    ],
    ['no thickness', job({ parts: [{ id: 'a', thickness: 0 }] }), /^x: parts\.0\.thickness: 0: must be/],
    ['a curve without end', job({ hours: 10_000, every: 0.001 }), /^x: every: 0\.001: must be greater/],
    [
      'clay that takes up water',
      job({ model: { diffusivity: 1e-9, transfer: 1e-7, initial: 0.1, equilibrium: 0.2 } }),
      /^x: model\.equilibrium: 0\.2: must not/,
    ],
    [
      'a humidity in per cent',
      job({ air: { humidity: 55 } }),
      /^x: air\.humidity: 55: must be less than or equal to 1/,
    ],
  ])('refuses %s', async (_, text, line) => {
    const { station, complained } = fakeStation({ x: text });
    expect(await runCommand(['dry', 'x'], station)).toBe(2);
    expect(complained).toEqual([expect.stringMatching(line)]);
  });
});

describe('plan', () => {
  const job = (change: object) => ({
    id: 'a',
    steps: [
      { id: 'roll', minutes: 20 },
      { id: 'join', minutes: 15, least: 60, most: 150 },
    ],
    ...change,
  });
  const task = (...jobs: object[]) => JSON.stringify({ hours: [[0, 240]], jobs });

  it('prints when each step is done, what is late and what is left, one line a file', async () => {
    const { station, printed } = fakeStation({
      a: task(job({}), job({ id: 'b', due: 30 })),
      b: task(job({ steps: [{ id: 'roll', minutes: 300 }] })),
    });
    expect(await runCommand(['plan', 'a', 'b'], station)).toBe(0);
    const [two, none] = printed.map((line) => JSON.parse(line) as object);
    expect(two).toMatchObject({ end: 115, late: ['b'], left: [] });
    expect(none).toMatchObject({ steps: [], end: 0, late: [], left: ['a'] });
  });

  it.each([
    [
      'hours that end before they begin',
      JSON.stringify({ hours: [[60, 0]], jobs: [job({})] }),
      /^x: hours\.0: \[60,0\]: must end/,
    ],
    ['two pieces of one name', task(job({}), job({})), /^x: jobs\.1\.id: "a": must be given once/],
    [
      'a window that closes before it opens',
      task(
        job({
          steps: [
            { id: 'a', minutes: 5 },
            { id: 'b', minutes: 5, least: 9, most: 8 },
          ],
        }),
      ),
      /^x: jobs\.0\.steps\.1\.most: 8: must not/,
    ],
    ['a step without minutes', task(job({ steps: [{ id: 'a' }] })), /^x: jobs\.0\.steps\.0\.minutes: /],
  ])('refuses %s', async (_, text, line) => {
    const { station, complained } = fakeStation({ x: text });
    expect(await runCommand(['plan', 'x'], station)).toBe(2);
    expect(complained).toEqual([expect.stringMatching(line)]);
  });
});

describe('learn', () => {
  it('prints what a clay is learned from, and what was set aside, one line a file', async () => {
    const lines = [
      { wet: 96, fired: 84.5 },
      { wet: 120, fired: 105.6 },
    ];
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
  });
});
