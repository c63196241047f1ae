import fc from 'fast-check';
import { keptThing, type Failure, type KeptLinks, type KeptThing } from './keptThing.ts';
import { undoSteps } from './undoSteps.ts';

interface Note {
  readonly id: string;
  readonly revision: number;
  readonly words: string;
}

/** A write on its way: it reaches the server or not, and is answered or not. */
interface Request {
  /** What the server says; undefined until the write is there. */
  said?: { readonly kept: Note } | { readonly newer: Note };
  readonly arrive: () => void;
  readonly answer: () => void;
  /** The page hears nothing more of it; it may still reach the server. */
  readonly lose: () => void;
}

/** One potter at one note: a server, the wire to it, what her browser holds, and the page that is open. */
function studio() {
  let server: Note = { id: 'a', revision: 1, words: 'first' };
  let held: { readonly words: string; readonly revision: number; readonly sent: readonly string[] } | null = null;
  let page = 0;
  let back: (() => void)[] = [];
  const wire: Request[] = [];

  function send(base: Note, words: string): Promise<Note> {
    return new Promise((resolve, reject) => {
      const request: Request = {
        arrive: () => {
          if (request.said) return;
          const stands = base.revision === server.revision;
          if (stands) server = { ...server, revision: base.revision + 1, words };
          request.said = stands ? { kept: server } : { newer: server };
        },
        answer: () => {
          request.arrive();
          wire.splice(wire.indexOf(request), 1);
          if (request.said && 'kept' in request.said) resolve(request.said.kept);
          else reject({ kind: 'conflict', newer: request.said?.newer });
        },
        lose: () => reject({ kind: 'away', words: 'away' }),
      };
      wire.push(request);
    });
  }

  function open(): KeptThing<Note, string> {
    const own = (page += 1);
    back = [];
    const here = (work: () => void) => own === page && work();
    const links: KeptLinks<Note, string> = {
      bodyOf: ({ words }) => words,
      withBody: (note, words) => ({ ...note, words }),
      same: (one, other) => one === other,
      fingerprint: (words) => words,
      // A page that is gone sends no more.
      send: (base, words) => (own === page ? send(base, words) : new Promise(() => undefined)),
      failure: (error) => error as Failure<Note>,
      hold: ({ revision }, words, sent) => here(() => (held = { words, revision, sent: [...sent] })),
      drop: () => here(() => (held = null)),
      whenBack: (run) => void back.push(run),
      tell: () => undefined,
      steps: undoSteps(),
    };
    const thing = keptThing(server, links);
    if (held && held.words !== server.words) thing.takeUp(held.words, held.revision, held.sent);
    else held = null;
    return thing;
  }

  let thing = open();
  return {
    wire,
    now: () => ({ thing, server, held }),
    reload: () => void (thing = open()),
    back: () => back.splice(0).forEach((run) => run()),
  };
}

/** Everything that waits for nothing but the engine is done. */
const settled = () => new Promise((resolve) => setImmediate(resolve));

const ACTS = ['change', 'pause', 'arrive', 'answer', 'lose', 'back', 'reload'] as const;
const act = fc.record({ what: fc.constantFrom(...ACTS), which: fc.nat() });

describe('what one person changes', () => {
  beforeAll(() => void jest.useFakeTimers({ doNotFake: ['setImmediate'] }));
  afterAll(() => void jest.useRealTimers());

  it('never meets a conflict, and is what the server has in the end, whatever is lost on the way and whenever the page is opened again', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(act, { maxLength: 24 }), async (acts) => {
        const desk = studio();
        let last = desk.now().server.words;
        for (const [turn, { what, which }] of acts.entries()) {
          const request = desk.wire[which % Math.max(1, desk.wire.length)];
          if (what === 'change') desk.now().thing.change((last = `words ${turn}`));
          if (what === 'pause') void desk.now().thing.keep();
          if (what === 'arrive') request?.arrive();
          if (what === 'answer') request?.answer();
          if (what === 'lose') request?.lose();
          if (what === 'back') desk.back();
          if (what === 'reload') desk.reload();
          await settled();
          expect(desk.now().thing.keeping.value).not.toBe('conflict');
          expect(desk.now().thing.body.value).toBe(last);
        }
        for (let turn = 0; turn < 60 && desk.now().thing.keeping.value !== 'kept'; turn += 1) {
          desk.back();
          void desk.now().thing.keep();
          await settled();
          desk.wire[0]?.answer();
          await settled();
        }
        expect([desk.now().thing.keeping.value, desk.now().server.words, desk.now().held]).toEqual([
          'kept',
          last,
          null,
        ]);
      }),
      { numRuns: 1000 },
    );
  });
});
