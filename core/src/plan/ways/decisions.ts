import { fine, len, minutesInWords, type Finding } from '../../measure/index.js';
import type { Material } from '../../material/index.js';
import type { Mount } from '../../mounting/index.js';
import { nameOf, type ElementSpan, type Outline, type Part } from '../../pattern/index.js';
import type { DecidedSteps } from '../../route/index.js';
import { gritLadder, type ChosenGrits, type FinishProtocol } from '../../surface/index.js';
import {
  brokenOrders,
  cutsInOrder,
  CUT_FORCE,
  setSpeed,
  softestCuts,
  type Cut,
  type CutsBefore,
  type SpeedChoice,
  type SpeedLimits,
} from '../../turning/index.js';
import { FINISH_CURE, isNamed, type Abrasive, type Bit, type Tool } from '../../workshop/index.js';
import { isAfterItem, type OwnWays } from './ownWays.js';

/** The tool that somebody takes for a kind of work, or the usual one. */
export function toolFor(
  own: OwnWays,
  step: { id: string; does: string; of?: string },
  usual: Tool | null,
  tools: readonly Tool[],
): Tool | null {
  const decided = own.decide(
    'tool',
    (d) => isNamed(d.on, step) && tools.some((t) => t.id === d.toolId),
    usual?.name ?? 'no tool',
  );
  return tools.find((t) => t.id === decided?.toolId) ?? usual;
}

/** The same for a feature that is shaped. */
export const toolForFeature =
  (own: OwnWays, tools: readonly Tool[]) =>
  ({ element }: ElementSpan, usual: Tool | null): Tool | null =>
    toolFor(own, { id: `shape:${element.id}`, does: 'shape', of: element.kind }, usual, tools);

/** What somebody drills with and how deep. */
export const ownDrilling = (own: OwnWays, bits: readonly Bit[]) => ({
  bitFor: (boreId: string, usual: Bit | null): Bit | null => {
    const decided = own.decide(
      'bit',
      (d) => d.boreId === boreId && bits.some((b) => b.id === d.bitId),
      usual ? `${len(usual.diameter.mm)} ${usual.kind}` : 'no bit',
    );
    return bits.find((b) => b.id === decided?.bitId) ?? null;
  },
  depthFor: (holeId: string, usual: number): number | null =>
    own.decide('depth', (d) => d.holeId === holeId, `${len(usual)} deep`)?.mm ?? null,
});

/** The hold with the waste that somebody leaves at its ends. mm */
export function withOwnWaste(mount: Mount, own: OwnWays): Mount {
  const waste = (end: 'drive' | 'tail', usual: number) =>
    own.decide('waste', (d) => d.end === end, len(usual))?.mm ?? usual;
  return {
    ...mount,
    wasteDrive: waste('drive', mount.wasteDrive),
    wasteTail: waste('tail', mount.wasteTail),
  };
}

/** The ladder of grits, as somebody wants it or as it is usual. */
export function ladderOf(
  part: Part,
  material: Material,
  abrasives: readonly Abrasive[],
  surface: number,
  own: OwnWays,
): ReturnType<typeof gritLadder> {
  const usual = gritLadder(part.id, material, abrasives, surface);
  const chosen = ownGrits(own, usual.steps);
  return chosen ? gritLadder(part.id, material, abrasives, surface, chosen.grits) : usual;
}

/** What somebody sands with; null leaves the usual ladder. */
export function ownGrits(
  own: OwnWays,
  usual: readonly { abrasive: { scale: string; grit: number } }[],
): { grits: ChosenGrits; burnish: boolean } | null {
  const words = usual.map(({ abrasive }) => `${abrasive.scale}${abrasive.grit}`).join(', ');
  return own.decide('grits', () => true, words === '' ? 'from the tool' : words);
}

/** Speeds as somebody sets them; on a lathe without a motor there is nothing to set. */
export function withOwnSpeeds(
  own: OwnWays,
  usual: readonly SpeedChoice[],
  limits: SpeedLimits,
): { speeds: SpeedChoice[]; findings: Finding[] } {
  const set = usual.map((speed) => {
    const decided =
      speed.rpm === null ? null : own.decide('speed', (d) => d.stage === speed.stage, speed.words);
    return decided ? setSpeed(speed, decided.rpm, limits) : { speed, findings: [] };
  });
  return { speeds: set.map((s) => s.speed), findings: set.flatMap((s) => s.findings) };
}

/** A cure as somebody counts it, minutes: of a join by its id, or of the finish. */
export const ownCure = (own: OwnWays, of: string, usual: number | null): number | null =>
  own.decide('cure', (d) => d.of === of, usual === null ? 'none' : minutesInWords(usual))?.minutes ?? usual;

export function withOwnCure(finish: FinishProtocol, own: OwnWays): FinishProtocol {
  return { ...finish, cureMinutes: ownCure(own, FINISH_CURE, finish.cureMinutes) ?? finish.cureMinutes };
}

/** Minutes of a step of the item, which is named in full. */
export const minutesOf = (own: OwnWays, id: string, usual: number): number =>
  own.decide('minutes', (d) => d.on.kind === 'step' && d.on.id === id, minutesInWords(usual))?.minutes ??
  usual;

/** What is decided of the steps of a part's route. */
export function decidedOf(part: Part, own: OwnWays): DecidedSteps {
  const elements = part.turnings.flatMap((t) => t.elements);
  return {
    kindOf: (id) => elements.find((e) => id === e.id || id.startsWith(`${e.id}.`))?.kind,
    isLeftOut: (step, title) => own.decide('without', (d) => isNamed(d.on, step), title) !== null,
    rpmFor: (step, usual) => own.decide('pace', (d) => isNamed(d.on, step), usual)?.rpm ?? null,
    minutesFor: (step, usual) =>
      own.decide('minutes', (d) => isNamed(d.on, step), minutesInWords(usual))?.minutes ?? null,
    extra: own
      .of('extra')
      .filter(({ decides }) => !isAfterItem(decides.step))
      .map(({ decides, scoped }) => ({ id: scoped.way.id, step: decides.step })),
  };
}

/** What is decided of the steps that put an item together: steps of one's own come in, none is left out. */
export function decidedOfItem(own: OwnWays): DecidedSteps {
  return {
    kindOf: () => undefined,
    isLeftOut: () => false,
    rpmFor: () => null,
    minutesFor: () => null,
    extra: own
      .of('extra')
      .filter(({ decides }) => isAfterItem(decides.step))
      .map(({ decides: { step }, scoped }) => ({
        id: scoped.way.id,
        step: { ...step, after: step.after?.slice(step.after.indexOf('/') + 1) ?? null },
      })),
  };
}

/** Cuts in the order that somebody wants, and what that breaks. */
export function withOwnOrder(
  partId: string,
  cuts: readonly Cut[],
  outline: Outline,
  own: OwnWays,
  held: { mount: Mount; stiffness: number | null; largest: number },
): { cuts: Cut[]; findings: Finding[] } {
  const wishes = own.of('before').flatMap(({ decides: { first, then }, scoped }) => {
    const there = (ids: readonly string[]) => ids.filter((id) => cuts.some((c) => c.elementId === id));
    const wish: CutsBefore = { id: scoped.way.id, first: there(first), then: there(then) };
    if (wish.first.length === 0 || wish.then.length === 0) return [];
    own.follow(scoped, 'the end far from the drive first');
    return [{ ...wish, scoped }];
  });
  if (wishes.length === 0) return { cuts: [...cuts], findings: [] };
  // the widest scope first, within it the oldest: what comes last is met whatever it breaks
  const ordered = cutsInOrder(cuts, wishes.toReversed());
  const name = (id: string) => {
    const span = outline.spans.find((s) => s.element.id === id);
    return span ? nameOf(span.element) : id;
  };
  return {
    cuts: ordered,
    findings: [
      ...brokenOrders(ordered, wishes).map((w) => unreconciled(partId, w, name)),
      ...softened(partId, cuts, ordered, outline, held, name),
    ],
  };
}

const unreconciled = (partId: string, wish: CutsBefore, name: (id: string) => string): Finding => ({
  id: `turn.order.${partId}.${wish.id}`,
  severity: 'warn',
  stage: 'turn',
  partId,
  what: `Two own orders cannot both be kept: ${wish.first.map(name).join(', ')} before ${wish.then.map(name).join(', ')}.`,
  why: 'A newer or narrower one wants it the other way round, and goes before it.',
  remedy: 'Take one of them back.',
});

/** What gives less leaves no mark that is seen, mm: bench practice, typical, unchecked. */
const FELT = 0.01;
/** So many times what the usual order gives is said. */
const MUCH_SOFTER = 1.5;
/** Stiffness along the grain where nobody knows it, MPa: low for a hardwood, typical. */
const USUAL_STIFFNESS = 10_000;

const timesWords = (times: number): string =>
  times > MANY ? `more than ${MANY} times what it does` : `${times.toFixed(1)} times what it does`;
const MANY = 20;

/** Cuts for which the wood is softer than it would be in the usual order. */
function softened(
  partId: string,
  usual: readonly Cut[],
  ordered: readonly Cut[],
  outline: Outline,
  { mount, stiffness, largest }: { mount: Mount; stiffness: number | null; largest: number },
  name: (id: string) => string,
): Finding[] {
  const held = {
    drive: mount.headstockEnd,
    tail: mount.tailstock !== null,
    stiffness: stiffness ?? USUAL_STIFFNESS,
    rough: largest,
  };
  const before = new Map(softestCuts(outline, usual, held).map((c) => [c.elementId, c.gives]));
  return softestCuts(outline, ordered, held).flatMap(({ elementId, gives, because }): Finding[] => {
    const was = before.get(elementId) ?? gives;
    if (gives < FELT || gives < MUCH_SOFTER * was || because === null) return [];
    const span = outline.spans.find((s) => s.element.id === elementId);
    return [
      {
        id: `turn.soft.${partId}.${elementId}`,
        severity: 'warn',
        stage: 'turn',
        partId,
        elementId,
        ...(span ? { x: (span.x0 + span.x1) / 2 } : {}),
        what: `When the ${name(elementId)} is cut, the ${name(because)} is thin already: it gives ${fine(gives)} under the tool, ${timesWords(gives / was)} in the usual order.`,
        why: `Reckoned with a push of ${CUT_FORCE} N on the wood that still stands; what gives chatters, and comes out thicker than the gauge says.`,
        remedy: `Cut the ${name(elementId)} before the ${name(because)}, or steady it and cut lightly.`,
      },
    ];
  });
}
