import { dim } from '../measure/index.js';
import {
  chain,
  compareOutlines,
  drilledSolid,
  latheMesh,
  outlineOf,
  STARTING_FORMS,
  type Hole,
  circleOf,
  pointAt,
  type Mesh,
  type Outline,
  type Segment,
} from '../pattern/index.js';
import {
  FileProblem,
  profileCsv,
  profileDxf,
  profileOf,
  profileSvg,
  readCsv,
  readDxf,
  readPattern,
  readSvg,
  stlOf,
  turningFrom,
  writePattern,
  type Drawing,
} from './index.js';

const outlines = STARTING_FORMS.map((form) => {
  const part = form.body({}, 'ash').parts[0];
  return [form.id, outlineOf(part.turnings[0])] as const;
}).filter(([, outline]) => !outline.squares);

const back = (drawing: Drawing): Outline => {
  const { segments, startDiameter } = profileOf(drawing);
  return outlineOf(turningFrom(segments, startDiameter));
};

/** Largest distance of the second outline from the first, looked at along every piece of it. */
function strays(a: Outline, b: Outline): number {
  expect(Math.abs(a.length - b.length)).toBeLessThan(0.005);
  const points = b.segments.flatMap((s) => [0, 0.25, 0.5, 0.75, 1].map((t) => pointAt(s, t)));
  return Math.max(...points.map(({ x, r }) => Math.min(...a.segments.map((s) => distance(s, x, r)))));
}

function distance(s: Segment, x: number, r: number): number {
  const ends = Math.min(Math.hypot(x - s.x0, r - s.r0), Math.hypot(x - s.x1, r - s.r1));
  if (s.bulge === 0) {
    const [dx, dr] = [s.x1 - s.x0, s.r1 - s.r0];
    const t = ((x - s.x0) * dx + (r - s.r0) * dr) / (dx * dx + dr * dr);
    return t < 0 || t > 1 ? ends : Math.abs((x - s.x0) * dr - (r - s.r0) * dx) / Math.hypot(dx, dr);
  }
  const { cx, cr, radius } = circleOf(s);
  const within = x >= s.x0 && x <= s.x1 && Math.sign(r - cr || 1) === Math.sign(s.bulge);
  return within ? Math.abs(Math.hypot(x - cx, r - cr) - radius) : ends;
}

describe('round trips keep the profile within 0.005', () => {
  it.each(outlines)('%s by SVG', (_, outline) => {
    expect(strays(outline, back(readSvg(profileSvg(outline, 'A & B'))))).toBeLessThan(0.005);
  });

  it.each(outlines)('%s by DXF', (_, outline) => {
    expect(strays(outline, back(readDxf(profileDxf(outline))))).toBeLessThan(0.005);
  });

  it.each(outlines)('%s by CSV', (_, outline) => {
    const { points } = readCsv(profileCsv(outline));
    const segments = points.slice(1).map((p, i) => {
      const q = points[i]!;
      return { elementId: `e${i}`, x0: q.x, r0: q.up, x1: p.x, r1: p.up, bulge: 0 };
    });
    expect(strays(outline, outlineOf(turningFrom(segments, 2 * points[0]!.up)))).toBeLessThan(0.005);
  });

  it('a pattern by JSON, hardware left aside', () => {
    const body = STARTING_FORMS[0].body({}, 'ash');
    const fitted = { ...body, hardware: [{ id: 'h', kitId: 'k', partId: 'part1', end: 'far' as const }] };
    const read = readPattern(writePattern('Stopper', fitted));
    expect(read).toEqual({ name: 'Stopper', body, leftAside: [expect.stringContaining('hardware')] });
  });
});

describe('SVG', () => {
  const svg = (inner: string, attributes = 'width="100mm" viewBox="0 0 100 100"') =>
    `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${inner}</svg>`;

  it('takes a half profile closed along its axis, in any transform', () => {
    const half = '<path d="M0 0h40v10h-10a5 5 0 0 1 -10 0h-20z"/>';
    const plain = profileOf(readSvg(svg(half)));
    const moved = profileOf(readSvg(svg(`<g transform="translate(20 70) rotate(-90)">${half}</g>`)));
    expect(plain.readAs).toContain('closed along its axis');
    expect(plain.startDiameter).toBeCloseTo(20, 6);
    expect(plain.segments.at(-1)!.x1).toBeCloseTo(40, 6);
    for (const key of ['x1', 'r1'] as const)
      moved.segments.forEach((s, i) => expect(s[key]).toBeCloseTo(plain.segments[i]![key], 6));
  });

  it('takes millimetres, inches and pixels', () => {
    const box = '<path d="M0 0H40V10H0Z"/>';
    const length = (attributes: string) => profileOf(readSvg(svg(box, attributes))).segments.at(-1)!.x1;
    expect(length('width="80mm" viewBox="0 0 40 40"')).toBeCloseTo(80, 6);
    expect(length('width="2in" viewBox="0 0 40 40"')).toBeCloseTo(50.8, 6);
    expect(length('')).toBeCloseTo((40 * 25.4) / 96, 6);
  });

  it('takes a standing silhouette of curves', () => {
    const vase = '<path d="M40 10 C 30 30 20 50 30 90 L 70 90 C 80 50 70 30 60 10 Z"/>';
    const { readAs, segments } = profileOf(readSvg(svg(vase)));
    expect(readAs).toContain('standing');
    expect(segments.at(-1)!.x1).toBeCloseTo(80, 3);
  });

  it('a circle is a ball', () => {
    const ball = back(readSvg(svg('<circle cx="50" cy="50" r="20"/>')));
    expect(ball.length).toBeCloseTo(40, 3);
  });

  it.each([
    ['not closed', '<svg><path d="M0 0"></svg>', /Line 1.*well-formed/],
    ['a broken path', svg('<path id="rim" d="M0 0 L 5 zz"/>'), /rim/],
    ['empty', svg(''), /no line/],
    ['no axis', svg('<path d="M0 3 L 20 9 L 40 5"/>'), /axis/],
    ['an undercut', svg('<path d="M0 0 L0 10 L20 20 L10 30 L40 10 L40 0 Z"/>'), /turns back/],
  ])('%s is refused with what is wrong', (_, text, why) => {
    expect(() => profileOf(readSvg(text))).toThrow(FileProblem);
    expect(() => profileOf(readSvg(text))).toThrow(why);
  });

  it('a file of more than 5 MB is refused', () => {
    expect(() => readSvg(' '.repeat(5_000_001))).toThrow(/5 MB/);
  });
});

/** A DXF of entities only, as a person's own program may write it. */
const dxf = (...entities: (string | number)[][]) =>
  ['0', 'SECTION', '2', 'ENTITIES', ...entities.flat().map(String), '0', 'ENDSEC', '0', 'EOF'].join('\n');
const line = (x0: number, y0: number, x1: number, y1: number, layer = '0') => [
  0,
  'LINE',
  8,
  layer,
  10,
  x0,
  20,
  y0,
  30,
  0,
  11,
  x1,
  21,
  y1,
  31,
  0,
];

describe('DXF', () => {
  it('chains lines and arcs whatever their order and direction', () => {
    const outline = back(
      readDxf(
        dxf(
          line(20, 10, 0, 10),
          [0, 'ARC', 8, '0', 10, 30, 20, 10, 30, 0, 40, 10, 50, 0, 51, 180],
          line(40, 10, 60, 10),
          line(0, 0, 60, 0, 'AXIS'),
        ),
      ),
    );
    expect(outline.length).toBeCloseTo(60, 6);
    expect(outline.spans.map((s) => s.element.kind)).toEqual(['cylinder', 'bead', 'cylinder']);
  });

  it('takes a spline by its control points', () => {
    const spline = [
      0,
      'SPLINE',
      8,
      '0',
      70,
      8,
      71,
      3,
      72,
      8,
      73,
      4,
      74,
      0,
      ...[0, 0, 0, 0, 1, 1, 1, 1].flatMap((k) => [40, k]),
      ...[
        [0, 10],
        [20, 20],
        [40, 0],
        [60, 10],
      ].flatMap(([x, y]) => [10, x!, 20, y!, 30, 0]),
    ];
    const outline = back(readDxf(dxf(spline, line(0, 0, 60, 0, 'AXIS'))));
    // a cubic with these points: y(½) = (10 + 3·20 + 3·0 + 10)/8 = 10, y(¼) from the Bernstein sum
    const quarter = 0.421875 * 10 + 0.421875 * 20 + 0.140625 * 0 + 0.015625 * 10;
    expect(outline.length).toBeCloseTo(60, 6);
    expect(compareOutlines(outline, outline).largest.difference).toBe(0);
    const at = (x: number) => outline.segments.find((s) => x >= s.x0 && x <= s.x1)!;
    expect(Math.abs(at(15).r0 - quarter)).toBeLessThan(1);
  });

  it('reads inches when the drawing says so', () => {
    const inches = dxf(line(0, 1, 3, 1), line(0, 0, 3, 0, 'AXIS')).replace(
      '0\nSECTION\n2\nENTITIES',
      '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n1\n0\nENDSEC\n0\nSECTION\n2\nENTITIES',
    );
    expect(back(readDxf(inches)).length).toBeCloseTo(76.2, 6);
  });

  it.each([
    ['a block', dxf([0, 'INSERT', 8, '0', 2, 'b', 10, 0, 20, 0]), /Entity 1, a INSERT.*Explode/],
    ['not a DXF', 'hello', /Line 1/],
  ])('%s is refused with what is wrong', (_, text, why) => {
    expect(() => profileOf(readDxf(text))).toThrow(why);
  });
});

describe('CSV', () => {
  it('knows its columns by their headings, and decimal commas', () => {
    expect(readCsv('x;diameter\n0;20,5\n10,25;21').points).toEqual([
      { x: 0, up: 10.25, down: 10.25 },
      { x: 10.25, up: 10.5, down: 10.5 },
    ]);
    expect(readCsv('x,up,down\n0,10,9\n5,11,12').points[1]).toEqual({ x: 5, up: 11, down: 12 });
    expect(readCsv('x inch,diameter inch\n0,1\n2,1').points[1]).toEqual({ x: 50.8, up: 12.7, down: 12.7 });
  });

  it('names the row that is wrong and takes none in', () => {
    expect(() => readCsv('x,diameter\n0,20\n5,abc\n9,21')).toThrow(/Row 3: “abc”/);
    expect(() => readCsv('colour,size\nred,3')).toThrow(/headings/);
    expect(() => readCsv('5')).toThrow(/no rows/);
  });
});

describe('pattern JSON', () => {
  it.each([
    ['{', /not JSON/],
    ['{"format":"else"}', /not a pattern file/],
    ['{"format":"compas pattern","version":9}', /version 9/],
    ['{"format":"compas pattern","version":1,"name":"x","body":{"schema":1}}', /not complete/],
  ])('%s is refused', (text, why) => expect(() => readPattern(text)).toThrow(why));

  it.each([
    ['an element of an unknown kind', { kind: 'spiral', id: 'e1' }],
    ['an element without its length', { kind: 'cylinder', id: 'e1' }],
  ])('%s is refused with a sentence', (_, element) => {
    const body = STARTING_FORMS[0].body({}, 'ash');
    const spoilt = { ...body.parts[0].turnings[0], elements: [element] };
    const text = JSON.stringify({
      format: 'compas pattern',
      version: 1,
      name: 'x',
      body: { ...body, parts: [{ ...body.parts[0], turnings: [spoilt] }] },
    });
    expect(() => readPattern(text)).toThrow(FileProblem);
  });
});

describe('STL', () => {
  const bore: Hole = {
    id: 'h',
    name: 'bore',
    from: 'far',
    through: false,
    pointAngle: 118,
    steps: [
      { diameter: dim(12), depth: dim(10) },
      { diameter: dim(6), depth: dim(25) },
    ],
  };

  /** How often each edge is walked in each direction: once each when the surface is closed. */
  function openEdges({ indices }: Mesh): number {
    const edges = new Map<string, number>();
    for (let i = 0; i < indices.length; i += 3)
      for (const [a, b] of [
        [indices[i]!, indices[i + 1]!],
        [indices[i + 1]!, indices[i + 2]!],
        [indices[i + 2]!, indices[i]!],
      ] as const) {
        const key = a < b ? `${a},${b}` : `${b},${a}`;
        edges.set(key, (edges.get(key) ?? 0) + (a < b ? 1 : -1));
      }
    return [...edges.values()].filter((n) => n !== 0).length;
  }

  const volumeOf = ({ positions: p, indices }: Mesh): number => {
    let six = 0;
    for (let i = 0; i < indices.length; i += 3) {
      const [a, b, c] = [0, 1, 2].map((k) => 3 * indices[i + k]!) as [number, number, number];
      six +=
        p[a]! * (p[b + 1]! * p[c + 2]! - p[b + 2]! * p[c + 1]!) -
        p[a + 1]! * (p[b]! * p[c + 2]! - p[b + 2]! * p[c]!) +
        p[a + 2]! * (p[b]! * p[c + 1]! - p[b + 1]! * p[c]!);
    }
    return six / 6;
  };

  it.each(STARTING_FORMS.map((f) => [f.id, f] as const))(
    '%s is a closed surface round its volume',
    (_, form) => {
      const part = form.body({}, 'ash').parts[0];
      const outline = outlineOf(part.turnings[0]);
      const mesh = latheMesh(outline, part.holes, 0.01);
      expect(openEdges(mesh)).toBe(0);
      const { volume } = drilledSolid(outline, part.holes);
      expect(Math.abs(volumeOf(mesh) / volume - 1)).toBeLessThan(0.005);
    },
  );

  it('takes stepped bores out', () => {
    const outline = chain([{ kind: 'cylinder', id: 'c', length: dim(60) }], 30);
    const mesh = latheMesh(outline, [bore], 0.005);
    expect(openEdges(mesh)).toBe(0);
    expect(Math.abs(volumeOf(mesh) / drilledSolid(outline, [bore]).volume - 1)).toBeLessThan(0.002);
  });

  it('has fifty bytes a facet after its heading', () => {
    const mesh = latheMesh(chain([{ kind: 'cylinder', id: 'c', length: dim(10) }], 10), [], 0.1);
    const bytes = stlOf([mesh]);
    const count = new DataView(bytes.buffer).getUint32(80, true);
    expect(count).toBe(mesh.indices.length / 3);
    expect(bytes.length).toBe(84 + 50 * count);
  });
});
