/** Times of one piece of work in one run (ms). */
export interface Times {
  readonly name: string;
  readonly p50: number;
  readonly p95: number;
  readonly p99: number;
  readonly most: number;
}

/** Percentiles of measured times (ms). */
export function percentiles(name: string, times: readonly number[]): Times {
  const sorted = [...times].sort((one, other) => one - other);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
  return { name, p50: at(0.5), p95: at(0.95), p99: at(0.99), most: at(1) };
}

/** Runs `work` a few times to warm up, then `runs` times with the clock. */
export async function measure(name: string, runs: number, work: () => unknown): Promise<Times> {
  for (let run = 0; run < Math.min(20, runs); run += 1) await work();
  const times: number[] = [];
  for (let run = 0; run < runs; run += 1) {
    const from = performance.now();
    await work();
    times.push(performance.now() - from);
  }
  return percentiles(name, times);
}

/** A fixed amount of plain arithmetic: the yardstick that ratios are taken against, so that machines can be compared. */
export function yardstick(): number {
  let sum = 0;
  for (let step = 1; step < 200_000; step += 1) sum += Math.sin(step) / step;
  return sum;
}

/** Prints the times as a table, each with its ratio to the first. */
export function report(times: readonly Times[]): void {
  const unit = times[0]?.p50 ?? 1;
  const ms = (value: number) => value.toFixed(3).padStart(10);
  console.log(
    `${'work'.padEnd(60)}${'p50 ms'.padStart(10)}${'p95 ms'.padStart(10)}${'p99 ms'.padStart(10)}${'most ms'.padStart(10)}${'ratio'.padStart(10)}`,
  );
  for (const { name, p50, p95, p99, most } of times) {
    console.log(`${name.padEnd(60)}${ms(p50)}${ms(p95)}${ms(p99)}${ms(most)}${(p50 / unit).toFixed(3).padStart(10)}`);
  }
  console.log(`memory in use: ${(process.memoryUsage().rss / 2 ** 20).toFixed(0)} MB`);
}
