import { inflateSync } from 'node:zlib';
import sharp from 'sharp';
import { newTarget } from '../core/target/target.ts';
import { readHpgl } from '../core/files/plot/readHpgl.ts';
import { runCommand } from './commands.ts';
import { fakeStation } from './fakeStation.test.helper.ts';

const good = JSON.stringify(newTarget('Rack tumbler'));

/** A packed stream of a PDF as text; empty where it holds something else. */
function inflated(text: string): string {
  try {
    return inflateSync(Buffer.from(text, 'latin1')).toString('latin1');
  } catch {
    return '';
  }
}

describe('sheet', () => {
  it('writes every format and prints the paths; two pieces of one name do not overwrite one another', async () => {
    const { station, printed, written } = fakeStation({ a: good, b: good });
    expect(await runCommand(['sheet', 'a', 'b', '--out', 'out', '--paper', 'letter'], station)).toBe(0);
    const names = ['rack-tumbler', 'rack-tumbler-2'].flatMap((stem) =>
      ['pdf', 'svg', 'dxf'].map((end) => `out/${stem}.${end}`),
    );
    expect(printed).toEqual([...names, 'out/summary.json']);
    expect([...written.keys()]).toEqual([...names, 'out/summary.json']);
    const { designs } = JSON.parse(Buffer.from(written.get('out/summary.json') ?? []).toString()) as {
      designs: { pages: number; parts: { width: number }[] }[];
    };
    expect(designs.map(({ pages, parts }) => [pages, parts.length, parts[0]?.width])).toEqual(
      Array.from({ length: 2 }, () => [2, 2, expect.closeTo(281.03, 1)]),
    );
    expect(
      Buffer.from(written.get('out/rack-tumbler.pdf') ?? [])
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-');
  });

  it('takes a folder, and writes a picture and a plot file at true size', async () => {
    const { station, written } = fakeStation({ 'shelf/a.fawn.json': good });
    expect(
      await runCommand(['sheet', 'shelf', '--formats', 'png,plt', '--dpi', '100', '--offset', '0.5'], station),
    ).toBe(0);
    const { width, density } = await sharp(Buffer.from(written.get('./rack-tumbler.png') ?? [])).metadata();
    expect(density).toBe(100);
    // The wall of 281.03 mm with its underside 6 mm further to the right, and 10 mm on both sides.
    expect((width * 25.4) / 100).toBeGreaterThan(301);
    const plot = readHpgl(Buffer.from(written.get('./rack-tumbler.plt') ?? []).toString());
    expect(plot.kind === 'lines' && plot.lines.length).toBe(2);
  });

  it('draws thin lines half as wide in every format that has a width, and in the same places', async () => {
    const widthsOf = async (...more: string[]) => {
      const { station, written } = fakeStation({ a: good });
      expect(await runCommand(['sheet', 'a', '--formats', 'pdf,svg', ...more], station)).toBe(0);
      const bytes = (name: string) => Buffer.from(written.get(`./rack-tumbler.${name}`) ?? []);
      const svg = bytes('svg').toString();
      const streams = bytes('pdf')
        .toString('latin1')
        .split('stream\n')
        .filter((_, at) => at % 2 === 1);
      const pdf = streams.flatMap((one) =>
        [...inflated(one).matchAll(/([\d.]+) w\n/g)].map(([, width]) => Number(width)),
      );
      return {
        svg: [...svg.matchAll(/stroke-width: ([\d.]+)/g)].map(([, width]) => Number(width)),
        pdf: [...new Set(pdf)].sort(),
        lines: svg.replace(/<style>[^]*<\/style>/, ''),
      };
    };
    const [usual, thin] = [await widthsOf(), await widthsOf('--thin')];
    expect(usual.pdf.length).toBeGreaterThan(1);
    for (const kind of ['svg', 'pdf'] as const)
      expect(thin[kind]).toEqual(usual[kind].map((width) => expect.closeTo(width / 2, 6) as number));
    expect(thin.lines).toBe(usual.lines);
  });

  it('writes a card and templates for each name of a class, and says how much paper and clay that takes', async () => {
    const { station, written, printed } = fakeStation({
      a: good,
      'names.csv': '\uFEFFName,Table\r\n"Ann, the elder",1\r\n\r\nBo,2\r\n',
    });
    expect(await runCommand(['sheet', 'a', '--formats', 'svg', '--class', 'names.csv'], station)).toBe(0);
    expect(printed).toEqual(['./rack-tumbler.svg', './class.pdf', './summary.json']);
    const summary = JSON.parse(Buffer.from(written.get('./summary.json') ?? []).toString()) as {
      class: { clay: number };
    };
    // Two names, a card and two pages of template each. The wall of 281 x 119 and the base of 95.5 across, both 6 thick.
    expect(summary.class).toMatchObject({ names: 2, sheets: 6 });
    expect(
      Math.abs(summary.class.clay / 2 / (((281.03 * 119 + (Math.PI / 4) * 95.4545 ** 2) * 6 * 1.9) / 1000) - 1),
    ).toBeLessThan(0.03);
    expect(
      (
        Buffer.from(written.get('./class.pdf') ?? [])
          .toString('latin1')
          .match(/\/Type \/Page\b/g) ?? []
      ).length,
    ).toBe(6);
  });

  it.each([
    [['sheet', 'a', '--paper', 'a0'], /--paper: a0/],
    [['sheet', 'a', '--formats', 'svg,bmp'], /--formats: bmp/],
    [['sheet', 'a', '--units', 'ell'], /--units: ell/],
    [['sheet', 'a', '--class', 'gone.csv'], /--class: gone\.csv: cannot be read/],
    [['sheet', 'a', '--printer', '0.97'], /--printer: 0\.97: must be two figures/],
    [['sheet', 'a', '--printer', '0.97x7'], /--printer/],
    [['sheet', 'a', '--dpi', '9000'], /--dpi: 9000: must be from 36 to 1200/],
    [['sheet', 'a', '--offset', ''], /--offset: : must be from 0 to 5/],
    [['sheet', 'a', '--colour'], /--colour/],
    [['sheet'], /Fawn Table, the command line/],
    [['bake', 'a'], /Fawn Table, the command line/],
    [[], /Fawn Table, the command line/],
  ])('refuses the call %j and writes nothing', async (args, words) => {
    const { station, written, complained } = fakeStation({ a: good });
    expect(await runCommand(args, station)).toBe(2);
    expect(written.size).toBe(0);
    expect(complained.join('\n')).toMatch(words);
  });

  it('writes nothing when one of the files is bad', async () => {
    const { station, written } = fakeStation({ a: good, b: '{' });
    expect(await runCommand(['sheet', 'a', 'b'], station)).toBe(2);
    expect(written.size).toBe(0);
  });

  it('prints its help', async () => {
    const { station, printed } = fakeStation({});
    expect(await runCommand(['--help'], station)).toBe(0);
    expect(printed[0]).toMatch(/develop FILE/);
  });
});
