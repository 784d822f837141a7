import { len, type Finding } from '../../measure/index.js';
import { equilibriumMoisture } from '../../material/index.js';
import type { Part } from '../../pattern/index.js';
import { ovalOf } from '../../stock/index.js';
import { airOf } from '../../workshop/index.js';
import type { PlanInputs } from '../inputs.js';
import type { PartDraft } from '../part/partPlan.js';

/** Wood wetter than this has not begun to shrink, %; the usual convention of wood tables. */
const FIBRE_SATURATION = 30;

/** What comes of turning it wet: how oval it will be, and what of it had better wait until it is dry. */
export function greenFindings(part: Part, draft: PartDraft, inputs: PlanInputs): Finding[] {
  if (inputs.order.green !== true) return [];
  return [ovalFinding(part, draft, inputs), ...fitFindings(part, draft), ...coatFindings(part, draft)];
}

function ovalFinding(
  { id }: Part,
  { largestDiameter, material }: PartDraft,
  { order, stock, workshop }: PlanInputs,
): Finding {
  const wood = stock.drying?.find((w) => w.id === order.woodId);
  const air = airOf(workshop);
  const to = wood?.target ?? equilibriumMoisture(air.temperature, air.humidity);
  const oval = ovalOf(largestDiameter, material, wood?.moisture ?? FIBRE_SATURATION, to);
  return oval
    ? note(id, {
        what: `Dry it will be oval: ${len(largestDiameter)} becomes ${len(oval.largest)} by ${len(oval.smallest)}.`,
        why: 'Wood shrinks less across its rings than along them.',
        remedy:
          'Nothing to do where it is only looked at. Where a size matters turn it larger, and cut that when it is dry.',
      })
    : note(id, {
        what: `Nobody knows how much ${material.name.toLowerCase()} shrinks: how oval it gets is not worked out.`,
        why: 'Its shrinkage along and across the rings is not known here.',
        remedy: 'Measure one piece green and dry, and write it down with the material.',
      });
}

/** Pegs, holes and seats that are cut wet are oval when something has to fit them. */
function fitFindings(part: Part, { hardware, otherHardware = [], drilling, outline }: PartDraft): Finding[] {
  const pegs = outline.spans.some((s) => s.element.kind === 'tenon');
  if (!hardware && otherHardware.length === 0 && drilling.length === 0 && !pegs) return [];
  return [
    {
      id: `stock.green.fit.${part.id}`,
      severity: 'warn',
      stage: 'stock',
      partId: part.id,
      what: 'Something has to fit this piece, and it is cut while the wood is wet.',
      why: 'Holes, pegs and seats go oval with the wood: what fits today is loose or split when it is dry.',
      remedy: 'Take dry stock, or drill and turn what fits after it has dried.',
    },
  ];
}

function coatFindings(part: Part, { finish }: PartDraft): Finding[] {
  if (!finish?.coats.some((c) => c.speed !== 'stopped')) return [];
  return [
    {
      id: `surface.green.${part.id}`,
      severity: 'warn',
      stage: 'surface',
      partId: part.id,
      what: `${finish.finish.name} goes on while the wood is wet.`,
      why: 'It clouds, and holds the water in where it is thick.',
      remedy: 'Choose a finish that is put on afterwards, such as oil.',
    },
  ];
}

const note = (partId: string, said: Pick<Finding, 'what' | 'why' | 'remedy'>): Finding => ({
  id: `stock.green.${partId}`,
  severity: 'note',
  stage: 'stock',
  partId,
  ...said,
});
