import { STARTING_FORMS } from '../pattern/index.js';
import { patternDrawing, type Ink } from './index.js';

const sheets = (form: string) =>
  patternDrawing({
    title: 'Leg',
    revision: 3,
    body: STARTING_FORMS.find((f) => f.id === form)!.body({}, 'ash'),
    units: 'mm',
    paper: 'A4',
  });
const words = (ink: Ink[]) => ink.flatMap((i) => (i.kind === 'text' ? [i.text] : []));

describe('dimensioned drawing', () => {
  it('has a sheet for each part, everything on it', () => {
    const pages = sheets('launched-top');
    expect(pages).toHaveLength(2);
    expect(words(pages[0]!.ink).join()).toContain('Stem');
    for (const { ink, width, height } of pages)
      for (const i of ink) {
        const points =
          i.kind === 'polyline'
            ? i.points
            : i.kind === 'line'
              ? [
                  [i.x0, i.y0],
                  [i.x1, i.y1],
                ]
              : [[i.x, i.y]];
        for (const [x, y] of points as [number, number][]) {
          expect(x).toBeGreaterThan(0);
          expect(x).toBeLessThan(width);
          expect(y).toBeGreaterThan(0);
          expect(y).toBeLessThan(height);
        }
      }
  });

  it('draws to the scale it names', () => {
    const [leg] = sheets('leg');
    expect(words(leg!.ink).join()).toContain('Scale 1 : 2');
    const profile = leg!.ink.find((i) => i.kind === 'polyline') as Extract<Ink, { kind: 'polyline' }>;
    const xs = profile.points.map(([x]) => x);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(440 / 2, 6);
  });

  it('chains the lengths up to the total', () => {
    const [pin] = sheets('tapered-pin');
    expect(words(pin!.ink)).toEqual(expect.arrayContaining(['160.0', '480.0', '0.0']));
  });
});
