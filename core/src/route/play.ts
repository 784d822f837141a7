import type { Finding } from '../measure/index.js';
import { applied } from './apply.js';
import { endNow } from './datum.js';
import type { Need } from './need.js';
import { endKey, needsOf } from './needs.js';
import type { Lengths, Lock, Operation, Route } from './operation.js';
import { EMPTY_SHOP, type Held, type OpId, type Shop } from './shop.js';

/** A route played through: the shop before each operation and at the end, locks, and what does not hold. */
export interface Played {
  before: Shop[];
  end: Shop;
  /** what each operation needs of those before it, by its id */
  locks: ReadonlyMap<OpId, Lock[]>;
  findings: Finding[];
}

/**
 * Plays a route from bare stock or from any state. An operation whose needs are not met is a Stop; it is played
 * all the same, so that one slip does not hide the next.
 */
export function play(route: Route, lengths: Lengths, from: Shop = EMPTY_SHOP): Played {
  const before: Shop[] = [];
  const locks = new Map<OpId, Lock[]>();
  const findings: Stop[] = [];
  let shop = from;
  const users = new Map<string, OpId[]>();
  const holds: PastHold[] = [];
  for (const operation of route.operations) {
    before.push(shop);
    if (locks.has(operation.id)) findings.push(stop(operation, findings.length, TWICE));
    const needs = needsOf(operation, shop, lengths);
    needs.forEach((need, i) => {
      if (!need.met) findings.push(stop(operation, i, need));
    });
    const after = applied(shop, operation);
    const ended = endedBy(shop, after).flatMap((key) => users.get(key) ?? []);
    const freed = gripsTaken(operation, holds).map(untilLetGo);
    locks.set(operation.id, locksOf(operation, [...needs, ...ended.map(whileItLasted), ...freed]));
    if (shop.held && shop.held.by !== after.held?.by) holds.push({ held: shop.held, ended: operation.id });
    for (const need of needs)
      if (need.met && need.uses !== undefined)
        users.set(need.uses, [...(users.get(need.uses) ?? []), operation.id]);
    shop = after;
  }
  return { before, end: shop, locks, findings: folded(findings) };
}

const TWICE = {
  met: false as const,
  what: 'There are two of this.',
  why: 'What is recorded at the lathe names operations; two of one name cannot be told apart.',
  remedy: 'Give one of them a pass of its own.',
};

/** Who used what an operation ends comes before it: the hold, the end that was measured from. */
const whileItLasted = (by: OpId): Need => ({ met: true, by, need: 'it is done while this still stands' });

/** A hold that was let go of, and by which operation. */
interface PastHold {
  held: Held;
  ended: OpId;
}

/** What is fitted where the wood was gripped takes that grip away: the hold must be over by then. */
const gripsTaken = ({ effects }: Operation, holds: readonly PastHold[]): OpId[] =>
  effects.flatMap((effect) => {
    if (effect.do !== 'fix') return [];
    const x = effect.fixed.at.at[0];
    return holds.flatMap(({ held, ended }) => {
      const grips = held.wood === effect.wood ? [held.drive, ...(held.tail ? [held.tail] : [])] : [];
      return grips.some(({ on }) => x > on.x0 - AT_PLACE && x < on.x1 + AT_PLACE) ? [ended] : [];
    });
  });

/** How near to a grip what is fitted takes it away, mm. */
const AT_PLACE = 0.5;

const untilLetGo = (by: OpId): Need => ({ met: true, by, need: 'it is held there until then' });

/** Holds and ends as they stood before, and do not stand after. */
function endedBy(before: Shop, after: Shop): string[] {
  const hold = before.held && before.held.by !== after.held?.by ? [before.held.by] : [];
  const ends = before.woods.flatMap((wood) => {
    const now = after.woods.find((w) => w.id === wood.id);
    if (now === wood) return [];
    return (['low', 'high'] as const).flatMap((side) => {
      const [was, is] = [endNow(wood, side), now && endNow(now, side)];
      return was.by === is?.by ? [] : [endKey(wood.id, side, was.by)];
    });
  });
  return [...hold, ...ends];
}

/** One lock for each operation that something is needed of, the longest wait with it. */
function locksOf({ id }: Operation, needs: readonly Need[]): Lock[] {
  const locks = new Map<OpId, Lock>();
  for (const need of needs) {
    if (!need.met || need.by === id) continue;
    const known = locks.get(need.by);
    const minutes = Math.max(need.minutes ?? 0, known?.minutes ?? 0);
    const words = need.minutes === undefined ? (known?.need ?? need.need) : need.need;
    locks.set(need.by, { op: need.by, need: words, ...(minutes > 0 ? { minutes } : {}) });
  }
  return [...locks.values()];
}

/** A Stop of an operation, with what it needs apart from whose it is. */
interface Stop {
  title: string;
  need: Extract<Need, { met: false }>;
  finding: Finding;
}

const stop = ({ id, title }: Operation, i: number, need: Extract<Need, { met: false }>): Stop => ({
  title,
  need,
  finding: {
    id: `route.${id}.${i}`,
    severity: 'stop',
    stage: 'turn',
    what: `${title}: ${need.what}`,
    why: need.why,
    remedy: need.remedy,
    ...(need.final ? { final: need.final } : {}),
  },
});

/** What several operations lack alike is one Stop: that of the first, with the others named under it. */
function folded(stops: readonly Stop[]): Finding[] {
  const groups = new Map<string, Stop[]>();
  for (const one of stops) {
    const { what, why, remedy, final, cause = why } = one.need;
    const key = [what, cause, remedy, final].join('\n');
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return [...groups.values()].flatMap(([first, ...others]) => {
    if (!first) return [];
    const titles = [...new Set(others.map((o) => o.title))].filter((title) => title !== first.title);
    if (titles.length === 0) return [first.finding];
    return [{ ...first.finding, why: `${first.finding.why} So it is at: ${titles.join(', ')}.` }];
  });
}
