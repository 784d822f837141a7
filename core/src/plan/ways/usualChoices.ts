import { FITTING_WAYS } from '../../hardware/index.js';
import { MOUNT_KINDS, STOCK_FORMS } from '../../mounting/index.js';
import type { Part, PatternBody } from '../../pattern/index.js';
import type { DecisionKind, DecisionOf, Workshop } from '../../workshop/index.js';
import type { PartChoices } from '../inputs.js';
import { waysFor, type ScopedWay } from './ownWays.js';

/** What an order of a part chooses when it says nothing, and where each of that was decided. */
export interface UsualChoices {
  choices: Partial<Pick<PartChoices, 'mount' | 'finishId' | 'fitting' | 'drilling' | 'stockForm' | 'datum'>>;
  from: ScopedWay[];
}

/**
 * What is always chosen for a part: by its pattern, its kind of item, its wood, or the workshop, the narrowest first. What the
 * workshop no longer has, or nobody knows any more, is passed over.
 */
export function usualChoices(
  part: Part,
  pattern: Pick<PatternBody, 'kind'>,
  materialId: string,
  workshop: Pick<Workshop, 'ways' | 'finishes'>,
): UsualChoices {
  const all = waysFor(part, pattern, { materialId, finishId: null, perBlank: 1, mount: null }, workshop);
  const from: ScopedWay[] = [];
  const every = <K extends DecisionKind>(kind: K, holds: (d: DecisionOf<K>) => boolean): DecisionOf<K>[] =>
    all.flatMap((scoped) => {
      const decides = scoped.way.decides as DecisionOf<K>;
      if (decides.kind !== kind || !holds(decides)) return [];
      from.push(scoped);
      return [decides];
    });
  const isKnown = (id: string | null) => id === null || workshop.finishes.some((f) => f.id === id);
  const [hold] = every('hold', (d) => MOUNT_KINDS.some((m) => m === d.mount));
  const [finish] = every('finish', (d) => isKnown(d.finishId));
  const [fitting] = every('fitting', (d) => FITTING_WAYS.some((w) => w === d.way));
  const [form] = every('form', (d) => STOCK_FORMS.some((f) => f === d.stockForm));
  const [datum] = every('datum', () => true);
  const drilled = every('drill', () => true);
  const holes = new Map(drilled.toReversed().map(({ kind: _, ...hole }) => [hole.holeId, hole]));
  return {
    choices: {
      ...(hold ? { mount: MOUNT_KINDS.find((m) => m === hold.mount) ?? null } : {}),
      ...(finish ? { finishId: finish.finishId } : {}),
      ...found(
        'fitting',
        FITTING_WAYS.find((w) => w === fitting?.way),
      ),
      ...found(
        'stockForm',
        STOCK_FORMS.find((f) => f === form?.stockForm),
      ),
      ...(datum ? { datum: datum.markId } : {}),
      ...(holes.size > 0 ? { drilling: [...holes.values()] } : {}),
    },
    from,
  };
}

const found = <K extends string, V>(key: K, value: V | undefined): Partial<Record<K, V>> =>
  value === undefined ? {} : ({ [key]: value } as Partial<Record<K, V>>);
