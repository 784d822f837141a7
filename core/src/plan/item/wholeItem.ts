import {
  branchesOf,
  branchFindings,
  partsMeet,
  type Branch,
  type BranchJoin,
  type PartsMeet,
} from '../../assembly/index.js';
import { piecesInBlank } from '../../batch/index.js';
import type { Finding } from '../../measure/index.js';
import { outlineOf, type PatternBody } from '../../pattern/index.js';
import {
  coversItem,
  decidedSteps,
  joinItem,
  play,
  stepDoes,
  stepsOf,
  type JoinToMake,
  type OrderLock,
  type Shop,
  type Step,
} from '../../route/index.js';
import { itemChecks } from './checks.js';
import type { PlanInputs } from '../inputs.js';
import { ownStepsLocked } from '../ways/answeredFor.js';
import { decidedOfItem, minutesOf, ownCure } from '../ways/decisions.js';
import { homelessFindings } from '../ways/homeless.js';
import { inOrderMade } from './inOrderMade.js';
import { madeFirst } from './madeFirst.js';
import { SETUPS } from '../part/madePart.js';
import { isAfterItem, OwnWays, waysFor, type FollowedWay, type ScopedWay } from '../ways/ownWays.js';
import { partsOrdered } from '../part/partOrder.js';
import type { PlannedPart } from '../part/partPlan.js';

/** How parts come to each other, as the screens tell it. */
export interface ItemJoin extends PartsMeet {
  joinId: string;
  /** the part whose piece carries what was joined */
  carriedBy: string;
}

/** What is done to the item when its parts are made: joined, tried. */
export interface WholeItem {
  joins: ItemJoin[];
  steps: Step[];
  /** what of it is done otherwise than usual */
  own?: FollowedWay[];
}

/** The parts put together, played on from where each is made, and held against the item as it is drawn. */
export function wholeItem(
  parts: readonly PlannedPart[],
  inputs: PlanInputs,
): { item: WholeItem; findings: Finding[] } {
  const { pattern, order, workshop } = inputs;
  const [{ part }] = partsOrdered(pattern, order);
  const own = new OwnWays(waysFor(part, pattern, order, workshop));
  const made = parts.filter((p) => p.plan.steps.length > 0);
  const all = branchesOf(carriersFirst(pattern, made));
  const branches = all.filter(({ root, joins }) =>
    [root.id, ...joins.flatMap((j) => j.takes)].every((id) => made.some((p) => p.plan.partId === id)),
  );
  const found = branches.map((branch) => ofBranch(branch, made, inputs, own));
  return {
    item: {
      joins: found.flatMap((f) => f.joins),
      steps: found.flatMap((f) => f.steps),
      ...(own.followed.length > 0 ? { own: own.followed } : {}),
    },
    findings: [
      ...all.flatMap(branchFindings),
      ...found.flatMap((f) => f.findings),
      ...homelessFindings(part.id, unplaced(own)),
    ],
  };
}

/** Own steps that were put behind a join which is not made any more. */
const unplaced = (own: OwnWays): ScopedWay[] =>
  own
    .of('extra')
    .filter(({ decides, scoped }) => isAfterItem(decides.step) && !own.isFollowed(scoped))
    .map(({ scoped }) => scoped);

function ofBranch(branch: Branch, parts: readonly PlannedPart[], inputs: PlanInputs, own: OwnWays) {
  const { root, joins } = branch;
  // what a part was glued onto before it was turned is in it already
  const early = new Map(parts.flatMap((p) => p.plan.steps.flatMap(joinedIn)));
  const meets = joins.map((join) => ({ join, meet: meetOf(join, parts, inputs, own, early) }));
  const open = meets.filter(({ join }) => !early.has(join.sides.join.id));
  const lengths = lengthsOf(inputs.pattern);
  const from = together(standing(parts).map((p) => p.end));
  const checks = itemChecks(inputs.pattern);
  const usual = joinItem(root, toMake(open), from, lengths, {
    title: `Look the ${inputs.pattern.kind === 'other' ? root.name.toLowerCase() : inputs.pattern.kind} over, put together`,
    words: [
      'From two sides: its parts are in line, nothing stands off, no glue shows.',
      ...checks.map((c) => `${c.words}.`),
    ],
    minutes: LOOK,
  });
  const { route, homeless } = decidedSteps(usual, decidedOfItem(own));
  for (const { decides, scoped } of own.of('extra'))
    if (isAfterItem(decides.step) && !homeless.includes(scoped.way.id)) own.follow(scoped, 'no such step');
  const played = play(route, lengths, from);
  const drafts = ownStepsLocked(
    stepsOf(route, played, {
      partId: root.id,
      perBlank: 1,
      fixtures: [],
      tail: false,
      setups: SETUPS,
      remount: 0,
      lengths,
    }),
  );
  const takes = open.flatMap(({ join }) => rounds(join));
  const joined = drafts.filter((s) => stepDoes(s, 'join'));
  const named = drafts.map((step): Step => {
    const round = takes[joined.indexOf(step)];
    const last = stepDoes(step, 'try');
    return {
      ...step,
      id: `item/${step.id}`,
      minutes: minutesOf(own, `item/${step.id}`, step.minutes),
      item: true,
      // it is not done before the lathe, though no lathe comes into it
      prepares: false,
      trialFit: round !== undefined,
      ...(round?.takes ? { takes: [round.takes] } : {}),
      ...(last && checks.length > 0 ? { checks: checks.map((c) => c.id) } : {}),
      locks: [
        ...step.locks.flatMap((l) => withinItem(l, drafts)),
        ...(round ? madeFirst(parts, round.of) : open.length === 0 ? madeFirst(parts, [root.id]) : []),
      ],
    };
  });
  return {
    joins: meets.map(({ join, meet }) => ({ ...meet, joinId: join.sides.join.id, carriedBy: root.id })),
    steps: perPlace(
      named,
      piecesInBlank(
        parts.flatMap((p) => p.plan.steps),
        root.id,
      ),
    ),
    findings: [
      ...played.findings,
      ...coversItem(played.end, inputs.pattern, [[root.id, ...tied(branch)]]),
      ...meets.flatMap(({ join, meet }) => glueFindings(join, meet)),
    ],
  };
}

/** The part that others are glued into while it is made carries what comes of it. */
function carriersFirst(
  pattern: PatternBody,
  made: readonly PlannedPart[],
): Pick<PatternBody, 'parts' | 'joins'> {
  const order = inOrderMade(made.map((p) => p.plan)).map((p) => p.partId);
  const takes = (id: string) =>
    made.some((p) => p.plan.partId === id && p.plan.steps.some((s) => s.takes !== undefined));
  const rank = (id: string) => (takes(id) ? -order.indexOf(id) : 1);
  const [first, ...rest] = pattern.parts.toSorted((a, b) => rank(a.id) - rank(b.id));
  return { ...pattern, parts: [first ?? pattern.parts[0], ...rest] };
}

/** The join that a step makes, where it takes a piece for it, and how long its glue is left. */
const joinedIn = ({ takes, operation, wait }: Step): [string, number][] =>
  takes !== undefined && operation?.subject ? [[operation.subject, wait?.minutes ?? 0]] : [];

/** Parts that stand by themselves when all are made: what was glued into another one is in its wood. */
function standing(parts: readonly PlannedPart[]): PlannedPart[] {
  const taken = new Set(parts.flatMap((p) => p.plan.steps.flatMap((s) => s.takes ?? [])));
  return parts.filter((p) => !taken.has(p.plan.partId));
}

/** Minutes to look an item over: typical, unchecked. */
const LOOK = 0.5;

/** Parts that are one with the root in the end: a cord holds its parts without making them one. */
const tied = ({ joins }: Branch): string[] =>
  joins.flatMap(({ brought, sides }) => (brought && sides.join.kind !== 'cord through' ? [brought.id] : []));

const lengthsOf = ({ parts }: PatternBody) => {
  const lengths = new Map(parts.map((p) => [p.id, outlineOf(p.turnings[0]).length]));
  return (partId: string) => lengths.get(partId) ?? 0;
};

/** All parts on the bench, each as it is when it is made. */
const together = (shops: readonly Shop[]): Shop => ({
  woods: shops.flatMap((s) => s.woods),
  held: null,
  waits: shops.flatMap((s) => s.waits),
});

function meetOf(
  { sides }: BranchJoin,
  parts: readonly PlannedPart[],
  { workshop }: PlanInputs,
  own: OwnWays,
  early: ReadonlyMap<string, number>,
): PartsMeet {
  const material = (id: string) => parts.find((p) => p.plan.partId === id)?.plan.material;
  const [a, b] = [material(sides.inner.id), material(sides.outer.id)];
  const known = [a, b].flatMap((m) => m ?? []);
  const meet = partsMeet(sides, known, workshop.glues);
  const cures = early.get(sides.join.id);
  if (meet.cureMinutes === null) return meet;
  return {
    ...meet,
    cureMinutes: cures ?? ownCure(own, `item/${sides.join.id}`, meet.cureMinutes),
  };
}

/** A join as often as it is made, each time with the piece that it takes. */
function rounds({ takes, sides }: BranchJoin): { takes: string | null; of: string[] }[] {
  const of = [sides.inner.id, sides.outer.id];
  return takes.length === 0 ? [{ takes: null, of }] : takes.map((id) => ({ takes: id, of }));
}

function toMake(meets: readonly { join: BranchJoin; meet: PartsMeet }[]): JoinToMake[] {
  const count = new Map<string, number>();
  return meets.flatMap(({ join, meet }) =>
    rounds(join).map(({ takes }, i, all): JoinToMake => {
      const { inner, outer } = join.sides;
      const n = takes === null ? 1 : (count.get(takes) ?? 0) + 1;
      if (takes !== null) count.set(takes, n);
      const other = join.brought === inner ? outer : inner;
      const of = ((n - 1) % (count.get(other.id) ?? 1)) + 1;
      const [own, beside] = takes === null ? [1, 1] : [n, of];
      return {
        sides: join.sides,
        inner: join.brought === inner ? own : beside,
        outer: join.brought === outer ? own : beside,
        pass: all.length > 1 ? i + 1 : null,
        ...meet,
      };
    }),
  );
}

/** Of what is needed only what is done to the item itself: what is done to the parts comes before as a whole. */
const withinItem = (lock: OrderLock, steps: readonly Step[]): OrderLock[] =>
  steps.some((s) => s.id === lock.stepId) ? [{ ...lock, stepId: `item/${lock.stepId}` }] : [];

/** Pieces of one blank are joined each by itself: each has steps of its own. */
function perPlace(steps: readonly Step[], of: number): Step[] {
  if (of === 1) return [...steps];
  const ids = new Set(steps.map((s) => s.id));
  const at = (id: string, place: number) => (place === 1 || !ids.has(id) ? id : `${id} (${place})`);
  return Array.from({ length: of }, (_, i) => i + 1).flatMap((place) =>
    steps.map((step) => ({
      ...step,
      id: at(step.id, place),
      share: { place, of },
      locks: step.locks.map((lock) => ({ ...lock, stepId: at(lock.stepId, place) })),
    })),
  );
}

function glueFindings({ sides }: BranchJoin, { glued, glue }: PartsMeet): Finding[] {
  if (!glued || glue) return [];
  return [
    {
      id: `assemble.glue.${sides.join.id}`,
      severity: 'warn',
      stage: 'assemble',
      partId: sides.outer.id,
      what: `The workshop has no glue for the ${sides.inner.name} and the ${sides.outer.name}.`,
      why: 'The plan counts with the usual cure of such a glue.',
      remedy: 'Enter the glue in the workshop, or get some.',
    },
  ];
}
