import { MM_PER_INCH } from '../core/numbers.ts';
import { seeded } from '../core/seeded.ts';
import { readMass } from '../core/units/mass.ts';
import { readLength } from '../core/units/readLength.ts';
import { simulatedCaliper } from './caliper/simulatedCaliper.ts';
import type { DeviceEvent, DeviceKind } from './device.ts';
import { simulatedHygrometer } from './hygrometer/simulatedHygrometer.ts';
import { SCALE_MOST, simulatedScale } from './scale/simulatedScale.ts';
import { DEVICE_FAULTS, type Ground } from './simulated.ts';

/** A ground whose clock is moved by hand: `beat` runs everything that is due once. */
function ground(seed = 1): Ground & { beat: (times?: number) => void } {
  const runs = new Set<() => void>();
  return {
    random: seeded(seed),
    every: (_, run) => {
      runs.add(run);
      return () => runs.delete(run);
    },
    beat: (times = 1) => {
      for (let time = 0; time < times; time += 1) for (const run of runs) run();
    },
  };
}
const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const spread = (values: readonly number[]) => Math.sqrt(mean(values.map((value) => (value - mean(values)) ** 2)));

describe.each([
  ['caliper', simulatedCaliper],
  ['scale', simulatedScale],
  ['hygrometer', simulatedHygrometer],
] as const)('a stand-in: %s', (kind, make) => {
  it('says that it is simulated, reads while it is open, and no longer', async () => {
    const own = ground();
    const device = make(own);
    const heard: DeviceEvent<DeviceKind>[] = [];
    const end = device.on((event) => heard.push(event));
    own.beat(3);
    expect([device.kind, device.simulated, device.read(), heard.length]).toEqual([kind, true, null, 0]);
    await device.open();
    await device.open();
    own.beat(3);
    expect(heard.map((event) => event.kind)).toEqual(['reading', 'reading', 'reading']);
    expect(device.read()?.text).toMatch(/\d/);
    device.take();
    expect(heard.at(-1)).toEqual({ kind: 'taken', reading: device.read() });
    await device.close();
    own.beat(3);
    device.take();
    expect([device.read(), heard.length]).toEqual([null, 4]);
    await device.open();
    end();
    own.beat();
    expect(heard).toHaveLength(4);
  });

  it('tells a weak battery once, and when it goes quiet and comes back', async () => {
    const own = ground(5);
    const device = make(own);
    const heard: string[] = [];
    device.on((event) => heard.push(event.kind === 'battery' ? `battery ${event.low}` : event.kind));
    await device.open();
    for (const fault of DEVICE_FAULTS) device.setFault(fault);
    expect(heard).toEqual(['battery true', 'battery false']);
    own.beat(400);
    const [lost, back] = ['lost', 'back'].map((one) => heard.filter((event) => event === one).length);
    expect(lost).toBeGreaterThan(3);
    expect(Math.abs((lost ?? 0) - (back ?? 0))).toBeLessThanOrEqual(1);
    // Between being lost and being back there is no reading.
    const events = heard.filter((event) => !event.startsWith('battery'));
    events.forEach((event, at) => event === 'lost' && at + 1 < events.length && expect(events[at + 1]).toBe('back'));
    device.setFault('none');
    own.beat(2);
    expect(device.read()).not.toBeNull();
  });
});

describe('the caliper', () => {
  it('closes on what lies between its jaws, scatters by a hundredth, and is read as it is shown in both units', async () => {
    const own = ground();
    const device = simulatedCaliper(own);
    await device.open();
    device.setJaws(83.42);
    own.beat();
    expect(device.read()?.steady).toBe(false);
    own.beat(20);
    const values = Array.from({ length: 400 }, () => (own.beat(), device.read()?.value ?? NaN));
    expect(mean(values)).toBeCloseTo(83.42, 2);
    expect(spread(values)).toBeGreaterThan(0.006);
    expect(spread(values)).toBeLessThan(0.015);
    for (const unit of ['in', 'mm']) {
      expect(device.turnUnit()).toBe(unit);
      own.beat();
      const reading = device.read();
      const read = readLength(reading?.text ?? '', 'inch');
      expect(read.kind === 'length' && read.mm).toBeCloseTo(reading?.value ?? NaN, 9);
      expect(Math.abs((reading?.value ?? NaN) - 83.42)).toBeLessThan(0.06 + MM_PER_INCH * 0.0005);
    }
    device.setFault('weak battery');
    const weak = Array.from({ length: 200 }, () => (own.beat(), device.read()?.value ?? NaN));
    expect(spread(weak)).toBeGreaterThan(0.1);
  });

  it('holds, and begins at zero where it is told to', async () => {
    const own = ground();
    const device = simulatedCaliper(own);
    await device.open();
    device.setJaws(20);
    own.beat(10);
    device.zero();
    own.beat();
    expect(Math.abs(device.read()?.value ?? NaN)).toBeLessThan(0.06);
    device.setJaws(50);
    own.beat(12);
    expect(device.read()?.value).toBeCloseTo(30, 0);
    expect(device.hold()).toBe(true);
    const held = device.read()?.value;
    device.setJaws(70);
    own.beat(12);
    expect(device.read()?.value).toBe(held);
    expect(device.hold()).toBe(false);
    own.beat();
    expect(device.read()?.value).toBeCloseTo(50, 0);
  });
});

describe('pieces of one size', () => {
  it('differ a little from one to the next, by caliper and scale', async () => {
    const own = ground(3);
    const [caliper, scale] = [simulatedCaliper(own), simulatedScale(own)];
    await caliper.open();
    await scale.open();
    caliper.setJaws(90);
    scale.setLoad(400);
    const pairs = Array.from({ length: 60 }, () => {
      caliper.measure();
      scale.weigh();
      own.beat();
      expect([caliper.read()?.steady, scale.read()?.steady]).toEqual([false, false]);
      own.beat(20);
      return [caliper.read()?.value ?? NaN, scale.read()?.value ?? NaN] as const;
    });
    const [sizes, weights] = [pairs.map(([mm]) => mm), pairs.map(([, grams]) => grams)];
    expect(Math.abs(mean(sizes) - 90)).toBeLessThan(0.15);
    expect(spread(sizes)).toBeGreaterThan(0.2);
    expect(spread(sizes)).toBeLessThan(0.42);
    expect(Math.abs(mean(weights) - 400)).toBeLessThan(2);
    expect(spread(weights)).toBeGreaterThan(2);
  });
});

describe('the scale', () => {
  it('settles on its load, less its tare, and says what is too heavy', async () => {
    const own = ground();
    const device = simulatedScale(own);
    await device.open();
    device.setLoad(120);
    own.beat(20);
    device.tare();
    device.setLoad(845);
    own.beat();
    expect(device.read()?.steady).toBe(false);
    own.beat(20);
    expect(device.read()?.steady).toBe(true);
    expect(Math.abs((device.read()?.value ?? NaN) - 725)).toBeLessThanOrEqual(1);
    expect(readMass(device.read()?.text ?? '', 'lb')).toBeCloseTo(device.read()?.value ?? NaN, 6);
    expect(device.turnUnit()).toBe('oz');
    own.beat();
    expect(readMass(device.read()?.text ?? '', 'g')).toBeCloseTo(device.read()?.value ?? NaN, 6);
    expect(Math.abs((device.read()?.value ?? NaN) - 725)).toBeLessThan(3);
    device.setLoad(SCALE_MOST + 500);
    own.beat(30);
    expect(device.read()).toMatchObject({ text: 'too heavy', steady: false });
  });
});

describe('the hygrometer', () => {
  it('reads the air of the shed within what a cheap sensor knows', async () => {
    const own = ground();
    const device = simulatedHygrometer(own);
    await device.open();
    device.setAir({ temperature: 14, humidity: 0.72 });
    const readings = Array.from({ length: 200 }, () => (own.beat(), device.read()?.value));
    expect(mean(readings.map((one) => one?.temperature ?? NaN))).toBeCloseTo(14, 1);
    expect(mean(readings.map((one) => one?.humidity ?? NaN))).toBeCloseTo(0.72, 2);
    device.setAir({ temperature: 14, humidity: 1 });
    own.beat(50);
    expect(device.read()?.value.humidity).toBeLessThanOrEqual(1);
  });
});
