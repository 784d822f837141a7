import type { NewStockItem } from '@compas/core';
import { useQueryClient } from '@tanstack/react-query';
import { ApiProblem } from '../api/problem.js';
import { changeStock, stockQuery, type HeldStock } from '../api/stock.js';
import { useSharedSave } from '../saving/useSharedSave.js';
import { stockLabel } from './stockFields.js';
import { withoutId } from './withoutId.js';

export const editedStock = ({ item, version }: HeldStock) => ({ value: withoutId(item), version });

/**
 * Saves what is known of a piece of stock, with what others change meanwhile.
 * @param keptUntil keeps what is typed until the answer is there, in a form that keeps it
 */
export function useStockSave(
  id: string,
  keptUntil: (answer: Promise<unknown>) => Promise<unknown> = (answer) => answer,
) {
  const client = useQueryClient();
  return useSharedSave<NewStockItem, unknown>({
    save: (item, basedOn) => keptUntil(changeStock({ id, item, basedOn })),
    fetch: async () => {
      const held = (await client.fetchQuery({ ...stockQuery, staleTime: 0 })).find((h) => h.item.id === id);
      if (!held) throw new ApiProblem(404, 'Somebody took this off the shelf while you changed it.');
      return editedStock(held);
    },
    labels: stockLabel,
    stale: ['stock'],
  });
}
