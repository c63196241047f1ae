import { develop } from '../../core/piece/develop.ts';
import { newTarget } from '../../core/target/target.ts';
import { randomTarget } from '../../core/piece/targets.test.helper.ts';
import { seeded } from '../../core/seeded.ts';
import { aboutTemplate } from '../../core/files/sheet/about.ts';
import { writeTemplate, type TemplateOptions } from '../writeTemplate.ts';
import { arcPoints, checkedAgainst, sizeOfLine, type CutSize } from './cutSize.ts';
import { readDxfCuts, readPlotCuts, readSvgCuts } from './readBack.ts';
import { readPdfCuts } from './readPdf.ts';

const optionsOf = (name: string): TemplateOptions => ({ name, paper: 'a4', style: { unit: 'mm' } });
const CUP = newTarget('Rack tumbler');
const { parts: PARTS } = develop(CUP);

describe('files that are read back', () => {
  it.each<readonly ['svg' | 'dxf' | 'plt', (text: string) => CutSize[], number]>([
    // The middle of a half circle is not well known by its ends and radius, to six decimals.
    ['svg', readSvgCuts, 0.05],
    ['dxf', readDxfCuts, 0.005],
    ['plt', readPlotCuts, 0.05],
  ])('%s measures what was developed, for 40 made-up pieces', async (format, read, within) => {
    const random = seeded(23);
    for (let index = 0; index < 40; index += 1) {
      const { parts } = develop(randomTarget(random));
      const file = await writeTemplate(parts, format, optionsOf('x'));
      const checked = checkedAgainst(parts, read(file.toString('latin1')));
      expect(checked?.map(({ id }) => id)).toEqual(parts.map(({ id }) => id));
      for (const { off } of checked ?? []) expect(off).toBeLessThan(within);
    }
  });

  it('a PDF measures it on every page, and what a printer that is not true makes of it', async () => {
    const random = seeded(29);
    const scale = { short: 0.973, long: 0.991 };
    for (let index = 0; index < 3; index += 1) {
      const { parts } = develop(randomTarget(random));
      // Written only where it measures right; here it is asked that it does.
      for (const printer of [undefined, { name: 'Office printer', paper: 'a4' as const, scale }]) {
        const file = await writeTemplate(parts, 'pdf', { ...optionsOf('x'), ...(printer && { printer }) });
        const cuts = readPdfCuts(file, () => [1, 1]);
        expect(cuts.every((page) => page.length > 0)).toBe(true);
      }
    }
  });

  it('say so, in hundredths of a millimetre', async () => {
    const about = aboutTemplate(CUP, { unit: 'mm' }, 3);
    const svg = (await writeTemplate(PARTS, 'svg', { ...optionsOf('x'), about })).toString();
    expect(svg).toContain('Checked: 281.03 × 119.00 mm in this file, off by 0.00.');
    expect(svg).toMatch(/Checked: 95\.4[4-6] × 95\.4[4-6] mm in this file, off by 0\.0[01]\./);
  });
});

describe('what is off', () => {
  const sizes = (by: number, lines = 2) =>
    PARTS.slice(0, lines).map(({ outline }) =>
      sizeOfLine(
        outline.flatMap(([x, y, bulge], index) => {
          const [a = 0, b = 0] = outline[(index + 1) % outline.length] ?? [];
          return arcPoints([by * x, by * y], [by * a, by * b], { bulge });
        }),
      ),
    );

  it('is nothing at true size, and more than is allowed at a thousandth more', () => {
    expect(checkedAgainst(PARTS, sizes(1))?.every(({ off }) => off < 0.01)).toBe(true);
    expect(checkedAgainst(PARTS, sizes(1.001))?.every(({ off }) => off < 0.1)).toBe(false);
    expect(checkedAgainst(PARTS, sizes(0.999))?.[0]?.off).toBeCloseTo(0.281, 2);
  });

  it('is told of a line that is not there', () => expect(checkedAgainst(PARTS, sizes(1, 1))).toBeNull());

  it('is seen in each file whose figures were changed', async () => {
    const svg = (await writeTemplate(PARTS, 'svg', optionsOf('x'))).toString();
    const wider = svg.replace(/class="cut" d="M([\d.]+) /, (_, x: string) => `class="cut" d="M${Number(x) - 0.4} `);
    expect(checkedAgainst(PARTS, readSvgCuts(wider))?.[0]?.off).toBeGreaterThan(0.3);
    const dxf = (await writeTemplate(PARTS, 'dxf', optionsOf('x'))).toString();
    expect(checkedAgainst(PARTS, readDxfCuts(dxf.replaceAll('LWPOLYLINE', 'POINT')))).toBeNull();
    const plt = (await writeTemplate(PARTS, 'plt', optionsOf('x'))).toString();
    expect(
      checkedAgainst(PARTS, readPlotCuts(plt.replace(/PD(\d+),/, (_, x: string) => `PD${Number(x) + 40},`)))?.some(
        ({ off }) => off > 0.1,
      ),
    ).toBe(true);
  });
});
