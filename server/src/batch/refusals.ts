import { partsOrdered, type PatternBody, type Plan, type PlanOrder, unreasoned } from '@compas/core';
import { Problem } from '../edge/problem.js';
import type { PlanChoicesDto } from './batch.dto.js';

/** Choices for parts that the pattern does not have, or twice for one, are refused. */
export function refuseUnknownParts({ partId, others = [] }: PlanChoicesDto, { parts }: PatternBody): void {
  const wanted = [...(partId === undefined ? [] : [partId]), ...others.map((o) => o.partId)];
  const unknown = wanted.find((id, i) => !parts.some((p) => p.id === id) || wanted.indexOf(id) < i);
  if (unknown === undefined) return;
  throw Problem.unusable([
    {
      field: unknown === partId ? 'partId' : 'others',
      why: `The pattern has no part “${unknown}”, or it is given twice. Its parts are ${parts.map((p) => p.id).join(', ')}.`,
    },
  ]);
}

/** More pieces than a shop makes in one go are a slip, or several batches. */
const MOST_PIECES = 2_000;

/** Each item has so many of each part: what is ordered is held against what would be made. */
export function refuseTooMany(order: PlanOrder, pattern: PatternBody): void {
  const each = partsOrdered(pattern, order).reduce((sum, { part }) => sum + part.perItem, 0);
  if (order.pieces * each <= MOST_PIECES) return;
  throw Problem.unusable([
    {
      field: 'pieces',
      why: `${order.pieces} items are ${order.pieces * each} pieces. A batch has ${MOST_PIECES} at most: make ${Math.max(1, Math.floor(MOST_PIECES / each))} items, then another batch.`,
    },
  ]);
}

/** What leaves something out or goes past a Stop says why. */
export function refuseUnreasoned(order: PlanOrder): void {
  const silent = [
    ...unreasoned(order.ways, 'ways'),
    ...(order.others ?? []).flatMap((o, i) => unreasoned(o.ways, `others.${i}.ways`)),
  ];
  if (silent.length > 0) throw Problem.unusable(silent);
}

/** A plan that cannot be made, or that cuts what nothing holds, is not kept. */
export function refuseUnmade({ parts, findings }: Plan): void {
  if (parts.some((p) => p.steps.length === 0)) {
    const none = findings.find((f) => f.id.startsWith('route.none'));
    throw Problem.unusable([
      { field: 'mount', why: none ? `${none.what} ${none.why} ${none.remedy}` : 'It has no steps.' },
    ]);
  }
  const unheld = findings.find((f) => f.severity === 'stop' && f.final);
  if (unheld)
    throw Problem.unusable([
      { field: 'ways', why: `${unheld.what} ${unheld.remedy} Nobody can go past this one.` },
    ]);
}
