import { plus, round, times, HERE, type Placement, type SawnForm } from '../../pattern/index.js';
import type { Operation } from '../operation.js';
import { saying } from '../said.js';
import type { PieceIn, Wood } from '../shop.js';
import { idOf, operationOf, type Manner } from './operationOf.js';

interface Sawing extends Manner {
  wood: string;
  form: SawnForm;
  /** what it is sawn to where it is planed to its form afterwards, mm */
  sawn?: number;
  pieces: PieceIn[];
  moisture?: Wood['moisture'];
  madeOf?: Wood['madeOf'];
}

/** A blank comes out of the stock; its frame begins at its first sawn end. */
export function saw({
  wood,
  form,
  sawn = form.across,
  pieces,
  moisture = 'dry',
  madeOf,
  ...manner
}: Sawing): Operation {
  const by = idOf('saw', wood);
  return operationOf(
    {
      kind: 'saw out',
      subject: wood,
      on: [],
      said: [
        ...(sawn === form.across ? [] : [saying('sawn', sawn)]),
        saying('across', form.across),
        saying('length', form.length),
      ],
      effects: [
        {
          do: 'stock',
          wood: {
            id: wood,
            body: { form, skins: [], flats: [], drilled: [] },
            pieces,
            fixed: [],
            treated: [],
            by,
            untrue: [],
            moisture,
            ...(madeOf ? { madeOf } : {}),
          },
        },
      ],
    },
    { per: 'blank', ...manner },
  );
}

interface Clipping extends Manner {
  wood: string;
  /** how far below each corner it is sawn, as it lies in a V cradle, and the square it is sawn from, mm */
  below: number;
  across: number;
}

/** The corners of a square are sawn off: four flats along it, each so far below its corner. */
export function clip({ wood, below, across, ...manner }: Clipping): Operation {
  const id = idOf('saw', wood, 'corners');
  const out = across / Math.SQRT2 - below;
  const flats = [45, 135, 225, 315].map((angle): Placement => {
    const away = round(HERE, angle);
    return { at: plus(HERE.at, times(away, out)), along: away, facing: HERE.along };
  });
  return operationOf(
    {
      kind: 'clip the corners',
      subject: wood,
      pass: 'corners',
      on: [wood],
      said: [saying('off below each corner', below)],
      effects: flats.map((at, i) => ({ do: 'flat', wood, flat: { id: `${id} ${i + 1}`, at }, sawn: true })),
    },
    { per: 'blank', ...manner },
  );
}
