import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Changes } from '../api/changes.js';
import { ApiProblem } from '../api/problem.js';
import { clockHere } from '../ui/clock.js';
import { BothChangedDialog, type Question } from './BothChangedDialog.js';
import type { Versioned } from './drafts.js';
import type { FieldLabels } from './fieldWords.js';
import { merged } from './merge.js';

/** How one kind of thing is saved over a version of it. */
export interface Saving<T, Answer> {
  /** saves over a version; refused when another one came in between */
  save: (value: T, basedOn: number) => Promise<Answer>;
  /** what lies on the server now */
  fetch: () => Promise<Versioned<T>>;
  /** keeps mine as a thing of its own, where that can be */
  duplicate?: (value: T) => Promise<unknown>;
  /** what its fields are called on its screen */
  labels?: FieldLabels;
  /** queries that are asked anew afterwards */
  stale: string[];
}

/** What was saved: mine, or mine and what somebody else saved meanwhile. */
export interface Saved<T, Answer> {
  value: T;
  answer: Answer;
  /** who saved in between, when both went together */
  withChangesOf: string | null;
}

interface Wanted<T> {
  base: Versioned<T>;
  mine: T;
}

/** A conflict that is asked about again and again is somebody typing at the same time: then it is said. */
const MOST_TRIES = 4;

/**
 * Saves a thing that others may change at the same time. What only one changed is brought together and
 * checked by the server as a whole; for a field that both changed the person is asked.
 */
export function useSharedSave<T, Answer>(saving: Saving<T, Answer>) {
  const client = useQueryClient();
  const [changes] = useState(() => new Changes());
  const [question, setQuestion] = useState<Question<T> | null>(null);

  const choose = (theirs: Versioned<T>, { base, mine }: Wanted<T>, problem: ApiProblem) => {
    const both = merged(base.value, mine, theirs.value);
    if (both.conflicts.length === 0) return Promise.resolve(both.value);
    return new Promise<T | 'duplicate' | null>((resolve) =>
      setQuestion({
        merged: both,
        by: problem.conflict?.by || 'Somebody',
        at: problem.conflict ? clockHere(Date.parse(problem.conflict.at)) : 'in between',
        answer: (chosen) => {
          setQuestion(null);
          resolve(chosen);
        },
      }),
    );
  };

  const save = async (wanted: Wanted<T>): Promise<Saved<T, Answer> | 'duplicate'> => {
    let { base } = wanted;
    let value = wanted.mine;
    let withChangesOf: string | null = null;
    for (let tries = 1; ; tries++) {
      try {
        const answer = await changes.make({ value, version: base.version }, (c) =>
          saving.save(c.value, c.version),
        );
        return { value, answer, withChangesOf };
      } catch (error) {
        if (!(error instanceof ApiProblem) || error.conflict === null || tries === MOST_TRIES) throw error;
        const theirs = await saving.fetch();
        const chosen = await choose(theirs, { base, mine: value }, error);
        if (chosen === null) throw error;
        if (chosen === 'duplicate') {
          await saving.duplicate?.(value);
          return 'duplicate';
        }
        withChangesOf = error.conflict.by;
        base = theirs;
        value = chosen;
      }
    }
  };

  const mutation = useMutation({
    mutationFn: save,
    onSuccess: () => Promise.all(saving.stale.map((key) => client.invalidateQueries({ queryKey: [key] }))),
  });
  const dialog: ReactNode = (
    <BothChangedDialog
      question={question}
      canDuplicate={saving.duplicate !== undefined}
      labels={saving.labels}
    />
  );
  return { ...mutation, dialog };
}
