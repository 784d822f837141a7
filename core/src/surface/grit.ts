import { type Figure, type Finding } from '../measure/index.js';
import type { Material } from '../material/index.js';
import type { Abrasive } from '../workshop/index.js';

/** Mean grain of abrasives, µm: FEPA P scale and CAMI scale (typical of the standards, unchecked). */
const P_MICRONS: Record<number, number> = {
  60: 269,
  80: 201,
  100: 162,
  120: 125,
  150: 100,
  180: 82,
  220: 68,
  240: 58.5,
  280: 52.2,
  320: 46.2,
  360: 40.5,
  400: 35,
  500: 30.2,
  600: 25.8,
  800: 21.8,
  1000: 18.3,
  1200: 15.3,
};
const CAMI_MICRONS: Record<number, number> = {
  60: 268,
  80: 190,
  100: 140,
  120: 115,
  150: 92,
  180: 82,
  220: 68,
  240: 53,
  280: 44,
  320: 36,
  360: 28,
  400: 23,
  500: 20,
  600: 16,
  800: 12,
  1000: 9.2,
};

/** Mean grain in µm; a grit that is not of its scale is drawn on the log scale through the two next to it. */
export function grainMicrons({ grit, scale }: Pick<Abrasive, 'grit' | 'scale'>): number {
  const table = scale === 'P' ? P_MICRONS : CAMI_MICRONS;
  const exact = table[grit];
  if (exact !== undefined) return exact;
  // whole numbers are kept in rising order by the language
  const known = Object.entries(table).map(([g, microns]) => ({ log: Math.log(Number(g)), microns }));
  const above = known.findIndex((k) => k.log > Math.log(grit));
  const at = above < 0 ? known.length - 1 : Math.max(above, 1);
  const [low, high] = [known[at - 1], known[at]] as [Known, Known];
  const share = (Math.log(grit) - low.log) / (high.log - low.log);
  return low.microns * (high.microns / low.microns) ** share;
}

/** A grit of a scale. */
interface Known {
  log: number;
  microns: number;
}

/** One grit of the ladder. */
export interface GritStep {
  abrasive: Abrasive;
  microns: number;
  minutes: number;
}

/** Grits that somebody takes instead of the usual ladder, as they are named; each with its mean grain. */
export type ChosenGrits = readonly Pick<Abrasive, 'grit' | 'scale'>[];

export interface GritLadder {
  steps: GritStep[];
  findings: Finding[];
  figures: Figure[];
}

/** The next grain is at least this share of the last, or its scratches stay. */
const LEAST_RATIO = 0.6;
/** Sanding is called done at a grain of about P400 for most finishes. */
const FINEST_MICRONS = 35;
/** Minutes per grit: to change the paper and see to the details, and so much for each cm² that turns by: a rolling pin that comes clean from
 * the tool is sanded in 3 to 5 min with four grits (bench practice, typical). */
const BASE_MINUTES = 0.5;
const MINUTES_PER_CM2 = 0.001;

/**
 * Ladder from the start grit of the material to the last, through the abrasives the workshop owns:
 * each the coarsest that is finer by no more than the gap rule allows being skipped.
 * @param surface area to sand, mm²
 * @param chosen what somebody takes instead, in this order; none leaves it from the tool
 */
export function gritLadder(
  partId: string,
  material: Material,
  abrasives: readonly Abrasive[],
  surface: number,
  chosen: ChosenGrits | null = null,
): GritLadder {
  const start = grainMicrons({ grit: material.startGrit, scale: 'P' });
  const owned = abrasives
    .map((abrasive) => ({ abrasive, microns: grainMicrons(abrasive) }))
    .filter((a) => a.microns <= start * 1.05 && a.microns >= FINEST_MICRONS * 0.9)
    .sort((a, b) => b.microns - a.microns);
  const minutes = Math.round((BASE_MINUTES + (surface / 100) * MINUTES_PER_CM2) * 10) / 10;
  const ladder = chosen?.map((grit) => ofShelf(grit, abrasives)) ?? thinOut(owned);
  const steps = ladder.map((a) => ({ ...a, minutes }));
  return {
    steps,
    findings: [
      ...(chosen?.length === 0 ? [] : gapFindings(partId, material, start, steps)),
      ...(chosen ?? []).flatMap((grit) => missingFinding(partId, grit, abrasives)),
    ],
    figures: timeFigure(steps, surface, minutes),
  };
}

/** A grit that is asked for: the one on the shelf, or as it is called where there is none. */
function ofShelf(wanted: ChosenGrits[number], abrasives: readonly Abrasive[]): Omit<GritStep, 'minutes'> {
  const abrasive = abrasives.find((a) => isSame(a, wanted)) ?? { id: name(wanted), ...wanted };
  return { abrasive, microns: grainMicrons(wanted) };
}

const isSame = (a: ChosenGrits[number], b: ChosenGrits[number]): boolean =>
  a.grit === b.grit && a.scale === b.scale;

function missingFinding(
  partId: string,
  wanted: ChosenGrits[number],
  abrasives: readonly Abrasive[],
): Finding[] {
  if (abrasives.some((a) => isSame(a, wanted))) return [];
  return [
    {
      id: `surface.missing.${partId}.${name(wanted)}`,
      severity: 'warn',
      stage: 'surface',
      partId,
      what: `The workshop has no ${name(wanted)}.`,
      why: 'It was chosen for this work.',
      remedy: 'Get it, or sand with what is there.',
    },
  ];
}

/** Leaves out a second paper of the same grain, and grits that the gap rule allows to be skipped. */
function thinOut<T extends { microns: number }>(owned: T[]): T[] {
  const kept: T[] = [];
  for (let i = 0; i < owned.length; i++) {
    const here = owned[i];
    const last = kept.at(-1);
    const next = owned[i + 1];
    if (!here || (last && here.microns >= last.microns)) continue;
    if (last && next && next.microns >= LEAST_RATIO * last.microns) continue;
    kept.push(here);
  }
  return kept;
}

const name = (a: ChosenGrits[number]): string => `${a.scale}${a.grit}`;

function gapFindings(partId: string, material: Material, start: number, steps: GritStep[]): Finding[] {
  const findings: Finding[] = [];
  const first = steps[0];
  if (!first || first.microns < LEAST_RATIO * start)
    findings.push({
      id: `surface.start.${partId}`,
      severity: 'warn',
      stage: 'surface',
      partId,
      what: `No abrasive near P${material.startGrit} to begin with.`,
      why: `${material.name} is usually begun at P${material.startGrit} after a clean cut; a finer one only polishes the tool marks.`,
      remedy: `Get P${material.startGrit}, or leave a better surface from the tool.`,
    });
  steps.slice(1).forEach((step, i) => {
    const before = steps[i];
    if (!before || step.microns >= LEAST_RATIO * before.microns - 1e-9) return;
    findings.push({
      id: `surface.gap.${partId}.${name(step.abrasive)}`,
      severity: 'warn',
      stage: 'surface',
      partId,
      what: `Gap between ${name(before.abrasive)} and ${name(step.abrasive)}.`,
      why: `The grain falls from ${before.microns.toFixed(0)} to ${step.microns.toFixed(0)} µm, below ${LEAST_RATIO} of it: the scratches of ${name(before.abrasive)} stay.`,
      remedy: `Put a grit of about ${Math.sqrt(before.microns * step.microns).toFixed(0)} µm between them.`,
    });
  });
  return findings;
}

function timeFigure(steps: GritStep[], surface: number, minutes: number): Figure[] {
  return [
    {
      id: 'surface.minutes',
      label: 'Sanding one piece',
      value: steps.length * minutes,
      unit: 'min',
      working: {
        rule: `Grits × the same time for each: ${BASE_MINUTES} min + ${MINUTES_PER_CM2} min per cm².`,
        source: 'bench practice, typical, unchecked',
        inputs: [
          { label: 'grits', value: steps.length },
          { label: 'surface', value: surface / 100, unit: 'cm2' },
        ],
      },
    },
  ];
}
