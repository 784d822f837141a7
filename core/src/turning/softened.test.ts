import { dim } from '../measure/index.js';
import { outlineOf, type Element } from '../pattern/index.js';
import { CUT_FORCE, orderOfCuts, softestCuts, type Cut } from './index.js';

const LENGTH = 300;
const E = 12_000;
const cylinder = (id: string, length: number): Element => ({
  kind: 'cylinder',
  id,
  name: id,
  length: dim(length),
});
/** Three stretches of a shaft of 20, of which the outer two are a third each. */
const shaft = outlineOf({
  id: 't',
  startDiameter: dim(20),
  elements: [cylinder('a', 100), cylinder('b', 100), cylinder('c', 100)],
});
const held = { drive: 'reference', tail: true, stiffness: E, rough: 20 } as const;
const { cuts } = orderOfCuts('p', shaft, [], 'reference');
const inertia = (d: number) => (Math.PI * d ** 4) / 64;
const gives = (all: ReturnType<typeof softestCuts>, id: string) =>
  all.find((c) => c.elementId === id)?.gives ?? 0;

describe('how far wood gives way under a cut, against the textbook', () => {
  const soft = softestCuts(shaft, cuts, held);

  it('amid a round shaft on two supports: F·L³ / (48·E·I)', () =>
    expect(gives(soft, 'b')).toBeCloseTo((CUT_FORCE * LENGTH ** 3) / (48 * E * inertia(20)), 4));

  it('a sixth from its end: F·a²·b² / (3·E·I·L)', () =>
    expect(gives(soft, 'a')).toBeCloseTo(
      (CUT_FORCE * 50 ** 2 * 250 ** 2) / (3 * E * inertia(20) * LENGTH),
      4,
    ));

  it('clamped at the drive with the tail away: F·a³ / (3·E·I), from whichever end', () => {
    const free = (drive: 'reference' | 'far') => softestCuts(shaft, cuts, { ...held, drive, tail: false });
    const farthest = (CUT_FORCE * 250 ** 3) / (3 * E * inertia(20));
    expect(gives(free('reference'), 'c')).toBeCloseTo(farthest, 3);
    expect(gives(free('far'), 'a')).toBeCloseTo(farthest, 3);
  });

  it('what was cut thin before is why it gives', () => {
    const necked = outlineOf({
      id: 't',
      startDiameter: dim(20),
      elements: [
        cylinder('a', 100),
        { kind: 'shoulder', id: 's', name: 's', endDiameter: dim(8) },
        cylinder('b', 100),
        { kind: 'shoulder', id: 'u', name: 'u', endDiameter: dim(20) },
        cylinder('c', 100),
      ],
    });
    const usual = orderOfCuts('p', necked, [], 'reference').cuts;
    const neckFirst = [
      usual.find((c) => c.elementId === 'b'),
      ...usual.filter((c) => c.elementId !== 'b'),
    ] as Cut[];
    const first = softestCuts(necked, neckFirst, held).find((c) => c.elementId === 'c');
    expect(first?.because).toBe('b');
    expect(first?.gives).toBeGreaterThan(3 * gives(softestCuts(necked, usual, held), 'c'));
  });
});
