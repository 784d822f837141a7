import type { OpId, Shop } from './shop.js';
import { woodOf } from './shop.js';

/** What an operation needs of the shop before it: who made that, or why it is not there. */
export type Need =
  | {
      met: true;
      by: OpId;
      need: string;
      minutes?: number;
      /** what of the shop is used and ends when something else is done: a hold, an end as it stands */
      uses?: string;
    }
  | {
      met: false;
      what: string;
      why: string;
      remedy: string;
      /** one name for what several operations lack with figures of their own, such as one neck that bears none of them */
      cause?: string;
      /** nothing holds the wood: nobody may go past it */
      final?: true;
    };

export const unmet = (what: string, why: string, remedy: string): Extract<Need, { met: false }> => ({
  met: false,
  what,
  why,
  remedy,
});

/** A cut into wood that nothing holds. */
export const unheld = (what: string, why: string, remedy: string): Need => ({
  met: false,
  what,
  why,
  remedy,
  final: true,
});

export function there(shop: Shop, id: string, need: string): Need[] {
  const wood = woodOf(shop, id);
  if (!wood) return [unmet(`There is no ${id} yet.`, 'Nothing before this makes it.', 'Make it first.')];
  return [{ met: true, by: wood.by, need }];
}
