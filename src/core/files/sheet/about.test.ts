import { writeDxf } from '../format/dxf.ts';
import { writeSvg } from '../format/svg.ts';
import { develop } from '../../piece/develop.ts';
import { type Form, newTarget, type Target } from '../../target/target.ts';
import { level, targetWith } from '../../piece/targets.test.helper.ts';
import { aboutTemplate } from './about.ts';
import { bounds } from '../../geometry/outline/outline.ts';
import { PAPER_ID, type Part } from '../../parts/part/part.ts';
import { pieceFromArc } from '../../studio/reverse/arcTemplate.ts';
import { pagesOf } from './pages.ts';
import { sheetOf } from './sheet.ts';
import { templateParts } from './templateParts.ts';
import { titleWords } from './words.ts';

const MM = { unit: 'mm' } as const;
const textsOf = (target: Target) => {
  const { parts } = develop(target);
  const about = aboutTemplate(target, MM, 7);
  const printed = templateParts(target, parts);
  const pages = pagesOf(printed, { name: target.name, paper: 'a4', style: MM, about });
  const sheet = sheetOf(target.name, printed, { style: MM, about });
  return {
    pdf: pages.map(({ layers }) =>
      layers.flatMap(({ items }) => items.flatMap((item) => (item.kind === 'text' ? [item.text] : []))).join('\n'),
    ),
    svg: writeSvg(sheet),
    dxf: writeDxf(sheet),
  };
};

describe('what every template says', () => {
  it.each<[string, Target, readonly RegExp[]]>([
    ['a tumbler', targetWith({ clay: { name: 'Siding buff' } }), [/Siding buff shrinks 12.0 %/, /slant, 45/]],
    ['a lap', targetWith({ seam: { kind: 'lap', overlap: 12, panels: 1 } }), [/lay one end 12.0 mm over the other/]],
    [
      'cut in place',
      targetWith({ seam: { kind: 'cut-in-place', margin: 15, panels: 1 } }),
      [/wrap, then cut both layers on a slant/],
    ],
    [
      'a former',
      targetWith({ form: { kind: 'former', diameter: 76, sleeve: 0.5, height: 104 } as never }),
      [/for a former of 76.0 mm with a sleeve of 0.5 mm/],
    ],
    [
      'a mould',
      level({
        kind: 'mould',
        rim: { kind: 'circle', diameter: 200 },
        depth: 20,
        wall: 'dome',
        side: 'hump',
        margin: 10,
      }),
      [/for a hump mould 200.0 mm across/],
    ],
  ])('stands on %s, in PDF, SVG and DXF', (_, target, wanted) => {
    const { pdf, svg, dxf } = textsOf(target);
    const all = [
      /revision 7/,
      /Slab 6.0 mm: rolled to that at any scale/,
      /You see its inside; the outside lies on the table/,
      ...wanted,
    ];
    for (const words of all) {
      expect(pdf.some((page) => words.test(page))).toBe(true);
      expect(svg).toMatch(words);
    }
    // In a DXF what lies beyond ASCII is written by its code.
    expect(dxf).toMatch(/revision 7/);
    expect(pdf.every((page) => /revision 7/.test(page))).toBe(true);
  });

  it('a mould’s trim line is one line with arcs, closed where no dart breaks it', () => {
    const form: Form = {
      kind: 'mould',
      rim: { kind: 'circle', diameter: 200 },
      depth: 30,
      wall: 'dome',
      side: 'hump',
      margin: 15,
    };
    const trims = (darts: { at: number; depth: number }[]) => {
      const [part] = develop(level({ ...form, darts })).parts;
      return (part?.marks ?? []).flatMap((mark) => (mark.kind === 'path' && mark.name === 'overlap' ? [mark] : []));
    };
    const [whole, ...others] = trims([]);
    expect(others).toEqual([]);
    expect(whole?.closed).toBe(true);
    expect(whole?.outline.length).toBeLessThan(40);
    expect(whole?.outline.some(([, , bulge]) => bulge > 0.01)).toBe(true);
    expect(
      trims([
        { at: 0, depth: 30 },
        { at: 180, depth: 30 },
      ]).map(({ closed }) => closed),
    ).toEqual([false, false]);
    const words = develop(level({ ...form, darts: [{ at: 0, depth: 30 }] })).parts[0]?.marks.flatMap((mark) =>
      mark.kind === 'words' ? [mark.text] : [],
    );
    expect(words?.join()).toMatch(/\d+\.\d wide, (2[89]|30)\.\d deep/);
  });

  it('the feet of a sheet are told by their letters, wet, with the face that they go on', () => {
    const form: Form = {
      kind: 'sheet',
      outline: [
        [-60, -20, 0],
        [60, -20, 0],
        [60, 20, 0],
        [-60, 20, 0],
      ],
      bend: { diameter: 96, angle: 90 },
      feet: { count: 3, height: 6, diameter: 11 },
    };
    const sheet = (faceUp: 'inside' | 'outside'): Target => ({
      ...newTarget('Sheet'),
      slab: { wall: 4, base: 4, neutralFraction: 0.5, faceUp },
      form,
    });
    for (const [faceUp, face] of [
      ['inside', 'the face on the table'],
      ['outside', 'the face you see'],
    ] as const) {
      const { pdf, svg } = textsOf(sheet(faceUp));
      const words = new RegExp(
        `Feet on the outside, ${face}[^:]*: A \\d+\\.\\d mm, B \\d+\\.\\d mm, C \\d+\\.\\d mm long, 12\\.5 mm across`,
      );
      expect([words.test(svg), words.test(pdf.join('\n').replaceAll('\n', ' '))]).toEqual([true, true]);
    }
    const letters = develop(sheet('inside')).parts[0]?.marks.flatMap((mark) =>
      mark.kind === 'words' ? [mark.text] : [],
    );
    expect(letters).toEqual(expect.arrayContaining(['A', 'B', 'C']));
  });

  it('a former’s sleeve is a part of paper, and lines show where the true wrap of a wall cut in place ends', () => {
    const cup = targetWith({
      form: { kind: 'former', diameter: 76, sleeve: 0.5, height: 104 } as never,
      seam: { kind: 'cut-in-place', margin: 15, panels: 1 },
    });
    const { parts } = develop(cup);
    const all = templateParts(cup, parts);
    const paper = all.find(({ id }) => id === PAPER_ID) as Part;
    expect(all).toHaveLength(parts.length + 1);
    const box = bounds(paper.outline);
    expect(box.maxX - box.minX).toBeCloseTo(Math.PI * 76.5 + 15, 6);
    expect(titleWords(paper)).toBe('Sleeve paper, cut 1');
    // It is no clay: the piece weighs the same, and the wall is the only one on its slab.
    expect(parts.some(({ id }) => id === PAPER_ID)).toBe(false);
    const about = aboutTemplate(cup, MM, null);
    expect(about.of(paper).join(' ')).toMatch(/0\.5 mm thick, not clay/);
    expect(about.of(paper).join(' ')).not.toMatch(/Slab|Roll/);
    const wall = parts.find(({ id }) => id === 'wall') as Part;
    const lines = wall.marks.flatMap((mark) => (mark.kind === 'line' && mark.name === 'overlap' ? [mark.from[0]] : []));
    const wrap = develop({ ...cup, seam: { kind: 'butt', panels: 1 } }).numbers.wrapLength ?? 0;
    expect(lines).toHaveLength(2);
    expect((lines[1] ?? 0) - (lines[0] ?? 0)).toBeCloseTo(wrap, 6);
    expect(lines[0]).toBeCloseTo(15, 6);
    // Without a sleeve there is no paper.
    expect(
      templateParts({ ...cup, form: { kind: 'former', diameter: 76, sleeve: 0, height: 104 } }, parts),
    ).toHaveLength(parts.length);
  });

  it('the way to trace a wall with the template that is owned is printed on it', () => {
    const found = pieceFromArc({ inner: 201.5, outer: 300.1, sweep: 100 }, 'rim', targetWith());
    if (found.kind !== 'made') throw new Error(found.rule);
    const { svg, pdf } = textsOf({ ...found.target, owned: { inner: 201.5, outer: 300.1, sweep: 78 } });
    for (const words of [
      /Traced with your template of radii 201\.5 mm and 300\.1 mm, 78\.0°/,
      /2\. Slide it on along its own arcs by 115\.\d mm/,
      /2 starts/,
    ]) {
      expect(svg).toMatch(words);
      expect(pdf.join(' ').replaceAll('\n', ' ')).toMatch(words);
    }
  });

  it('the grooves of a strip are told with their angles, and which face they are on', () => {
    const strip: Form = { kind: 'facet', sides: 6, rim: 80, foot: 80, height: 90, fold: 'strip' };
    const words = (faceUp: 'inside' | 'outside') =>
      develop(level(strip, { slab: { faceUp } }))
        .parts[0]?.marks.flatMap((mark) => (mark.kind === 'words' ? [mark.text] : []))
        .join();
    expect(words('inside')).toMatch(/V-grooves: 60.0°, 30.0° to each side/);
    expect(words('outside')).toMatch(/V-grooves on the other face: 60.0°/);
    expect(develop(level(strip)).numbers.groove).toBeCloseTo(60, 9);
  });
});
