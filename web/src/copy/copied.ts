import {
  dim,
  outlineOf,
  sizedPlaces,
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
  const places = sizedPlaces(after);
  const ungauged = sizedPlaces(before)
    .filter(({ id }) => wishes.ungauged.has(id))
    .flatMap((place) => places.filter((p) => Math.abs(p.x - place.x) < SAME_PLACE && p.peak === place.peak));
  return { ...wishes, names, ungauged: new Set(ungauged.map(({ id }) => id)) };
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
  const ways = sizedPlaces(outlineOf(turning))
    .filter(({ id }) => wishes.ungauged.has(id))
    .map(({ id }) => notGauged(id, by));
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

const notGauged = (place: string, by: string): OwnWay => ({
  id: randomId(),
  decides: { kind: 'without', on: { kind: 'step', id: `size:${place}` } },
  why: 'Chosen when the sample was copied: its neighbours are gauged.',
  by,
  at: new Date().toISOString(),
});
