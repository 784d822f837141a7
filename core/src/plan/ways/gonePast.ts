import { bySeverity, type Finding } from '../../measure/index.js';
import type { PatternBody } from '../../pattern/index.js';
import type { OwnWay } from '../../workshop/index.js';
import type { PlanOrder } from '../inputs.js';

/** Stops that somebody goes past, for this order or whenever the pattern is made, by the name of what is found. */
export function pastStops(
  { parts }: Pick<PatternBody, 'parts'>,
  { ways = [], others = [] }: Pick<PlanOrder, 'ways' | 'others'>,
): ReadonlyMap<string, OwnWay> {
  const all = [...parts.flatMap((p) => p.ways ?? []), ...others.flatMap((o) => o.ways ?? []), ...ways];
  return new Map(
    all.flatMap((way) => (way.decides.kind === 'past' ? [[way.decides.finding, way] as const] : [])),
  );
}

/** Stops that are gone past are notes, with the reason; what nothing would hold stays a Stop whatever is said. */
export const gonePast = (findings: readonly Finding[], past: ReadonlyMap<string, OwnWay>): Finding[] =>
  bySeverity(
    findings.map((finding): Finding => {
      const way = past.get(finding.id);
      return way && finding.severity === 'stop' && !finding.final
        ? { ...finding, severity: 'note', past: way.by === '' ? way.why : `${way.why} (${way.by})` }
        : finding;
    }),
  );
