import { slipOf } from './slip.ts';

it.each([
  [84.2, 84, null],
  [76, 84, null],
  [92, 84, null],
  [48, 84, 'turned'],
  [48.3, 84.1, 'turned'],
  [84, 48, 'turned'],
  [8.4, 84, 'far'],
  [60, 84, 'far'],
  [412, 421, null],
  [124, 412, 'turned'],
])('%d where %d is planned: %s', (read, planned, slip) => expect(slipOf(read, planned)).toBe(slip));
