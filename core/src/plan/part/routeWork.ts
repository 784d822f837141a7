import type { CoatOn, FitIn, Work } from '../../route/index.js';
import type { Part } from '../../pattern/index.js';
import { wallMinutes } from '../../batch/index.js';
import { BITING, drivingCentre, SLIPPING, sweepOf } from '../../mounting/index.js';
import { belowCorner } from '../../stock/index.js';
import { fastestSlender, keptBelt, speedFor } from '../../turning/index.js';
import type { Centre } from '../../workshop/index.js';
import { ownGrits, toolFor } from '../ways/decisions.js';
import { fittedJoins } from './fittedJoins.js';
import type { PlanInputs } from '../inputs.js';
import { shaftIn, type Mate } from './onShaft.js';
import { OwnWays } from '../ways/ownWays.js';
import type { PartDraft, PlannedHardware } from './partPlan.js';
import { seatsOf } from './seats.js';
import { truedAcross } from './truedAcross.js';

/** What the usual route of a part is made from, out of what its rooms have worked out. */
export function routeWork(
  part: Part,
  draft: PartDraft,
  inputs: PlanInputs,
  own: OwnWays = new OwnWays([]),
  mate: Mate | null = null,
): Work {
  const { mount, blank, outline, centring } = draft;
  const { tools } = inputs.workshop;
  const thinnest = tools.filter((t) => t.kind === 'parting tool').sort((a, b) => a.width - b.width)[0];
  const parter = toolFor(own, { id: 'size', does: 'size' }, thinnest ?? null, tools);
  const centre = (kind: Centre['kind']) => inputs.workshop.centres.find((c) => c.kind === kind);
  const gouge = tools.find((t) => t.kind === 'roughing gouge');
  const rougher = toolFor(own, { id: 'rough', does: 'rough' }, gouge ?? null, tools);
  return {
    part,
    outline,
    stock: {
      kind: inputs.order.stockForm ?? 'square',
      across: truedAcross(outline, blank),
      length: blank.length,
    },
    madeOf: { class: draft.material.class, density: draft.material.density },
    sawn: blank.section,
    mount,
    perBlank: blank.perBlank,
    gap: inputs.workshop.allowances.parting,
    green: inputs.order.green === true ? { dries: minutesToDry(inputs) } : null,
    shaft: mate && shaftIn(mate, draft, inputs, own),
    centring: centring?.words ?? [],
    clip: draft.clipped === true ? { below: belowCorner(blank.octagon) } : null,
    holes: draft.holes,
    drilling: draft.drilling,
    across: draft.crossDrilling ?? [],
    layout: draft.layout,
    speedOf: speedOf(draft, inputs),
    firstStart: inputs.workshop.lathe.drive.kind === 'range' ? inputs.workshop.lathe.drive.slowest : null,
    sweptSpeeds: sweptSpeeds(part, draft, inputs),
    fits: fitsOf(draft, inputs),
    trial: trialOf(draft),
    bare: bareElements(part, draft, inputs),
    sanding: sandingOf(draft),
    burnish: ownGrits(own, draft.ladder)?.burnish === true,
    coats: coatsOf(draft),
    cuts: draft.cuts,
    centres: {
      drive: drivingCentre(inputs.workshop, blank.section, SLIPPING, BITING)?.name ?? 'drive centre',
      live: centre('live')?.name ?? 'live centre',
    },
    rougher: rougher?.name ?? 'roughing gouge',
    parter: { name: parter?.name ?? 'parting tool', width: parter?.width ?? USUAL_PARTING },
  };
}

/** Width of a parting tool where the workshop has none, mm. */
const USUAL_PARTING = 3;

/** From the beginning until the bundle's curve says that it is dry; a turned piece is not slower. Null where it has none. */
function minutesToDry({ order, stock }: PlanInputs): number | null {
  const wood = stock.drying?.find((w) => w.id === order.woodId);
  // the day on which it may be turned green is not the day on which it is dry
  const dryOn = (wood?.dryOn === undefined ? wood?.readyOn : wood.dryOn) ?? null;
  if (dryOn === null) return null;
  return Math.max(0, wallMinutes(`${dryOn}T00:00`) - wallMinutes(order.start));
}

/** What a person set for a stage holds for all of it; else the wood decides as it stands then. */
const speedOf =
  ({ speeds, material, mount }: PartDraft, { workshop, schools }: PlanInputs): Work['speedOf'] =>
  (stage, spun, running) => {
    const usual = speeds.find((s) => s.stage === stage) ?? null;
    if (spun === null || usual === null || usual.instead !== undefined) return usual;
    const fastest = Math.min(mount.fastest, fastestSlender(spun.slenderness));
    const own = speedFor(stage, spun.across, material, workshop, schools.speed, fastest);
    return keptBelt(own, running, workshop.lathe.drive);
  };

/** A piece that lies across sweeps as far as its farther end: it goes slower than about its own axis. */
function sweptSpeeds(
  { hollows = [] }: Part,
  { material, outline }: PartDraft,
  { workshop, schools }: PlanInputs,
): Work['sweptSpeeds'] {
  const fastest = Math.min(...workshop.chucks.map((c) => c.fastest ?? Infinity), Infinity);
  const stages = ['rough', 'sand', 'finish slow'] as const;
  return new Map(
    hollows.flatMap(({ id, axis }) => {
      if (!axis) return [];
      const across = sweepOf(axis, outline);
      return [[id, stages.map((s) => speedFor(s, across, material, workshop, schools.speed, fastest))]];
    }),
  );
}

/** How far a kit hides the wood from its end, mm. */
const coveredBy = ({ kit }: PlannedHardware): number =>
  kit.kind === 'ferrule' || kit.kind === 'ring' ? kit.length.mm : 0;

function fitsOf(
  { hardware, otherHardware = [], material, joins }: PartDraft,
  { workshop }: PlanInputs,
): FitIn[] {
  const fitted = [hardware, ...otherHardware].filter((h) => h !== null);
  return fittedJoins(fitted, material, workshop.glues).map(({ join, hardware: fits }) => ({
    id: join.id,
    kitId: fits.kit.id,
    end: fits.fitted.end,
    when: join.when,
    enters: fits.needs.holes.length > 0 && coveredBy(fits) === 0,
    covers: join.when === 'after the tenon' ? coveredBy(fits) : 0,
    title: join.title,
    words: join.words,
    ...metBy(fits),
    minutes: join.minutes,
    cureMinutes: (joins.find((j) => j.id === join.id) ?? join).cureMinutes,
  }));
}

/** The diameter at which hardware meets the wood, as its kit calls it. */
function metBy({ needs: { mating } }: PlannedHardware): Pick<FitIn, 'figure'> {
  return mating ? { figure: { is: 'what it meets', called: mating.label, mm: mating.diameter } } : {};
}

/** Where hardware meets the outside, it is tried before anything else depends on it. */
function trialOf({ hardware, joins }: PartDraft): Work['trial'] {
  const mating = hardware?.needs.mating;
  if (!hardware || !mating) return null;
  const seated = joins.some((j) => j.when === 'after the tenon');
  return {
    end: hardware.fitted.end,
    words: seated
      ? 'Stop. Run a fingernail from the ferrule onto the wood: it must not catch, and the line must flow.'
      : `Stop. Hold the hardware against the wood, ${mating.label}: a fingernail must not catch.`,
    ...(hardware.kit.kind === 'ferrule'
      ? { figure: { is: 'outside of the ferrule', mm: hardware.kit.outsideDiameter.mm } }
      : metBy(hardware)),
  };
}

/** What meets something else, what stays as the plane left it, and what a collet holds is not sanded. */
function bareElements(
  part: Part,
  { outline, layout, mount }: PartDraft,
  { pattern }: PlanInputs,
): Set<string> {
  const mating = layout.sizing.filter((s) => s.mating);
  const meets = (x: number) => mating.some((s) => Math.abs(s.x - x) < 1e-6);
  const [first, last] = [outline.spans[0], outline.spans.at(-1)];
  const ends = [first, last].flatMap((span) =>
    span && (meets(span.x0) || meets(span.x1)) ? [span.element.id] : [],
  );
  const kept = outline.spans.filter(({ element }) => element.kind === 'tenon' || element.kind === 'square');
  const held = mount.kind === 'collet' ? [mount.headstockEnd === 'reference' ? first : last] : [];
  return new Set([
    ...ends,
    ...seatsOf(part, pattern).map((seat) => seat.elementId),
    ...kept.map((s) => s.element.id),
    ...held.flatMap((s) => (s ? [s.element.id] : [])),
  ]);
}

/** The first grit takes most of what was left for sanding, those after it share the rest. */
function sandingOf({ ladder, layout }: PartDraft): Work['sanding'] {
  const left = Math.max(0, ...layout.sizing.filter((s) => !s.mating).map((s) => (s.cutTo - s.finished) / 2));
  return ladder.map(({ abrasive, minutes }, i) => ({
    grit: `${abrasive.scale}${abrasive.grit}`,
    takes: ladder.length === 1 ? left : i === 0 ? left * FIRST : (left * (1 - FIRST)) / (ladder.length - 1),
    minutes,
  }));
}

/** Share of the sanding that the first grit does; bench practice, typical. */
const FIRST = 0.6;

function coatsOf({ finish }: PartDraft): CoatOn[] {
  if (!finish) return [];
  const { coats, cureMinutes } = finish;
  // what is put on a standing piece once is put on it to the end
  const standing = coats.some((c) => c.speed === 'stopped');
  return coats.map((coat, i) => ({
    name: coat.name,
    title: `${finish.finish.name}${coats.length > 1 ? `, ${i + 1} of ${coats.length}` : ''}`,
    turning: !standing,
    fast: coat.speed === 'fast',
    minutes: coat.minutes,
    waitMinutes: i === coats.length - 1 ? cureMinutes : coat.waitMinutes,
  }));
}
