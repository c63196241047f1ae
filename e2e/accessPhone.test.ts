import { expectNothingInTheWay } from './accessOfScreens.ts';

describe.each(['day', 'evening'] as const)('on a phone, by %s', (light) =>
  expectNothingInTheWay({ width: 390, height: 844, light }),
);
