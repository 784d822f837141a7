import {
  dim,
  notchesOf,
  outlineOf,
  sizedPlaces,
  type Decision,
  type ElementSpan,
  type ItemKind,
  type Outline,
  type OwnWay,
  type PatternBody,
  type Turning,
} from '@compas/core';
import { randomId } from '../api/randomId.js';

/** What a person says of a copy beside its shape. */
export interface CopyWishes {
  kind: ItemKind;
  materialId: string;
  /** the turner's words for elements, by their ids */
  names: Readonly<Record<string, string>>;
  /** places that are not gauged at the lathe, by their ids */
  ungauged: ReadonlySet<string>;
  /** places that get no notch on the story stick, by their ids */
  unmarked: ReadonlySet<string>;
}

/** Nearer than this two places of two fits are one, mm. */
const SAME_PLACE = 1;

/**
 * What was said of the elements of one fit, said of those that lie there in the next: a fit numbers its
 * elements anew, so that an id says nothing. What lies nowhere any more is dropped.
 */
export function carriedOver(wishes: CopyWishes, before: Outline, after: Outline): CopyWishes {
  const names: Record<string, string> = {};
  for (const span of before.spans) {
    const name = wishes.names[span.element.id];
    const there = name && after.spans.find((next) => liesAt(next, span));
    if (there) names[there.element.id] ??= name;
  }
  return {
    ...wishes,
    names,
    ungauged: stillThere(
      sizedPlaces(before).filter(({ id }) => wishes.ungauged.has(id)),
      sizedPlaces(after),
      (a, b) => a.peak === b.peak,
    ),
    unmarked: stillThere(
      notchesOf(before).filter(({ id }) => wishes.unmarked.has(id)),
      notchesOf(after),
      (a, b) => a.does === b.does,
    ),
  };
}

/** The ids of those places of the next fit that lie where these lay, and are of their kind. */
function stillThere<P extends { id: string; x: number }>(
  these: readonly P[],
  next: readonly P[],
  isAlike: (a: P, b: P) => boolean,
): ReadonlySet<string> {
  const there = these.flatMap((place) =>
    next.filter((p) => Math.abs(p.x - place.x) < SAME_PLACE && isAlike(p, place)),
  );
  return new Set(there.map(({ id }) => id));
}

/** A step lies where a step lay; any other element where its middle was. */
function liesAt(next: ElementSpan, span: ElementSpan): boolean {
  const middle = (span.x0 + span.x1) / 2;
  if ((next.element.kind === 'shoulder') !== (span.element.kind === 'shoulder')) return false;
  return span.element.kind === 'shoulder'
    ? Math.abs(next.x0 - middle) < SAME_PLACE
    : next.x0 <= middle && middle <= next.x1;
}

/** The pattern of a copied turning, as it was wished. */
export function copiedBody(turning: Turning, wishes: CopyWishes, by: string): PatternBody {
  const elements = turning.elements.map((element) => {
    const name = wishes.names[element.id]?.trim();
    return name ? { ...element, name } : element;
  });
  const outline = outlineOf(turning);
  const ways = [
    ...sizedPlaces(outline)
      .filter(({ id }) => wishes.ungauged.has(id))
      .map(({ id }) => chosen({ kind: 'without', on: { kind: 'step', id: `size:${id}` } }, by, 'gauged')),
    ...notchesOf(outline)
      .filter(({ id }) => wishes.unmarked.has(id))
      .map(({ id }) => chosen({ kind: 'unmarked', markId: id }, by, 'marked')),
  ];
  return {
    schema: 1,
    kind: wishes.kind,
    usedBy: 'anybody',
    parts: [
      {
        id: 'part1',
        name: 'Body',
        perItem: 1,
        materialId: wishes.materialId,
        turnings: [{ ...turning, elements, startDiameter: dim(turning.startDiameter.mm) }],
        holes: [],
        ...(ways.length > 0 ? { ways } : {}),
      },
    ],
    hardware: [],
    source: { from: 'sample', words: '', allows: '' },
    lastId: 100,
  };
}

const chosen = (decides: Decision, by: string, neighboursAre: string): OwnWay => ({
  id: randomId(),
  decides,
  why: `Chosen when the sample was copied: its neighbours are ${neighboursAre}.`,
  by,
  at: new Date().toISOString(),
});
