import type { Step } from '../route/index.js';

/** Pieces of one part that follow each other in a batch's numbering: those it was made with, or spares made later. */
export interface Lot {
  partId: string;
  /** number of its first piece in the batch */
  first: number;
  count: number;
}

/** A piece of a batch. Its number is its own for good. */
export interface BatchPiece {
  piece: number;
  partId: string;
  /** which of its part's pieces it is, from 1 */
  n: number;
  /** the blank it lies in, counted over the batch from 0 */
  blank: number;
  /** which of its blank's pieces it is, from 1 */
  place: number;
  /** how many are made from its blank */
  inBlank: number;
}

type Sharing = Pick<Step, 'share' | 'partId' | 'only'>;

/** How many pieces of a part lie in one blank by a plan's steps. */
export const piecesInBlank = (steps: readonly Sharing[], partId: string): number =>
  steps.find((s) => s.partId === partId && s.share !== undefined)?.share?.of ?? 1;

/** The lots of a new batch: part after part, numbered on. */
export function lotsOf(parts: readonly { partId: string; pieces: number }[]): Lot[] {
  let first = 1;
  return parts.map(({ partId, pieces }) => {
    const lot = { partId, first, count: pieces };
    first += pieces;
    return lot;
  });
}

/** The lots with so many more pieces of a part; they begin a blank of their own. */
export const withSpares = (lots: readonly Lot[], partId: string, count: number): Lot[] => [
  ...lots,
  { partId, first: piecesIn(lots) + 1, count },
];

/** How many pieces a batch has, all parts and spares together. */
export const piecesIn = (lots: readonly Lot[]): number => lots.reduce((sum, lot) => sum + lot.count, 0);

/** The lots as they were planned, without the spares that came later. */
export const plannedLots = (lots: readonly Lot[]): Lot[] => {
  const seen = new Set<string>();
  return lots.filter(({ partId }) => !seen.has(partId) && seen.add(partId));
};

/** What a piece is called: by its part where there are several, “stem 3”; else by its number, “piece 3”. */
export function pieceLabel(
  lots: readonly Lot[],
  parts: readonly { partId: string; name: string }[],
  piece: number,
): string {
  const at = lots.findIndex(({ first, count }) => piece >= first && piece < first + count);
  const lot = lots[at];
  const part = parts.find((p) => p.partId === lot?.partId);
  if (!lot || !part || parts.length < 2) return `piece ${piece}`;
  const before = lots.slice(0, at).filter((l) => l.partId === lot.partId);
  return `${part.name.toLowerCase()} ${piecesIn(before) + piece - lot.first + 1}`;
}

/** Every piece of a batch by its number; a lot that does not fill its last blank leaves places over. */
export function batchPieces(lots: readonly Lot[], steps: readonly Sharing[]): BatchPiece[] {
  const made = new Map<string, number>();
  let blanks = 0;
  return lots.flatMap(({ partId, first, count }) => {
    const of = piecesInBlank(steps, partId);
    const [before, from] = [made.get(partId) ?? 0, blanks];
    made.set(partId, before + count);
    blanks += Math.ceil(count / of);
    return Array.from({ length: count }, (_, i): BatchPiece => ({
      piece: first + i,
      partId,
      n: before + i + 1,
      blank: from + Math.floor(i / of),
      place: (i % of) + 1,
      inBlank: Math.min(of, count - Math.floor(i / of) * of),
    }));
  });
}

/** How many blanks of each part something is done on, by the id of the part: they are cut, whatever comes of the pieces. */
export function blanksBegun(
  pieces: readonly BatchPiece[],
  begun: ReadonlySet<number>,
): ReadonlyMap<string, number> {
  const blanks = new Map<string, Set<number>>();
  for (const { piece, partId, blank } of pieces)
    if (begun.has(piece)) blanks.set(partId, (blanks.get(partId) ?? new Set()).add(blank));
  return new Map([...blanks].map(([partId, own]) => [partId, own.size]));
}

/** Whether a step is one of a piece's own, or of its whole blank. */
export const concerns = (
  { share, partId, only }: Sharing,
  piece: Pick<BatchPiece, 'partId' | 'place' | 'piece'>,
): boolean =>
  partId === piece.partId &&
  (only === undefined || only === piece.piece) &&
  (share === undefined || share.place === null || share.place === piece.place);

/** The steps a piece goes through: its own and those of its whole blank. */
export const stepsOfPiece = <S extends Sharing>(
  steps: readonly S[],
  piece: Pick<BatchPiece, 'partId' | 'place' | 'piece'>,
): S[] => steps.filter((s) => concerns(s, piece));
