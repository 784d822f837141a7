import fc from 'fast-check';
import {
  corrected,
  equilibriumMoisture,
  humidityFor,
  MATERIALS,
  materialById,
  materialsOf,
  provenanceOf,
  shrinkFactor,
  type MaterialField,
} from './index.js';

describe('library', () => {
  it('knows forty woods and more, and what is no wood', () => {
    expect(MATERIALS.filter((m) => m.family === 'wood').length).toBeGreaterThanOrEqual(40);
    expect(new Set(MATERIALS.map((m) => m.id)).size).toBe(MATERIALS.length);
    for (const family of ['resin', 'horn', 'antler', 'laminated wood', 'stabilised wood'])
      expect(MATERIALS.some((m) => m.family === family)).toBe(true);
  });

  it('never quotes a book, and is sound: tangential above radial, values in the range of wood', () => {
    for (const m of MATERIALS) {
      expect(m.certainty).toBe('typical, unchecked');
      if (m.family !== 'wood') continue;
      expect(m.density).toBeGreaterThan(0.3);
      expect(m.density).toBeLessThan(1.4);
      if (m.shrinkRadial !== null) expect(m.shrinkTangential).toBeGreaterThan(m.shrinkRadial);
      if (m.stiffness !== null) expect(m.stiffness).toBeGreaterThan(5_000);
    }
  });

  it('lets a workshop correct a value and says where it is from; unknown has no source', () => {
    const hazel = materialById('hazel');
    if (!hazel) throw new Error('hazel is gone');
    expect(provenanceOf(hazel, 'stiffness')).toBeNull();
    const better = corrected(hazel, { density: 0.66 }, { source: 'own scales', certainty: 'measured' });
    expect(provenanceOf(better, 'density')).toEqual({ source: 'own scales', certainty: 'measured' });
    expect(provenanceOf(better, 'grain' satisfies MaterialField)?.certainty).toBe('typical, unchecked');
    expect(materialById('hazel', [better])?.density).toBe(0.66);
    expect(materialsOf([better])).toHaveLength(MATERIALS.length);
    expect(materialsOf([{ ...better, id: 'mine' }])).toHaveLength(MATERIALS.length + 1);
  });
});

describe('moisture', () => {
  it.each([
    [30, 6.2],
    [50, 9.2],
    [65, 12.0],
    [80, 16.0],
    [90, 20.5],
  ])('at 21.1 °C and %i %% comes to %f %%', (humidity, expected) => {
    expect(Math.abs(equilibriumMoisture(21.1, humidity) - expected)).toBeLessThanOrEqual(0.05);
  });

  it('rises with humidity at every temperature', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 40, noNaN: true }), fc.integer({ min: 1, max: 98 }), (t, h) => {
        expect(equilibriumMoisture(t, h + 1)).toBeGreaterThan(equilibriumMoisture(t, h));
      }),
    );
  });

  it('of a wanted moisture is the humidity that leaves it, and none where no air does', () => {
    // of the same table the other way round
    expect(humidityFor(21.1, 20.5)).toBeCloseTo(90, 0);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.double({ min: 2, max: 98, noNaN: true }),
        (t, h) => expect(humidityFor(t, equilibriumMoisture(t, h))).toBeCloseTo(h, 1),
      ),
    );
    expect(humidityFor(20, 60)).toBeNull();
    expect(humidityFor(20, -1)).toBeNull();
    expect(humidityFor(20, NaN)).toBeNull();
  });

  it('shrinks in proportion below fibre saturation and not above', () => {
    expect(shrinkFactor(9, 60, 30)).toBe(1);
    expect(shrinkFactor(9, 30, 0)).toBeCloseTo(0.91, 12);
    expect(shrinkFactor(9, 40, 10)).toBeCloseTo(0.94, 12); // two thirds of 9 %
    expect(shrinkFactor(8, 12, 30) * shrinkFactor(8, 30, 12)).toBeCloseTo(1, 12);
  });
});
