import {
  airOf,
  daysBetween,
  dryingVerdict,
  expiryFindings,
  forecastOf,
  moistureOn,
  reorderFindings,
  type Finding,
  type Workshop,
} from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { dryingQuery, stockQuery, type Bundle } from '../api/stock.js';
import { kitsQuery } from '../api/workshop.js';
import { onClock } from '../ui/clock.js';
import { Findings } from '../ui/Findings.js';

/** What the shelves ask for: wood that may be turned today, what runs out, what grows old. */
export function BenchStock({ workshop, now }: { workshop: Workshop; now: number }) {
  const stock = useQuery({ ...stockQuery, throwOnError: false });
  const kits = useQuery({ ...kitsQuery, throwOnError: false });
  const drying = useQuery({ ...dryingQuery, throwOnError: false });
  if (!stock.data || !kits.data || !drying.data) return null;
  const today = onClock(now, workshop.hours.timeZone).slice(0, 10);
  const findings = [
    ...drying.data.flatMap((b) => readyFinding(b, workshop, today)),
    ...reorderFindings([
      ...stock.data.map((h) => ({
        id: h.item.id,
        label: h.item.label,
        unit: h.item.kind === 'consumable' ? h.item.unit : 'pieces',
        reorderAt: h.item.reorderAt,
        holding: h,
      })),
      ...kits.data.map((k) => ({
        id: k.id,
        label: k.name,
        unit: 'kits',
        reorderAt: k.reorderAt ?? null,
        holding: { amount: k.onHand, cost: 0 },
      })),
    ]),
    ...expiryFindings(
      stock.data.flatMap(({ item, amount }) =>
        item.kind === 'consumable' ? [{ id: item.id, label: item.label, expires: item.expires, amount }] : [],
      ),
      today,
    ),
  ];
  if (findings.length === 0) return null;
  return (
    <section>
      <h2>
        On the shelves <Link to="/stock">see the stock</Link>
      </h2>
      <div className="bench-shelves">
        <Findings findings={findings} empty="" />
      </div>
    </section>
  );
}

/** Wood that its weights let be turned. */
function readyFinding({ id, bundle }: Bundle, workshop: Workshop, today: string): Finding[] {
  const read = forecastOf(bundle, airOf(workshop));
  const first = bundle.weighings[0]?.day;
  if (!read.ok || first === undefined) return [];
  const moisture = moistureOn(read.forecast, daysBetween(first, today));
  const { verdict, why } = dryingVerdict(bundle.school, moisture, bundle.target);
  if (verdict === 'not yet') return [];
  return [
    {
      id: `bench.drying.${id}`,
      severity: 'note',
      stage: 'stock',
      what: `${bundle.label}: ${verdict}.`,
      why,
      remedy: 'Weigh it once more before the first cut.',
    },
  ];
}
