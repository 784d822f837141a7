import { fromOf } from '../figure.js';
import type { Lengths, Operation } from '../operation.js';
import type { Datum, PieceIn, Shop } from '../shop.js';
import { operationOf, type Manner } from './operationOf.js';
import { placeOf, woodFor } from './place.js';

interface Freeing extends Manner {
  wood: string;
  subject: string;
  from: Datum;
  /** from where to where it lies, and its inside diameter, mm */
  x0: number;
  x1: number;
  inside: number;
  /** what the ring is called as a wood, and as a piece */
  into: string;
  piece: Pick<PieceIn, 'partId' | 'n'>;
}

/** A ring is undercut from both sides until it hangs free. */
export function free(
  shop: Shop,
  { wood, subject, from, x0, x1, inside, into, piece, ...manner }: Freeing,
  lengths: Lengths,
): Operation {
  const axis = placeOf(woodFor(shop, wood), from, lengths);
  const at = axis.at[0] + axis.along[0] * x0;
  return operationOf(
    {
      kind: 'part',
      subject,
      on: [wood],
      said: [
        { name: 'ring from', mm: x0, from },
        { name: 'ring to', mm: x1, from },
        { name: 'ring inside ⌀', mm: inside, from: null },
      ],
      figure: { is: 'inside of the ring', mm: inside, at: { from: fromOf(from), mm: x0, to: x1 } },
      effects: [
        {
          do: 'free',
          wood,
          axis,
          ring: { x0, x1, r: inside / 2 },
          into,
          piece: { ...piece, at: { ...axis, at: [at, 0, 0] } },
        },
      ],
      purpose: 'turn',
    },
    manner,
  );
}
