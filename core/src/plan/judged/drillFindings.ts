import { SETUP_WORDS, wholeHole, type DrillOperation } from '../../hardware/index.js';
import type { Finding } from '../../measure/index.js';
import { heldHow, type MountKind } from '../../mounting/index.js';
import type { Part } from '../../pattern/index.js';
import type { Workshop } from '../../workshop/index.js';
import type { PartDraft } from '../part/partPlan.js';

/** Ways of holding that stand in a hole: it must be there before. */
const IN_A_HOLE: readonly MountKind[] = ['mandrel', 'through mandrel', 'dowel', 'recess', 'glued shaft'];
/** Ways that leave one end free for a bit in the tailstock. */
const FREE_END: readonly MountKind[] = [
  'chuck',
  'recess',
  'collet',
  'screw',
  'tape plate',
  'dowel',
  'glued shaft',
  'mandrel',
];

/** Whether the moments and set-ups chosen for the holes go with how the work is held and what is glued. */
export function drillFindings(part: Part, draft: PartDraft, workshop: Workshop): Finding[] {
  const late = draft.drilling.filter((o) => o.moment !== undefined && o.moment !== 'square blank');
  return [...tooLate(part, draft, late), ...noFreeEnd(part, draft), ...noDrawBar(part, draft, workshop)];
}

function tooLate(part: Part, draft: PartDraft, late: readonly DrillOperation[]): Finding[] {
  const glued = draft.joins.some((j) => j.when === 'before turning');
  const stands = IN_A_HOLE.includes(draft.mount.kind);
  const first = late[0];
  if (!first || (!glued && !stands)) return [];
  return [
    {
      id: `drill.late.${part.id}`,
      severity: 'stop',
      stage: 'drill',
      partId: part.id,
      what: `The ${first.name} is to be drilled ${first.moment ?? ''}, but it is needed before.`,
      why: glued
        ? 'Its insert goes in before anything is turned.'
        : `The work is held ${heldHow(draft.mount)}: the hole must be there first.`,
      remedy: 'Drill it in the square blank, or fit and hold it in another way.',
    },
  ];
}

function noFreeEnd(part: Part, draft: PartDraft): Finding[] {
  const tail = draft.drilling.filter((o) => o.setup === 'tailstock');
  const first = tail[0];
  if (!first || FREE_END.includes(draft.mount.kind)) return [];
  return [
    {
      id: `drill.freeend.${part.id}`,
      severity: 'warn',
      stage: 'drill',
      partId: part.id,
      what: `Held ${heldHow(draft.mount)} no end is free for the ${first.name}.`,
      why: SETUP_WORDS.tailstock.how,
      remedy: 'Hold it by a tenon in the chuck for the drilling, or drill it in the square blank.',
    },
  ];
}

function noDrawBar(part: Part, draft: PartDraft, { fixtures = [] }: Workshop): Finding[] {
  const head = draft.drilling.find((o) => o.setup === 'headstock');
  if (!head || fixtures.some((f) => f.kind === 'draw bar')) return [];
  return [
    {
      id: `drill.drawbar.${part.id}`,
      severity: 'stop',
      stage: 'drill',
      partId: part.id,
      what: `The workshop has no draw bar for a bit in the headstock (${wholeHole(head.id) === head.id ? head.name : head.hole.name}).`,
      why: 'Without it the drill chuck creeps out of its taper and flies.',
      remedy: 'Add a draw bar under Holding, or choose the drill press.',
    },
  ];
}
