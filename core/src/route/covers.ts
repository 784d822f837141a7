import type { Finding } from '../measure/index.js';
import {
  type Body,
  drawnBody,
  nameOf,
  outlineOf,
  placedIn,
  FINISHED,
  HERE,
  round,
  STOCK,
  times,
  type Flat,
  unlikeSurfaces,
  type Part,
  type Placement,
  type Unlike,
} from '../pattern/index.js';
import { bodyOfPart, sourceOf, type Operation } from './operation.js';
import { MADE_AS, type PieceIn, type Shop, type Wood } from './shop.js';

/**
 * How far a surface that is turned may be off when all is done as it is said, mm on the radius: nothing but the short
 * arcs of a curve. The mouth of a drilled hole is cut by what is turned after it.
 */
const TURNED = 0.02;
const DRILLED = 0.15;
/** How far a line or band may lie from where it is drawn, mm along the piece. */
const ASIDE = 0.15;

/**
 * Whether what is left at the end is what is drawn, as geometry: every drawn surface is looked for in the wood,
 * and every surface of the wood in the drawing. What hardware asks of a part must be drawn in it by then. What is
 * drawn and not made, or made and not drawn, is a Stop.
 * @param operations what made it, to be called by their titles
 */
export function covers(
  end: Shop,
  parts: readonly Part[],
  operations: readonly Pick<Operation, 'id' | 'title'>[] = [],
): Finding[] {
  const called: Called = (by) => operations.find((o) => o.id === by)?.title ?? 'A cut';
  return parts.flatMap((part) => {
    const made = end.woods.flatMap((wood) =>
      wood.pieces.filter((p) => p.partId === part.id).map((piece) => ({ wood, piece })),
    );
    if (made.length === 0) return [missing(part)];
    return made.flatMap(({ wood, piece }) => [
      ...shapeFindings(part, wood, piece, called),
      ...decorationFindings(part, wood, piece),
    ]);
  });
}

/** What made a surface, by the name of its operation. */
type Called = (by: string) => string;

const missing = (part: Part): Finding => ({
  id: `route.cover.${part.id}`,
  severity: 'stop',
  stage: 'turn',
  partId: part.id,
  what: `${part.name} is drawn and made by nothing.`,
  why: 'No wood at the end has it.',
  remedy: 'Make it, or take it out of the pattern.',
});

function shapeFindings(part: Part, wood: Wood, piece: PieceIn, called: Called): Finding[] {
  const drawn = bodyAt(drawnBody(part), piece.at);
  const left = bodyOfPart(wood.body, sourceOf(wood, piece));
  const bored = new Set([...drawn.drilled, ...left.drilled].map((d) => d.id));
  const off = (by: string) => (bored.has(by) ? DRILLED : TURNED);
  const lost = unlikeSurfaces(drawn, left, off);
  const extra = unlikeSurfaces(left, drawn, off);
  const named = lost.map((u) => drawnFinding(part, u));
  // what is seen from both sides is said once, by the name that is drawn
  return named.length > 0 ? named : extra.map((u) => madeFinding(part, u, called));
}

/** What is drawn, where it lies in its wood. */
function bodyAt({ form, skins, flats, drilled }: Body, at: Placement): Body {
  return {
    // the faces of a square that stays are flats like others: no frame of stock is drawn
    form: { kind: 'boundless' },
    skins: skins.map((skin) => ({ ...skin, axis: placedIn(skin.axis, at) })),
    flats: [...flats, ...facesOf(form)].map((flat) => ({ ...flat, at: placedIn(flat.at, at) })),
    drilled: drilled.map((hole) => ({ ...hole, at: placedIn(hole.at, at) })),
  };
}

const facesOf = (form: Body['form']): Flat[] =>
  form.kind !== 'square'
    ? []
    : [0, 90, 180, 270].map((angle) => {
        const away = round(HERE, angle);
        return { id: STOCK, at: { at: times(away, form.across / 2), along: away, facing: HERE.along } };
      });

function drawnFinding(part: Part, { by, elementId, is }: Unlike): Finding {
  const name = drawnName(part, elementId ?? by);
  return {
    id: `route.cover.${part.id}.${elementId ?? by}.${is}`,
    severity: 'stop',
    stage: 'turn',
    partId: part.id,
    what:
      is === 'proud'
        ? `${part.name}, ${name}: drawn and not made; wood still stands there.`
        : `${part.name}, ${name}: cut deeper than it is drawn.`,
    why: 'The surface that is left there is not the one that is drawn.',
    remedy: is === 'proud' ? 'Add the cut that makes it.' : 'Take back the cut that goes too deep.',
  };
}

const madeFinding = (part: Part, { by, elementId }: Unlike, called: Called): Finding => ({
  id: `route.cover.${part.id}.made.${by}.${elementId ?? ''}`,
  severity: 'stop',
  stage: 'turn',
  partId: part.id,
  what: `${part.name}: “${called(by)}” leaves what is not drawn.`,
  why: 'The surface that is left there is not the one that is drawn.',
  remedy: 'Cut it away, or draw it.',
});

function drawnName(part: Part, id: string): string {
  const elements = [...part.turnings, ...(part.hollows ?? [])].flatMap((t) => t.elements);
  const element = elements.find((e) => e.id === id);
  if (element) return nameOf(element);
  const hole = [...part.holes, ...(part.crossHoles ?? []), ...(part.hollows ?? [])].find(
    (h) => h.id === id || `${h.id}.rim` === id,
  );
  if (hole) return hole.name;
  return Object.values(FINISHED).find((end) => end === id) ?? id;
}

/** A burnt line, texture or colour lies on the wood where it is drawn. */
function decorationFindings(part: Part, wood: Wood, piece: PieceIn): Finding[] {
  const spans = outlineSpans(part);
  return (part.decorations ?? []).flatMap((decoration) => {
    const span = spans.get(decoration.elementId);
    const from = (span ?? 0) + decoration.from.mm;
    const [a, b] = [from, from + decoration.width.mm].map((x) => piece.at.at[0] + x * piece.at.along[0]) as [
      number,
      number,
    ];
    const done = wood.treated.some(
      (t) =>
        t.how === MADE_AS[decoration.kind] &&
        t.on.x0 <= Math.min(a, b) + ASIDE &&
        t.on.x1 >= Math.max(a, b) - ASIDE,
    );
    if (done) return [];
    return [
      {
        id: `route.cover.${part.id}.${decoration.id}`,
        severity: 'stop' as const,
        stage: 'surface' as const,
        partId: part.id,
        what: `${part.name}: the ${decoration.kind} is drawn and made by nothing.`,
        why: 'No surface at the end has it.',
        remedy: 'Add it to the route, or leave it out with a reason.',
      },
    ];
  });
}

const outlineSpans = (part: Part): Map<string, number> =>
  new Map(outlineOf(part.turnings[0]).spans.map((s) => [s.element.id, s.x0]));
