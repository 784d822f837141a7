import { dim, outlineOf, radiusAt, type CaptiveRing, type Hollow, type PatternBody } from '@compas/core';
import { changePart, counting, partAt, withNew } from './editing.js';

export const changeHollows = (
  body: PatternBody,
  partId: string,
  change: (hollows: Hollow[]) => Hollow[],
): PatternBody => changePart(body, partId, (part) => ({ ...part, hollows: change(part.hollows ?? []) }));

export const changeRings = (
  body: PatternBody,
  partId: string,
  change: (rings: CaptiveRing[]) => CaptiveRing[],
): PatternBody => changePart(body, partId, (part) => ({ ...part, rings: change(part.rings ?? []) }));

/** A ring round the thinnest place of the middle of a part, beside those it has. */
export function addRing(body: PatternBody, partId: string): PatternBody {
  const part = partAt(body, { partId });
  const outline = outlineOf(part.turnings[0]);
  const last = part.rings?.at(-1);
  const at = last ? last.at.mm + last.width.mm + 10 : outline.length / 2;
  const under = 2 * radiusAt(outline, Math.min(at, outline.length));
  return withNew(body, 'ring', (id, b) =>
    changeRings(b, partId, (all) => [
      ...all,
      {
        id,
        name: all.length === 0 ? 'ring' : `ring ${all.length + 1}`,
        at: dim(Math.round(at * 10) / 10),
        width: dim(9),
        across: dim(Math.round((under + 11) * 10) / 10),
        play: dim(1.5),
      },
    ]),
  );
}

/** A round hollow in the far end, half as wide as that is. */
export function addHollow(body: PatternBody, partId: string): PatternBody {
  const ids = counting(body);
  const [id, elementId] = [ids.next('hollow'), ids.next()];
  const part = partAt(body, { partId });
  const across = outlineOf(part.turnings[0]).spans.at(-1)?.endDiameter ?? 0;
  const r = Math.max(3, Math.round(across * 2.5) / 10);
  const hollow: Hollow = {
    id,
    name: part.hollows?.length ? `hollow ${part.hollows.length + 1}` : 'hollow',
    opens: 'far',
    startDiameter: dim(2 * r),
    elements: [
      { kind: 'arc', id: elementId, length: dim(r), endDiameter: dim(0), radius: dim(r), side: 'out' },
    ],
  };
  return ids.done(changeHollows(body, partId, (all) => [...all, hollow]));
}
