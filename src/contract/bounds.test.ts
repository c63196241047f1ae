import { faultLine, shortValue } from '../core/errors.ts';
import { newTarget } from '../core/target/target.ts';
import { boundsFault, BOUNDS } from './bounds.ts';
import { plainName } from './plainName.ts';
import { readTarget, readTargetText } from './targetSchema.ts';

const nested = (depth: number): unknown => JSON.parse(`${'['.repeat(depth)}${']'.repeat(depth)}`) as unknown;

describe('bounds of what comes in', () => {
  it.each<[string, unknown, string | undefined, RegExp]>([
    ['a plain target', newTarget('x'), undefined, /x/],
    ['brackets thirty thousand deep', nested(30_000), '0.0.0.0.0.0.0.0.0.0.0.0', /at most 12 deep/],
    [
      'a hundred thousand keys',
      Object.fromEntries(Array.from({ length: 100_000 }, (_, key) => [key, 1])),
      '',
      /at most 60 keys/,
    ],
    [
      'a list of a million',
      { form: { vertices: Array.from({ length: 1_000_000 }, () => 1) } },
      'form.vertices',
      /at most 40000 entries/,
    ],
    [
      'too many values in all',
      Array.from({ length: 30 }, () => Array.from({ length: 39_000 }, () => 1)),
      '',
      /too many values/,
    ],
    ['a key of every object', JSON.parse('{"clay":{"__proto__":{"x":1}}}'), 'clay.__proto__', /not known here/],
    ['a text as long as a book', { name: 'x'.repeat(100_000) }, 'name', /at most 4000 characters/],
  ])('%s', (_, value, path, rule) => {
    const fault = boundsFault(value);
    expect(fault?.path.startsWith(path ?? '\u0000')).toBe(path === undefined ? undefined : true);
    if (fault) expect(fault.rule).toMatch(rule);
  });

  it('stops at the first hundred faults, and tells long values short', () => {
    const places = Array.from({ length: 300 }, () => ({ kind: 'spout', at: 'left' }));
    const reading = readTarget({ ...newTarget('x'), marks: { places }, extra: 1 });
    expect(reading.kind === 'faults' && reading.faults.length).toBeLessThanOrEqual(100);
    expect(shortValue(Array.from({ length: BOUNDS.entries }, () => 'x'))).toBe('a list of 40000');
    expect(shortValue('y'.repeat(1_000_000)).length).toBeLessThanOrEqual(60);
    const mesh = {
      ...newTarget('x'),
      form: {
        kind: 'mesh',
        vertices: Array.from({ length: 20_000 }, () => [0, 0, 'up']),
        triangles: [[0, 1, 2]],
        side: 'hump',
        margin: 0,
      },
    };
    const wrong = readTarget(mesh);
    expect(wrong.kind === 'faults' && wrong.faults.map(({ path, rule }) => [path, rule])).toEqual([
      ['form.vertices', 'entry 0 must be three figures'],
    ]);
  });
});

describe('names', () => {
  it.each([
    ['Rack tumbler', 'Rack tumbler'],
    ['  two   spaces ', 'two spaces'],
    ['red\u001b[31m', 'red [31m'],
    ['evil\u202egpj.exe', 'evil gpj.exe'],
    ['in\u200bvisible', 'in visible'],
    ['Κούπα чашка 茶碗', 'Κούπα чашка 茶碗'],
    ['क्षमा', 'क्षमा'],
  ])('%j is kept as %j', (given, kept) => {
    expect(plainName(given)).toBe(kept);
    const reading = readTarget({ ...newTarget('x'), name: given });
    expect(reading.kind === 'target' && reading.target.name).toBe(kept);
  });

  it('of nothing that is seen is refused, and no message moves a terminal', () => {
    const reading = readTarget({ ...newTarget('x'), name: '\u200b\u0007' });
    expect(reading.kind === 'faults' && reading.faults[0]?.rule).toBe('must not be empty');
    const bad = readTargetText(JSON.stringify({ ...newTarget('x'), ['\u001b[2J']: 1 }));
    if (bad.kind !== 'faults') throw new Error('it was read');
    // eslint-disable-next-line no-control-regex
    for (const fault of bad.faults) expect(faultLine(fault)).not.toMatch(/[\u0000-\u001f\u202e]/);
  });
});
