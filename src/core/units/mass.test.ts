import { readMass, scaleUp, writeMass } from './mass.ts';

describe('masses', () => {
  it.each([
    [740.4, 'g', '740 g'],
    [12_400, 'g', '12.4 kg'],
    [737.0876, 'lb', '1 lb 10 oz'],
    [453.59237, 'lb', '1 lb'],
    [100, 'lb', '3.5 oz'],
    [0, 'lb', '0 oz'],
  ] as const)('%d g in %s is written %s', (grams, system, text) => expect(writeMass(grams, system)).toBe(text));

  it.each([
    ['740', 'g', 740],
    ['1.2 kg', 'g', 1200],
    ['1,2kg', 'g', 1200],
    ['2', 'lb', 907.18474],
    ['1 lb 10 oz', 'g', 737.0876],
    ['1lb 10oz', 'lb', 737.0876],
    ['26 oz', 'lb', 737.0876],
    ['3 lbs', 'lb', 1360.77711],
  ] as const)('%s with %s is %d g', (text, system, grams) => expect(readMass(text, system)).toBeCloseTo(grams, 4));

  it.each(['', 'much', '-4', '4 stone', '4 g of clay', '1 kg x'])('%s is no mass', (text) => {
    expect(readMass(text, 'g')).toBeNull();
  });

  it('are rounded up to what a bench scale shows, and never down', () => {
    expect(scaleUp(731, 'g')).toBe(740);
    expect(scaleUp(740, 'g')).toBe(740);
    for (let grams = 1; grams < 3000; grams += 37.3) {
      for (const system of ['g', 'lb'] as const) expect(scaleUp(grams, system)).toBeGreaterThanOrEqual(grams - 1e-3);
    }
    expect(readMass(writeMass(scaleUp(731, 'lb'), 'lb'), 'lb')).toBeCloseTo(scaleUp(731, 'lb'), 6);
  });
});
