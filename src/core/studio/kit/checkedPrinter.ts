import { printerFinding, type CheckedPrinter } from '../printer/printerCheck.ts';
import type { KitItem } from './kit.ts';

/** A printer of the kit with what its check sheet said; null where it was not checked, or is no printer. */
export function checkedPrinter({ kind, name, check }: KitItem): CheckedPrinter | null {
  if (kind !== 'printer' || !check) return null;
  const finding = printerFinding(check);
  return finding.kind === 'misread' ? null : { name, paper: check.paper, scale: finding.scale };
}
