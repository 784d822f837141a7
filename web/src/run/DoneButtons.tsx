import type { Step } from '@compas/core';

interface DoneProps {
  steps: readonly Step[];
  rest: readonly Step[];
  wholeFirst: boolean;
  words: string;
  onDone: (steps: readonly Step[]) => void;
}

/** Ends the step, or all that is done in one set-up: the one that is wanted now is the large one. */
export function DoneButtons({ steps, rest, wholeFirst, words, onDone }: DoneProps) {
  const one = (
    <button
      key="one"
      type="button"
      data-ends
      className={wholeFirst && rest.length > 1 ? 'run-quiet' : 'run-go'}
      onClick={() => onDone(steps)}
    >
      {words}
    </button>
  );
  if (rest.length < 2) return one;
  const all = (
    <button
      key="all"
      type="button"
      data-ends
      className={wholeFirst ? 'run-go' : 'run-quiet'}
      onClick={() => onDone(rest)}
    >
      All {rest.length} done, up to: {rest.at(-1)?.title}
    </button>
  );
  return wholeFirst ? [all, one] : [one, all];
}
