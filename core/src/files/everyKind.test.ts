import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { dim } from '../measure/index.js';
import {
  canTakeUp,
  checkPattern,
  compareOutlines,
  ELEMENT_KIND_NAMES,
  fieldsOf,
  latheMesh,
  newElement,
  outlineOf,
  peaksOf,
  type ElementKind,
  type PatternBody,
} from '../pattern/index.js';
import { exampleInputs } from '../plan/exampleShop.js';
import { plan } from '../plan/index.js';
import {
  patternDrawing,
  profileCsv,
  profileDxf,
  profileOf,
  profileSvg,
  readCsv,
  readDxf,
  readPattern,
  readSvg,
  turningFrom,
  writePattern,
} from './index.js';

/** A part with one element of a kind, between two cylinders. */
function bodyWith(kind: ElementKind): PatternBody {
  const { pattern } = exampleInputs(1);
  const [part] = pattern.parts;
  const last = { kind: 'cylinder' as const, id: 'e3', length: dim(12) };
  const own = newElement(kind, 'e2', 28);
  // what ends in a point is given a neck, so that something can follow it
  const element = 'endDiameter' in own && own.endDiameter.mm === 0 ? { ...own, endDiameter: dim(18) } : own;
  const turning = {
    id: 'turning1',
    startDiameter: dim(28),
    elements: [{ kind: 'cylinder' as const, id: 'e1', length: dim(20) }, element, last],
  };
  return {
    ...pattern,
    hardware: [],
    longest: undefined,
    parts: [{ ...part, turnings: [turning], holes: [], crossHoles: [] }],
    lastId: 3,
  };
}

/** What was measured, as straight lines from place to place. */
function lines(points: readonly { x: number; up: number }[]) {
  const segments = points.slice(1).map((to, i) => {
    const from = points[i]!;
    return { elementId: `e${i}`, x0: from.x, r0: from.up, x1: to.x, r1: to.up, bulge: 0 };
  });
  return { segments, startDiameter: 2 * points[0]!.up };
}

describe.each(ELEMENT_KIND_NAMES)('%s', (kind) => {
  const body = bodyWith(kind);
  const outline = outlineOf(body.parts[0].turnings[0]);
  const [, span] = outline.spans;

  it('can be made', () => expect(checkPattern(body)).toEqual([]));

  it('goes through a pattern file as it was', () =>
    expect(readPattern(writePattern('One', body)).body.parts[0].turnings[0]).toEqual(
      body.parts[0].turnings[0],
    ));

  it.each([
    ['SVG', () => profileOf(readSvg(profileSvg(outline, 'One')))],
    ['DXF', () => profileOf(readDxf(profileDxf(outline)))],
    ['CSV', () => lines(readCsv(profileCsv(outline)).points)],
  ])('comes back from %s with the same profile', (_, read) => {
    const { segments, startDiameter } = read();
    const back = outlineOf(turningFrom(segments, startDiameter));
    expect(Math.abs(back.length - outline.length)).toBeLessThan(0.01);
    if (!outline.squares)
      expect(Math.abs(compareOutlines(outline, back).largest.difference)).toBeLessThan(0.05);
  });

  it('is a closed surface', () => {
    const { indices } = latheMesh(outline, [], 0.1);
    const edges = new Map<string, number>();
    for (let i = 0; i < indices.length; i += 3)
      for (const [a, b] of [
        [0, 1],
        [1, 2],
        [2, 0],
      ] as const) {
        const pair = [indices[i + a]!, indices[i + b]!].sort((p, q) => p - q).join();
        edges.set(pair, (edges.get(pair) ?? 0) + 1);
      }
    expect([...edges.values()].every((n) => n === 2)).toBe(true);
  });

  it('has its peak and its end on the dimensioned drawing', () => {
    const [page] = patternDrawing({ title: 'One', revision: 1, body, units: 'mm', paper: 'A4' });
    const words = page!.ink.flatMap((i) => (i.kind === 'text' ? [i.text] : []));
    const sizes = [...peaksOf(outline, span!).map((p) => p.diameter), span!.endDiameter];
    for (const size of sizes) expect(words).toContain(`⌀ ${size.toFixed(1)}`);
  });

  it('is cut, sized where it is thickest or thinnest, and marked', () => {
    const inputs = exampleInputs(1);
    const [made] = plan(body, inputs.workshop, inputs.stock, inputs.order, inputs.schools).parts;
    const cut = made.cuts.find((c) => c.elementId === 'e2');
    expect(cut?.words).toMatch(/^[A-Z].*\.$/);
    const sized = made.layout.sizing.map((s) => s.id);
    for (const { is } of peaksOf(outline, span!)) expect(sized).toContain(`e2.${is}`);
    expect(made.layout.marks.some((m) => Math.abs(m.x - span!.x1) < 1e-6)).toBe(true);
  });

  it('gives up its length when another part of the total changes, if it has one', () => {
    const [part] = body.parts;
    const [turning] = part.turnings;
    const taker = turning.elements[1]!;
    if (!canTakeUp(taker)) return expect(fieldsOf(kind).map(([name]) => name)).not.toContain('length');
    const fixed = {
      ...turning,
      total: dim(outline.length + 5),
      elements: turning.elements.map((e) => (e === taker ? { ...taker, takesUp: true } : e)),
    };
    expect(outlineOf(fixed).length).toBeCloseTo(outline.length + 5, 9);
  });
});

it('docs/formats.md names every kind with its fields, and what need not be given with a question mark', () => {
  const text = readFileSync(join(__dirname, '../../../docs/formats.md'), 'utf8');
  const documented = Object.fromEntries(
    [...text.matchAll(/^\| `([a-z-]+)` +\| (.*?) +\|/gm)].map(([, kind, fields]) => [
      kind,
      [...fields!.matchAll(/`(\w+)(?:: [^`]*)?`(\?)?/g)].map(([, name, may]) => `${name}${may ?? ''}`).sort(),
    ]),
  );
  const asked = Object.fromEntries(
    ELEMENT_KIND_NAMES.map((kind) => [
      kind,
      fieldsOf(kind)
        .map(([name, field]) => `${name}${field.usual === undefined ? '' : '?'}`)
        .sort(),
    ]),
  );
  expect(documented).toEqual(asked);
});
