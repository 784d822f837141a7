import type { Stage, TurningStage } from '../../measure/index.js';
import type { OperationFigure } from '../figure.js';
import type { Effect, Operation, OperationKind, Said } from '../operation.js';
import type { Timer } from '../step.js';
import type { Purpose } from '../shop.js';

/** What the lathe turns for, where a stage has a speed of its own, and how fast, in words. */
export interface SetSpeed {
  turns?: TurningStage;
  words: string;
  /** the lathe stands: what turns meanwhile is turned by hand */
  stands?: true;
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

/** The room of the work that each kind of operation belongs to. */
const STAGES: Record<OperationKind, Stage> = {
  saw: 'stock',
  dry: 'stock',
  shop: 'stock',
  bore: 'drill',
  hold: 'mount',
  mark: 'mark',
  cut: 'turn',
  part: 'turn',
  try: 'turn',
  treat: 'surface',
  join: 'assemble',
  measure: 'twins',
  own: 'turn',
};

interface Making {
  kind: OperationKind;
  doing?: Operation['doing'];
  hold?: Operation['hold'];
  subject: string | null;
  pass?: string;
  on: string[];
  said: Said[];
  figure?: OperationFigure | undefined;
  effects: Effect[];
  purpose: Purpose;
}

/** An operation's id is made of what it is about, never of its place in a list. */
export const idOf = (kind: string, subject: string | null, pass?: string): string =>
  [kind, subject, pass].filter((part) => part !== null && part !== undefined).join(':');

/** An operation of a kind, as a person wants it done. */
export const operationOf = (
  { kind, doing, hold, subject, pass, on, said, figure: own, effects, purpose }: Making,
  {
    title,
    words = [],
    tool,
    per = 'piece',
    minutes = { once: 0, each: 0 },
    stage = STAGES[kind],
    speed = null,
    timers = [],
    measures = [],
    figure = own,
  }: Manner,
): Operation => ({
  id: idOf(kind, subject, pass),
  kind,
  ...(doing === undefined ? {} : { doing }),
  ...(hold === undefined ? {} : { hold }),
  subject,
  on,
  per,
  title,
  words,
  said,
  ...(figure === undefined ? {} : { figure }),
  effects,
  purpose,
  ...(tool === undefined ? {} : { tool }),
  stage,
  ...(speed?.turns === undefined ? {} : { turns: speed.turns }),
  ...(speed === null ? {} : { speed: speed.words }),
  ...(timers.length === 0 ? {} : { timers }),
  ...(measures.length === 0 ? {} : { measures }),
  minutes,
});
