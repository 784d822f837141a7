import type { Operation } from '../operation.js';
import { idOf, operationOf, type Manner } from './operationOf.js';

interface Drying extends Manner {
  wood: string;
  /** how long it takes as far as that is known, minutes */
  minutesUntilDry: number | null;
}

/** Wet wood rests until it is dry: afterwards nothing of it runs true, and what has to fit can be cut. */
export function dry({ wood, minutesUntilDry, ...manner }: Drying): Operation {
  const by = idOf('dry', wood);
  return operationOf(
    {
      kind: 'dry',
      subject: wood,
      on: [wood],
      said: [],
      effects: [
        { do: 'dry', wood, moisture: 'dry' },
        ...(minutesUntilDry === null
          ? []
          : [
              {
                do: 'wait' as const,
                wait: {
                  wood,
                  by,
                  what: 'the wood dries',
                  minutes: { turn: minutesUntilDry, coat: minutesUntilDry, use: minutesUntilDry },
                },
              },
            ]),
      ],
    },
    manner,
  );
}
