import { develop } from '../../piece/develop.ts';
import { level } from '../../piece/targets.test.helper.ts';
import { seeded } from '../../seeded.ts';
import type { BallGores, ProfileGores } from '../../target/goresForm.ts';
import { checkTarget } from '../checkTarget.ts';
import { asBall, asProfile } from './asBall.ts';

const random = seeded(421);
const between = (low: number, high: number) => low + random() * (high - low);

describe('gores by a ball and by a profile', () => {
  it('turn into one another: the foot, the widest level, the height and the strips stay', () => {
    for (let index = 0; index < 80; index += 1) {
      const ball: BallGores = {
        kind: 'gores',
        strips: 5 + (index % 12),
        ball: between(120, 200),
        foot: between(60, 90),
        height: between(40, 100),
      };
      const profile = asProfile(ball);
      expect(profile.strips).toBe(ball.strips);
      expect(profile.profile[0]).toEqual([0, ball.foot]);
      expect(profile.profile.at(-1)?.[0]).toBe(ball.height);
      const middle = Math.sqrt(ball.ball ** 2 - ball.foot ** 2) / 2;
      // Every point lies on the ball.
      for (const [z, across] of profile.profile)
        expect(Math.hypot(across / 2, z - middle)).toBeCloseTo(ball.ball / 2, 9);
      const back = asBall(profile);
      expect(back.foot).toBe(ball.foot);
      if (middle < ball.height) expect(back.ball).toBeCloseTo(ball.ball, 9);
      expect(back.height).toBeLessThanOrEqual(ball.height);
    }
  });

  it.each<[string, ProfileGores['profile']]>([
    [
      'a straight cylinder',
      [
        [0, 80],
        [100, 80],
      ],
    ],
    [
      'a cup that flares',
      [
        [0, 60],
        [90, 120],
      ],
    ],
    [
      'a bottle',
      [
        [0, 70],
        [60, 120],
        [140, 40],
        [180, 50],
      ],
    ],
    [
      'a bowl',
      [
        [0, 60],
        [30, 130],
        [50, 160],
      ],
    ],
  ])('of %s make a ball that can be made, and a profile that can be made of it', (_, profile) => {
    const ball = asBall({ kind: 'gores', strips: 9, profile });
    expect(checkTarget(level(ball))).toEqual([]);
    expect(ball.ball).toBeGreaterThan(ball.foot);
    const again = asProfile(ball);
    expect(checkTarget(level(again))).toEqual([]);
    const [one, other] = [develop(level(ball)), develop(level(again))];
    expect(other.finished.height).toBeCloseTo(one.finished.height, 6);
    expect(other.finished.foot).toBeCloseTo(one.finished.foot, 6);
    expect(Math.abs(other.finished.capacityBrim / one.finished.capacityBrim - 1)).toBeLessThan(0.2);
  });
});
