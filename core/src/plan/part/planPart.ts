import { joinFindings } from '../../assembly/index.js';
import { planCrossDrilling } from '../../hardware/index.js';
import type { Station } from '../../inspect/index.js';
import { layoutOf, type Layout } from '../../layout/index.js';
import type { Figure } from '../../measure/index.js';
import { centringOf, mountFigures, mountFindings, type HeldWork } from '../../mounting/index.js';
import { boreOf, drilledSolid, crossWalls, leastWall, solidOf, type Part } from '../../pattern/index.js';
import { cautionsFor, type Caution } from '../../safety/index.js';
import { finishFindings, grainMicrons, protocolOf } from '../../surface/index.js';
import { orderOfCuts, toolChangesOf, type SpeedChoice } from '../../turning/index.js';
import type { Step } from '../../route/index.js';
import {
  ownCure,
  toolForFeature,
  withOwnCure,
  withOwnOrder,
  withOwnSpeeds,
  ladderOf,
} from '../ways/decisions.js';
import { fittedJoins } from './fittedJoins.js';
import { drawnPart, facesOf, type DrawnPart } from './drawnPart.js';
import { heldPart, type HeldPart } from './heldPart.js';
import type { PlanInputs } from '../inputs.js';
import { homelessFindings } from '../ways/homeless.js';
import type { Mate } from './onShaft.js';
import { OwnWays, waysFor } from '../ways/ownWays.js';
import { partFindings } from '../judged/partFindings.js';
import type { PartDraft, PlannedPart } from './partPlan.js';
import { shapeFigures } from './shapeFigures.js';
import { calledMaterial } from '../judged/calledMaterial.js';
import { clipsCorners } from './clipsCorners.js';
import { madePart } from './madePart.js';
import { seatsOf } from './seats.js';
import { stageSpeeds } from './stageSpeeds.js';
import { takenFindings } from './takenHoles.js';
import { truedAcross } from './truedAcross.js';

/**
 * Plans one part: each room in its turn, everything from the inputs.
 * @param mate what it can be glued onto and turned on, planned before; null where nothing is
 */
export function planPart(whole: Part, inputs: PlanInputs, mate: Mate | null = null): PlannedPart {
  const { workshop, order, pattern } = inputs;
  const own = new OwnWays(waysFor(whole, pattern, order, workshop));
  const drawn = drawnPart(whole, inputs, own);
  const { part, material, outline, pieces, hardware, otherHardware, drill, largestDiameter } = drawn;
  const held = heldPart(drawn, inputs, own, mate?.shaft);
  const solid = solidOf(outline);
  const ladder = ladderOf(part, material, workshop.abrasives, solid.surface, own);
  const bores = (part.crossHoles ?? []).map((hole) => boreOf(hole, outline));
  const first = ladder.steps[0];
  const layout = layoutOf(outline, {
    faces: [hardware, ...otherHardware].flatMap((h) => facesOf(h, outline)),
    seats: seatsOf(part, pattern),
    bores,
    material,
    gauges: workshop.gauges,
    firstGrain: first ? grainMicrons(first.abrasive) : null,
    ...(order.datum === undefined ? {} : { datum: order.datum }),
    isMarked: ({ id, label }) => own.decide('unmarked', ({ markId }) => markId === id, label) === null,
  });
  const clipped = clipsCorners(pieces, outline, order.stockForm);
  const spun = { material, mount: held.mount, blank: held.blank, largestDiameter, clipped };
  const limits = { partId: part.id, lathe: workshop.lathe, fastest: held.mount.fastest };
  const { speeds, findings: speedFindings } = withOwnSpeeds(
    own,
    stageSpeeds(spun, workshop, inputs.schools.speed),
    limits,
  );
  const { findings: toolFindings, ...usual } = orderOfCuts(
    part.id,
    outline,
    workshop.tools,
    held.mount.headstockEnd,
    toolForFeature(own, workshop.tools),
  );
  const { cuts, findings: orderFindings } = withOwnOrder(part.id, usual.cuts, outline, own, {
    mount: held.mount,
    stiffness: material.stiffness,
    largest: largestDiameter,
  });
  const cross = planCrossDrilling(part.id, bores, held.blank.section, drawn.site);
  const finish = workshop.finishes.find((f) => f.id === order.finishId);
  const fitted = [hardware, ...otherHardware].filter((h) => h !== null);
  const joins = fittedJoins(fitted, material, workshop.glues).map(({ join }) => ({
    ...join,
    ...(join.cureMinutes === null ? {} : { cureMinutes: ownCure(own, join.id, join.cureMinutes) }),
  }));
  const work = heldWork(drawn, held, speeds);
  const draft: PartDraft = {
    partId: part.id,
    name: part.name,
    pieces,
    material,
    outline,
    largestDiameter,
    mass: (drilledSolid(outline, drill.holes).volume / 1000) * material.density,
    hardware,
    ...(otherHardware.length > 0 ? { otherHardware } : {}),
    holes: drill.holes,
    ...(part.hollows ? { hollows: part.hollows } : {}),
    ...(part.rings ? { rings: part.rings } : {}),
    leastWall: leastWall(outline, drill.holes),
    bores,
    crossWall: crossWalls(outline, drill.holes, part.crossHoles ?? [])[0] ?? null,
    mounts: held.mounts,
    mount: held.mount,
    blank: held.blank,
    centring: centringOf(order.stockForm ?? 'square', truedAcross(outline, held.blank)),
    drilling: drill.operations,
    crossDrilling: cross.operations,
    layout,
    speeds,
    cuts,
    toolChanges: toolChangesOf(cuts),
    ladder: ladder.steps,
    finish: finish ? withOwnCure(protocolOf(finish), own) : null,
    joins,
    stations: stationsOf(layout),
    clipped,
  };
  const { steps, findings: routeFindings, end } = madePart(part, draft, inputs, own, mate);
  const { followed, homeless } = own;
  const said = calledMaterial(
    {
      steps,
      cautions: cautionsOf(draft, steps, clipped, inputs),
      findings: [
        ...partFindings(part, inputs, draft),
        ...routeFindings,
        ...drill.findings,
        ...takenFindings(part.id, drawn.taken),
        ...cross.findings,
        ...mountFindings(held.mount, work, workshop),
        ...toolFindings,
        ...orderFindings,
        ...speedFindings,
        ...homelessFindings(part.id, homeless),
        ...ladder.findings,
        ...(finish ? finishFindings(part.id, finish, material, pattern.usedBy) : []),
        ...fitted.flatMap((h) => joinFindings(part.id, h.kit, joins, pieces, workshop.glues, h.needs.way)),
      ],
    },
    material,
  );
  return {
    plan: {
      ...draft,
      steps: said.steps,
      cautions: said.cautions,
      ...(followed.length > 0 ? { own: followed } : {}),
      ...(homeless.length > 0 ? { homeless } : {}),
    },
    end,
    findings: said.findings,
    figures: {
      stock: held.figures,
      drill: [...cross.figures, ...drill.figures],
      mount: mountFigures(held.mount, work, workshop),
      mark: layout.figures,
      turn: speeds.map((s) => s.figure),
      surface: ladder.figures,
      pattern: [massFigure(draft, solid.volume), ...shapeFigures(part, draft)],
    },
  };
}

/** The work as the lathe must take it. */
function heldWork(drawn: DrawnPart, { blank }: HeldPart, speeds: readonly SpeedChoice[]): HeldWork {
  const { part, outline, material, drill } = drawn;
  const tail = drill.operations.filter((o) => o.setup === 'tailstock');
  const deepestTail = tail.sort((a, b) => b.toPoint - a.toPoint)[0];
  const rpms = speeds.flatMap((s) => (s.rpm === null ? [] : [s.rpm]));
  return {
    part,
    outline,
    blank,
    mass: ((blank.section * blank.section * blank.length) / 1000) * material.density,
    rpm: rpms.length === 0 ? null : Math.max(...rpms),
    tailDrill: deepestTail ? { depth: deepestTail.toPoint, bit: deepestTail.bit?.length ?? 0 } : null,
  };
}

/** Below this length stock cannot be held by hand at the saw, mm. */
const SHORT_BLANK = 150;

function cautionsOf(draft: PartDraft, steps: Step[], clipped: boolean, { pattern }: PlanInputs): Caution[] {
  const { material, mount, finish, joins, speeds, blank } = draft;
  return cautionsFor({
    steps,
    material,
    mount,
    finish: finish?.finish.kind,
    glued: joins.flatMap(({ id, glueKind }) => (glueKind ? [{ joinId: id, glue: glueKind }] : [])),
    clipped,
    usedBy: pattern.usedBy,
    fastest: Math.max(...speeds.map((s) => s.surfaceSpeed)),
    shortBlank: blank.length < SHORT_BLANK,
  });
}

const stationsOf = ({ sizing, along = [] }: Layout): Station[] => [
  ...sizing.map(({ id, label, x, finished, cutTo, tolerance, mating }) => ({
    id,
    label,
    x,
    finished,
    cutTo,
    tolerance,
    mating,
  })),
  ...along.map(({ id, label, x, across, tolerance }) => ({
    id,
    label,
    x,
    finished: x,
    cutTo: x,
    tolerance,
    mating: false,
    along: { across },
  })),
];

function massFigure(part: PartDraft, volume: number): Figure {
  return {
    id: 'mass',
    label: 'Mass of a piece',
    value: part.mass,
    unit: 'g',
    working: {
      rule: 'Volume of the solid of revolution less its holes, × density.',
      source: `density of ${part.material.name.toLowerCase()}: ${part.material.certainty}`,
      inputs: [
        { label: 'volume before drilling', value: volume / 1000, unit: 'cm3' },
        { label: 'density, g/cm³', value: part.material.density },
      ],
    },
  };
}
