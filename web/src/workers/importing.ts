import {
  chain,
  FileProblem,
  profileOf,
  readCsv,
  readDxf,
  readPattern,
  readSvg,
  turningFrom,
  type Drawing,
  type PatternBody,
} from '@compas/core';

/** A pattern read from a file, and how. */
export interface Imported {
  name: string;
  body: PatternBody;
  readAs: string;
  leftAside: string[];
}

const READERS: Record<string, (text: string) => Drawing> = { svg: readSvg, dxf: readDxf };

/** Reads a file by what it is called; throws a FileProblem with a sentence. */
export function imported(fileName: string, text: string): Imported {
  const kind = /\.(\w+)$/.exec(fileName)?.[1]?.toLowerCase() ?? '';
  const name = fileName.replace(/(\.compas)?\.\w+$/, '');
  if (kind === 'json') return { ...readPattern(text), readAs: 'a whole pattern' };
  const reader = READERS[kind];
  if (reader) {
    const { segments, startDiameter, readAs, leftAside } = profileOf(reader(text));
    return { name, readAs, leftAside, body: bodyOf(turningFrom(segments, startDiameter)) };
  }
  if (kind === 'csv' || kind === 'txt') {
    const { points, readAs } = readCsv(text);
    const [first] = points;
    const segments = points.slice(1).map((p, i) => {
      const q = points[i] ?? p;
      return { elementId: '', x0: q.x, r0: q.up, x1: p.x, r1: p.up, bulge: 0 };
    });
    const back = segments.find((s) => s.x1 < s.x0);
    if (back) throw new FileProblem(`The places must rise; ${back.x1} follows ${back.x0}.`);
    return { name, readAs, leftAside: [], body: bodyOf(turningFrom(segments, 2 * (first?.up ?? 0))) };
  }
  throw new FileProblem(`A file called .${kind} is not read. SVG, DXF, CSV and our own JSON are.`, fileName);
}

function bodyOf(turning: ReturnType<typeof turningFrom>): PatternBody {
  const { length } = chain(turning.elements, turning.startDiameter.mm);
  if (length <= 0) throw new FileProblem('The profile in it has no length.');
  return {
    schema: 1,
    kind: 'other',
    usedBy: 'anybody',
    parts: [{ id: 'part1', name: 'Body', perItem: 1, materialId: 'beech', turnings: [turning], holes: [] }],
    hardware: [],
    source: { from: 'drawing', words: '', allows: '' },
    lastId: Math.max(100, turning.elements.length),
  };
}
