import type { Operation } from '../operation.js';
import type { SurfaceRef } from '../shop.js';
import { operationOf, type Manner } from './operationOf.js';

interface Looking extends Manner {
  wood: string;
  subject: string;
  pass?: string;
  /** the surfaces that are looked at, tried or measured */
  on: SurfaceRef[];
  /** what it is tried against */
  against?: { wood: string; on: SurfaceRef[] };
}

/** What is tried, measured or marked: the wood stays as it is. */
export const look = (
  kind:
    'mark centres' | 'mark off' | 'try a peg' | 'try the fit' | 'look the whole over' | 'measure' | 'cord',
  { wood, subject, pass, on, against, ...manner }: Looking,
): Operation =>
  operationOf(
    {
      kind,
      subject,
      ...(pass === undefined ? {} : { pass }),
      on: against ? [wood, against.wood] : [wood],
      said: [],
      effects: [{ do: 'look', wood, on }, ...(against ? [{ do: 'look' as const, ...against }] : [])],
    },
    manner,
  );
