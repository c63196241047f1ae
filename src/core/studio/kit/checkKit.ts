import { drawnPlanFaults, planRanges } from '../../forms/kind/ranged.ts';
import { shortValue, type Fault } from '../../errors.ts';
import { LIMITS } from '../../target/target.ts';
import { rangeFaults, textFaults } from '../../ranges.ts';
import { mouldFaults } from '../../forms/mould/drapedFaults.ts';
import type { MouldForm } from '../../target/mouldForm.ts';
import { isDay } from '../../day.ts';
import { CHECK_LENGTHS, printerFinding } from '../printer/printerCheck.ts';
import { KIT, KIT_LIMITS, type KitItem, type PrinterCheck } from './kit.ts';
import type { KitMould } from './kitMould.ts';

/** Why a drawn mould cannot be used; its figures are checked as they are in a piece. */
function drawnFaults({ kind }: KitItem, mould: KitMould): Fault[] {
  if (kind !== 'mould') return [{ code: 'unknown-key', path: 'mould', value: 'mould', rule: 'only a mould is drawn' }];
  const form: MouldForm = { kind: 'mould', margin: 0, ...mould };
  const plans = (['rim', 'foot'] as const).flatMap((edge) => {
    const plan = mould[edge];
    return plan
      ? planRanges(edge, plan).flatMap(([path, value, range]) => rangeFaults(`mould.${path}`, value, range))
      : [];
  });
  const drawn = (['rim', 'foot'] as const).flatMap((edge) => drawnPlanFaults(`mould.${edge}`, mould[edge]));
  const ranges = [
    ...plans,
    ...drawn,
    ...rangeFaults('mould.depth', mould.depth, { above: 0, greatest: KIT_LIMITS.size }),
  ];
  return ranges.length > 0
    ? ranges
    : mouldFaults(form, 0).map((one) => ({ ...one, path: one.path.replace(/^form/, 'mould') }));
}

/** Why the two lengths of a check sheet cannot be right. */
function checkSheetFaults({ day, ...measured }: PrinterCheck): Fault[] {
  const finding = printerFinding(measured);
  return [
    ...(isDay(day)
      ? []
      : [
          {
            code: 'wrong-type',
            path: 'check.day',
            value: shortValue(day),
            rule: 'must be a day such as 2026-11-23',
          } as const,
        ]),
    ...(finding.kind === 'misread'
      ? [
          {
            code: 'out-of-range',
            path: `check.${finding.which}`,
            value: shortValue(measured[finding.which]),
            rule: `must be near ${CHECK_LENGTHS[finding.which]}: measure it again`,
          } as const,
        ]
      : []),
  ];
}

/** Every reason why a thing of the kit cannot be written down; empty when it can. */
export function checkKitItem(item: KitItem): Fault[] {
  const { sizes } = KIT[item.kind];
  const known = new Set(sizes.map(({ key }) => key));
  const settings = item.settings ?? [];
  const faults = [
    ...textFaults('name', item.name, { most: LIMITS.nameLength.greatest, least: LIMITS.nameLength.least }),
    ...textFaults('note', item.note, { most: KIT_LIMITS.text }),
    ...sizes.flatMap(({ key, none }) =>
      rangeFaults(`sizes.${key}`, item.sizes[key] ?? NaN, {
        greatest: KIT_LIMITS.size,
        ...(none ? { least: 0 } : { above: 0 }),
      }),
    ),
    ...settings.flatMap((one, index) => rangeFaults(`settings.${index}`, one, { above: 0, greatest: KIT_LIMITS.size })),
  ];
  for (const key of Object.keys(item.sizes)) {
    if (!known.has(key))
      faults.push({
        code: 'unknown-key',
        path: `sizes.${key}`,
        value: shortValue(item.sizes[key]),
        rule: 'this key is not known here',
      });
  }
  if (item.settings && item.kind !== 'roller') {
    faults.push({
      code: 'unknown-key',
      path: 'settings',
      value: shortValue(item.settings),
      rule: 'only a roller has settings',
    });
  }
  if (settings.length > KIT_LIMITS.settings) {
    faults.push({
      code: 'out-of-range',
      path: 'settings',
      value: String(settings.length),
      rule: `must be at most ${KIT_LIMITS.settings}`,
    });
  }
  if (item.check && item.kind !== 'printer')
    faults.push({ code: 'unknown-key', path: 'check', value: 'check', rule: 'only a printer is checked' });
  if (item.check) faults.push(...checkSheetFaults(item.check));
  if (item.mould) faults.push(...drawnFaults(item, item.mould));
  return faults;
}
