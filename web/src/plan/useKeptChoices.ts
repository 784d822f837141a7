import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { chooseForLine } from '../api/orders.js';
import { NOTE } from '../ui/noted.js';
import { LINES, linesIn, linesText, SHOWN } from '../ui/planAddress.js';

/** So long nothing more is chosen before it is kept, ms. */
const PAUSE = 700;

/** What is chosen for a plan, as its address says it: not the lines it is for, nor what is looked at. */
const choicesIn = (search: URLSearchParams): string => {
  const own = new URLSearchParams(search);
  for (const key of [LINES, SHOWN, ...NOTE]) own.delete(key);
  return own.toString();
};

/**
 * Keeps on the server what is chosen for the plan of an ordered line, so that it is there again when one comes back by
 * the Bench or the order, on any screen. The plan itself goes on when that fails: its address holds the same.
 */
export function useKeptChoices(search: URLSearchParams): void {
  const client = useQueryClient();
  const lines = linesText(linesIn(search.get(LINES)));
  const choices = choicesIn(search);
  const kept = useRef(choices);
  const waiting = useRef<(() => void) | null>(null);
  useEffect(() => {
    if (lines === '' || kept.current === choices) return;
    waiting.current = () => {
      waiting.current = null;
      kept.current = choices;
      void keep(client, lines, choices);
    };
    const timer = setTimeout(() => waiting.current?.(), PAUSE);
    return () => clearTimeout(timer);
  }, [client, lines, choices]);
  // whoever leaves sooner loses nothing
  useEffect(() => () => waiting.current?.(), []);
}

async function keep(client: QueryClient, lines: string, choices: string): Promise<void> {
  await Promise.allSettled(
    linesIn(lines).map(({ orderId, number }) => chooseForLine({ id: orderId, number, choices })),
  );
  await client.invalidateQueries({ queryKey: ['orders'] });
}
