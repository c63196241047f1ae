import { keptThing, type Failure, type KeptLinks } from './keptThing.ts';
import { undoSteps } from './undoSteps.ts';

interface Note {
  readonly id: string;
  readonly revision: number;
  readonly words: string;
}

/** A server with one note, whose replies are given one by one, in the order that the test wants. */
function desk(first: Note = { id: 'a', revision: 1, words: 'one' }) {
  let server = first;
  const held = new Map<string, string>();
  const asked: {
    readonly words: string;
    readonly reply: () => void;
    readonly fail: (why: 'away' | 'refused') => void;
  }[] = [];
  const back: (() => void)[] = [];
  const told: Note[] = [];
  const links: KeptLinks<Note, string> = {
    bodyOf: ({ words }) => words,
    withBody: (note, words) => ({ ...note, words }),
    same: (one, other) => one === other,
    fingerprint: (words) => words,
    send: (base, words) =>
      new Promise<Note>((resolve, reject) => {
        asked.push({
          words,
          reply: () => {
            if (base.revision !== server.revision) return reject({ kind: 'conflict', newer: server });
            server = { ...server, revision: base.revision + 1, words };
            resolve(server);
          },
          fail: (why) => reject({ kind: why, words: why }),
        });
      }),
    failure: (error) => error as Failure<Note>,
    hold: ({ id }, words) => void held.set(id, words),
    drop: (id) => void held.delete(id),
    whenBack: (run) => void back.push(run),
    tell: (note) => void told.push(note),
    steps: undoSteps(),
  };
  const change = (words: string) => (server = { ...server, revision: server.revision + 1, words });
  return { thing: keptThing(server, links), held, asked, back, told, change, server: () => server };
}

const settled = () => new Promise((resolve) => setTimeout(resolve));

describe('a kept thing', () => {
  it('is held at every change, sent once the hand rests, and dropped when it has arrived', async () => {
    const { thing, held, asked, server } = desk();
    thing.change('two', null, 10);
    thing.change('three', null, 10);
    expect(held.get('a')).toBe('three');
    expect(thing.keeping.value).toBe('changed');
    await new Promise((resolve) => setTimeout(resolve, 30));
    expect(asked.map(({ words }) => words)).toEqual(['three']);
    asked[0]?.reply();
    await settled();
    expect([thing.keeping.value, held.size, server().words]).toEqual(['kept', 0, 'three']);
  });

  it('sends what was changed while a reply was under way after it, on top of it', async () => {
    const { thing, held, asked, server } = desk();
    thing.change('two');
    const done = thing.keep();
    thing.change('three');
    asked[0]?.reply();
    await settled();
    expect(asked.map(({ words }) => words)).toEqual(['two', 'three']);
    expect(held.get('a')).toBe('three');
    asked[1]?.reply();
    await done;
    expect(server()).toEqual({ id: 'a', revision: 3, words: 'three' });
    expect(thing.keeping.value).toBe('kept');
  });

  it('is held while the server is away, and sent when it is back', async () => {
    const { thing, held, asked, back, server } = desk();
    thing.change('two');
    void thing.keep();
    asked[0]?.fail('away');
    await settled();
    expect([thing.keeping.value, held.get('a')]).toEqual(['held', 'two']);
    for (const run of back) run();
    asked[1]?.reply();
    await settled();
    expect([thing.keeping.value, held.size, server().words]).toEqual(['kept', 0, 'two']);
  });

  it('keeps both states in a conflict, and mine on top when it is chosen', async () => {
    const { thing, held, asked, change, server } = desk();
    thing.change('mine');
    change('theirs');
    void thing.keep();
    asked[0]?.reply();
    await settled();
    expect([thing.keeping.value, thing.theirs.value?.words, thing.body.value, held.get('a')]).toEqual([
      'conflict',
      'theirs',
      'mine',
      'mine',
    ]);
    // Nothing overwrites theirs until the conflict is resolved.
    thing.change('mine, more', null, 1);
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(asked).toHaveLength(1);
    void thing.keepMine();
    asked[1]?.reply();
    await settled();
    expect(server()).toEqual({ id: 'a', revision: 3, words: 'mine, more' });
  });

  it('takes a conflict with its own words for an answer that was never seen', async () => {
    const { thing, asked, change } = desk();
    thing.change('two');
    change('two');
    void thing.keep();
    asked[0]?.reply();
    await settled();
    expect([thing.keeping.value, thing.base.value.revision]).toEqual(['kept', 2]);
  });

  it('takes up after a reload what was held: sent when nobody changed it, beside theirs when somebody did', async () => {
    const still = desk();
    still.thing.takeUp('held', 1);
    still.asked[0]?.reply();
    await settled();
    expect(still.server().words).toBe('held');
    const changed = desk({ id: 'a', revision: 2, words: 'theirs' });
    changed.thing.takeUp('held', 1);
    expect([changed.thing.keeping.value, changed.thing.body.value, changed.thing.theirs.value?.words]).toEqual([
      'conflict',
      'held',
      'theirs',
    ]);
    expect(changed.asked).toHaveLength(0);
  });

  it('goes on from what the page before had sent when that has arrived, and not from somebody else’s', async () => {
    const own = desk({ id: 'a', revision: 2, words: 'sent' });
    own.thing.takeUp('changed since', 1, ['sent']);
    own.asked[0]?.reply();
    await settled();
    expect(own.server()).toEqual({ id: 'a', revision: 3, words: 'changed since' });
    const changed = desk({ id: 'a', revision: 3, words: 'theirs' });
    changed.thing.takeUp('changed since', 1, ['sent']);
    expect([changed.thing.keeping.value, changed.asked.length]).toEqual(['conflict', 0]);
  });

  it('goes on from its own words whose answer was lost, and meets a conflict with what somebody else put on them', async () => {
    const lost = async (after: (change: (words: string) => unknown) => void) => {
      const { thing, asked, change, server } = desk();
      thing.change('two');
      void thing.keep();
      change('two');
      asked[0]?.fail('away');
      await settled();
      after(change);
      thing.change('three');
      void thing.keep();
      for (const turn of [1, 2]) {
        asked[turn]?.reply();
        await settled();
      }
      return [thing.keeping.value, server().words, server().revision];
    };
    expect(await lost(() => undefined)).toEqual(['kept', 'three', 3]);
    expect(await lost((change) => change('theirs'))).toEqual(['conflict', 'theirs', 3]);
  });

  it('says why the server would not take it, and keeps it held', async () => {
    const { thing, held, asked } = desk();
    thing.change('no');
    void thing.keep();
    asked[0]?.fail('refused');
    await settled();
    expect([thing.keeping.value, thing.trouble.value, held.get('a')]).toEqual(['refused', 'refused', 'no']);
  });

  it('undoes and does again by whole fields, and keeps what it comes to', async () => {
    const { thing, asked, server } = desk();
    for (const words of ['t', 'tw', 'two']) thing.change(words, 'words');
    thing.steps.end();
    thing.change('three', 'words');
    const back = () => thing.put(thing.steps.back()?.before.body ?? '');
    back();
    expect(thing.body.value).toBe('two');
    back();
    expect([thing.body.value, thing.steps.past.value.length]).toEqual(['one', 0]);
    expect(thing.steps.back()).toBeNull();
    thing.put(thing.steps.forth()?.after.body ?? '');
    expect(thing.body.value).toBe('two');
    void thing.keep();
    asked[0]?.reply();
    await settled();
    expect(server().words).toBe('two');
    thing.change('four');
    expect(thing.steps.forth()).toBeNull();
  });

  it('tells other tabs what has arrived; an idle tab shows it, and can undo it', async () => {
    const [one, two] = [desk(), desk()];
    one.thing.change('two');
    void one.thing.keep();
    one.asked[0]?.reply();
    await settled();
    expect(one.told).toEqual([{ id: 'a', revision: 2, words: 'two' }]);
    for (const note of one.told) two.thing.hear(note);
    expect([two.thing.body.value, two.thing.base.value.revision, two.thing.keeping.value]).toEqual(['two', 2, 'kept']);
    expect(two.thing.steps.past.value).toHaveLength(1);
    // A late message changes nothing.
    two.thing.hear({ id: 'a', revision: 1, words: 'one' });
    expect(two.thing.body.value).toBe('two');
  });

  it('leaves what is being changed here alone when another tab tells of its own', async () => {
    const { thing, asked, change } = desk();
    thing.change('mine');
    thing.hear(change('theirs'));
    expect(thing.body.value).toBe('mine');
    void thing.keep();
    asked[0]?.reply();
    await settled();
    expect([thing.keeping.value, thing.body.value, thing.theirs.value?.words]).toEqual(['conflict', 'mine', 'theirs']);
    thing.hear(change('theirs, again'));
    expect(thing.theirs.value?.words).toBe('theirs, again');
  });
});
