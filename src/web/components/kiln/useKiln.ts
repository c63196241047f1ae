import { computed, onUnmounted, ref, shallowRef, watch } from 'vue';
import type { MadeLine } from '../../../contract/made.ts';
import type { Kept } from '../../../contract/records.ts';
import type { Fault } from '../../../core/errors.ts';
import { kindKey, loadJobOf, misplaced, placedOf, type StandingKind } from '../../../core/studio/kiln/firingLoad.ts';
import { leftOver, pieceKey, type FiringPiece, type KeptFiring } from '../../../core/studio/kiln/keptFiring.ts';
import { sizeInKiln, standingKind } from '../../../core/studio/kiln/standingKind.ts';
import type { Target } from '../../../core/target/target.ts';
import { api } from '../../api.ts';
import { useConnection } from '../../stores/connection.ts';
import { useClays, useFirings } from '../../stores/records.ts';
import type { LoadQuestion, LoadReply } from '../../workers/load.worker.ts';
import { workerJob } from '../../workers/workerJob.ts';

/** Seconds to search for a load while pieces are left over. */
const SECONDS = 4;

/** One firing on the screen: what is wanted in it as it stands, packed in a worker, and moved by hand. */
export function useKiln(firing: () => Kept<'firing'> | undefined) {
  const firings = useFirings();
  const clays = useClays();
  const connection = useConnection();
  /** All that was made lately, to choose from, and what of it is wanted here. */
  const lines = shallowRef<readonly MadeLine[]>([]);
  const targets = shallowRef<ReadonlyMap<string, Target>>(new Map());
  const trouble = ref('');
  const chosen = ref('');
  const job = workerJob<LoadQuestion, LoadReply>({
    make: () => new Worker(new URL('../../workers/load.worker.ts', import.meta.url), { type: 'module' }),
    ends: () => true,
    broken: { kind: 'broken' },
  });
  onUnmounted(job.stop);

  const body = computed(() => firing()?.body);
  const lineOf = computed(() => new Map(lines.value.map((line) => [kindKey(line), line])));
  const kinds = computed<ReadonlyMap<string, StandingKind>>(() => {
    const found = new Map<string, StandingKind>();
    for (const [key, target] of targets.value) {
      const clay = clays.list.find(({ id }) => id === lineOf.value.get(key)?.clay);
      found.set(key, standingKind(target, sizeInKiln(body.value?.kind ?? 'once', clay?.body.bars ?? [])));
    }
    return found;
  });
  const wrong = computed(
    () =>
      new Map((body.value ? misplaced(body.value, kinds.value) : []).map(({ piece, why }) => [pieceKey(piece), why])),
  );
  const left = computed(() => (body.value ? leftOver(body.value) : []));

  /** Designs that are still being fetched: the kiln is packed once all are here. */
  let fetched: Promise<void> = Promise.resolve();
  const afterThat = (work: () => Promise<void>): Promise<void> =>
    (fetched = fetched.then(work).catch((error: unknown) => void (trouble.value = connection.note(error))));

  const loadLines = () =>
    afterThat(async () => {
      lines.value = (await api.made({ limit: 200 })).lines;
    });

  /** Fetches the designs of what is wanted, each once. */
  async function fetchTargets(): Promise<void> {
    for (const key of new Set((body.value?.wanted ?? []).map(kindKey))) {
      const line = lineOf.value.get(key);
      if (!line || targets.value.has(key)) continue;
      const target = await api.revision(line.designId, line.revision);
      targets.value = new Map(targets.value).set(key, target);
    }
  }
  watch([lineOf, () => body.value?.wanted], () => void afterThat(fetchTargets), { immediate: true });

  function change(part: Partial<KeptFiring>, group: string | null = null): readonly Fault[] {
    const now = firing();
    return now ? firings.change(now.id, { ...now.body, ...part }, group) : [];
  }

  /** Replaces the whole firing: what is left out is deleted. */
  function replace(whole: KeptFiring): readonly Fault[] {
    const now = firing();
    return now ? firings.change(now.id, whole, null) : [];
  }

  /** Wants all pieces of a line in this firing, or none of them. */
  function want(line: MadeLine, wanted: boolean): void {
    const now = body.value;
    if (!now) return;
    const others = now.wanted.filter((one) => kindKey(one) !== kindKey(line));
    const own = Array.from({ length: line.count }, (_, index) => ({
      making: line.making,
      piece: line.piece,
      number: index + 1,
    }));
    const placed = wanted ? now.placed : now.placed.filter((one) => kindKey(one) !== kindKey(line));
    change({ wanted: wanted ? [...others, ...own] : others, placed });
    firings.endGesture();
  }

  async function pack(): Promise<void> {
    trouble.value = '';
    await afterThat(fetchTargets);
    const now = firing();
    if (!now) return;
    // A plain copy: what the stores hold may be watched.
    const question = JSON.parse(
      JSON.stringify({ job: loadJobOf(now.body, kinds.value), seconds: SECONDS }),
    ) as LoadQuestion;
    const reply = await job.ask(question);
    if (!reply) return;
    if (reply.kind === 'broken')
      return void (trouble.value = 'The kiln could not be packed. Look at its shelves and try again.');
    if (firing()?.id !== now.id || !body.value) return;
    change({ placed: placedOf(body.value, kinds.value, reply.loaded) });
    firings.endGesture();
  }

  /** Changes one piece where it stands; null takes it off its shelf. */
  function put(key: string, part: Partial<FiringPiece> | null, group: string | null = null): void {
    const placed = (body.value?.placed ?? []).flatMap((one) =>
      pieceKey(one) !== key ? [one] : part ? [{ ...one, ...part }] : [],
    );
    change({ placed }, group);
  }

  const picked = computed(() => body.value?.placed.find((one) => pieceKey(one) === chosen.value) ?? null);
  const nameOf = (one: Pick<FiringPiece, 'making' | 'piece'>) =>
    lineOf.value.get(kindKey(one))?.name ?? 'a piece that is not here any more';

  /** Kinds are told apart on the shelves by a letter, in the order in which they were wanted. */
  const letters = computed(() => [...new Set((body.value?.wanted ?? []).map(kindKey))]);
  const letterOf = (one: Pick<FiringPiece, 'making' | 'piece'>) =>
    String.fromCharCode(65 + (Math.max(0, letters.value.indexOf(kindKey(one))) % 26));

  return {
    letterOf,
    body,
    lines,
    kinds,
    wrong,
    left,
    trouble,
    chosen,
    picked,
    busy: job.busy,
    loadLines,
    change,
    replace,
    want,
    pack,
    stop: job.stop,
    put,
    nameOf,
  };
}

/** What useKiln returns. */
export type Kiln = ReturnType<typeof useKiln>;
