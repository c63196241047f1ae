import { defineStore } from 'pinia';
import { reactive } from 'vue';
import { simulatedCaliper } from '../../devices/caliper/simulatedCaliper.ts';
import { simulatedCutter } from '../../devices/cutter/simulatedCutter.ts';
import type { Device, DeviceKind } from '../../devices/device.ts';
import { simulatedHygrometer } from '../../devices/hygrometer/simulatedHygrometer.ts';
import { simulatedPrinter } from '../../devices/printer/simulatedPrinter.ts';
import { simulatedScale } from '../../devices/scale/simulatedScale.ts';
import type { DeviceFault, Ground } from '../../devices/simulated.ts';
import { focusWriter } from './focusWriter.ts';

/** State of a device, as the screens show it. */
export interface DeviceState {
  open: boolean;
  /** What its display shows; empty while it has no reading. */
  text: string;
  steady: boolean;
  held: boolean;
  lost: boolean;
  weak: boolean;
  fault: DeviceFault;
}

const fresh = (): DeviceState => ({
  open: false,
  text: '',
  steady: false,
  held: false,
  lost: false,
  weak: false,
  fault: 'none',
});

export const DEVICE_NAMES: Readonly<Record<DeviceKind, string>> = {
  caliper: 'Digital caliper',
  scale: 'Bench scale',
  hygrometer: 'Thermo-hygrometer',
};

/** The devices of the table: simulated ones, until a real one implements the same interface. They run as long as the page is open. */
export const useDevices = defineStore('devices', () => {
  const ground: Ground = {
    random: Math.random,
    every: (ms, run) => {
      const timer = setInterval(run, ms);
      return () => clearInterval(timer);
    },
  };
  const caliper = simulatedCaliper(ground);
  const scale = simulatedScale(ground);
  const hygrometer = simulatedHygrometer(ground);
  const cutter = simulatedCutter(ground);
  const printer = simulatedPrinter(ground);
  const all = { caliper, scale, hygrometer };
  const states = reactive<Record<DeviceKind, DeviceState>>({ caliper: fresh(), scale: fresh(), hygrometer: fresh() });

  function follow<K extends DeviceKind>(device: Device<K>): void {
    const state = states[device.kind];
    device.on((event) => {
      if (event.kind === 'reading') Object.assign(state, { text: event.reading.text, steady: event.reading.steady });
      else if (event.kind === 'battery') state.weak = event.low;
      else if (event.kind === 'lost') Object.assign(state, { lost: true, text: '', steady: false });
      else if (event.kind === 'back') state.lost = false;
    });
  }
  follow(caliper);
  follow(scale);
  follow(hygrometer);
  focusWriter(caliper, 'length');
  focusWriter(scale, 'mass');

  async function start(kind: DeviceKind): Promise<void> {
    await all[kind].open();
    Object.assign(states[kind], { open: true });
  }
  async function stop(kind: DeviceKind): Promise<void> {
    await all[kind].close();
    const { fault, weak } = states[kind];
    Object.assign(states[kind], { ...fresh(), fault, weak });
  }
  function setFault(kind: DeviceKind, fault: DeviceFault): void {
    all[kind].setFault(fault);
    states[kind].fault = fault;
  }
  function hold(kind: 'caliper' | 'scale'): void {
    states[kind].held = all[kind].hold();
  }

  return { states, caliper, scale, hygrometer, cutter, printer, start, stop, setFault, hold };
});
