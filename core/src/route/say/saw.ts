import type { SawnForm } from '../../pattern/index.js';
import type { Operation } from '../operation.js';
import type { PieceIn, Wood } from '../shop.js';
import { idOf, operationOf, type Manner } from './operationOf.js';

interface Sawing extends Manner {
  wood: string;
  form: SawnForm;
  pieces: PieceIn[];
  moisture?: Wood['moisture'];
}

/** A blank comes out of the stock; its frame begins at its first sawn end. */
export function saw({ wood, form, pieces, moisture = 'dry', ...manner }: Sawing): Operation {
  const by = idOf('saw', wood);
  return operationOf(
    {
      kind: 'saw',
      subject: wood,
      on: [],
      said: [
        { name: 'across', mm: form.across, from: null },
        { name: 'length', mm: form.length, from: null },
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
          },
        },
      ],
      purpose: 'handle',
    },
    { per: 'blank', ...manner },
  );
}
