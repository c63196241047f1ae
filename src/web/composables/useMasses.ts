import { readMass, writeMass } from '../../core/units/mass.ts';
import { systemsOf } from '../../core/units/writeLength.ts';
import { useSettings } from '../stores/settings.ts';

/** Reads and writes masses: grams and kilograms with mm and cm, pounds and ounces with inches. */
export function useMasses() {
  const settings = useSettings();
  const system = () => systemsOf(settings.style).mass;
  return {
    /** A mass as a bench scale shows it. */
    write: (grams: number): string => writeMass(grams, system()),
    /** Grams, or null where no mass can be read. */
    read: (text: string): number | null => readMass(text, system()),
  };
}
