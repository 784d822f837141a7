import { len } from '../measure/index.js';
import type { Element } from './element.js';
import { dimensionOf, dimensionsOf, dimensionWords, nameOf } from './elementDimensions.js';
import { outlineOf } from './outline.js';
import type { Part, PatternBody, Turning } from './pattern.js';
import { sameWood } from './same.js';

const SLACK = 1e-6;

/** What changed from one revision to the next, in the turner's words; empty when nothing did. */
export function differenceInWords(before: PatternBody, after: PatternBody): string[] {
  const words = after.parts.flatMap((part) => {
    const old = before.parts.find((p) => p.id === part.id);
    return old ? partWords(old, part) : [`${part.name} added`];
  });
  for (const part of before.parts)
    if (!after.parts.some((p) => p.id === part.id)) words.push(`${part.name} taken away`);
  for (const [what, of] of SIDE_THINGS)
    if (!sameWood(of(before) ?? [], of(after) ?? [])) words.push(`${what} changed`);
  if ((before.longest?.mm ?? 0) !== (after.longest?.mm ?? 0)) words.push('longest allowed length changed');
  if (before.usedBy !== after.usedBy) words.push('who uses it changed');
  return words;
}

/** What stands beside the profiles: said to have changed, not how. */
const SIDE_THINGS: [string, (body: PatternBody) => unknown][] = [
  ['hardware', (body) => body.hardware.map((h) => [h.kitId, h.partId, h.end])],
  ['joins', (body) => body.joins],
  ['checks', (body) => body.checks],
  ['source', (body) => body.source],
  ['mating outlines', (body) => body.mates],
];

function partWords(before: Part, after: Part): string[] {
  const words = after.turnings.flatMap((turning, i) => {
    const old = before.turnings.find((t) => t.id === turning.id);
    return old ? turningWords(old, turning) : [`axis ${i + 1} of the ${after.name} added`];
  });
  for (const old of before.turnings)
    if (!after.turnings.some((t) => t.id === old.id)) words.push(`an axis of the ${after.name} taken away`);
  if (before.materialId !== after.materialId) words.push(`now in ${after.materialId}`);
  if (before.perItem !== after.perItem) words.push(`${after.perItem} of the ${after.name} in each item`);
  if (!sameWood(before.holes, after.holes)) words.push('holes changed');
  if (!sameWood(before.crossHoles ?? [], after.crossHoles ?? [])) words.push('cross holes changed');
  if (!sameWood(before.rings ?? [], after.rings ?? [])) words.push('rings changed');
  if (!sameWood(before.hollows ?? [], after.hollows ?? [])) words.push('hollows changed');
  if (!sameWood(before.decorations ?? [], after.decorations ?? [])) words.push('decoration changed');
  if (!sameWood(before.ways ?? [], after.ways ?? [])) words.push(`own ways of the ${after.name} changed`);
  if (words.length > 0) words.push(lengthWords(before, after));
  return words;
}

function turningWords(old: Turning, now: Turning): string[] {
  const words = change('start', 'diameter', old.startDiameter.mm, now.startDiameter.mm);
  for (const element of now.elements) {
    const was = old.elements.find((e) => e.id === element.id);
    const name = nameOf(element);
    if (!was) words.push(`${name} added`);
    else if (was.kind !== element.kind) words.push(`${nameOf(was)} became a ${element.kind}`);
    else words.push(...elementWords(was, element));
  }
  for (const element of old.elements)
    if (!now.elements.some((e) => e.id === element.id)) words.push(`${nameOf(element)} taken away`);
  const order = (elements: Element[], other: Element[]) =>
    elements.map((e) => e.id).filter((id) => other.some((o) => o.id === id));
  if (!sameWood(order(old.elements, now.elements), order(now.elements, old.elements)))
    words.push('order of the elements changed');
  words.push(...change('fixed total', 'length', old.total?.mm ?? 0, now.total?.mm ?? 0));
  if (!sameWood(old.axis, now.axis)) words.push('its axis moved');
  return words;
}

function elementWords(before: Element, after: Element): string[] {
  const name = nameOf(after);
  const words = dimensionsOf(after.kind).flatMap((key) =>
    change(
      name,
      dimensionWords(after.kind, key),
      dimensionOf(before, key)?.mm ?? 0,
      dimensionOf(after, key)?.mm ?? 0,
    ),
  );
  if (words.length > 0) return words;
  return sameWood(before, after) ? [] : [`${name} formed differently`];
}

function change(name: string, what: string, before: number, after: number): string[] {
  const by = after - before;
  if (Math.abs(by) < SLACK) return [];
  const isLength = what === 'length';
  const direction = by > 0 ? (isLength ? 'longer' : 'thicker') : isLength ? 'shorter' : 'thinner';
  if (what === 'length' || what.includes('diameter'))
    return [`${name} ${what === 'length' ? '' : `${what} `}${len(Math.abs(by))} ${direction}`];
  return [`${name} ${what} ${len(Math.abs(by))} ${by > 0 ? 'more' : 'less'}`];
}

function lengthWords(before: Part, after: Part): string {
  const by = outlineOf(after.turnings[0]).length - outlineOf(before.turnings[0]).length;
  if (Math.abs(by) < SLACK) return 'total length the same';
  return `total ${len(Math.abs(by))} ${by > 0 ? 'longer' : 'shorter'}`;
}
