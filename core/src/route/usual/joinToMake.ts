import type { JoinSides } from '../../pattern/index.js';

/** One join of an item as it is made. */
export interface JoinToMake {
  sides: JoinSides;
  /** which pieces of the item they are, where it has several of a part */
  inner: number;
  outer: number;
  /** where one join is made several times, which time it is */
  pass: number | null;
  how: 'enters' | 'slides on' | 'corded';
  title: string;
  words: readonly string[];
  minutes: number;
  /** until it may be used; null when it holds at once */
  cureMinutes: number | null;
}
