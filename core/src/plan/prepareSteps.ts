import { len } from '../measure/index.js';
import type { Outline } from '../pattern/index.js';
import { at, MINUTES, type Draft, type PartDraft } from './stepDraft.js';

/** Corners are sawn off when there are many: roughing is then faster and kinder. */
const CLIP_FROM = 4;
export const clipsCorners = (pieces: number, outline: Pick<Outline, 'squares'>): boolean =>
  pieces >= CLIP_FROM && outline.squares === undefined;

/** From the saw to marked centres. */
export function stockSteps(part: PartDraft): Draft[] {
  const { blank, drilling } = part;
  const clip = clipsCorners(part.pieces, part.outline);
  return [
    {
      id: 'saw',
      stage: 'stock',
      title: 'Saw the blank',
      words: [
        `Saw to ${len(blank.section)} square, ${len(blank.length)} long.`,
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
        `Lines from all four sides at ${len(blank.section / 2)}: the centre is the middle of the small square they leave.`,
        ...(clip ? [`Clip ${len(blank.octagon.clipLeg)} off each corner.`] : []),
        ...(drilling.length > 0 ? ['Punch the centre of the end that is drilled.'] : []),
      ],
      minutes: MINUTES.centres + (clip ? MINUTES.clip : 0),
      setup: at(clip ? 'saw' : 'bench', clip ? 'corner cradle' : 'bench'),
    },
  ];
}

/** Cross holes are drilled while the blank still has faces to lie on. */
export function crossSteps({ crossDrilling = [] }: PartDraft): Draft[] {
  return crossDrilling.map((o, i) => ({
    id: `drill.cross.${o.id}`,
    stage: 'drill',
    title: `Drill the ${o.name} across`,
    words: [
      `${o.bit ? `${o.bit.kind} ${len(o.bit.diameter.mm)}` : 'The bit that is missing'}, ${len(o.x)} from the reference end of the piece, ${faceWords(o.angle)}, ${o.through ? 'through' : `${len(o.toShoulder)} deep from the face`}; tape at ${len(o.tapeAt)}.`,
      o.order,
      ...(o.pecks.length > 0 ? [`Withdraw at ${o.pecks.map(len).join(', ')}.`] : []),
    ],
    minutes: MINUTES.drill + o.pecks.length * 0.2,
    setup: at('drill press', `${o.name} bit, blank in the vise`),
    speed: `${o.rpm} rpm`,
    locks:
      i === 0
        ? [{ stepId: 'centres', reason: 'all cross holes are measured from one marked end.' }]
        : [{ stepId: `drill.cross.${crossDrilling[i - 1]?.id ?? ''}`, reason: o.order }],
  }));
}

/** Sides of the square are counted from the one that faces the turner. */
const faceWords = (angle: number): string =>
  angle % 90 === 0 ? `on side ${((((angle / 90) % 4) + 4) % 4) + 1}` : `at ${angle}°`;

/** Every bore along the axis, one after another. */
export function drillSteps(part: PartDraft): Draft[] {
  return part.drilling.map((operation) => ({
    id: `drill.${operation.id}`,
    stage: 'drill',
    title: `Drill the ${operation.name}`,
    words: [
      `${operation.bit ? `${operation.bit.kind} ${len(operation.bit.diameter.mm)}` : 'The bit that is missing'}: ${len(operation.toShoulder)} deep to the shoulder, tape at ${len(operation.tapeAt)} from the point.`,
      operation.pecks.length > 0
        ? `Withdraw at ${operation.pecks.map(len).join(', ')}.`
        : 'In one go, then clear the chips.',
      ...(operation.after === undefined ? [] : [operation.after]),
    ],
    minutes: MINUTES.drill + operation.pecks.length * 0.2,
    setup: at('drill press', `${operation.name} bit`),
    speed: `${operation.rpm} rpm`,
    locks: [{ stepId: 'centres', reason: 'the bit follows the punched centre.' }],
  }));
}
