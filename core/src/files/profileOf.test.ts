import { FileProblem, profileOf, turningFrom, type Drawing } from './index.js';

const line = (points: [number, number][], closed = false, axis = false): Drawing['lines'][number] => ({
  strokes: [...points.slice(1), ...(closed ? [points[0]!] : [])].map(([x1, y1], i) => {
    const [x0, y0] = points[i]!;
    return { x0, y0, x1, y1, bulge: 0 };
  }),
  closed,
  ...(axis ? { axis } : {}),
});
const drawing = (...lines: Drawing['lines']): Drawing => ({ lines, leftAside: [] });

/** A stepped pin: 10 long at radius 4, 20 long at radius 7. */
const half: [number, number][] = [
  [0, 4],
  [10, 4],
  [10, 7],
  [30, 7],
];
const whole: [number, number][] = [
  ...half,
  ...[...half].reverse().map(([x, y]): [number, number] => [x, -y]),
];

const sizes = (d: Drawing) => {
  const { segments, startDiameter } = profileOf(d);
  const turning = turningFrom(segments, startDiameter);
  return [
    turning.startDiameter.mm,
    ...turning.elements.map((e) =>
      e.kind === 'shoulder' ? e.endDiameter.mm : 'length' in e ? e.length.mm : 0,
    ),
  ].map((mm) => Number(mm.toFixed(6)));
};
const EXPECTED = [8, 10, 14, 20];
const turned = (points: [number, number][], degrees: number, dx = 0, dy = 0): [number, number][] => {
  const a = (degrees * Math.PI) / 180;
  return points.map(([x, y]) => [
    x * Math.cos(a) - y * Math.sin(a) + dx,
    x * Math.sin(a) + y * Math.cos(a) + dy,
  ]);
};

describe('finding the profile in a drawing', () => {
  it('takes the upper half of a silhouette, lying or standing, wherever it is', () => {
    expect(sizes(drawing(line(whole, true)))).toEqual(EXPECTED);
    expect(sizes(drawing(line(turned(whole, 90, 55, -20), true)))).toEqual(EXPECTED);
  });

  it('takes a half profile over a drawn axis, whichever way the axis was drawn', () => {
    const axis: [number, number][] = [
      [-5, 0],
      [40, 0],
    ];
    expect(sizes(drawing(line(half), line(axis, false, true)))).toEqual(EXPECTED);
    expect(sizes(drawing(line(half), line([...axis].reverse(), false, true)))).toEqual(EXPECTED);
    const leaning = drawing(line(turned(half, 17, 3, 8)), line(turned(axis, 17, 3, 8), false, true));
    expect(sizes(leaning)).toEqual(EXPECTED);
  });

  it('takes a half profile that ends on its axis, above or below it', () => {
    const open: [number, number][] = [[0, 0], ...half, [30, 0]];
    expect(sizes(drawing(line(open)))).toEqual(EXPECTED);
    expect(sizes(drawing(line(open.map(([x, y]): [number, number] => [x, -y]))))).toEqual(EXPECTED);
    expect(sizes(drawing(line([...open].reverse())))).toEqual(EXPECTED);
  });

  it('joins pieces whose ends touch, in any order and direction', () => {
    const pieces = whole.map((p, i) =>
      line(i % 2 ? [p, whole[(i + 1) % whole.length]!] : [whole[(i + 1) % whole.length]!, p]),
    );
    const mixed = [...pieces.filter((_, i) => i % 2), ...pieces.filter((_, i) => !(i % 2))];
    expect(sizes(drawing(...mixed))).toEqual(EXPECTED);
  });

  it('says what it left aside', () => {
    const small = line([
      [60, 60],
      [61, 60],
    ]);
    expect(profileOf(drawing(line(whole, true), small)).leftAside).toEqual(['1 smaller lines']);
  });

  it('refuses what turns back, and what has no axis', () => {
    const back: [number, number][] = [
      [0, 0],
      [0, 8],
      [20, 9],
      [12, 12],
      [30, 6],
      [30, 0],
    ];
    expect(() => profileOf(drawing(line(back)))).toThrow(/turns back 20\.00 mm/);
    expect(() => profileOf(drawing(line(half)))).toThrow(FileProblem);
    expect(() => profileOf(drawing())).toThrow(/no line/);
  });
});
