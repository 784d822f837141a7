import { countWords } from '../batch/index.js';
import type { Page, Paper } from './page.js';
import { body, head, textSheet, type Line } from './textSheet.js';

/** One line of what is handed over. */
export interface DeliveredLine {
  what: string;
  wanted: number;
  /** counts of the items that are handed over */
  given: readonly number[];
  coming: number;
  stopped: number;
  short: number;
  /** what it is made of and how its surface was left, part by part */
  madeOf: readonly string[];
  /** how it is looked after */
  care: string;
  /** `Fri 27 Nov, 14:00`, when something of it still cures then */
  restsUntil: string | null;
}

export interface DeliverySheetWish {
  from: string;
  to: string;
  /** in words; null when no day was agreed */
  due: string | null;
  day: string;
  lines: readonly DeliveredLine[];
  paper: Paper;
}

/** What goes with an order when it is handed over: which items, of what, what is still missing, how to look after them. */
export function deliverySheet(wish: DeliverySheetWish): Page[] {
  const { from, to, due, day, lines, paper } = wish;
  const care = new Map(lines.filter((l) => l.given.length > 0).map((l) => [l.care, careOf(lines, l.care)]));
  const missing = lines.filter((l) => l.given.length < l.wanted);
  return textSheet(
    [
      { size: 7, bold: true, text: `Delivery to ${to}` },
      body(`From ${from}, ${day}${due === null ? '' : `; agreed for ${due}`}.`),
      head('Handed over'),
      ...lines.flatMap(givenLines),
      ...(missing.length > 0 ? [head('Still to come')] : []),
      ...missing.map((l) => body(missingWords(l))),
      ...(care.size > 0 ? [head('To look after them')] : []),
      ...[...care].map(([words, whose]) => body(`${whose}: ${words}`)),
      { size: 3.5, text: 'Handed over by ____________________    Received by ____________________', gap: 16 },
    ],
    paper,
    `Delivery to ${to}`,
  );
}

function givenLines({ what, given, madeOf, restsUntil }: DeliveredLine): Line[] {
  if (given.length === 0) return [];
  return [
    {
      size: 4,
      bold: true,
      text: `[  ] ${given.length} × ${what}`,
      right: `no. ${countWords(given)}`,
      gap: 2,
    },
    ...madeOf.map((words): Line => ({ size: 3.3, text: `       ${words}` })),
    ...(restsUntil === null
      ? []
      : [{ size: 3.3, text: `       Not to be used before ${restsUntil}: it still cures.` }]),
  ];
}

/** How many of a line are not there, and why. */
function missingWords({ what, wanted, given, coming, stopped, short }: DeliveredLine): string {
  const why = [
    ...(coming + stopped > 0 ? [`${coming + stopped} still being made`] : []),
    ...(short > 0 ? [`${short} not begun`] : []),
  ];
  return `${wanted - given.length} × ${what}${why.length > 0 ? `: ${why.join(', ')}` : ''}.`;
}

/** The lines that are looked after alike, by their names. */
const careOf = (lines: readonly DeliveredLine[], care: string): string =>
  [...new Set(lines.filter((l) => l.care === care && l.given.length > 0).map((l) => l.what))].join(', ');
