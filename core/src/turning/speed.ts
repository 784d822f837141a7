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

/** How fast the lathe turns for a stage. */
interface Pace {
  /** school A: place in the band, 0 low end … 1 high end; below 0 is under the band */
  inBand: number;
  /** school B: share of the surface speed that cuts; null is that of roughing */
  ofCut: number | null;
  /** no faster than so, however thin the wood is; rpm */
  atMost?: number;
  /** as slowly as the lathe goes; a belt is not changed for it: there the lathe stands, and the work is turned by hand */
  slowest?: true;
}

/** Bench practice, typical, unchecked. Friction polish and a wire need heat: they run as fast as the shaping cut. */
const PACES: Record<TurningStage, Pace> = {
  rough: { inBand: 0, ofCut: null },
  mark: { inBand: -1.5, ofCut: 0.15, slowest: true },
  size: { inBand: 0.4, ofCut: 0.8 },
  shape: { inBand: 0.8, ofCut: 1 },
  // wood swings past beside its axis: nothing balances it, and the tool meets it on part of each turn
  'turn off axis': { inBand: -0.6, ofCut: 0.5, atMost: 1000 },
  sand: { inBand: -0.9, ofCut: 0.45 },
  texture: { inBand: -0.9, ofCut: 0.45, atMost: 1000 },
  burn: { inBand: 0.8, ofCut: 1 },
  dye: { inBand: -1.5, ofCut: 0.15, atMost: 300 },
  'finish slow': { inBand: -1.5, ofCut: 0.15, atMost: 300 },
  'finish fast': { inBand: 0.8, ofCut: 1 },
  'part off': { inBand: -0.6, ofCut: 0.6 },
};

/** School B: surface speeds in m/min by material (bench practice, typical, unchecked). */
const SURFACE_SPEED: Record<MaterialClass, { rough: number; cut: number }> = {
  softwood: { rough: 480, cut: 700 },
  hardwood: { rough: 420, cut: 600 },
  'dense hardwood': { rough: 360, cut: 520 },
  resin: { rough: 220, cut: 330 },
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
  const { slowest = false, atMost = Infinity } = PACES[stage];
  const wish = Math.min(rule.wish(asked), atMost);
  const limited = Math.min(wish, fastest);
  const { drive } = workshop.lathe;
  const { rpm, tooFast } = slowest ? { rpm: slowestOf(drive), tooFast: false } : available(drive, limited);
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
  const place = PACES[stage].inBand;
  return place >= 0 ? low + place * (high - low) : low / (1 - place);
}

function surfaceSpeedOf(stage: TurningStage, material: Material): number {
  const { rough, cut } = SURFACE_SPEED[material.class];
  const { ofCut } = PACES[stage];
  return ofCut === null ? rough : cut * ofCut;
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

/** As slowly as a drive goes without a change of its belt; 0 is stopped, null without a motor. rpm */
const slowestOf = (drive: Drive): number | null =>
  drive.kind === 'treadle' ? null : drive.kind === 'range' ? drive.slowest : 0;

/** A belt stays where it is while that is no faster than wished, and no slower than this share of it (typical, unchecked). */
const BELT_STAYS = 0.65;

/** Minutes to lay the belt for another speed; none where the lathe has a range. Bench practice, typical, unchecked. */
export const beltMinutes = ({ kind }: Drive): number => (kind === 'pulleys' ? BELT : 0);
const BELT = 0.5;

/** The speed of what comes next, where the lathe runs at one already: few changes of a belt are worth a little speed. */
export function keptBelt(
  { rpm, ...choice }: SpeedChoice,
  running: number | null,
  { kind }: Drive,
): SpeedChoice {
  const stays =
    kind === 'pulleys' && rpm !== null && running !== null && running <= rpm && running >= BELT_STAYS * rpm;
  const kept = stays ? running : rpm;
  return { ...choice, rpm: kept, words: speedWords(choice.stage, kept) };
}

/** Free length over thinnest diameter from which work whips, and how fast it may turn then, rpm; typical, unchecked. */
const WHIPS: readonly { above: number; atMost: number }[] = [
  { above: 25, atMost: 1200 },
  { above: 15, atMost: 2000 },
];

/** The fastest that slender work may turn, rpm. */
export const fastestSlender = (slenderness: number): number =>
  WHIPS.find(({ above }) => slenderness > above)?.atMost ?? Infinity;

function speedWords(stage: TurningStage, rpm: number | null): string {
  if (rpm === 0) return 'lathe stopped';
  if (rpm !== null) return `${rpm} rpm`;
  return PACES[stage].inBand <= 0 ? 'tread slowly and evenly' : 'tread briskly';
}

const SLOWEST =
  'As slowly as the lathe goes. A belt is not changed for it: there the lathe stands, and the work is turned by hand.';

function speedFigure(rule: SpeedRule, asked: Asked, limited: number, rpm: number | null): Figure {
  const { stage, diameter } = asked;
  const { slowest = false, atMost } = PACES[stage];
  const { inputs, ...working } = rule.working(asked);
  return {
    id: `speed.${stage}`,
    label: `Speed to ${stage}`,
    value: rpm ?? 0,
    unit: 'rpm',
    working: {
      ...working,
      ...(slowest ? { rule: SLOWEST } : {}),
      inputs: [
        { label: 'largest diameter that spins', value: diameter, unit: 'mm' },
        ...inputs,
        ...(atMost === undefined ? [] : [{ label: 'at most', value: atMost, unit: 'rpm' as const }]),
        { label: 'wished', value: Math.round(limited), unit: 'rpm' },
      ],
    },
  };
}
