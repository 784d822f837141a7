import { len } from '../measure/index.js';
import { DIMENSION_WORDS, DIMENSIONS_OF, dimensionOf } from './elementDimensions.js';
import { outlineOf } from './outline.js';
import type { Element, Part, PatternBody } from './pattern.js';

const SLACK = 1e-6;

/** What changed from one revision to the next, in the turner's words; empty when nothing did. */
export function differenceInWords(before: PatternBody, after: PatternBody): string[] {
  const words = after.parts.flatMap((part) => {
    const old = before.parts.find((p) => p.id === part.id);
    return old ? partWords(old, part) : [`${part.name} added`];
  });
  for (const part of before.parts)
    if (!after.parts.some((p) => p.id === part.id)) words.push(`${part.name} taken away`);
  const kits = (body: PatternBody) => body.hardware.map((h) => `${h.kitId} ${h.end}`).join();
  if (kits(before) !== kits(after)) words.push('hardware changed');
  if ((before.longest?.mm ?? 0) !== (after.longest?.mm ?? 0)) words.push('longest allowed length changed');
  if (before.usedBy !== after.usedBy) words.push('who uses it changed');
  return words;
}

function partWords(before: Part, after: Part): string[] {
  const words: string[] = [];
  const [old] = before.turnings;
  const [now] = after.turnings;
  words.push(...change('start', 'diameter', old.startDiameter.mm, now.startDiameter.mm));
  for (const element of now.elements) {
    const was = old.elements.find((e) => e.id === element.id);
    const name = element.name ?? element.kind;
    if (!was) words.push(`${name} added`);
    else if (was.kind !== element.kind) words.push(`${was.name ?? was.kind} became a ${element.kind}`);
    else words.push(...elementWords(was, element));
  }
  for (const element of old.elements)
    if (!now.elements.some((e) => e.id === element.id))
      words.push(`${element.name ?? element.kind} taken away`);
  if (before.materialId !== after.materialId) words.push(`now in ${after.materialId}`);
  if (JSON.stringify(before.holes) !== JSON.stringify(after.holes)) words.push('holes changed');
  if (words.length > 0) words.push(lengthWords(before, after));
  return words;
}

function elementWords(before: Element, after: Element): string[] {
  return DIMENSIONS_OF[after.kind].flatMap((key) =>
    change(
      after.name ?? after.kind,
      DIMENSION_WORDS[key],
      dimensionOf(before, key)?.mm ?? 0,
      dimensionOf(after, key)?.mm ?? 0,
    ),
  );
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
