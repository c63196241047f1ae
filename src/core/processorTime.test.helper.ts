/** Processor time that this process has used (ms): unlike the clock's, it hardly depends on what else the machine does. */
export function processorTime(): number {
  const { user, system } = process.cpuUsage();
  return (user + system) / 1000;
}
