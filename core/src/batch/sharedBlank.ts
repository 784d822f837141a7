import type { Step } from '../route/index.js';

type Sharing = Pick<Step, 'share'>;

/** How many pieces lie in one blank by a plan's steps. */
export const piecesInBlank = (steps: readonly Sharing[]): number =>
  steps.find((s) => s.share !== undefined)?.share?.of ?? 1;

/** Number of the blank that a piece lies in, from 0; pieces are counted blank by blank. */
export const blankOf = (piece: number, of: number): number => Math.floor((piece - 1) / of);

/** Which of its blank's pieces a piece is, from 1. */
export const placeInBlank = (piece: number, of: number): number => ((piece - 1) % of) + 1;

/** The pieces of a batch that lie in one blank with a piece, itself among them; the last blank may hold fewer. */
export const blankMates = (piece: number, of: number, pieces: number): number[] =>
  Array.from({ length: of }, (_, i) => blankOf(piece, of) * of + i + 1).filter((p) => p <= pieces);

/** Whether a step is one of a piece's own, or of its whole blank. */
export const concerns = ({ share }: Sharing, piece: number): boolean =>
  share === undefined || share.place === null || share.place === placeInBlank(piece, share.of);

/** The steps a piece goes through: its own and those of its whole blank. */
export const stepsOfPiece = <S extends Sharing>(steps: readonly S[], piece: number): S[] =>
  steps.filter((s) => concerns(s, piece));
