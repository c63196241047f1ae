import type { PlanJob, PlanTask } from './planJob.ts';

/** Pieces as a studio has them: rolling and cutting, joining within a window, a handle for some, opening the film days later. */
export function madeUpTask(random: () => number, pieces: number, days = 4): PlanTask {
  const between = (low: number, high: number) => Math.round(low + (high - low) * random());
  const jobs = Array.from({ length: pieces }, (_, index): PlanJob => {
    const steps = [
      { id: 'roll', minutes: between(10, 40), least: 0, most: null },
      { id: 'join', minutes: between(10, 45), least: between(20, 90), most: between(100, 300) },
      ...(random() < 0.4
        ? [{ id: 'handle', minutes: between(5, 20), least: between(10, 30), most: between(60, 240) }]
        : []),
      ...(random() < 0.3 ? [{ id: 'turn', minutes: between(2, 8), least: between(300, 1500), most: null }] : []),
    ];
    return { id: `piece ${index + 1}`, due: null, steps };
  });
  const hours = Array.from({ length: days }, (_, day) => {
    const from = 1440 * day + between(0, 120);
    return [from, from + between(180, 360)] as const;
  });
  return { hours, jobs };
}
