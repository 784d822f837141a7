import {
  SPEED_SCHOOLS,
  type Figure,
  type SpeedSchool,
  type TurningStage,
  type Working,
} from '../measure/index.js';
import type { Material, MaterialClass } from '../material/index.js';
import type { Drive, SpeedBand, Workshop } from '../workshop/index.js';

/** A speed to set, or none on a lathe without a motor. */
export interface SpeedChoice {
  stage: TurningStage;
  /** what the school asks for, rpm */
  wish: number;
  /** what the lathe can do at or below it; null on a treadle lathe */
  rpm: number | null;
  /** the lathe's slowest is above the wish */
  tooFast: boolean;
  /** surface speed at rpm on the largest diameter, m/min */
  surfaceSpeed: number;
  words: string;
  figure: Figure;
  /** a person set it; what the school would take, rpm */
  instead?: number | null;
}

/** Place of each stage in the band of school A, 0 low end … 1 high end; below 0 is under the band. */
const IN_BAND: Record<TurningStage, number> = {
  rough: 0,
  size: 0.4,
  shape: 0.8,
  sand: -0.9,
  'finish slow': -1.5,
  'finish fast': 0.3,
  'part off': -0.6,
};

/** School B: surface speeds in m/min by material (bench practice, typical, unchecked). */
const SURFACE_SPEED: Record<MaterialClass, { rough: number; cut: number }> = {
  softwood: { rough: 480, cut: 700 },
  hardwood: { rough: 420, cut: 600 },
  'dense hardwood': { rough: 360, cut: 520 },
  resin: { rough: 220, cut: 330 },
};
const SHARE_OF_CUT: Record<TurningStage, number> = {
  rough: 0,
  size: 0.8,
  shape: 1,
  sand: 0.45,
  'finish slow': 0.15,
  'finish fast': 0.8,
  'part off': 0.6,
};

/**
 * Speed for a stage by school: A keeps rpm × diameter inside a band, B a surface speed
 * (v = π·d·n / 1000). Never above the lathe's or the fixture's limit; a lathe with pulleys takes the
 * speed at or below.
 * @param diameter largest diameter that spins, mm
 * @param fastest limit of the fixture, rpm
 */
export function speedFor(
  stage: TurningStage,
  diameter: number,
  material: Material,
  workshop: Workshop,
  school: SpeedSchool,
  fastest: number,
): SpeedChoice {
  const rule = SPEED_RULES[school];
  const asked = { stage, diameter, material, workshop };
  const wish = rule.wish(asked);
  const limited = Math.min(wish, fastest);
  const { rpm, tooFast } = available(workshop.lathe.drive, limited);
  return {
    stage,
    wish: Math.round(wish),
    rpm,
    tooFast,
    surfaceSpeed: ((rpm ?? 0) * Math.PI * diameter) / 1000,
    words: speedWords(stage, rpm),
    figure: speedFigure(rule, asked, limited, rpm),
  };
}

/** What a speed is wanted for. */
interface Asked {
  stage: TurningStage;
  /** largest that spins, mm */
  diameter: number;
  material: Material;
  workshop: Workshop;
}

/** How a school chooses: the speed it wishes, rpm, and how it came to it. */
interface SpeedRule {
  wish: (asked: Asked) => number;
  working: (asked: Asked) => Working;
}

const SPEED_RULES: Record<SpeedSchool, SpeedRule> = {
  'rpm-diameter': {
    wish: ({ stage, diameter, workshop }) => productInBand(stage, workshop.speedBand) / diameter,
    working: ({ stage, workshop: { speedBand } }) => ({
      rule: `rpm × diameter kept in the band ${speedBand.low} to ${speedBand.high}: its low end to rough, its high end to shape, below it to sand and wipe. Then the lathe's speed at or below.`,
      source: 'band of the workshop',
      school: SPEED_SCHOOLS['rpm-diameter'],
      inputs: [
        {
          label: 'rpm × diameter for this stage',
          value: Math.round(productInBand(stage, speedBand)),
        },
      ],
    }),
  },
  'surface-speed': {
    wish: ({ stage, diameter, material }) => (1000 * surfaceSpeedOf(stage, material)) / (Math.PI * diameter),
    working: ({ stage, material }) => ({
      rule: 'rpm = 1000 × surface speed ÷ (π × diameter). Then the lathe’s speed at or below.',
      source: 'cutting speed relation; speeds typical, unchecked',
      school: SPEED_SCHOOLS['surface-speed'],
      inputs: [
        {
          label: `surface speed, ${material.class}`,
          value: Math.round(surfaceSpeedOf(stage, material)),
          unit: 'm/min',
        },
      ],
    }),
  },
};

function productInBand(stage: TurningStage, { low, high }: SpeedBand): number {
  const place = IN_BAND[stage];
  return place >= 0 ? low + place * (high - low) : low / (1 - place);
}

function surfaceSpeedOf(stage: TurningStage, material: Material): number {
  const { rough, cut } = SURFACE_SPEED[material.class];
  return stage === 'rough' ? rough : cut * SHARE_OF_CUT[stage];
}

/** What the drive can do at or below a wish; its slowest when the wish is below that. */
function available(drive: Drive, wish: number): { rpm: number | null; tooFast: boolean } {
  switch (drive.kind) {
    case 'treadle':
      return { rpm: null, tooFast: false };
    case 'range': {
      const rpm = Math.max(drive.slowest, Math.min(drive.fastest, Math.floor(wish / 10) * 10));
      return { rpm, tooFast: drive.slowest > wish };
    }
    case 'pulleys': {
      const speeds = [...drive.speeds].sort((a, b) => a - b);
      const below = speeds.filter((s) => s <= wish).at(-1);
      return { rpm: below ?? speeds[0] ?? null, tooFast: below === undefined };
    }
  }
}

function speedWords(stage: TurningStage, rpm: number | null): string {
  if (rpm !== null) return `${rpm} rpm`;
  return stage === 'rough' || stage === 'finish slow' ? 'tread slowly and evenly' : 'tread briskly';
}

function speedFigure(rule: SpeedRule, asked: Asked, limited: number, rpm: number | null): Figure {
  const { stage, diameter } = asked;
  const { inputs, ...working } = rule.working(asked);
  return {
    id: `speed.${stage}`,
    label: `Speed to ${stage}`,
    value: rpm ?? 0,
    unit: 'rpm',
    working: {
      ...working,
      inputs: [
        { label: 'largest diameter that spins', value: diameter, unit: 'mm' },
        ...inputs,
        { label: 'wished', value: Math.round(limited), unit: 'rpm' },
      ],
    },
  };
}
