import { kitNeeds, planDrilling, type DrillPlan, type DrillSite } from '../../hardware/index.js';
import type { HardwareFace } from '../../layout/index.js';
import { materialById, MATERIALS, type Material } from '../../material/index.js';
import { outlineOf, widestOf, type Outline, type Part } from '../../pattern/index.js';
import { mandrelInWork } from '../../workshop/index.js';
import { ownDrilling } from '../ways/decisions.js';
import type { PlanInputs } from '../inputs.js';
import type { OwnWays } from '../ways/ownWays.js';
import type { PlannedHardware } from './partPlan.js';
import { takenHoles, type TakenHole } from './takenHoles.js';

/** What follows from the pattern: outline, hardware, holes; the part has no hole that its hardware bores itself. */
export interface DrawnPart {
  part: Part;
  material: Material;
  outline: Outline;
  pieces: number;
  largestDiameter: number;
  /** what the part is made for, and what else is fitted to it */
  hardware: PlannedHardware | null;
  otherHardware: PlannedHardware[];
  /** drawn holes that hardware takes the place of */
  taken: TakenHole[];
  site: DrillSite;
  drill: DrillPlan;
}

export function drawnPart(whole: Part, inputs: PlanInputs, own: OwnWays): DrawnPart {
  const { order, workshop, schools } = inputs;
  const added = workshop.materials;
  const material =
    materialById(order.materialId, added) ?? materialById(whole.materialId, added) ?? MATERIALS[0];
  const outline = outlineOf(whole.turnings[0]);
  const fitted = fittedTo(whole, inputs, material);
  const [hardware = null, ...otherHardware] = fitted;
  const taken = takenHoles(whole, fitted, inputs.pattern);
  const bored = whole.holes.filter((hole) => !taken.some((t) => t.hole === hole));
  const part = taken.length === 0 ? whole : { ...whole, holes: bored };
  const site: DrillSite = {
    material,
    workshop,
    choices: order.drilling ?? [],
    usual: schools.drilling,
    ...ownDrilling(own, workshop.bits),
  };
  const needed = [hardware, ...otherHardware].flatMap((h) => h?.needs.holes ?? []);
  return {
    part,
    material,
    outline,
    pieces: order.pieces * part.perItem,
    largestDiameter: Math.max(largestTurned(outline), ...(part.rings ?? []).map((r) => r.across.mm)),
    hardware,
    otherHardware,
    taken,
    site,
    drill: planDrilling(part, outline, needed, site),
  };
}

/** Hardware of the part in the order in which it was fitted, as far as its kits are still known. */
function fittedTo(
  part: Part,
  { pattern, stock, workshop, order }: PlanInputs,
  material: Material,
): PlannedHardware[] {
  return pattern.hardware
    .filter((h) => h.partId === part.id)
    .flatMap((fitted, i) => {
      const kit = stock.kits.find((k) => k.id === fitted.kitId);
      if (!kit) return [];
      const needs = kitNeeds(kit, {
        end: fitted.end,
        material,
        room: workshop.allowances.holeRoom,
        bits: workshop.bits,
        mandrelIn: (thread) => mandrelInWork(workshop, thread),
        ...(i === 0 && order.fitting !== undefined ? { way: order.fitting } : {}),
      });
      return [{ fitted, kit, needs }];
    });
}

/** Where hardware meets the outside: at its end; a cone also where it has grown to its mouth. */
export function facesOf(hardware: PlannedHardware | null, outline: Outline): HardwareFace[] {
  const face = hardware?.needs.mating;
  if (!hardware || !face) return [];
  const inwards = hardware.fitted.end === 'reference' ? 1 : -1;
  const end = hardware.fitted.end === 'reference' ? 0 : outline.length;
  const mouth =
    face.endDiameter === undefined || face.length === undefined
      ? []
      : [
          {
            face: { ...face, label: `${face.label}, at its mouth`, diameter: face.endDiameter },
            x: end + inwards * face.length,
          },
        ];
  return [{ face, x: end }, ...mouth];
}

/** Largest diameter that is turned; where squares stay their flats are not. mm. */
function largestTurned(outline: Outline): number {
  const squares = new Set((outline.squares ?? []).map((s) => s.elementId));
  const segments = outline.segments.filter((s) => !squares.has(s.elementId));
  return Math.max(1, widestOf({ segments }).diameter);
}
