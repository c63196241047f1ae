import { celsiusAt, gapsOf, peakOf, scheduleCurve, type CurvePoint } from '../../core/studio/kiln/schedule.ts';
import { seeded } from '../../core/seeded.ts';
import type { DeviceFault } from '../simulated.ts';
import { BEAT, simulatedController } from './simulatedController.ts';

const SEGMENTS = [
  { rate: 100, to: 600, hold: 0 },
  { rate: 150, to: 1000, hold: 20 },
  { rate: 120, to: 60, hold: 0 },
];

/** Fires the schedule with a clock that is turned by hand. */
function fired(fault: DeviceFault, beats = 400) {
  let beat: (() => void) | null = null;
  const controller = simulatedController({
    random: seeded(3),
    every: (ms, run) => {
      expect(ms).toBe(BEAT.ms);
      beat = run;
      return () => (beat = null);
    },
  });
  const told: string[] = [];
  const curve: CurvePoint[] = [];
  controller.on((event) => {
    if (event.kind === 'reading') curve.push(event.point);
    else told.push(event.kind);
  });
  controller.setFault(fault);
  controller.start(SEGMENTS);
  for (let at = 0; at < beats && beat; at += 1) (beat as () => void)();
  return { controller, told, curve };
}

describe('the kiln’s controller that is not there', () => {
  const schedule = scheduleCurve(SEGMENTS);

  it('follows its schedule with a lag, runs a little over the top, and ends', () => {
    const { controller, told, curve } = fired('none');
    expect(told).toEqual(['over']);
    expect(controller.running).toBe(false);
    const peak = peakOf(curve)?.celsius ?? 0;
    expect(peak).toBeGreaterThan(1000);
    expect(peak).toBeLessThan(1035);
    const off = curve.map(([at, celsius]) => Math.abs(celsius - celsiusAt(schedule, at)));
    expect(Math.max(...off)).toBeLessThan(45);
    expect(gapsOf(curve)).toEqual([]);
  });

  it('goes quiet and comes back where it drops out, and the gap is seen', () => {
    const { told, curve } = fired('drops out');
    expect(told.filter((one) => one === 'lost').length).toBeGreaterThan(0);
    expect(gapsOf(curve).length).toBe(told.filter((one) => one === 'lost').length);
  });

  it('scatters more with a weak battery', () => {
    const rough = (curve: readonly CurvePoint[]) =>
      curve
        .slice(2)
        .reduce(
          (sum, [, celsius], index) =>
            sum + Math.abs(celsius - 2 * (curve[index + 1]?.[1] ?? 0) + (curve[index]?.[1] ?? 0)),
          0,
        );
    expect(rough(fired('weak battery').curve)).toBeGreaterThan(2 * rough(fired('none').curve));
  });

  it('stops when it is told to', () => {
    const { controller, told, curve } = fired('none', 10);
    controller.stop();
    expect([controller.running, told, curve.length]).toEqual([false, [], 10]);
  });
});
