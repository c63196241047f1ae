import { expectNothingInTheWay } from './accessOfScreens.ts';

describe.each(['day', 'evening'] as const)('on a desk by %s', (light) =>
  expectNothingInTheWay({ width: 1280, height: 800, light }),
);
