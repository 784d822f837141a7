import { len } from '../../measure/index.js';
import {
  outlineOf,
  ringPart,
  ringPlace,
  type CaptiveRing,
  type RingPlace,
  type Segment,
} from '../../pattern/index.js';
import type { Bench } from './bench.js';
import { everyGrit } from './grits.js';
import { each, MINUTES } from './minutes.js';
import { between } from './profiles.js';
import type { Work } from './work.js';

/** Its rings; one without any width is none yet. */
const turnedRings = ({ part }: Work): CaptiveRing[] => (part.rings ?? []).filter((r) => r.width.mm > 0);

/** The rings whose middle lies on an element, with where they are turned. */
const ringsOn = ({ work }: Bench, elementId: string): { ring: CaptiveRing; place: RingPlace }[] => {
  const span = work.outline.spans.find((s) => s.element.id === elementId);
  return turnedRings(work)
    .filter(({ at }) => span && at.mm >= span.x0 && at.mm < span.x1)
    .map((ring) => ({ ring, place: ringPlace(ring, work.outline) }))
    .sort((a, b) => a.place.x0 - b.place.x0);
};

/** Whether nothing of a stretch of the part lies where a ring is turned. mm */
export const clearOfRings = ({ work }: Bench, { x0, x1 }: { x0: number; x1: number }): boolean =>
  turnedRings(work).every((ring) => {
    const place = ringPlace(ring, work.outline);
    return x1 <= place.x0 || x0 >= place.x1;
  });

/** What of a profile lies beside the rings: one stretch before each, and one after the last. */
export function besideRings({ work }: Bench, segments: readonly Segment[]): Segment[][] {
  const zones = turnedRings(work)
    .map((ring) => ringPlace(ring, work.outline))
    .sort((a, b) => a.x0 - b.x0);
  const edges = [-Infinity, ...zones.flatMap(({ x0, x1 }) => [x0, x1]), Infinity];
  return Array.from({ length: zones.length + 1 }, (_, i) =>
    between(segments, edges[2 * i] ?? 0, edges[2 * i + 1] ?? 0),
  ).filter((stretch) => stretch.length > 0);
}

/** The outside of a ring, with the shaft beside it already cut: it can be rounded from both sides. */
export function shapeRings(bench: Bench, elementId: string): void {
  for (const { ring, place } of ringsOn(bench, elementId))
    bench.writer.cut({
      wood: bench.wood,
      kind: 'round a ring',
      subject: ring.id,
      profile: bench.told(ringSegments(bench, ring, place)),
      title: `Round the ${ring.name}`,
      words: [
        `${len(place.outside)} across and ${len(place.x1 - place.x0)} wide; undercut both its flanks as far as the gouge reaches.`,
      ],
      speed: bench.speed('shape'),
      minutes: each(2 * MINUTES.shape),
    });
}

const ringSegments = ({ work }: Bench, ring: CaptiveRing, { x0 }: RingPlace): Segment[] => {
  const bead = outlineOf(ringPart(ring, work.outline).turnings[0]);
  return bead.segments.map((s) => ({ ...s, x0: s.x0 + x0, x1: s.x1 + x0 }));
};

/** Sanded and finished while it is fast, undercut until it is free, then the shaft under it turned to its size. */
export function freeRings(bench: Bench): void {
  const { work, writer, wood } = bench;
  for (const { element } of work.outline.spans)
    for (const { ring, place } of ringsOn(bench, element.id)) {
      finishRing(bench, ring, place);
      writer.free({
        wood,
        subject: ring.id,
        from: bench.datum('reference'),
        x0: bench.from(place.x0),
        x1: bench.from(place.x1),
        inside: place.inside,
        into: writer.named(`${ring.id} of ${wood}`),
        piece: { partId: ring.id, n: writer.place ?? 1 },
        title: `Free the ${ring.name}`,
        words: [
          `Hooked tool from the one side to the middle, then from the other; ${len(place.inside)} across inside. It drops on the shaft when the last wood goes: cut that lightly.`,
        ],
        tool: 'hooked tool',
        speed: bench.speed('part off'),
        minutes: each(RING),
      });
      writer.cut({
        wood,
        kind: 'turn where a ring was',
        subject: element.id,
        pass: ring.id,
        profile: bench.told(between(work.outline.segments, place.x0, place.x1)),
        leave: work.bare.has(element.id) ? 0 : bench.leave,
        title: `The shaft where the ${ring.name} was`,
        words: ['Tape the ring aside; then down to the shaft beside it.'],
        speed: bench.speed('shape'),
        minutes: each(MINUTES.shape),
      });
    }
}

/** Usual minutes to undercut a ring; bench practice, typical. */
const RING = 4;

/** Afterwards it cannot be held: what it is to have it gets now. */
function finishRing(bench: Bench, { id, name }: CaptiveRing, { x0, x1 }: RingPlace): void {
  const { work, writer, wood } = bench;
  const stretches = [
    {
      on: [{ of: 'skin' as const, id: `shape:${writer.named(id)}` }],
      x0: bench.from(x0),
      x1: bench.from(x1),
    },
  ];
  const about = { wood, subject: id, from: bench.datum('reference'), stretches };
  if (work.sanding.length > 0)
    writer.treat({
      ...about,
      kind: 'sand a ring',
      pass: 'ring',
      title: `Sand the ${name}`,
      figure: everyGrit(work).figure,
      words: [`${everyGrit(work).listed}: when it is free nothing holds it.`],
      speed: bench.speed('sand'),
      minutes: each(MINUTES.shape),
    });
  const [coat] = work.coats;
  if (coat)
    writer.treat({
      ...about,
      kind: 'coat',
      pass: 'ring',
      title: `Finish on the ${name}`,
      words: [`Put on ${coat.name}, before it comes free.`],
      speed: bench.speed('finish slow'),
      minutes: each(MINUTES.shape / 2),
    });
}
