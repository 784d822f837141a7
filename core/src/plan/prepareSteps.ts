import type { OrderLock, SetupState } from '../batch/index.js';
import {
  bitWords,
  SETUP_WORDS,
  type BoredHole,
  type CrossOperation,
  type DrillOperation,
} from '../hardware/index.js';
import { len, type DrillMoment } from '../measure/index.js';
import type { StockForm } from '../mounting/index.js';
import type { Outline } from '../pattern/index.js';
import { at, MINUTES, type Draft, type PartDraft } from './stepDraft.js';

/** Corners are sawn off when there are many: roughing is then faster and kinder. */
const CLIP_FROM = 4;
export const clipsCorners = (
  pieces: number,
  outline: Pick<Outline, 'squares'>,
  form: StockForm = 'square',
): boolean => pieces >= CLIP_FROM && outline.squares === undefined && form === 'square';

/** From the saw to marked centres. */
export function stockSteps(part: PartDraft): Draft[] {
  const { blank, drilling, centring } = part;
  const form = centring?.form ?? 'square';
  const clip = clipsCorners(part.pieces, part.outline, form);
  return [
    {
      id: 'saw',
      stage: 'stock',
      title: 'Saw the blank',
      words: [
        form === 'square'
          ? `Saw to ${len(blank.section)} square, ${len(blank.length)} long.`
          : `Cut to ${len(blank.length)}; at its thinnest the ${form} stock is ${len(blank.section)} or more.`,
        'Keep knots, checks and glue lines out of it.',
      ],
      minutes: MINUTES.saw / blank.perBlank,
      setup: at('saw', 'fence and stop'),
    },
    {
      id: 'centres',
      stage: 'stock',
      title: clip ? 'Mark centres, clip corners' : 'Mark centres',
      words: [
        ...(centring?.words ?? []),
        ...(clip ? [`Clip ${len(blank.octagon.clipLeg)} off each corner.`] : []),
        ...(drilling.length > 0 ? ['Punch the centre of the end that is drilled.'] : []),
      ],
      minutes: MINUTES.centres + (clip ? MINUTES.clip : 0),
      setup: at(clip ? 'saw' : 'bench', clip ? 'corner cradle' : 'bench'),
    },
  ];
}

/** The holes of a moment, across before along, bits changed as little as can be. */
export function drillStepsAt(part: PartDraft, moment: DrillMoment): Draft[] {
  const at = (o: BoredHole) => (o.moment ?? 'square blank') === moment;
  const cross = (part.crossDrilling ?? []).filter(at);
  const along = part.drilling.filter(at);
  const drafts = [
    ...cross.map((o, i) => crossStep(o, cross[i - 1])),
    ...along.map((o) => axialStep(o, part)),
  ];
  const bores: BoredHole[] = [...cross, ...along];
  return drafts.map((draft, i) => ({ ...draft, words: [...bitChange(bores, i), ...draft.words] }));
}

/** Whether the bit stays in from the hole before. */
function bitChange(bores: readonly BoredHole[], i: number): string[] {
  const [before, here] = [bores[i - 1], bores[i]];
  if (!before?.bit || !here?.bit) return [];
  return before.bit.id === here.bit.id
    ? ['The bit stays in.']
    : [`Change the bit: ${bitWords(before.bit)} out, ${bitWords(here.bit)} in.`];
}

/** Cross holes lie where one marked end puts them. */
function crossStep(o: CrossOperation, before: CrossOperation | undefined): Draft {
  const square = (o.moment ?? 'square blank') === 'square blank';
  return {
    id: `drill.cross.${o.id}`,
    stage: 'drill',
    title: `Drill the ${o.name} across`,
    words: [
      `${o.bit ? bitWords(o.bit) : 'The bit that is missing'}, ${len(o.x)} from the reference end of the piece, ${faceWords(o.angle)}, ${o.through ? 'through' : `${len(o.toShoulder)} deep from the ${square ? 'face' : 'surface'}`}; tape at ${len(o.tapeAt)}.`,
      o.fromEdge === undefined
        ? 'Lay it in a V block cut to its shape; punch the centre.'
        : `Punch its centre first, ${len(o.fromEdge)} from the edge.`,
      o.order,
      ...(o.pecks.length > 0 ? [`Withdraw at ${o.pecks.map(len).join(', ')}.`] : []),
    ],
    minutes: MINUTES.drill + o.pecks.length * 0.2,
    setup: at('drill press', `${bitName(o)}, ${square ? 'blank in the vise' : 'piece in the V block'}`),
    speed: `${o.rpm} rpm`,
    locks: before
      ? [{ stepId: `drill.cross.${before.id}`, reason: o.order }]
      : [{ stepId: 'centres', reason: 'all cross holes are measured from one marked end.' }],
  };
}

/** Sides of the square are counted from the one that faces the turner. */
const faceWords = (angle: number): string =>
  angle % 90 === 0 ? `on side ${((((angle / 90) % 4) + 4) % 4) + 1}` : `at ${angle}°`;

/** What is in the drill for this hole: holes with the same bit share a set-up. */
const bitName = ({ bit, name }: BoredHole): string => (bit ? `${bitWords(bit)} bit` : `${name} bit`);

function axialStep(o: DrillOperation, part: PartDraft): Draft {
  return {
    id: `drill.${o.id}`,
    stage: 'drill',
    title: `Drill the ${o.name}`,
    words: [
      `${o.bit ? bitWords(o.bit) : 'The bit that is missing'}: ${len(o.toShoulder)} deep to the shoulder, tape at ${len(o.tapeAt)} from the point.`,
      o.pecks.length > 0 ? `Withdraw at ${o.pecks.map(len).join(', ')}.` : 'In one go, then clear the chips.',
      ...(o.setup === undefined ? [] : [SETUP_WORDS[o.setup].how]),
      ...(o.after === undefined ? [] : [o.after]),
    ],
    minutes: MINUTES.drill + o.pecks.length * 0.2,
    setup: drillSetup(o, part),
    speed: `${o.rpm} rpm`,
    locks: [lockOf(o)],
  };
}

/** The place and what stands in it: at the press the bit, on the lathe both ends. */
function drillSetup(o: DrillOperation, { mount }: PartDraft): SetupState {
  switch (o.setup) {
    case 'tailstock':
      return { ...at('lathe', mount.label, 'up'), fixtures: [`${bitName(o)} in the tailstock`] };
    case 'headstock':
      return { ...at('lathe', `${bitName(o)} in the headstock, draw bar tight`, 'up') };
    default:
      return at('drill press', bitName(o));
  }
}

function lockOf({ moment }: DrillOperation): OrderLock {
  switch (moment) {
    case 'after rounding':
      return { stepId: 'rough', reason: 'it is drilled when the round runs true.' };
    case 'after shaping':
      return { stepId: 'shape', reason: 'it is measured from the finished shape.' };
    case 'after parting':
      return { stepId: 'part', reason: 'it is drilled when the piece is off the lathe.' };
    default:
      return { stepId: 'centres', reason: 'the bit follows the punched centre.' };
  }
}
