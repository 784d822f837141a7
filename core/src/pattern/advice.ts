import { len, type Finding } from '../measure/index.js';
import { circleOf } from './arc.js';
import { assembled } from './assembled.js';
import { headingAt } from './flow.js';
import { drilledSolid } from './hole.js';
import { outlineOf, type Outline } from './outline.js';
import type { Part, PatternBody } from './pattern.js';
import { kindOf } from './kinds/elementKinds.js';
import type { Solid } from './solid.js';
import { extremes } from './radius.js';

/** What the advice needs to know of the whole item. */
type Item = Pick<PatternBody, 'kind' | 'parts' | 'joins'>;

/**
 * Design advice by what the item is for: kinks in a line, points where a palm pushes, the tip and the
 * balance of a top. Notes, never orders: the eye decides.
 */
export function designAdvice(part: Part, outline: Outline, body: Item): Finding[] {
  if (outline.segments.length === 0) return [];
  const own: Record<string, (part: Part, outline: Outline, body: Item) => Finding[]> = {
    stopper: palmAdvice,
    handle: palmAdvice,
    top: topAdvice,
    scoop: palmAdvice,
  };
  return [...kinkAdvice(part, outline), ...(own[body.kind]?.(part, outline, body) ?? [])];
}

/** A kink between these, in degrees, reads as a slip of the tool; more is a break, less is not seen. */
const KINK_LEAST = 2;
const KINK_MOST = 12;

/** Places where two elements nearly, but not quite, run into each other. */
function kinks(outline: Outline): { x: number; degrees: number; elementId: string }[] {
  return outline.segments.slice(1).flatMap((segment, i) => {
    const before = outline.segments[i];
    if (!before || before.elementId === segment.elementId) return [];
    if ([before, segment].some((s) => isBreak(outline, s.elementId))) return [];
    const degrees = Math.abs(headingAt(segment, 'start') - headingAt(before, 'end'));
    if (degrees < KINK_LEAST || degrees > KINK_MOST) return [];
    return [{ x: segment.x0, degrees, elementId: segment.elementId }];
  });
}

/** Grooves and shoulders are breaks already. */
const isBreak = (outline: Outline, elementId: string): boolean => {
  const element = outline.spans.find((s) => s.element.id === elementId)?.element;
  return element !== undefined && kindOf(element).breaks === true;
};

const kinkAdvice = (part: Part, outline: Outline): Finding[] =>
  kinks(outline).map(({ x, degrees, elementId }) => ({
    ...note(part, `kink.${elementId}`),
    x,
    elementId,
    what: `The line turns by ${degrees.toFixed(0)}° at ${len(x)}.`,
    why: 'So slight a kink reads as a slip of the tool, not as a break.',
    remedy: 'Let the two run into each other, or make the break a clear one with a groove or a step.',
  }));

const note = (part: Part, id: string) =>
  ({ id: `pattern.${id}.${part.id}`, severity: 'note', stage: 'pattern', partId: part.id }) as const;

/** A palm wants at least this radius where it pushes, mm; typical, unchecked. */
const PALM_RADIUS = 6;
/** Nobody closes a hand round more than this; typical, unchecked. mm */
const HAND_MOST = 50;

function palmAdvice(part: Part, outline: Outline): Finding[] {
  const last = outline.segments.at(-1);
  if (!last) return [];
  const findings: Finding[] = [];
  const end = 2 * last.r1;
  const round = last.bulge > 0 ? circleOf(last).radius : Infinity;
  const cone = last.bulge <= 0 && Math.abs(last.r1 - last.r0) > 1e-6 && end < 2 * PALM_RADIUS;
  if (cone || (end < 2 * PALM_RADIUS && round < PALM_RADIUS))
    findings.push({
      ...note(part, 'palm'),
      severity: 'warn',
      x: outline.length,
      elementId: last.elementId,
      what: `The end comes to ${cone ? `a cone of ${len(end)}` : `a radius of ${len(round)}`} where a palm pushes.`,
      why: `It hurts below a radius of about ${len(PALM_RADIUS)}.`,
      remedy: 'Round it with a larger radius, or end it with a flatter dome.',
    });
  const { largest } = extremes(outline, 0, outline.length);
  if (largest.diameter > HAND_MOST)
    findings.push({
      ...note(part, 'hand'),
      x: largest.x,
      what: `It is ${len(largest.diameter)} at its thickest.`,
      why: `Few hands close round more than ${len(HAND_MOST)}.`,
      remedy: 'Make it thinner where it is held.',
    });
  return findings;
}

/**
 * The joined parts as one solid along the first one's axis, of one density: volumes add up, moments
 * of inertia by the parallel axis theorem.
 */
export function itemSolid(item: Item): Solid {
  const pieces = assembled(item)
    .filter((p) => p.joined)
    .map(({ part, x, turned }) => {
      const solid = drilledSolid(outlineOf(part.turnings[0]), part.holes);
      const along = turned ? -solid.centreOfGravity : solid.centreOfGravity;
      return { ...solid, centreOfGravity: x + along };
    });
  const sum = (of: (s: Solid) => number) => pieces.reduce((total, s) => total + of(s), 0);
  const volume = sum((s) => s.volume);
  const centre = volume === 0 ? 0 : sum((s) => s.volume * s.centreOfGravity) / volume;
  return {
    volume,
    surface: sum((s) => s.surface),
    centreOfGravity: centre,
    axialInertia: sum((s) => s.axialInertia),
    transverseInertia: sum((s) => s.transverseInertia + s.volume * (s.centreOfGravity - centre) ** 2),
  };
}

/** A tip rounder than this scrubs its spin away, a sharper one digs in; typical, unchecked. mm */
const TIP = { least: 0.8, most: 4 };
/** A top stands when its weight is in the lower part of its height. */
const LOW = 0.45;

/** A top spins on the far end: how high its weight lies, and about which axis it turns most willingly. */
function topAdvice(part: Part, outline: Outline, item: Item): Finding[] {
  // the tip is on the first part; what is joined to it weighs with it
  if (part.id !== item.parts[0].id) return [];
  const last = outline.segments.at(-1);
  const solid = itemSolid(item);
  if (!last || solid.volume <= 0) return [];
  const findings: Finding[] = [];
  const high = outline.length - solid.centreOfGravity;
  const fromTip = outline.segments[0]?.r0 ?? 0;
  const tip = last.r1 < 0.5 && last.bulge > 0 ? circleOf(last).radius : last.r1;
  if (high > LOW * outline.length)
    findings.push({
      ...note(part, 'balance'),
      x: solid.centreOfGravity,
      what: `Its weight lies ${len(high)} above the tip, of ${len(outline.length)} in all.`,
      why: `A top stands up when its weight lies below about ${Math.round(LOW * 100)} % of its height.`,
      remedy: 'Bring the body nearer to the tip, or make the stem thinner or shorter.',
    });
  if (solid.axialInertia < solid.transverseInertia)
    findings.push({
      ...note(part, 'spin'),
      what: 'It turns more willingly about its side than about its stem.',
      why: 'The moment of inertia about the axis is below the one across: it tumbles early.',
      remedy: 'Make the body wider and flatter.',
    });
  if (part.holes.every((h) => h.from !== 'far') && (tip < TIP.least || tip > TIP.most))
    findings.push({
      ...note(part, 'tip'),
      x: outline.length,
      elementId: last.elementId,
      what: `The tip has a radius of ${len(tip)}${fromTip > 0 ? '' : ' at both ends'}.`,
      why: `Between ${len(TIP.least)} and ${len(TIP.most)} it runs freely and does not dig in.`,
      remedy: 'Round the tip within that, or set a ball in it.',
    });
  return findings;
}
