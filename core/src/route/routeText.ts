import { speak } from '../measure/index.js';
import { datumPlace } from './datum.js';
import type { Lengths, Operation, Route } from './operation.js';
import { SAID, type Said } from './said.js';
import { play, type Played } from './play.js';
import { woodOf, type Shop } from './shop.js';

/**
 * A route as a person reads it, line by line: what is done with what, every figure with the end it is measured
 * from, what holds the work, and what must have been done before. Lengths in mm.
 */
export function routeText(route: Route, lengths: Lengths): string {
  const played = play(route, lengths);
  const lines = route.operations.map((operation, i) => [
    `${i + 1}. ${operation.title}${operation.tool === undefined ? '' : ` — ${operation.tool}`}  [${operation.id}]`,
    ...indented(speak(operation.words.join(' '), 'mm')),
    ...indented(figures(operation, played.before[i], lengths)),
    ...indented(holding(played, i)),
    ...indented(needs(operation, played)),
  ]);
  const stops = played.findings.map((f) => `■ ${f.what} ${f.why} ${f.remedy}`);
  return [...lines.flat(), ...stops, ''].join('\n');
}

const indented = (words: string): string[] => (words === '' ? [] : [`   ${words}`]);

const mm = (value: number): string => String(Number(value.toFixed(2)));

function figures(operation: Operation, before: Shop | undefined, lengths: Lengths): string {
  let last = '';
  return operation.said
    .map((said) => {
      const from = before ? datumWords(said, operation, before, lengths) : '';
      const named = from === '' || from === last ? '' : ` from ${from}`;
      if (from !== '') last = from;
      return `${inWords(said)}${named}`;
    })
    .join(', ')
    .replaceAll(', ⌀', ' ⌀');
}

/** An angle carries its sign instead. */
const DEGREES = ', degrees';

/** A place is said by its length alone, an angle by its degrees. */
function inWords({ name, mm: value }: Said): string {
  if (name === 'from') return mm(value);
  return SAID[name] === 'degrees'
    ? `${name.slice(0, -DEGREES.length)} ${mm(value)}°`
    : `${name} ${mm(value)}`;
}

function datumWords({ from, wood }: Said, { on }: Operation, before: Shop, lengths: Lengths): string {
  if (from === null) return '';
  const found = woodOf(before, wood ?? on[0] ?? '');
  const place = found && datumPlace(found, from, lengths);
  return place ? place.words : 'an end that is not there';
}

/** What holds the work while it is done; said only where it is on the lathe or in a vise. */
function holding({ before, end }: Played, i: number): string {
  const held = (before[i + 1] ?? end).held ?? before[i]?.held;
  if (!held) return '';
  const tail = held.tail ? ` and ${held.tail.words}` : ', nothing at the tail';
  return `${held.wood}: ${held.drive.words}${held.place === 'lathe' ? tail : ''}`;
}

/** What must come first, those of one reason together. */
function needs({ id }: Operation, { locks }: Played): string {
  const byReason = new Map<string, string[]>();
  for (const { op, need, minutes } of locks.get(id) ?? []) {
    const words = minutes === undefined ? op : `${op} and ${minutes} min`;
    byReason.set(need, [...(byReason.get(need) ?? []), words]);
  }
  return [...byReason].map(([need, ops]) => `after ${ops.join(', ')} (${need})`).join('; ');
}
