import { dim, materialById, outlineOf, type Element } from '@compas/core';
import fc from 'fast-check';
import { brightness, lit, SHARES } from './light.js';
import { profileOf } from './profile.js';
import { planeLines, ringLines, ringsOf, type Place, type Rings } from './rings.js';
import { lookOf } from './woodLook.js';

const straight = (rings: Rings): Rings => ({
  ...rings,
  lean: 0,
  wave: { ...rings.wave, height: 0 },
  off: [0],
});
const places = (r: (x: number) => number, length = 100): Place[] =>
  Array.from({ length: 101 }, (_, i) => ({ x: (length * i) / 100, r: r((length * i) / 100) }));

describe('grain on turned wood', () => {
  it('lies where the rings of the tree meet the surface: every point as far from the pith as its ring', () =>
    fc.assert(
      fc.property(fc.string(), fc.double({ min: 5, max: 40, noNaN: true }), (seed, r) => {
        const rings = straight(ringsOf(seed, r));
        const { pith, turned, pitch } = rings;
        for (const line of ringLines(
          places((x) => r * (0.7 + 0.3 * Math.sin(x / 9))),
          rings,
        ))
          for (const [x, y] of line.slice(1, -1)) {
            const here = r * (0.7 + 0.3 * Math.sin(x / 9));
            const front = Math.sqrt(Math.max(0, here * here - y * y));
            // the pith: P behind the axis, turned down by φ
            const d = Math.hypot(y + pith * Math.sin(turned) * -1, front + pith * Math.cos(turned));
            expect(Math.abs(d / pitch - Math.round(d / pitch))).toBeLessThan(1e-6);
          }
      }),
      { numRuns: 40 },
    ));

  it('runs along the axis on a straight, and closes to ovals on a bead', () => {
    const rings = straight(ringsOf('acorn', 20));
    for (const line of ringLines(
      places(() => 20),
      rings,
    )) {
      expect(line.length).toBe(101);
      expect(Math.max(...line.map(([, y]) => y)) - Math.min(...line.map(([, y]) => y))).toBeCloseTo(0, 9);
    }
    const bead = ringLines(
      places((x) => 20 - ((x - 50) / 25) ** 2 * 2),
      rings,
    );
    // an oval is two halves that begin and end where both meet
    const ends = bead.map((line) => [line[0]?.join(), line.at(-1)?.join()].join(' '));
    expect(ends.some((e, i) => ends.indexOf(e) !== i)).toBe(true);
  });

  it('stays in the wood, above the axis outside and below it in the cut face', () =>
    fc.assert(
      fc.property(fc.string(), (seed) => {
        const rings = ringsOf(seed, 15);
        const profile = places((x) => 15 - x / 10);
        for (const line of ringLines(profile, rings))
          for (const [x, y] of line) {
            expect(y).toBeGreaterThanOrEqual(-1e-9);
            expect(y).toBeLessThanOrEqual(15 - x / 10 + 0.2);
          }
        for (const line of planeLines([0, 50, 100], { front: 0, low: -15, high: 0 }, rings))
          for (const [, y] of line) {
            expect(y).toBeLessThan(0);
            expect(y).toBeGreaterThan(-15);
          }
      }),
      { numRuns: 40 },
    ));

  it('lies in a plane where its rings cross it, on a sawn face in front of the axis as in the cut through it', () =>
    fc.assert(
      fc.property(fc.string(), fc.double({ min: 0, max: 20, noNaN: true }), (seed, front) => {
        const rings = straight(ringsOf(seed, 20));
        const { pith, turned, pitch } = rings;
        const lines = planeLines([0, 40, 80], { front, low: -20, high: 20 }, rings);
        expect(lines.length).toBeGreaterThan(0);
        for (const [, y] of lines.flat()) {
          const d = Math.hypot(y - pith * Math.sin(turned), front + pith * Math.cos(turned));
          expect(Math.abs(d / pitch - Math.round(d / pitch))).toBeLessThan(1e-6);
        }
      }),
    ));

  it('is the same for the same piece and another for its twin', () => {
    expect(ringsOf('body 1', 20)).toEqual(ringsOf('body 1', 20));
    expect(ringsOf('body 1', 20)).not.toEqual(ringsOf('body 2', 20));
  });

  it('is not drawn on horn, antler and resin', () => {
    const seeds = ['maple', 'horn', 'antler'].map((id) => {
      const material = materialById(id);
      return material && lookOf(material, 'body 1').seed;
    });
    expect(seeds).toEqual(['body 1', null, null]);
  });
});

describe('light on a round', () => {
  it('is Lambert’s: brightest where the surface looks to it, 0.55 up and 0.835 to the front', () => {
    expect(brightness(0)).toBeCloseTo(0.835, 9);
    expect(brightness(1)).toBeCloseTo(0.55, 9);
    expect(brightness(0.55)).toBeCloseTo(1, 3);
    const brightest = [...SHARES].sort((a, b) => brightness(b) - brightness(a))[0];
    expect(brightest).toBe(0.54);
  });

  it('never leaves the range of a colour', () => {
    for (const h of SHARES)
      for (const channel of (lit('#fff0a0', h).match(/\d+/g) ?? []).map(Number)) {
        expect(channel).toBeGreaterThanOrEqual(0);
        expect(channel).toBeLessThanOrEqual(255);
      }
  });
});

describe('the profile that grain is drawn by', () => {
  const elements: Element[] = [
    { kind: 'cylinder', id: 'a', length: dim(40) },
    { kind: 'shoulder', id: 's', endDiameter: dim(40) },
    { kind: 'bead', id: 'b', length: dim(10), crown: dim(46) },
  ];
  it('follows curves closely, straights loosely, and keeps both sides of a shoulder', () => {
    const outline = outlineOf({ id: 't', startDiameter: dim(30), elements });
    const profile = profileOf(outline, 5);
    expect(profile.filter((p) => p.x < 40).length).toBeLessThan(14);
    expect(profile.filter((p) => p.x > 40).length).toBeGreaterThan(12);
    const beside = profile.filter((p) => Math.abs(p.x - 40) < 0.02).map((p) => Math.round(p.r * 10) / 10);
    expect(beside).toEqual([15, 20]);
  });
});
