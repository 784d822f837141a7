import { dim, type ItemKind, type OwnWay, type PatternBody, type Turning } from '@compas/core';
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

/** The pattern of a copied turning, as it was wished. */
export function copiedBody(turning: Turning, wishes: CopyWishes, by: string): PatternBody {
  const elements = turning.elements.map((element) => {
    const name = wishes.names[element.id]?.trim();
    return name ? { ...element, name } : element;
  });
  const ways = [...wishes.ungauged].map((place) => notGauged(place, by));
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
