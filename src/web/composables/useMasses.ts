import { readMass, writeMass } from '../../core/units/mass.ts';
import { systemsOf } from '../../core/units/writeLength.ts';
import { useSettings } from '../stores/settings.ts';

/** Reads and writes masses: grams and kilograms beside mm and cm, pounds and ounces beside inches. */
export function useMasses() {
  const settings = useSettings();
  const system = () => systemsOf(settings.style).mass;
  return {
    /** A mass, written as a bench scale shows it. */
    write: (grams: number): string => writeMass(grams, system()),
    /** Grams, or null where no mass can be read. */
    read: (text: string): number | null => readMass(text, system()),
  };
}
