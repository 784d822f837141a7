import type { Figure } from '../../measure/index.js';
import { drilledSolid, weakPlaces, type Part } from '../../pattern/index.js';
import type { PartDraft } from './partPlan.js';

/** What the shape alone tells: thinnest and least stiff place, balance, how it turns. */
export function shapeFigures(part: Part, { outline, holes, material }: PartDraft): Figure[] {
  const weak = weakPlaces(outline, holes, part.crossHoles);
  const solid = drilledSolid(outline, holes);
  // g·mm² from mm⁵ and g/cm³
  const grams = material.density / 1000;
  const figures: Figure[] = [];
  if (weak)
    figures.push(
      {
        id: `narrowest.${part.id}`,
        label: 'Thinnest place',
        value: weak.narrowest.diameter,
        unit: 'mm',
        working: {
          rule: 'Smallest diameter that carries wood on both sides of it.',
          source: 'the outline',
          inputs: [{ label: 'from the reference end', value: weak.narrowest.x, unit: 'mm' }],
        },
      },
      {
        id: `leaststiff.${part.id}`,
        label: 'Least stiff place, from the reference end',
        value: weak.leastStiff.x,
        unit: 'mm',
        working: {
          rule: 'Where the second moment of area is smallest: π/4 (R⁴ − bore⁴), less what cross holes take out of it.',
          source: 'geometry of the section',
          inputs: [{ label: 'second moment, mm⁴', value: Math.round(weak.leastStiff.secondMoment) }],
        },
      },
    );
  figures.push({
    id: `balance.${part.id}`,
    label: 'Balance, from the reference end',
    value: solid.centreOfGravity,
    unit: 'mm',
    working: {
      rule: 'Centre of gravity of the drilled solid.',
      source: 'integrals of the outline',
      inputs: [
        { label: 'moment of inertia about the axis, g·mm²', value: Math.round(solid.axialInertia * grams) },
        { label: 'about a cross axis there, g·mm²', value: Math.round(solid.transverseInertia * grams) },
      ],
    },
  });
  return figures;
}
