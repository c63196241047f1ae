import { COVERS, ROOM, type Air, type Cover } from './air.ts';
import { remembered } from '../../numbers.ts';
import { dryPart, type DryingCourse, type DryingPart } from './partDrying.ts';
import { crackRisk, heldBack, HELD_BACK, partsNow, worstFace } from './stress.ts';

const courses = new Map<string, DryingCourse>();
const courseOf = (part: DryingPart, air: Air) =>
  remembered(courses, JSON.stringify([part, air]), { make: () => dryPart(part, air, { hours: 300 }), most: Infinity });
const AIRS: Air[] = [ROOM, { temperature: 28, humidity: 0.3, speed: 'fan' }, { ...ROOM, speed: 'moving' }];
const THICKNESSES = [4, 6, 9, 14];

describe('a part that dries', () => {
  it('is held back more the thicker it is, the less is over it, and by one face more than by both', () => {
    for (const air of AIRS) {
      for (const cover of COVERS.slice(0, 4)) {
        const by = THICKNESSES.map((thickness) => worstFace(courseOf({ thickness, faces: 'one', cover }, air)));
        const both = THICKNESSES.map((thickness) => worstFace(courseOf({ thickness, faces: 'both', cover }, air)));
        by.slice(1).forEach((share, index) => expect(share).toBeGreaterThan(by[index] ?? Infinity));
        both.forEach((share, index) => expect(share).toBeLessThan(by[index] ?? 0));
      }
      const under = COVERS.slice(0, 4).map((cover) => worstFace(courseOf({ thickness: 8, faces: 'one', cover }, air)));
      under.slice(1).forEach((share, index) => expect(share).toBeLessThan(under[index] ?? 0));
    }
  });

  it('is told what lowers the risk, which truly does; where there is none nothing is told', () => {
    let told = 0;
    for (const air of AIRS) {
      for (const thickness of THICKNESSES) {
        for (const faces of ['one', 'both'] as const) {
          const part: DryingPart = { thickness, faces, cover: 'open' };
          const { share, gentler } = crackRisk(part, air, courseOf);
          expect(share).toBeCloseTo(worstFace(courseOf(part, air)), 12);
          expect(gentler !== null).toBe(share >= HELD_BACK.watch);
          if (!gentler) continue;
          told += 1;
          const { way } = gentler;
          const as = {
            ...part,
            ...(way.kind === 'turn' && { faces: 'both' as const }),
            ...(way.kind === 'cover' && { cover: way.cover }),
          };
          const again = worstFace(courseOf(as, way.kind === 'still' ? { ...air, speed: 'still' } : air));
          expect(gentler.share).toBeCloseTo(again, 12);
          expect(gentler.share).toBeLessThan(share);
        }
      }
    }
    expect(told).toBeGreaterThan(5);
  });

  it.each<[string, Pick<DryingPart, 'faces' | 'cover'>, Air['speed'], string]>([
    ['turned over, where one face is dry and that is enough', { faces: 'one', cover: 'open' }, 'still', 'turn'],
    ['under cloth, where both faces dry in still air', { faces: 'both', cover: 'open' }, 'still', 'cloth'],
    ['out of the fan first', { faces: 'both', cover: 'open' }, 'fan', 'still'],
    ['under loose film, where it lies under cloth', { faces: 'both', cover: 'cloth' }, 'still', 'loose-film'],
    ['left alone under tight film', { faces: 'both', cover: 'tight-film' }, 'still', ''],
  ])('is %s', (_, part, speed, first) => {
    const tried: string[] = [];
    // Every course is equally risky here, so all remedies are tried, in order.
    const still = courseOf(
      { thickness: 14, faces: 'one', cover: 'open' },
      { temperature: 28, humidity: 0.3, speed: 'fan' },
    );
    const own = { thickness: 14, ...part };
    crackRisk(own, { ...ROOM, speed }, (now, air) => {
      tried.push(air.speed !== speed ? air.speed : now.faces !== part.faces ? 'turn' : now.cover);
      return still;
    });
    expect(tried[1] ?? '').toBe(first);
    const covers: readonly Cover[] = ['open', 'cloth', 'loose-film', 'tight-film'];
    expect(tried.slice(1).filter((way) => covers.includes(way as Cover))).toEqual(
      covers.slice(covers.indexOf(part.cover as Cover) + 1),
    );
  });
});

describe('parts that are to be joined', () => {
  const as = (cover: Cover) => (thickness: number) => courseOf({ thickness, faces: 'one', cover }, ROOM);
  const PARTS = [
    { name: 'Wall', thickness: 6 },
    { name: 'Base', thickness: 6 },
    { name: 'Handle', thickness: 4 },
  ];

  it('of one thickness are never apart', () => {
    expect(partsNow(PARTS.slice(0, 2), as('open'), { hours: 3, slower: 1.2 })).toBeNull();
    expect(partsNow([], as('open'), { hours: 3, slower: 1 })).toBeNull();
  });

  it.each([
    [1, 1],
    [3, 1],
    [3, 1.4],
    [6, 0.8],
  ])(
    'after %f h at a pace of %f: the thin one is drier, and the thick one is as dry after the time that is told',
    (hours, slower) => {
      const found = partsNow(PARTS, as('open'), { hours, slower });
      expect([found?.drier, found?.wetter]).toEqual(['Handle', 'Wall']);
      const moisture = (name: string) => found?.parts.find((part) => part.name === name)?.moisture ?? NaN;
      expect(found?.share).toBeCloseTo(heldBack(moisture('Handle'), moisture('Wall')), 12);
      const later = partsNow(PARTS, as('open'), { hours: hours + (found?.catchUp ?? NaN), slower });
      expect(later?.parts.find(({ name }) => name === 'Wall')?.moisture).toBeCloseTo(moisture('Handle'), 6);
    },
  );

  it('are told alike in whatever order they are named', () => {
    const [there, back] = [PARTS, [...PARTS].reverse()].map((parts) =>
      partsNow(parts, as('open'), { hours: 3, slower: 1 }),
    );
    expect([back?.drier, back?.wetter]).toEqual(['Handle', 'Base']);
    expect([back?.share, back?.catchUp]).toEqual([there?.share, there?.catchUp]);
  });

  it('drift apart more slowly the more is over them', () => {
    const shares = COVERS.slice(0, 4).map((cover) => partsNow(PARTS, as(cover), { hours: 3, slower: 1 })?.share ?? 0);
    shares.slice(1).forEach((share, index) => expect(share).toBeLessThan(shares[index] ?? 0));
  });
});
