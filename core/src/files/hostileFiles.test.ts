import fc from 'fast-check';
import { backwards, chained, type DrawnLine } from './drawnLine.js';
import {
  FileProblem,
  profileOf,
  profileSvg,
  readCsv,
  readDxf,
  readPattern,
  readStockCsv,
  readSvg,
  turningFrom,
} from './index.js';
import { outlineOf, STARTING_FORMS } from '../pattern/index.js';

const svg = (inner: string, attributes = 'width="100mm" viewBox="0 0 100 50"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${inner}</svg>`;
const dxf = (...groups: (string | number)[]) =>
  ['0', 'SECTION', '2', 'ENTITIES', ...groups, '0', 'ENDSEC', '0', 'EOF', ''].join('\n');
const pattern = (body: unknown) => JSON.stringify({ format: 'compas pattern', version: 1, name: 'x', body });
const drawn = (drawing: ReturnType<typeof readSvg>) => {
  const { segments, startDiameter } = profileOf(drawing);
  return turningFrom(segments, startDiameter);
};
/** What a reader says of a file. */
function problemOf(read: () => unknown): Error {
  try {
    read();
  } catch (error) {
    return error as Error;
  }
  throw new Error('Nothing was said.');
}
const CENTRE = /missing, or is of another form/;

describe('a file that has something wrong is a sentence', () => {
  it.each<[string, () => unknown, RegExp]>([
    [
      'an old polyline without its end',
      () => readDxf(dxf('0', 'POLYLINE', '8', '0', '66', '1', '0', 'VERTEX', '10', '0', '20', '0')),
      /Line 6: This polyline has no end/,
    ],
    [
      'an arc without centre',
      () => readDxf(dxf('0', 'ARC', '8', '0', '40', '5', '50', '0', '51', '90')),
      CENTRE,
    ],
    ['a circle of nothing', () => readDxf(dxf('0', 'CIRCLE', '8', '0')), CENTRE],
    ['an ellipse of nothing', () => readDxf(dxf('0', 'ELLIPSE', '8', '0')), CENTRE],
    ['200,000 line breaks', () => drawn(readDxf('\n'.repeat(200_000) + dxf())), /no line in the drawing/],
    [
      '8,000 loose lines',
      () =>
        drawn(
          readSvg(
            svg(
              Array.from(
                { length: 8_000 },
                (_, i) =>
                  `<line x1="${(i * 7) % 100}.${i}" y1="${i % 50}" x2="${(i * 13) % 100}.${i}" y2="${(i * 3) % 50}"/>`,
              ).join(''),
            ),
          ),
        ),
      /axis|turns back/,
    ],
    ['rows of 1e9', () => readCsv('x,diameter\n0,20\n1e9,20\n'), /1,000,000 m long; up to 6 m/],
    ['diameters of 1e9', () => readCsv('x,diameter\n0,1e9\n10,20\n'), /m thick; up to 1 m/],
    ['a drawing of kilometres', () => drawn(readSvg(svg('<path d="M0 0L1e7 2e6L2e7 0Z"/>'))), /other units/],
    ['groups without end', () => readSvg(svg('<g>'.repeat(5_000) + '</g>'.repeat(5_000))), CENTRE],
    ['no part', () => readPattern(pattern({ schema: 1, parts: [null], hardware: [] })), CENTRE],
    [
      'no hole and no turning',
      () => readPattern(pattern({ schema: 1, parts: [{ holes: [null], turnings: [null] }], hardware: [] })),
      CENTRE,
    ],
    ['a cell without end', () => readCsv(`x,d\n"${'a'.repeat(300_000)}`), /^Row 2: “a{40}” in column 1/],
  ])('%s', (_, read, why) => {
    const said = problemOf(read);
    expect(said).toBeInstanceOf(FileProblem);
    expect(said.message).toMatch(why);
  });

  it('what a drawing is wide may be padded as it likes, and entities are not blown up', () => {
    const path = '<path d="M0 0L10 5L20 0Z"/>';
    expect(
      drawn(readSvg(svg(path, `width="100${' '.repeat(100_000)}mm" viewBox="0 0 100 50"`))).elements,
    ).toHaveLength(1);
    const bomb = ['a', 'b', 'c', 'd', 'e', 'f'].map((name, i, all) =>
      i === 0 ? '<!ENTITY a "aaaaaaaaaa">' : `<!ENTITY ${name} "${`&${all[i - 1]};`.repeat(10)}">`,
    );
    expect(() =>
      readSvg(`<!DOCTYPE svg [${bomb.join('')}]>${svg(`<title>&f;&f;&f;</title>${path}`)}`),
    ).not.toThrow();
  });

  it('whatever is cut out of a good file, or put into it, is read or a FileProblem', () => {
    const good = [
      profileSvg(outlineOf(STARTING_FORMS[0].body({}, 'ash').parts[0].turnings[0]), 'a form'),
      dxf('0', 'LINE', '8', '0', '10', '0', '20', '0', '11', '5', '21', '5'),
      'x,diameter\n0,20\n10,22\n',
      pattern(STARTING_FORMS[0].body({}, 'ash')),
      'kind,label,length\nboard,a,400\n',
    ];
    const readers = [
      readSvg,
      readDxf,
      readCsv,
      readPattern,
      (text: string) => readStockCsv(text, { units: 'mm', currency: 'EUR', materials: [] }),
    ];
    fc.assert(
      fc.property(
        fc.nat(good.length - 1),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.nat(40),
        fc.string({ maxLength: 12, unit: 'binary' }),
        (which, at, without, put) => {
          const text = good[which]!;
          const from = Math.floor(at * text.length);
          try {
            readers[which]!(text.slice(0, from) + put + text.slice(from + without));
          } catch (error) {
            expect(error).toBeInstanceOf(FileProblem);
          }
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('lines that touch', () => {
  it('become one, in whatever order and direction they were drawn', () => {
    const points: [number, number][] = Array.from({ length: 9 }, (_, i) => [i * 3, (i * i) % 7]);
    const strokes = points.slice(1).map(([x1, y1], i) => {
      const [x0, y0] = points[i]!;
      return { x0, y0, x1, y1, bulge: 0.1 };
    });
    fc.assert(
      fc.property(
        fc.shuffledSubarray(strokes, { minLength: strokes.length }),
        fc.array(fc.boolean(), { minLength: 8, maxLength: 8 }),
        (shuffled, turned) => {
          const lines = shuffled.map((s, i): DrawnLine => ({
            strokes: turned[i] ? backwards([s]) : [s],
            closed: false,
          }));
          const [line, ...more] = chained(lines);
          expect(more).toEqual([]);
          const run = line!.strokes[0]!.x0 === 0 ? line!.strokes : backwards(line!.strokes);
          expect(run).toEqual(strokes);
        },
      ),
    );
  });
});

it('what is given out holds no control characters, whatever something is called', () => {
  const outline = outlineOf(STARTING_FORMS[0].body({}, 'ash').parts[0].turnings[0]);
  const written = profileSvg(outline, 'an \u0001<egg>\u0007 \u{1f95a}\ud800');
  expect(written).toContain('<title>an &lt;egg&gt; \u{1f95a}</title>');
  expect(() => readSvg(written)).not.toThrow();
});
