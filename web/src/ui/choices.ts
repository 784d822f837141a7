import { keysOf } from '@compas/core';

/** What a list to choose from is made of. */
export interface Choice<T extends string> {
  value: T;
  label: string;
}

/** The choices of a table of words, in its order. */
export const choicesOf = <T extends string>(words: Readonly<Record<T, string>>): Choice<T>[] =>
  keysOf(words).map((value) => ({ value, label: words[value] }));

/** Choices that are called what they are. */
export const choicesFrom = <T extends string>(list: readonly T[]): Choice<T>[] =>
  list.map((value) => ({ value, label: value }));
