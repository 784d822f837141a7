import { currencyOf } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { workshopQuery } from '../api/workshop.js';
import { moneyWords } from './moneyWords.js';

/** Money in minor units of the workshop's currency, as people write it where the browser is. */
export function Money({ minor }: { minor: number }) {
  const { data } = useQuery(workshopQuery);
  return <span className="length">{data ? moneyWords(minor, currencyOf(data.body)) : ''}</span>;
}
