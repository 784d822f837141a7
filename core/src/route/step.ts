import type { Stage } from '../measure/index.js';
import type { Place } from '../workshop/index.js';
import type { MeetsInTurns } from './meets.js';
import type { Operation } from './operation.js';
import type { Held } from './shop.js';

/** The state a place must be in for a step. Two steps with the same state share one set-up. */
export interface SetupState {
  place: Place;
  holding: string;
  /** what drives the work, where it is held; plans before engine 13 say it in words only */
  drive?: Held['drive']['by'];
  tailstock: 'up' | 'away' | 'not used';
  /** what else must be on it: washers, spacers, draw bar */
  fixtures?: string[];
}

/** A step that must come first, and why. */
export interface OrderLock {
  stepId: string;
  reason: string;
  /** how long what that step began takes until this one; in plans without a route its wait, whatever it is for */
  minutes?: number;
}

/** A wait that begins when a step is done. */
export interface Wait {
  minutes: number;
  what: string;
}

/** A span to be timed within a step, such as one grit. */
export interface Timer {
  id: string;
  label: string;
  minutes: number;
}

/** Of several pieces that lie in one blank: whose a step is, counted from the end that is worked first; null is all of theirs. */
interface Share {
  place: number | null;
  of: number;
}

/** One operation of one piece as it is done, shown and recorded. Sentences may carry length marks. */
export interface Step {
  /** stable within the plan and across its versions */
  id: string;
  partId: string;
  stage: Stage;
  title: string;
  words: string[];
  setup: SetupState;
  speed: string | null;
  setupMinutes: number;
  /** hands on for one piece */
  minutes: number;
  /** putting this piece back on the lathe when another was on it */
  remountMinutes: number;
  wait: Wait | null;
  locks: OrderLock[];
  timers: Timer[];
  /** stations to measure in this step */
  measures: string[];
  /** what the readings of this step are held against: the size to cut to, or the finished size */
  against: 'cut' | 'finished';
  trialFit: boolean;
  /** acceptance checks of the pattern that are made in this step */
  checks?: string[];
  /** steps of one number are done in one go: one set-up, one kind of work; plans without a route have none */
  run?: number;
  /** it comes before the piece is first on the lathe, or beside it */
  prepares?: boolean;
  /** where several pieces lie in one blank: for which of them it is done, or for all of them at once */
  share?: Share;
  /** of a join: the parts that come to the piece in it, each as often as it takes pieces of it */
  takes?: string[];
  /** it is done to the put-together item, which its piece carries from then on */
  item?: true;
  /** of one piece alone, by its number: what mends it */
  only?: number;
  /** the tool meets wood on part of each turn only; plans before engine 14 do not say */
  meets?: MeetsInTurns;
  /** what it does to the wood; plans made before there were routes have none */
  operation?: Operation;
}

/** What has to be the same for no set-up in between; moving the tailstock takes a moment only. */
export const setupKey = ({ place, holding, fixtures = [] }: SetupState): string =>
  [place, holding, ...fixtures].join('|');
