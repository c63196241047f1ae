import { rectangle } from '../../geometry/outline/shapes.ts';
import { panelEdges } from './panelEdges.ts';
import { edgeLean, leanMarks, leansAlong } from './varyingLean.ts';

describe('the edges of a panel', () => {
  it.each([
    [{ count: 8, footCount: 3 }, 'outside', { foot: [0, 3], right: [3, 4], rim: [4, 7], left: [7, 0] }],
    [{ count: 8, footCount: 3 }, 'inside', { foot: [5, 0], right: [0, 1], rim: [1, 4], left: [4, 5] }],
    [{ count: 4, footCount: 1 }, 'outside', { foot: [0, 1], right: [1, 2], rim: [2, 3], left: [3, 0] }],
  ] as const)('of %j with the %s up', (counts, faceUp, expected) => {
    const edges = panelEdges(counts, faceUp);
    expect(Object.fromEntries(Object.entries(edges).map(([edge, { from, to }]) => [edge, [from, to]]))).toEqual(
      expected,
    );
  });
});

describe('a lean that varies along an edge', () => {
  const line = [
    [0, 0],
    [10, 0],
    [40, 0],
  ] as const;

  it('stands at the share of the length, from either end', () => {
    expect(leansAlong(line, [1, 2, 3], { backward: false })).toEqual([
      { share: 0, lean: 1 },
      { share: 0.25, lean: 2 },
      { share: 1, lean: 3 },
    ]);
    expect(leansAlong(line, [1, 2, 3], { backward: true }).map(({ share }) => share)).toEqual([1, 0.75, 0]);
  });

  it.each([
    ['by less than 2 degrees', [5, 6.9], []],
    ['by 2 degrees', [5, 7], ['+5°', '+5°', '+5°', '+7°', '+7°', '+7°']],
    ['from one side to the other', [-3, 0, 4], ['−3°', '−3°', '0°', '0°', '+4°', '+4°']],
  ])('is written six times where it differs %s', (_, leans, words) => {
    const along = leans.map((lean, index) => ({ share: index / (leans.length - 1), lean }));
    const marks = leanMarks(rectangle(100, 40), { from: 0, to: 1 }, along);
    expect(marks.map((mark) => mark.kind === 'lean' && mark.text)).toEqual(words);
    for (const mark of marks) if (mark.kind === 'lean') expect([mark.at[1], ...mark.inward]).toEqual([0, -0, 1]);
  });

  it('is told by the larger one, with the least and the greatest', () => {
    const span = { from: 0, to: 1 };
    expect(edgeLean('rim', span, [2, -7, 4])).toMatchObject({ lean: -7, least: -7, greatest: 4, word: 'tuck' });
    expect(edgeLean('foot', span, [2, 7, 7])).toMatchObject({ edge: 'foot', lean: 7, least: 2, word: 'spread' });
  });
});
