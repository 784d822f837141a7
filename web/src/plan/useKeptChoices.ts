import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useRef } from 'react';
import { draftsQuery, dropDraft, keepDraft } from '../api/drafts.js';
import { chooseForLine } from '../api/orders.js';
import { NOTE } from '../ui/noted.js';
import { LINES, linesIn, linesText, SHOWN } from '../ui/planAddress.js';

/** So long nothing more is chosen before it is kept, ms. */
const PAUSE = 700;

/** What is chosen for a plan, as its address says it: not the lines it is for, nor what is looked at. */
export const choicesIn = (search: URLSearchParams): string => {
  const own = new URLSearchParams(search);
  for (const key of [LINES, SHOWN, ...NOTE]) own.delete(key);
  return own.toString();
};

/** What of a pattern was begun before this plan: nothing, what this plan goes on with, or another that is left. */
export type Begun = 'nothing' | 'this' | 'another';

/** What becomes of a draft when the plan is kept. */
export interface KeptChoices {
  /** the draft of the pattern is this plan, so that it goes with it */
  isOwn: () => boolean;
  /** it is being kept as a batch or a line: nothing more of it is written down as a draft meanwhile */
  hold: () => void;
  /** it could not be kept, and is a draft still */
  release: () => void;
  /** what is chosen has become a batch or a line, and is no draft any more */
  settle: () => void;
}

/**
 * Keeps on the server what is chosen for a plan, with the ordered lines it is for or, where it is for none, as the
 * draft of its pattern: it is there again when one comes back by the Bench, the order or a finding, on any screen.
 * The plan itself goes on when that fails: its address holds the same. What an address brings does not take the
 * place of another draft until it is changed.
 */
export function useKeptChoices(patternId: string, search: URLSearchParams, begun: Begun): KeptChoices {
  const client = useQueryClient();
  const lines = linesText(linesIn(search.get(LINES)));
  const choices = choicesIn(search);
  const kept = useRef(lines === '' && begun === 'nothing' ? '' : choices);
  const own = useRef(begun !== 'another');
  const waiting = useRef<(() => void) | null>(null);
  const held = useRef(false);
  useEffect(() => {
    if (kept.current === choices) return;
    waiting.current = () => {
      if (held.current) return;
      waiting.current = null;
      kept.current = choices;
      if (lines !== '') return void keep(client, lines, choices);
      own.current = true;
      void keepAsDraft(client, patternId, choices);
    };
    const timer = setTimeout(() => waiting.current?.(), PAUSE);
    return () => clearTimeout(timer);
  }, [client, patternId, lines, choices]);
  // whoever leaves sooner loses nothing
  useEffect(() => () => waiting.current?.(), []);
  return useMemo(
    () => ({
      isOwn: () => own.current && lines === '',
      hold: () => {
        held.current = true;
      },
      release: () => {
        held.current = false;
        waiting.current?.();
      },
      settle: () => {
        waiting.current = null;
        kept.current = choices;
      },
    }),
    [lines, choices],
  );
}

async function keep(client: QueryClient, lines: string, choices: string): Promise<void> {
  await Promise.allSettled(
    linesIn(lines).map(({ orderId, number }) => chooseForLine({ id: orderId, number, choices })),
  );
  await client.invalidateQueries({ queryKey: ['orders'] });
}

/** Whoever comes back before the server has answered finds it as well. */
async function keepAsDraft(client: QueryClient, patternId: string, choices: string): Promise<void> {
  client.setQueryData(draftsQuery.queryKey, (before) => {
    const known = before?.find((d) => d.patternId === patternId);
    const others = before?.filter((d) => d !== known);
    if (!others || choices === '') return others;
    const about = { patternName: '', changedBy: '', changedAt: new Date().toISOString() };
    return [{ ...about, ...known, patternId, choices }, ...others];
  });
  await (choices === '' ? dropDraft(patternId) : keepDraft({ patternId, choices })).catch(() => undefined);
  await client.invalidateQueries({ queryKey: draftsQuery.queryKey });
}
