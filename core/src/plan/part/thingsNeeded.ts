import { len } from '../../measure/index.js';
import type { Kit } from '../../hardware/index.js';
import type { Plan } from '../plan.js';

/** Something that has to be there before a batch can be finished: bought, or cut to length. */
export interface NeededThing {
  id: string;
  what: string;
  count: number;
  /** what of it is counted in stock; null where it is not counted by the piece */
  onHand: number | null;
  /** how it is cut or what it is for; may carry length marks */
  words: string;
}

/** All that a batch takes beside its wood: hardware by the piece, then glues and finishes. */
export function thingsNeeded({ parts, item }: Pick<Plan, 'parts' | 'item'>): NeededThing[] {
  const kits = new Map<string, NeededThing>();
  for (const { pieces, name, hardware, otherHardware = [] } of parts)
    for (const { kit } of [...(hardware ? [hardware] : []), ...otherHardware]) {
      const known = kits.get(kit.id);
      const into = `in the ${name.toLowerCase()}`;
      kits.set(kit.id, {
        id: kit.id,
        what: kit.name,
        onHand: kit.onHand,
        count: (known?.count ?? 0) + pieces,
        words: known ? `${known.words}, ${into}` : [cutWords(kit), into].filter((w) => w !== '').join(', '),
      });
    }
  const glues = [...parts.flatMap((p) => p.joins), ...(item?.joins ?? [])].flatMap((j) => j.glue ?? []);
  const finishes = parts.flatMap((p) => p.finish?.finish ?? []);
  const named = [...glues, ...finishes].map(({ id, name }) => ({ id, name }));
  const others = [...new Map(named.map((n) => [n.id, n])).values()];
  return [
    ...kits.values(),
    ...others.map(({ id, name }) => ({ id, what: name, count: 0, onHand: null, words: '' })),
  ];
}

/** What is bought by the length is cut first. */
const cutWords = (kit: Kit): string => (kit.kind === 'rod' ? `cut to ${len(kit.length.mm)}` : '');
