import type { Finding } from '../../measure/index.js';
import type { Holding } from './ledger.js';

/** Something that is kept in store: stock or a kit. */
export interface Kept {
  id: string;
  label: string;
  unit: string;
  reorderAt: number | null;
  holding: Holding;
}

/** What has fallen below the amount at which it is to be ordered again. */
export function reorderFindings(kept: readonly Kept[]): Finding[] {
  return kept
    .filter((k) => k.reorderAt !== null && k.holding.amount < k.reorderAt)
    .map((k) => ({
      id: `stock.reorder.${k.id}`,
      severity: 'warn',
      stage: 'stock',
      what: `${k.label}: ${Number(k.holding.amount.toFixed(2))} ${k.unit} left.`,
      why: `Below ${k.reorderAt ?? 0} ${k.unit} it is to be ordered again.`,
      remedy: 'Order it, and enter it when it is received.',
    }));
}

/** Consumables whose day has passed, or will within two weeks. */
export function expiryFindings(
  consumables: readonly { id: string; label: string; expires: string | null; amount: number }[],
  today: string,
): Finding[] {
  const soon = new Date(Date.parse(today) + 14 * 86_400_000).toISOString().slice(0, 10);
  return consumables
    .filter((c) => c.expires !== null && c.amount > 0 && c.expires <= soon)
    .map((c) => ({
      id: `stock.expiry.${c.id}`,
      severity: 'warn',
      stage: 'stock',
      what:
        (c.expires ?? '') < today
          ? `${c.label} has been past its day since ${c.expires ?? ''}.`
          : `${c.label} is good until ${c.expires ?? ''}.`,
      why: 'Old glue and finish set slowly or not at all.',
      remedy: 'Try it on scrap first, or open a fresh one.',
    }));
}
