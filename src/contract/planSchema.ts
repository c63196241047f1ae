import Joi from 'joi';
import { shortValue, type Fault } from '../core/errors.ts';
import { PLAN_LIMITS, type PlanTask } from '../core/studio/planning/planJob.ts';
import { givenOnce } from './givenOnce.ts';
import { readShape } from './targetSchema.ts';

const minutes = () => Joi.number().strict().min(0).max(PLAN_LIMITS.minutes);
const name = () => Joi.string().min(1).max(120).required();

const taskSchema = Joi.object<PlanTask>({
  hours: Joi.array().items(Joi.array().items(minutes()).length(2)).min(1).max(PLAN_LIMITS.hours).required(),
  jobs: Joi.array()
    .items(
      Joi.object({
        id: name(),
        due: minutes().allow(null).default(null),
        steps: Joi.array()
          .items(
            Joi.object({
              id: name(),
              minutes: minutes().required(),
              least: minutes().default(0),
              most: minutes().allow(null).default(null),
            }),
          )
          .min(1)
          .max(PLAN_LIMITS.steps)
          .required(),
      }),
    )
    .min(1)
    .max(PLAN_LIMITS.jobs)
    .required(),
}).required();

/** A task that was read, or every fault in it. */
export type PlanReading =
  { readonly kind: 'task'; readonly task: PlanTask } | { readonly kind: 'faults'; readonly faults: readonly Fault[] };

/** Reads a parsed JSON value as work to be planned. Never throws. */
export function readPlanTask(value: unknown): PlanReading {
  const shape = readShape(taskSchema, value);
  if ('faults' in shape) return { kind: 'faults', faults: shape.faults };
  const task = shape.value;
  const faults: Fault[] = [];
  const fault = (path: string, found: unknown, rule: string) =>
    faults.push({ code: 'out-of-range', path, value: shortValue(found), rule });
  task.hours.forEach(([from, to], index) => {
    if (!(to > from)) fault(`hours.${index}`, [from, to], 'must end after it begins');
  });
  const idsOf = (list: readonly { readonly id: string }[]) => list.map(({ id }) => id);
  faults.push(...givenOnce(idsOf(task.jobs), (index) => `jobs.${index}.id`));
  task.jobs.forEach(({ steps }, index) => {
    faults.push(...givenOnce(idsOf(steps), (at) => `jobs.${index}.steps.${at}.id`, ' in a piece'));
    steps.forEach((step, at) => {
      const path = `jobs.${index}.steps.${at}`;
      if (step.most !== null && step.most < step.least)
        fault(`${path}.most`, step.most, `must not be under least, ${step.least}`);
    });
  });
  return faults.length > 0 ? { kind: 'faults', faults } : { kind: 'task', task };
}
