import { len, type Finding } from '../../measure/index.js';
import type { Material } from '../../material/index.js';
import { deepest, matingFindings } from '../../hardware/index.js';
import { heldHow, type Mount } from '../../mounting/index.js';
import { designAdvice, flowFindings, type Hole, type Outline, type Part } from '../../pattern/index.js';
import { greenFindings } from './greenFindings.js';
import { hollowFindings } from './hollowFindings.js';
import { aloneInBlank } from '../part/aloneInBlank.js';
import { drillFindings } from './drillFindings.js';
import { wallFindings } from './wallFindings.js';
import { lengthFindings } from '../../stock/index.js';
import type { SpeedChoice } from '../../turning/index.js';
import type { PlanInputs } from '../inputs.js';
import type { PartDraft } from '../part/partPlan.js';
import { squareSide } from '../part/truedAcross.js';

/**
 * Judgements that no room can make alone: whether what was asked for and what was planned go together.
 * The rooms' own findings come beside them.
 */
export function partFindings(part: Part, inputs: PlanInputs, draft: PartDraft): Finding[] {
  const { order, pattern } = inputs;
  const { outline, hardware, holes, mount, material } = draft;
  return [
    ...outline.problems.map((p) => outlineFinding(part, p.elementId, p.why)),
    ...lengthFindings(part.id, outline.length, pattern.longest?.mm),
    ...kitFindings(part, inputs, hardware !== null),
    ...[hardware, ...(draft.otherHardware ?? [])].flatMap((h) =>
      h?.needs.mating ? matingFindings(part, outline, h.fitted, h.needs.mating) : [],
    ),
    ...perBlankFindings(part, order.perBlank, draft, inputs.workshop.allowances.parting),
    ...besideSquare(part, draft, inputs.workshop.allowances.centring),
    ...mountChoiceFindings(part, inputs, mount),
    ...drilledEndFindings(part, outline, holes, mount),
    ...speedFindings(part, draft.speeds),
    ...materialFindings(part, material, order.materialId),
    ...wallFindings(part, draft),
    ...greenFindings(part, draft, inputs),
    ...hollowFindings(part, outline, inputs.workshop),
    ...drillFindings(part, draft, inputs.workshop),
    ...flowFindings(part, outline, pattern.mates ?? []),
    // what a kit is set in counts as well as what is drawn
    ...designAdvice({ ...part, holes }, outline, pattern),
  ];
}

function kitFindings(part: Part, { pattern }: PlanInputs, found: boolean): Finding[] {
  if (found || !pattern.hardware.some((h) => h.partId === part.id)) return [];
  return [
    {
      id: `assemble.nokit.${part.id}`,
      severity: 'stop',
      stage: 'assemble',
      partId: part.id,
      what: 'The hardware of this pattern is no longer in the kit list.',
      why: 'Without its measurements no hole, no mandrel and no mating diameter is planned.',
      remedy: 'Choose other hardware in the pattern, or add the kit to the workshop again.',
    },
  ];
}

function mountChoiceFindings(part: Part, { order }: PlanInputs, mount: Mount): Finding[] {
  if (order.mount === null || order.mount === mount.kind) return [];
  return [
    {
      id: `mount.choice.${part.id}`,
      severity: 'warn',
      stage: 'mount',
      partId: part.id,
      what: `The way of holding that was chosen (${order.mount}) is none for this piece any more.`,
      why: `Nothing it carries fits that; the plan takes the first way: ${heldHow(mount)}.`,
      remedy: 'Choose one of the ways that are shown.',
    },
  ];
}

const outlineFinding = (part: Part, elementId: string, why: string): Finding => ({
  id: `pattern.outline.${part.id}.${elementId}`,
  severity: 'stop',
  stage: 'pattern',
  partId: part.id,
  elementId,
  what: 'This element cannot be made as it stands.',
  why,
  remedy: 'Change its dimensions; until then the drawing shows it straight.',
});

function perBlankFindings(part: Part, wished: number, draft: PartDraft, parting: number): Finding[] {
  const why = aloneInBlank({ ...draft, part, perBlank: wished, parting });
  if (wished <= 1 || why === null) return [];
  return [
    {
      id: `stock.perblank.${part.id}`,
      severity: 'note',
      stage: 'stock',
      partId: part.id,
      what: `One piece from each blank, not ${wished}.`,
      why,
      remedy:
        'Nothing to do; pieces without holes, hardware and further axes come several from one blank, between centres or in a chuck.',
    },
  ];
}

/** What is turned beside a square comes out of that square: it must lie in it wherever its centre is. */
function besideSquare(part: Part, { outline, largestDiameter }: PartDraft, centring: number): Finding[] {
  const side = squareSide(outline);
  if (side === undefined || largestDiameter + 2 * centring <= side + 1e-6) return [];
  return [
    {
      id: `stock.square.${part.id}`,
      severity: 'warn',
      stage: 'stock',
      partId: part.id,
      what: `${len(largestDiameter)} is turned beside a square of ${len(side)}.`,
      why: `Its centre lies right to ${len(centring)}: on one side a flat can stay.`,
      remedy: `Turn it to ${len(Math.max(0, side - 2 * centring))} at most, or leave a larger square.`,
    },
  ];
}

function drilledEndFindings(part: Part, outline: Outline, holes: Hole[], mount: Mount): Finding[] {
  if (mount.kind !== 'between centres' || holes.length === 0) return [];
  const from = mount.headstockEnd === 'reference' ? 'reference' : 'far';
  if (deepest(holes, from, outline.length) === 0) return [];
  return [
    {
      id: `mount.drilledend.${part.id}`,
      severity: 'warn',
      stage: 'mount',
      partId: part.id,
      what: 'The drilled end sits at the drive.',
      why: 'The drive would bear on the rim of the hole only.',
      remedy: 'Turn it end for end, so that the live centre sits in the hole.',
    },
  ];
}

function speedFindings(part: Part, speeds: readonly SpeedChoice[]): Finding[] {
  const cutting = speeds.filter(
    (s) => s.tooFast && (s.stage === 'rough' || s.stage === 'size' || s.stage === 'shape'),
  );
  return cutting.map((s) => ({
    id: `turn.speed.${part.id}.${s.stage}`,
    severity: 'warn',
    stage: 'turn',
    partId: part.id,
    what: `The lathe's slowest speed, ${s.rpm ?? 0} rpm, is above the ${s.wish} rpm wished to ${s.stage}.`,
    why: 'A large or unbalanced piece shakes at that speed.',
    remedy: 'Saw the corners off, stand aside when starting, or use a lathe that goes slower.',
  }));
}

function materialFindings(part: Part, material: Material, wished: string): Finding[] {
  if (material.id === wished) return [];
  return [
    {
      id: `stock.material.${part.id}`,
      severity: 'warn',
      stage: 'stock',
      partId: part.id,
      what: `Nobody has described the material “${wished}”.`,
      why: `The plan counts with ${material.name.toLowerCase()} instead.`,
      remedy: 'Choose a material from the list.',
    },
  ];
}
