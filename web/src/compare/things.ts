import {
  chain,
  dim,
  finishedReadings,
  fitSample,
  outlineOf,
  pointsOf,
  progressOf,
  stepsOfPlan,
  type Element,
  type Outline,
  type PatternBody,
} from '@compas/core';
import { useQueries, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { type BatchDetail } from '../api/batch.js';
import { batchesOfQuery, batchQuery } from '../api/batches.js';
import { patternsQuery, revisionsQuery, samplesQuery, type Sample } from '../api/patterns.js';

/** Something with an outline that can be laid over another. */
export interface Thing {
  id: string;
  label: string;
  outline: Outline;
  /** the pattern behind it, when there is one */
  body?: PatternBody;
}

const mainOutline = (body: PatternBody): Outline => outlineOf(body.parts[0].turnings[0]);

/** Revisions of a pattern first, newest on top; then other patterns, samples and measured pieces. */
export function useThings(patternId: string): { things: Thing[]; error: unknown } {
  const revisions = useQuery(revisionsQuery(patternId));
  const patterns = useQuery(patternsQuery);
  const samples = useQuery(samplesQuery);
  const own = useQuery(batchesOfQuery(patternId)).data ?? [];
  const measured = useQueries({ queries: own.map((b) => batchQuery(b.id)), combine: thatCame });
  const things = useMemo<Thing[]>(
    () => [
      ...(revisions.data ?? []).map((r) => ({
        id: `revision ${r.number}`,
        label: `Revision ${r.number}`,
        outline: mainOutline(r.body),
        body: r.body,
      })),
      ...measured.flatMap(measuredPieces),
      ...(samples.data ?? []).flatMap(sampleThing),
      ...(patterns.data ?? [])
        .filter((p) => p.id !== patternId)
        .map((p) => ({ id: `pattern ${p.id}`, label: p.name, outline: mainOutline(p.body), body: p.body })),
    ],
    [revisions.data, patterns.data, samples.data, patternId, measured],
  );
  return { things, error: revisions.error ?? patterns.error ?? samples.error };
}

/** Batches come one by one; those that have are looked at. */
const thatCame = (results: { data?: BatchDetail }[]): BatchDetail[] =>
  results.flatMap((r) => (r.data ? [r.data] : []));

function sampleThing(sample: Sample): Thing[] {
  try {
    const { outline } = fitSample(pointsOf(sample.trace));
    return [{ id: `sample ${sample.id}`, label: `Sample: ${sample.name}`, outline }];
  } catch {
    return [];
  }
}

/** A piece as it was measured: the planned outline through the diameters that were read, straight between. */
function measuredPieces(batch: BatchDetail): Thing[] {
  const [part] = batch.snapshot.plan.parts;
  const progress = progressOf(batch.lots, batch.events, stepsOfPlan(batch.snapshot.plan));
  const own = progress.pieces.filter((p) => p.partId === part.partId);
  return own.flatMap((piece) => {
    const measured = progress.readings.filter((r) => r.piece === piece.piece);
    const readings = finishedReadings(measured, part.steps, part.stations);
    const points = part.stations
      .filter((s) => !s.along)
      .flatMap((s) => {
        const read = readings.filter((r) => r.stationId === s.id).at(-1);
        return read ? [{ x: s.x, diameter: read.mm }] : [];
      })
      .sort((a, b) => a.x - b.x);
    if (points.length < 2) return [];
    return [
      {
        id: `piece ${batch.id} ${piece.piece}`,
        label: `${batch.name}, piece ${piece.piece} as measured`,
        outline: through(points),
      },
    ];
  });
}

function through(points: readonly { x: number; diameter: number }[]): Outline {
  const elements = points.slice(1).map((p, i): Element => {
    const before = points[i] ?? p;
    return {
      kind: 'taper',
      id: `m${i}`,
      length: dim(p.x - before.x),
      endDiameter: dim(p.diameter),
    };
  });
  const first = points[0];
  const lead: Element[] =
    first && first.x > 0 ? [{ kind: 'cylinder', id: 'lead', length: dim(first.x) }] : [];
  return chain([...lead, ...elements], first?.diameter ?? 0);
}
