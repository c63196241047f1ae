import type { MouldForm } from '../../target/mouldForm.ts';
import { checkKitItem } from './checkKit.ts';
import { kitMould, mouldFromKit, sameMould } from './kitMould.ts';

const TRAY: MouldForm = {
  kind: 'mould',
  rim: { kind: 'rounded', length: 320, width: 210, corner: 50 },
  foot: { kind: 'rounded', length: 280, width: 170, corner: 30 },
  depth: 32,
  wall: 'straight',
  side: 'hump',
  margin: 20,
  cloth: 0.5,
  darts: [{ at: 32, depth: 60 }],
};
const OTHER: MouldForm = {
  kind: 'mould',
  rim: { kind: 'circle', diameter: 150 },
  depth: 30,
  wall: 'dome',
  side: 'slump',
  margin: 12,
};

describe('moulds of the kit', () => {
  it('are drawn once and chosen often: the tool is kept, what the piece adds stays the piece’s', () => {
    const item = kitMould('Tray', TRAY);
    expect(item).toMatchObject({ kind: 'mould', sizes: { length: 320, width: 210, depth: 32 } });
    expect(checkKitItem(item)).toEqual([]);
    const chosen = mouldFromKit(item, OTHER);
    expect(chosen).toMatchObject({
      rim: TRAY.rim,
      foot: TRAY.foot,
      depth: 32,
      wall: 'straight',
      side: 'hump',
      margin: 12,
    });
    expect([chosen.darts, chosen.cloth]).toEqual([undefined, undefined]);
    expect([sameMould(item, chosen), sameMould(item, TRAY), sameMould(item, OTHER)]).toEqual([true, true, false]);
    expect(sameMould(item, { ...TRAY, depth: 33 })).toBe(false);
    // A dome in the kit is not a floored mould with the same rim and depth.
    const floored: MouldForm = { ...OTHER, wall: 'curved', foot: { kind: 'circle', diameter: 90 } };
    expect(sameMould(kitMould('Dome', OTHER), floored)).toBe(false);
  });

  it('known by their sizes only give rim and depth, and the wall of the piece', () => {
    const bare = { kind: 'mould', name: 'Old hump', sizes: { length: 240, width: 160, depth: 40 } } as const;
    expect(mouldFromKit(bare, TRAY)).toMatchObject({
      rim: { kind: 'ellipse', length: 240, width: 160 },
      depth: 40,
      wall: 'straight',
      foot: { length: 180, width: 120 },
    });
    expect(mouldFromKit({ ...bare, sizes: { length: 200, width: 200, depth: 40 } }, OTHER)).toMatchObject({
      rim: { kind: 'circle', diameter: 200 },
      wall: 'dome',
    });
    expect(mouldFromKit({ ...bare, sizes: { length: 200, width: 200, depth: 40 } }, OTHER).foot).toBeUndefined();
    expect(sameMould(bare, mouldFromKit(bare, TRAY))).toBe(true);
  });

  it('that no slab comes off are refused, and so is a mould in another thing', () => {
    const item = kitMould('Undercut', { ...TRAY, foot: { kind: 'rounded', length: 400, width: 170, corner: 30 } });
    expect(checkKitItem(item).map(({ path }) => path)).toEqual(['mould.foot']);
    expect(
      checkKitItem({ ...kitMould('Tray', TRAY), kind: 'board', sizes: { length: 9, width: 9 } }).map(
        ({ path }) => path,
      ),
    ).toEqual(['mould']);
  });
});
