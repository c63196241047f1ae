import { readVolume, writeVolume } from './volume.ts';

describe('volumes', () => {
  it.each([
    [443.4, 'ml', '443 ml'],
    [2345, 'ml', '2.35 l'],
    [443.6, 'us', '15 fl oz'],
    [350, 'us', '12 fl oz'],
    [1420, 'us', '1.5 qt'],
    [568.26, 'imperial', '20 fl oz'],
    [1705, 'imperial', '1.5 qt'],
  ] as const)('%d ml in %s is %s', (ml, system, text) => {
    expect(writeVolume(ml, system)).toBe(text);
  });

  it.each([
    ['350', 'ml', 350],
    ['350 ml', 'us', 350],
    ['1.4 l', 'ml', 1400],
    ['1,4 l', 'ml', 1400],
    ['35cl', 'ml', 350],
    ['12', 'us', 354.882],
    ['48 fl oz', 'ml', 1419.529],
    ['48 fl. oz', 'us', 1419.529],
    ['1.5 qt', 'ml', 1419.529],
    ['1½ qt', 'us', 1419.529],
    ['1 pt 4 oz', 'us', 591.471],
    ['1 pint', 'imperial', 568.261],
    ['2 gallons', 'us', 7570.824],
    ['1 gal 1 quart', 'us', 4731.765],
    ['0.5 litres', 'us', 500],
    ['２ pt', 'imperial', 1136.523],
  ] as const)('%s, shown in %s, is read as %d ml', (text, system, ml) => {
    expect(readVolume(text, system)).toBeCloseTo(ml, 2);
  });

  it.each(['', 'a cup', '12 lb', '3 qt of milk', '-4'])('refuses "%s"', (text) => {
    expect(readVolume(text, 'ml')).toBeNull();
  });

  it('reads what it writes as near as it was written', () => {
    for (let ml = 40; ml < 6000; ml *= 1.07) {
      for (const system of ['ml', 'us', 'imperial'] as const) {
        const read = readVolume(writeVolume(ml, system), system) ?? NaN;
        expect(Math.abs(read - ml)).toBeLessThanOrEqual(Math.max(0.5, system === 'ml' ? (ml < 2000 ? 0.5 : 5) : 7.6));
      }
    }
  });
});
