import type { Step } from '../route/index.js';
import type { RunEvent } from './event.js';
import { inRecordedOrder } from './inRecordedOrder.js';

/** Names of the steps that a mend adds begin so. */
const MEND = 'mend:';

/**
 * The steps of a plan with what is done to single pieces alone: each mend stands before the step at which it was
 * decided, and concerns that piece only. A mend at a step that a later plan no longer has comes at the end of its part.
 */
export function withMends(steps: readonly Step[], events: readonly RunEvent[]): Step[] {
  return inRecordedOrder(events).reduce<Step[]>(
    (all, { id, piece, body }) => {
      if (body.kind !== 'mended' || body.steps.length === 0) return all;
      const at = placeOf(all, body.stepId, body.partId);
      const anchor = all[at] ?? all[at - 1];
      if (!anchor) return all;
      const own = body.steps.map((step, i): Step => ({
        id: `${MEND}${id}:${i}`,
        partId: anchor.partId,
        stage: anchor.stage,
        title: step.title,
        words: step.words === '' ? [] : [step.words],
        setup: { place: step.place, holding: step.place, tailstock: 'not used' },
        speed: null,
        setupMinutes: 0,
        minutes: step.minutes,
        remountMinutes: 0,
        wait: null,
        locks: [],
        timers: [],
        measures: [],
        against: 'finished',
        trialFit: false,
        ...(anchor.share === undefined ? {} : { share: anchor.share }),
        ...(anchor.run === undefined ? {} : { run: anchor.run }),
        only: piece,
      }));
      return all.toSpliced(at, 0, ...own);
    },
    [...steps],
  );
}

function placeOf(steps: readonly Step[], stepId: string, partId: string): number {
  const at = steps.findIndex((s) => s.id === stepId);
  return at >= 0 ? at : steps.findLastIndex((s) => s.partId === partId) + 1;
}
