import { workerJob, type JobWorker } from './workerJob.ts';

type Reply = { readonly kind: 'far' | 'done' | 'broken'; readonly share?: number };

/** Workers that answer when the test says so. */
function shop(stays?: number) {
  const made: (JobWorker & { gone: boolean; asked: unknown })[] = [];
  const make = (): JobWorker => {
    const worker = {
      gone: false,
      asked: undefined as unknown,
      onmessage: null,
      onerror: null,
      postMessage: (question: unknown) => void (worker.asked = question),
      terminate: () => void (worker.gone = true),
    };
    made.push(worker);
    return worker;
  };
  const tell = (at: number, data: Reply) => made[at]?.onmessage?.call(made[at] as never, { data } as MessageEvent);
  const job = workerJob<string, Reply>({
    make,
    ends: ({ kind }) => kind === 'done',
    broken: { kind: 'broken' },
    ...(stays !== undefined && { stays }),
  });
  return { job, made, tell };
}

describe('work in a worker', () => {
  it('tells its progress and its answer, and ends its worker', async () => {
    const { job, made, tell } = shop();
    const parts: (number | undefined)[] = [];
    const answer = job.ask('lay', ({ share }) => parts.push(share));
    expect([job.busy.value, made[0]?.asked]).toEqual([true, 'lay']);
    tell(0, { kind: 'far', share: 0.4 });
    tell(0, { kind: 'far', share: 0.8 });
    tell(0, { kind: 'done' });
    expect(await answer).toEqual({ kind: 'done' });
    expect([parts, job.busy.value, made[0]?.gone]).toEqual([[0.4, 0.8], false, true]);
  });

  it('is stopped: who waits gets nothing, and what comes late is not heard', async () => {
    const { job, made, tell } = shop();
    const parts: Reply[] = [];
    const answer = job.ask('lay', (reply) => parts.push(reply));
    job.stop();
    tell(0, { kind: 'far' });
    expect(await answer).toBeNull();
    expect([parts, job.busy.value, made[0]?.gone]).toEqual([[], false, true]);
  });

  it('is given up for the next question, which alone is answered', async () => {
    const { job, made, tell } = shop();
    const first = job.ask('one');
    const second = job.ask('two');
    expect(await first).toBeNull();
    expect([made[0]?.gone, job.busy.value]).toEqual([true, true]);
    tell(0, { kind: 'done' });
    tell(1, { kind: 'done' });
    expect(await second).toEqual({ kind: 'done' });
  });

  it('is done by one worker that stays for the next question, until it has waited long enough or is sent home', async () => {
    jest.useFakeTimers();
    const { job, made, tell } = shop(1000);
    for (const question of ['one', 'two', 'three']) {
      const answer = job.ask(question);
      tell(0, { kind: 'done' });
      expect(await answer).toEqual({ kind: 'done' });
      expect([made.length, made[0]?.asked, made[0]?.gone]).toEqual([1, question, false]);
      jest.advanceTimersByTime(900);
    }
    jest.advanceTimersByTime(100);
    expect(made[0]?.gone).toBe(true);
    // The next request ends a busy worker; a stop ends an idle one.
    const first = job.ask('four');
    const second = job.ask('five');
    expect([await first, made.map(({ gone }) => gone)]).toEqual([null, [true, true, false]]);
    tell(2, { kind: 'done' });
    await second;
    job.stop();
    expect(made[2]?.gone).toBe(true);
    jest.useRealTimers();
  });

  it('says so when the worker breaks down', async () => {
    const { job, made } = shop();
    const answer = job.ask('lay');
    made[0]?.onerror?.call(made[0] as never, {} as ErrorEvent);
    expect(await answer).toEqual({ kind: 'broken' });
    expect(job.busy.value).toBe(false);
  });
});
