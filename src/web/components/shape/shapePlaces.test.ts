import { targetsOfEveryKind } from '../../../core/piece/everyKind.test.helper.ts';
import { draggedSizes } from '../table/draggedSizes.ts';
import { GRIP, gripAt, gripGroups, shapePlaces, shapeTags } from './shapePlaces.ts';

const ROOMS = [
  { width: 716, height: 560 },
  { width: 390, height: 250 },
  { width: 540, height: 290 },
  { width: 656, height: 596 },
];

describe('the drawing of a piece', () => {
  it.each(ROOMS)('lies within its room with all its figures: $width by $height, 60 pieces', (room) => {
    for (const target of targetsOfEveryKind(181, 60)) {
      const places = shapePlaces(target, room);
      expect(places.wetLeft).toBeGreaterThanOrEqual(0);
      expect(places.farRight).toBeLessThanOrEqual(room.width);
      expect(places.wetTop).toBeGreaterThanOrEqual(0);
      for (const { at } of shapeTags(draggedSizes(target), places)) {
        expect([at[0] >= 0 && at[0] <= room.width, at[1] >= 0 && at[1] <= room.height]).toEqual([true, true]);
      }
    }
  });

  it('joins grips that a finger could not tell apart, and no others', () => {
    for (const target of targetsOfEveryKind(182, 60)) {
      const places = shapePlaces(target, { width: 390, height: 250 });
      const at = draggedSizes(target).map((handle) => gripAt(handle, places));
      const groups = gripGroups(at);
      expect(groups.flat().sort((one, other) => one - other)).toEqual(at.map((_, index) => index));
      groups.forEach((group, index) =>
        groups.slice(index + 1).forEach((other) => {
          const apart = group.flatMap((one) =>
            other.map((two) =>
              Math.hypot((at[one]?.[0] ?? 0) - (at[two]?.[0] ?? 0), (at[one]?.[1] ?? 0) - (at[two]?.[1] ?? 0)),
            ),
          );
          expect(Math.min(...apart)).toBeGreaterThanOrEqual(GRIP);
        }),
      );
    }
  });
});
