import type { Lengths, Operation } from '../operation.js';
import { saying } from '../said.js';
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
      kind: 'free a ring',
      subject,
      on: [wood],
      said: [saying('ring from', x0, from), saying('ring to', x1, from), saying('ring inside ⌀', inside)],
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
    },
    manner,
  );
}
