import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { DEFAULT_FEET } from '../core/target/feet.ts';
import { DEFAULT_HANDLE } from '../core/target/handle.ts';
import { DEFAULT_LID } from '../core/target/lid.ts';
import { newTarget } from '../core/target/target.ts';
import { randomTarget } from '../core/piece/targets.test.helper.ts';
import { seeded } from '../core/seeded.ts';
import { KIT, KIT_KINDS } from '../core/studio/kit/kit.ts';
import { ERRORS } from './errors.ts';
import { readNestJob } from './nestSchema.ts';
import { readTarget, readTargetText } from './targetSchema.ts';

const plain = JSON.parse(JSON.stringify(newTarget('Rack tumbler'))) as Record<string, unknown>;
const faultsOf = (value: unknown) => {
  const reading = readTarget(value);
  return reading.kind === 'faults' ? reading.faults.map(({ path, code }) => `${path} ${code}`) : [];
};

describe('readTarget', () => {
  it('reads a whole target unchanged', () => {
    const random = seeded(3);
    for (let index = 0; index < 100; index += 1) {
      const target = randomTarget(random);
      expect(readTarget(JSON.parse(JSON.stringify(target)))).toEqual({ kind: 'target', target });
    }
  });

  it('fills in every default', () => {
    const { format, version, name, form } = plain;
    expect(readTarget({ format, version, name, form })).toEqual({ kind: 'target', target: newTarget('Rack tumbler') });
  });

  it('fills in what a handle, feet and a lid leave out', () => {
    const reading = readTarget({ ...plain, handle: { kind: 'strap', fingers: 1 }, feet: {}, lid: { kind: 'cap' } });
    expect(reading).toMatchObject({
      kind: 'target',
      target: { handle: { ...DEFAULT_HANDLE, fingers: 1 }, feet: DEFAULT_FEET, lid: { ...DEFAULT_LID, kind: 'cap' } },
    });
  });

  it.each([
    ['nothing', undefined, ' missing'],
    ['a list', [], ' wrong-type'],
    ['an unknown key', { ...plain, colour: 'green' }, 'colour unknown-key'],
    ['an unknown key deep down', { ...plain, clay: { shrinkage: 0.1, grog: 1 } }, 'clay.grog unknown-key'],
    ['another format', { ...plain, format: 'something' }, 'format not-offered'],
    ['a newer version', { ...plain, version: 2, whatever: 1 }, 'version newer-version'],
    ['no version', { ...plain, version: undefined }, 'version missing'],
    [
      'a figure as text',
      { ...plain, form: { kind: 'cylinder', diameter: '84', height: 110 } },
      'form.diameter wrong-type',
    ],
    ['a form that is not built', { ...plain, form: { kind: 'spiral' } }, 'form.kind not-offered'],
    ['an angle of a butt seam', { ...plain, seam: { kind: 'butt', angle: 45 } }, 'seam.angle unknown-key'],
    ['shrinkage in percent', { ...plain, clay: { shrinkage: 12 } }, 'clay.shrinkage out-of-range'],
    [
      'a negative height',
      { ...plain, form: { kind: 'cylinder', diameter: 84, height: -1 } },
      'form.height out-of-range',
    ],
    [
      'a wall thicker than the radius',
      { ...plain, slab: { wall: 40 }, form: { kind: 'cylinder', diameter: 50, height: 90 } },
      'slab.wall impossible-piece',
    ],
    ['a handle of no kind', { ...plain, handle: { fingers: 2 } }, 'handle.kind missing'],
    ['a lid of another kind', { ...plain, lid: { kind: 'bung' } }, 'lid.kind not-offered'],
    ['a handle with a key too many', { ...plain, handle: { kind: 'strap', colour: 1 } }, 'handle.colour unknown-key'],
    ['two pads', { ...plain, feet: { count: 2 } }, 'feet.count out-of-range'],
    ['an empty name', { ...plain, name: '' }, 'name wrong-type'],
    ['a face that is none', { ...plain, slab: { faceUp: 'top' } }, 'slab.faceUp not-offered'],
  ])('refuses %s', (_, value, fault) => {
    expect(faultsOf(value)).toContain(fault);
  });

  it('names every fault at once, in words with value and rule', () => {
    const reading = readTarget({ ...plain, colour: 1, rim: 'wavy' });
    expect(reading.kind === 'faults' && reading.faults).toEqual(
      expect.arrayContaining([
        { code: 'unknown-key', path: 'colour', value: '1', rule: 'this key is not known here' },
        { code: 'not-offered', path: 'rim', value: '"wavy"', rule: 'must be square or level' },
      ]),
    );
  });

  it.each(['{"format":', 'not json', ''])('refuses broken JSON: %s', (text) => {
    const reading = readTargetText(text);
    expect(reading.kind === 'faults' && reading.faults[0]?.code).toBe('unreadable');
  });
});

describe('the error catalogue', () => {
  const files = (folder: string): string[] =>
    readdirSync(folder, { withFileTypes: true }).flatMap((entry) =>
      entry.isDirectory() ? files(join(folder, entry.name)) : [join(folder, entry.name)],
    );
  const server = files('src/server')
    .filter((file) => !file.includes('.test.'))
    .map((file) => readFileSync(file, 'utf8'));
  const docs = readFileSync('docs/format.md', 'utf8');

  it.each(Object.entries(ERRORS))('%s is used, documented and says what to do', (code, { status, message, todo }) => {
    expect(server.some((text) => text.includes(`'${code}'`))).toBe(true);
    expect(docs).toMatch(new RegExp(`\\| \`${code}\`\\s+\\| ${status}\\s`));
    expect(message.length * todo.length).toBeGreaterThan(0);
  });
});

describe('docs/format.md', () => {
  const docs = readFileSync('docs/format.md', 'utf8');

  it.each(KIT_KINDS)('lists the sizes of a %s', (kind) => {
    const row = new RegExp(`^\\| \`${kind}\` +\\| ([^|]*[^ |]) +\\|$`, 'm').exec(
      docs.slice(docs.indexOf('`sizes` of a thing')),
    );
    expect(row?.[1]).toBe(KIT[kind].sizes.map(({ key }) => `\`${key}\``).join(', '));
  });

  it('has a nesting job that can be read', () => {
    const example = /```json\n(.*?)```/s.exec(docs.slice(docs.indexOf('## Nesting')))?.[1] ?? '';
    expect(readNestJob(JSON.parse(example))).toMatchObject({ kind: 'job', job: { width: 400, gap: 3 } });
  });
});
