import type { Stage, TurningStage } from '../../measure/index.js';
import type { OperationFigure } from '../figure.js';
import type { Effect } from '../effect.js';
import { kindRow, type OperationKind } from '../kinds/operationKinds.js';
import type { Operation } from '../operation.js';
import type { Said } from '../said.js';
import type { Timer } from '../step.js';

/** What the lathe turns for, where a stage has a speed of its own, and how fast, in words. */
export interface SetSpeed {
  turns?: TurningStage;
  words: string;
  /** where a motor turns it; 0: it stands, and what turns meanwhile is turned by hand */
  rpm?: number;
}

/** What a person decides of an operation, besides what it does. */
export interface Manner {
  title: string;
  words?: string[];
  tool?: string;
  per?: Operation['per'];
  minutes?: Operation['minutes'];
  /** where it is not usual for its kind */
  stage?: Stage;
  speed?: SetSpeed | null;
  timers?: Timer[];
  measures?: string[];
  /** the one figure, where it comes from what is known outside of the wood: a kit, a stick */
  figure?: OperationFigure;
}

interface Making {
  kind: OperationKind;
  subject: string | null;
  pass?: string;
  on: string[];
  said: Said[];
  effects: Effect[];
}

/** An operation's id is made of what it is about, never of its place in a list. */
export const idOf = (does: string, subject: string | null, pass?: string): string =>
  [does, subject, pass].filter((part) => part !== null && part !== undefined).join(':');

/** An operation of a kind, as a person wants it done. */
export function operationOf(
  { kind, subject, pass, on, said, effects }: Making,
  {
    title,
    words = [],
    tool,
    per = 'piece',
    minutes = { once: 0, each: 0 },
    stage,
    speed = null,
    timers = [],
    measures = [],
    figure: own,
  }: Manner,
): Operation {
  const row = kindRow(kind);
  const figure = own ?? row.figure({ said, effects, timers });
  return {
    id: idOf(row.does, subject, pass),
    kind,
    subject,
    on,
    per,
    title,
    words,
    said,
    ...(figure === undefined ? {} : { figure }),
    effects,
    purpose: row.purpose,
    ...(tool === undefined ? {} : { tool }),
    stage: stage ?? row.stage,
    ...(speed?.turns === undefined ? {} : { turns: speed.turns }),
    ...(speed === null ? {} : { speed: speed.words }),
    ...(speed?.rpm === undefined ? {} : { rpm: speed.rpm }),
    ...(timers.length === 0 ? {} : { timers }),
    ...(measures.length === 0 ? {} : { measures }),
    minutes,
  };
}
