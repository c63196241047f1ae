import DxfParser from 'dxf-parser';
import type { Outline } from '../../geometry/outline/outline.ts';
import { develop } from '../../piece/develop.ts';
import { rollUp } from '../../piece/rollUp.test.helper.ts';
import { cylinderOf, randomTarget, targetWith } from '../../piece/targets.test.helper.ts';
import { seeded } from '../../seeded.ts';
import { sheetOf } from '../sheet/sheet.ts';
import { writeDxf } from './dxf.ts';
import { fileStem } from './fileStem.ts';
import { pathData } from './pathData.ts';
import { writeSvg, xmlText } from './svg.ts';

interface Polyline {
  readonly type: string;
  readonly layer: string;
  readonly shape: boolean;
  readonly vertices: readonly { x: number; y: number; bulge?: number }[];
}

const readDxf = (text: string) => {
  const file = new DxfParser().parseSync(text);
  if (!file) throw new Error('the DXF reader found nothing');
  return file;
};
const outlineOf = (line: Polyline): Outline => line.vertices.map(({ x, y, bulge }) => [x, y, bulge ?? 0]);
const sheetFor = (target: ReturnType<typeof targetWith>) =>
  sheetOf(target.name, develop(target).parts, { style: { unit: 'mm' } });

describe('DXF', () => {
  it('opens in a reader: R2000, mm, one closed line a part on CUT, words and marks apart', () => {
    const file = readDxf(writeDxf(sheetFor(targetWith({ base: { join: 'mitre', trim: 0 } }))));
    const entities = file.entities as unknown as Polyline[];
    const cut = entities.filter(({ layer }) => layer === 'CUT');
    expect(file.header['$ACADVER']).toBe('AC1015');
    expect(file.header['$INSUNITS']).toBe(4);
    expect(cut.map(({ type, shape }) => [type, shape])).toEqual([
      ['LWPOLYLINE', true],
      ['LWPOLYLINE', true],
    ]);
    expect(new Set(entities.map(({ layer }) => layer))).toEqual(new Set(['CUT', 'MARK', 'LEAN', 'TEXT']));
    expect(cut[1]?.vertices.map(({ bulge }) => bulge)).toEqual([1, 1]);
  });

  it('read back and rolled up gives the target within 0.001 mm, for 60 random targets', () => {
    const random = seeded(11);
    for (let index = 0; index < 60; index += 1) {
      const target = randomTarget(random);
      const { parts } = develop(target);
      const entities = readDxf(writeDxf(sheetFor(target))).entities as unknown as Polyline[];
      const cut = entities.filter(({ layer }) => layer === 'CUT').map(outlineOf);
      const read = parts.map(({ id, leans }, at) => ({ id, leans, outline: cut[at] ?? [] }));
      const made = rollUp(target, read);
      const s = target.size.state === 'fired' ? target.clay.shrinkage : 0;
      const across = (target.size.face === 'outside' ? made.outside : made.inside) * (1 - s);
      expect(Math.abs(across - cylinderOf(target).diameter)).toBeLessThan(0.001);
      expect(Math.abs(made.height * (1 - s) - cylinderOf(target).height)).toBeLessThan(0.001);
    }
  });

  it('gives every object a handle of its own, below the seed', () => {
    const rows = writeDxf(sheetFor(targetWith())).split('\n');
    const handles = rows.filter((_, at) => at % 2 === 1 && rows[at - 1]?.trim() === '5');
    const [seed, ...used] = handles.map((handle) => parseInt(handle, 16));
    expect(new Set(used).size).toBe(used.length);
    expect(Math.max(...used)).toBeLessThan(seed ?? 0);
  });

  it('writes a name in any script as plain ASCII', () => {
    const text = writeDxf(sheetOf('Tüte\n茶', develop(targetWith()).parts, { style: { unit: 'mm' } }));
    expect([...text].every((sign) => sign.charCodeAt(0) < 128)).toBe(true);
    expect(() => readDxf(text)).not.toThrow();
  });
});

describe('SVG', () => {
  it('has its size in mm with a matching viewBox and a group for each part', () => {
    const sheet = sheetFor(targetWith());
    const svg = writeSvg(sheet);
    const [, width, height, box] = /width="([\d.]+)mm" height="([\d.]+)mm" viewBox="0 0 ([\d. ]+)"/.exec(svg) ?? [];
    expect(box).toBe(`${width} ${height}`);
    expect(Number(width)).toBeCloseTo(sheet.width, 5);
    expect(svg.match(/<g id="part-(wall|base)">/g)).toHaveLength(2);
    expect(svg.match(/<path class="cut"/g)).toHaveLength(2);
  });

  it('writes the cut line in true mm, arcs as arcs', () => {
    const svg = writeSvg(sheetFor(targetWith()));
    const xs = [...(/class="cut" d="([^"]+)"/.exec(svg)?.[1] ?? '').matchAll(/[ML]([\d.]+) /g)].map(([, x]) =>
      Number(x),
    );
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(develop(targetWith()).numbers.wrapLength ?? NaN, 5);
    expect(svg).toMatch(/A47\.727273 47\.727273 0 0 0/);
  });

  it('cannot be broken out of by a name', () => {
    const svg = writeSvg(
      sheetOf('</title><script>x</script>\u0007', develop(targetWith()).parts, { style: { unit: 'mm' } }),
    );
    expect(svg).not.toMatch(/<script/);
    expect(xmlText('a<b>&"c"\u0000')).toBe('a&lt;b&gt;&amp;&quot;c&quot;');
  });
});

describe('small writers', () => {
  it.each([
    ['Rack tumbler', 'rack-tumbler'],
    ['../../etc/passwd', 'etc-passwd'],
    ['Tüte, größer', 'tute-groer'],
    ['茶', 'piece'],
  ])('names the file of %s %s', (name, stem) => {
    expect(fileStem(name)).toBe(stem);
  });

  it('scales and turns path data for the screen', () => {
    const outline: Outline = [
      [0, 0, 0],
      [10, 0, 0],
      [10, 5, 0],
    ];
    expect(pathData(outline, { scale: 2, origin: [100, 100] })).toBe('M100 100L120 100L120 90L100 100Z');
  });
});
