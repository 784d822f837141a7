import type { DrillMoment, DrillSetup, TurningStage } from '../measure/index.js';
import type { Abrasive } from './workshop.js';

/** Where something is done. */
export const PLACES = ['saw', 'drill press', 'bench', 'lathe'] as const;
export type Place = (typeof PLACES)[number];

/**
 * What a decision is about: one step by its name, or every step that does the same to the same kind of feature. A habit
 * names what carries over to other items, never ids.
 */
export type StepName =
  { kind: 'step'; id: string } | { kind: 'like'; does: string; /** of features of this kind */ of?: string };

/** A step in the person's own words, and what drawn it makes: ids of elements, holes, lines. */
export interface OwnStep {
  title: string;
  words: string;
  place: Place;
  minutes: number;
  /** it comes after this step; null before all others */
  after: string | null;
  makes: string[];
}

/** What a person decides otherwise than it is usually done. Lengths mm, times minutes. */
export type Decision =
  | { kind: 'tool'; on: StepName; toolId: string }
  /** cuts by their elements: all of `first` before any of `then` */
  | { kind: 'before'; first: string[]; then: string[] }
  /** in this order and no others; none leaves the work from the tool, burnished with its shavings where that is said */
  | { kind: 'grits'; grits: Pick<Abrasive, 'grit' | 'scale'>[]; burnish: boolean }
  | { kind: 'speed'; stage: TurningStage; rpm: number }
  /** of one operation, whatever its stage turns at */
  | { kind: 'pace'; on: StepName; rpm: number }
  | { kind: 'bit'; boreId: string; bitId: string }
  | { kind: 'depth'; holeId: string; mm: number }
  /** of a join by its id, or of the finish */
  | { kind: 'cure'; of: string; minutes: number }
  | { kind: 'minutes'; on: StepName; minutes: number }
  | { kind: 'waste'; end: 'drive' | 'tail'; mm: number }
  | { kind: 'extra'; step: OwnStep }
  | { kind: 'without'; on: StepName }
  /** a place that gets no notch on the story stick */
  | { kind: 'unmarked'; markId: string }
  /** what an order chooses unless it says otherwise: held, finished, fitted, drilled, of what stock, marked from where */
  | { kind: 'hold'; mount: string }
  | { kind: 'finish'; finishId: string | null }
  | { kind: 'fitting'; way: string }
  | { kind: 'drill'; holeId: string; moment: DrillMoment; setup: DrillSetup }
  | { kind: 'form'; stockForm: string }
  | { kind: 'datum'; markId: string }
  /** a Stop is gone past, by its name */
  | { kind: 'past'; finding: string }
  /** a way of a wider scope is not followed here */
  | { kind: 'usual'; wayId: string };

export type DecisionKind = Decision['kind'];
export const DECISION_KINDS = [
  'tool',
  'before',
  'grits',
  'speed',
  'pace',
  'bit',
  'depth',
  'cure',
  'minutes',
  'waste',
  'extra',
  'without',
  'unmarked',
  'hold',
  'finish',
  'fitting',
  'drill',
  'form',
  'datum',
  'past',
  'usual',
] as const satisfies readonly DecisionKind[];
export type DecisionOf<K extends DecisionKind> = Extract<Decision, { kind: K }>;

/** Kinds that say what an order chooses when it says nothing; the plan itself follows the order. */
export const CHOSEN_KINDS: ReadonlySet<DecisionKind> = new Set([
  'hold',
  'finish',
  'fitting',
  'drill',
  'form',
  'datum',
]);

/** What a cure is of when it is that of the finish. */
export const FINISH_CURE = 'finish';

/** What is decided, by whom, when and why. */
export interface OwnWay {
  id: string;
  decides: Decision;
  why: string;
  by: string;
  /** instant in UTC */
  at: string;
}

/** An own way of the whole workshop: for one wood, for one kind of item, or for everything. */
export interface Habit extends OwnWay {
  materialId?: string;
  itemKind?: string;
}

/** What a decision is about, as a name: a later one about the same goes in the place of an earlier one. */
export function subjectOf(decision: Decision): string {
  const on = (name: StepName) => (name.kind === 'step' ? name.id : `${name.does}/${name.of ?? ''}`);
  switch (decision.kind) {
    case 'tool':
    case 'minutes':
    case 'pace':
    case 'without':
      return `${decision.kind} ${on(decision.on)}`;
    case 'before':
      return `before ${decision.first.join()} ${decision.then.join()}`;
    case 'grits':
      return 'grits';
    case 'speed':
      return `speed ${decision.stage}`;
    case 'bit':
      return `bit ${decision.boreId}`;
    case 'depth':
      return `depth ${decision.holeId}`;
    case 'cure':
      return `cure ${decision.of}`;
    case 'waste':
      return `waste ${decision.end}`;
    case 'hold':
    case 'finish':
    case 'fitting':
    case 'form':
    case 'datum':
      return decision.kind;
    case 'drill':
      return `drill ${decision.holeId}`;
    case 'unmarked':
      return `unmarked ${decision.markId}`;
    case 'extra':
      return `extra ${decision.step.after ?? ''} ${decision.step.title}`;
    case 'past':
      return `past ${decision.finding}`;
    case 'usual':
      return `usual ${decision.wayId}`;
  }
}

/** Own ways with one more: it goes in the place of what was decided about the same, for the same wood and kind of item. */
export const withWay = <T extends OwnWay & Pick<Habit, 'materialId' | 'itemKind'>>(
  ways: readonly T[],
  way: T,
): T[] => [
  ...ways.filter(
    (w) =>
      subjectOf(w.decides) !== subjectOf(way.decides) ||
      w.materialId !== way.materialId ||
      w.itemKind !== way.itemKind,
  ),
  way,
];

/** What leaves something out or goes past a Stop says why: somebody else will ask. */
export const wantsReason = ({ kind }: Pick<Decision, 'kind'>): boolean =>
  kind === 'without' || kind === 'past';

/** Own ways that give no reason where one is wanted, by field. */
export const unreasoned = (
  ways: readonly OwnWay[] | undefined,
  field: string,
): { field: string; why: string }[] =>
  (ways ?? []).flatMap(({ decides, why }, i) =>
    wantsReason(decides) && why.trim() === ''
      ? [
          {
            field: `${field}.${i}.why`,
            why: 'What leaves out a step or goes past a Stop says why. Give a few words for whoever asks later.',
          },
        ]
      : [],
  );

/** Whether a decision about steps is about this one. Pieces of one blank are worked alike. */
export function isNamed(
  name: StepName,
  step: { id: string; does: string; of?: string | undefined },
): boolean {
  if (name.kind === 'step') return name.id === withoutPlace(step.id);
  return name.does === step.does && (name.of === undefined || name.of === step.of);
}

/** The name of a step without the piece of the blank that it is done for. */
export const withoutPlace = (stepId: string): string => stepId.replaceAll(/ \(\d+\)/g, '');
