import { developWhole } from '../core/piece/develop.ts';
import { newTarget } from '../core/target/target.ts';
import { plotSheet } from '../core/files/plot/plotSheet.ts';
import { seeded } from '../core/seeded.ts';
import { printerFinding } from '../core/studio/printer/printerCheck.ts';
import { sheetOf } from '../core/files/sheet/sheet.ts';
import { CUTTER_BED, simulatedCutter, type CutSheet } from './cutter/simulatedCutter.ts';
import type { MakerEvent } from './maker.ts';
import { simulatedPrinter, type SheetLengths } from './printer/simulatedPrinter.ts';
import type { Ground } from './simulated.ts';

function ground(seed = 1): Ground & { run: () => void } {
  const runs = new Set<() => void>();
  return {
    random: seeded(seed),
    every: (_, run) => {
      runs.add(run);
      return () => runs.delete(run);
    },
    run: () => {
      for (let beat = 0; beat < 10_000 && runs.size > 0; beat += 1) for (const run of [...runs]) run();
    },
  };
}
const PLOT = plotSheet(sheetOf('x', developWhole(newTarget('Rack tumbler')).parts, { style: { unit: 'mm' } }), 0);

describe('a cutter that is not there', () => {
  const sent = (file: string, fault: Parameters<ReturnType<typeof simulatedCutter>['setFault']>[0] = 'none') => {
    const own = ground();
    const cutter = simulatedCutter(own);
    const heard: MakerEvent<CutSheet>[] = [];
    cutter.on((event) => heard.push(event));
    cutter.setFault(fault);
    cutter.send(file);
    own.run();
    expect([cutter.simulated, cutter.running]).toEqual([true, false]);
    return heard;
  };

  it('tells how far it is, then what it cut and that it is true', () => {
    const heard = sent(PLOT);
    const shares = heard.flatMap((event) => (event.kind === 'progress' ? [event.part] : []));
    expect(shares).toEqual([...shares].sort((one, other) => one - other));
    expect(shares.length).toBeGreaterThan(10);
    const last = heard.at(-1);
    if (last?.kind !== 'done') throw new Error('it was not done');
    // A wall of 281.03 x 119 and a base of 95.45 across.
    expect(last.made.length).toBeCloseTo(2 * (281.03 + 119) + Math.PI * 95.4545, 0);
    expect(last.made.lines).toHaveLength(2);
    expect(last.made.off).toBeLessThan(0.1);
  });

  it('whose belt slips says that the sheet is not true; one that falls silent is told', () => {
    const last = sent(PLOT, 'belt slips').at(-1);
    expect(last?.kind === 'done' && last.made.off).toBeGreaterThan(1);
    expect(sent(PLOT, 'falls silent').at(-1)).toEqual({ kind: 'lost' });
  });

  it.each([
    ['what is no plot file', 'G1 X10;', /“G1 X10” is not a command/],
    ['a file without lines', 'IN;PU;', /nothing to cut/],
    [
      'what is larger than its bed',
      `IN;PU0,0;PD0,${40 * 700},${40 * 700},0,0,0;`,
      new RegExp(`takes ${CUTTER_BED.width} × `),
    ],
  ])('refuses %s', (_, file, rule) =>
    expect(sent(file)).toEqual([{ kind: 'refused', rule: expect.stringMatching(rule) as string }]),
  );

  it('that is stopped tells nothing more', () => {
    const own = ground();
    const cutter = simulatedCutter(own);
    const heard: MakerEvent<CutSheet>[] = [];
    const end = cutter.on((event) => heard.push(event));
    cutter.send(PLOT);
    cutter.stop();
    own.run();
    expect(heard).toEqual([]);
    end();
    cutter.send(PLOT);
    own.run();
    expect(heard).toEqual([]);
  });
});

describe('a printer that is not there', () => {
  it('prints lengths at its scale, from which the check finds it', () => {
    const own = ground(3);
    const printer = simulatedPrinter(own);
    const heard: MakerEvent<SheetLengths>[] = [];
    printer.on((event) => heard.push(event));
    for (const scale of [
      { short: 0.973, long: 0.991 },
      { short: 1, long: 1 },
      { short: 1.02, long: 0.98 },
    ]) {
      printer.setScale(scale);
      printer.send({ short: 150, long: 200 });
      own.run();
      const last = heard.at(-1);
      if (last?.kind !== 'done') throw new Error('it was not done');
      const found = printerFinding({ across: last.made.short, up: last.made.long });
      if (found.kind === 'misread') throw new Error('misread');
      expect([found.scale.short, found.scale.long]).toEqual([
        expect.closeTo(scale.short, 2),
        expect.closeTo(scale.long, 2),
      ]);
    }
  });
});
