import { execFileSync } from 'node:child_process';

/** Hours of the usual week right through a year, told by a program of its own on the clock of a place. */
function toldIn(zone: string): string[] {
  const work = `
    import { USUAL_WEEK, weekHours } from './src/core/studio/order/weekHours.ts';
    const from = new Date(2027, 0, 4, 7).getTime();
    const clock = (minutes) => { const at = new Date(from + minutes * 60000); return [(at.getDay() + 6) % 7, at.getHours(), at.getMinutes()].join(':'); };
    for (const hours of weekHours(USUAL_WEEK, from, new Date(2028, 0, 3).getTime())) console.log(hours.map(clock).join(' to '));
  `;
  const told = execFileSync(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', work], {
    env: { ...process.env, TZ: zone },
    encoding: 'utf8',
  });
  return told.trim().split('\n');
}

it.each([
  ['Europe/Berlin', 'an hour on and back'],
  ['America/St_Johns', 'half an hour beside the others'],
  ['Australia/Lord_Howe', 'half an hour on and back'],
  ['America/Santiago', 'at midnight'],
  ['Asia/Kolkata', 'no summer time'],
])('the hours of a week are those on the clock of the place, all year: %s, %s', (zone) => {
  const week = [0, 1, 2, 3, 4].flatMap((day) => [`${day}:9:0 to ${day}:12:0`, `${day}:13:0 to ${day}:17:0`]);
  expect(toldIn(zone)).toEqual(Array.from({ length: 52 }, () => week).flat());
});
