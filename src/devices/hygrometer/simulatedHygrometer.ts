import type { Air } from '../../core/studio/drying/air.ts';
import { normal, simulated, type Ground, type Simulated } from '../simulated.ts';

/** A simulated thermo-hygrometer in the shed: air that is set by hand and wanders a little. */
export interface SimulatedHygrometer extends Simulated<'hygrometer'> {
  setAir(air: Pick<Air, 'temperature' | 'humidity'>): void;
}

const INTERVAL = 2000;
/** Scatter of a cheap sensor: °C, and relative humidity; with a weak battery more. */
const NOISE = { temperature: 0.1, humidity: 0.005 };
const WEAK = 4;

/** Makes a simulated thermo-hygrometer. */
export function simulatedHygrometer(ground: Ground): SimulatedHygrometer {
  let air = { temperature: 18, humidity: 0.6 };
  const base = simulated('hygrometer', {
    ground,
    interval: INTERVAL,
    sample: (fault) => {
      const more = fault === 'weak battery' ? WEAK : 1;
      const temperature = Math.round(10 * (air.temperature + more * NOISE.temperature * normal(ground.random))) / 10;
      const humidity =
        Math.round(100 * Math.min(1, Math.max(0, air.humidity + more * NOISE.humidity * normal(ground.random)))) / 100;
      return {
        value: { temperature, humidity },
        text: `${temperature.toFixed(1)} °C, ${Math.round(100 * humidity)} %`,
        steady: true,
      };
    },
  });
  return Object.assign(base, {
    setAir: ({ temperature, humidity }: Pick<Air, 'temperature' | 'humidity'>) =>
      void (air = { temperature, humidity }),
  });
}
