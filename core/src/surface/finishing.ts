import type { Finding } from '../measure/index.js';
import type { Material } from '../material/index.js';
import type { UsedBy } from '../pattern/index.js';
import type { Finish, FinishKind } from '../workshop/index.js';

/** How the work turns while a coat goes on. */
type FinishSpeed = 'stopped' | 'slow' | 'fast';

/** One coat or pass. */
interface Coat {
  name: string;
  speed: FinishSpeed;
  minutes: number;
  /** before the next coat, minutes */
  waitMinutes: number;
}

export interface FinishProtocol {
  finish: Finish;
  coats: Coat[];
  /** before the piece may be handled, minutes */
  cureMinutes: number;
}

interface Habit {
  coat: Coat;
  between?: Coat;
  cureMinutes: number;
  /** what whoever uses the item is told */
  care: string;
}

const HOUR = 60;
const DAY = 24 * HOUR;

/** Usual protocol by kind of finish: typical, the product's sheet goes before it. */
const HABITS: Record<FinishKind, Habit> = {
  'friction polish': {
    coat: { name: 'friction polish, until it is warm', speed: 'fast', minutes: 1, waitMinutes: 0 },
    cureMinutes: 2 * HOUR,
    care: 'Keep it from water and spirits; rub it up with a dry cloth.',
  },
  oil: {
    coat: { name: 'oil, wipe off what stands', speed: 'stopped', minutes: 2, waitMinutes: DAY },
    cureMinutes: 7 * DAY,
    care: 'Wipe it with a damp cloth and dry it; oil it again thinly when it looks dry, and spread the rag flat to dry.',
  },
  lacquer: {
    coat: { name: 'thin coat of lacquer', speed: 'stopped', minutes: 1.5, waitMinutes: 45 },
    between: { name: 'scuff lightly before the last coat', speed: 'slow', minutes: 0.5, waitMinutes: 0 },
    cureMinutes: DAY,
    care: 'Wipe it with a damp cloth; no solvent.',
  },
  wax: {
    coat: { name: 'wax, then buff with paper', speed: 'fast', minutes: 1, waitMinutes: 0 },
    cureMinutes: 15,
    care: 'The wax has to be renewed often: a little on a cloth, then rub it up. Keep it from water.',
  },
  burnish: {
    coat: { name: 'a handful of its own shavings', speed: 'fast', minutes: 0.5, waitMinutes: 0 },
    cureMinutes: 0,
    care: 'Nothing was put on it: keep it dry. Hands darken it with time.',
  },
};

/** Coats, waits and cure of a finish, with the scuff before the last coat where it belongs. */
export function protocolOf(finish: Finish): FinishProtocol {
  const { coat, between, cureMinutes } = HABITS[finish.kind];
  const coats: Coat[] = [];
  for (let i = 1; i <= finish.coats; i++) {
    const last = i === finish.coats;
    if (last && i > 1 && between) coats.push(between);
    const named = finish.coats > 1 ? { ...coat, name: `${coat.name}, coat ${i} of ${finish.coats}` } : coat;
    coats.push(last ? { ...named, waitMinutes: 0 } : named);
  }
  return { finish, coats, cureMinutes };
}

/** How an item is looked after by what was put on it; null for a surface as it came from the tool or the abrasive. */
export const careFor = (finish: FinishKind | null): string => HABITS[finish ?? 'burnish'].care;

/** Where a finish does not go with the wood or with those who will use the item. */
export function finishFindings(
  partId: string,
  finish: Finish,
  material: Material,
  usedBy: UsedBy,
): Finding[] {
  const findings: Finding[] = [];
  const say = (id: string, what: string, why: string, remedy: string) =>
    findings.push({
      id: `surface.${id}.${partId}`,
      severity: 'warn',
      stage: 'surface',
      partId,
      what,
      why,
      remedy,
    });
  if (usedBy !== 'anybody' && (finish.kind === 'friction polish' || finish.kind === 'lacquer'))
    say(
      'use',
      `${finish.name} on an item for ${usedBy === 'food' ? 'food' : 'a child'}.`,
      'Water, hands and mouths wear it, and what it leaves is for its maker to state.',
      'Ask for the product sheet and the local rules on extractables, or choose oil or wax.',
    );
  if (material.oily && (finish.kind === 'oil' || finish.kind === 'lacquer'))
    say(
      'oily',
      `${finish.name} on oily ${material.name.toLowerCase()}.`,
      'The wood’s own oil keeps it from curing.',
      'Wipe with solvent just before the first coat, and try it on an offcut.',
    );
  if (material.class === 'resin' && finish.kind !== 'wax' && finish.kind !== 'burnish')
    say(
      'resin',
      `${finish.name} on ${material.name.toLowerCase()}.`,
      'It does not soak in and peels.',
      'Polish through finer abrasives and wax it.',
    );
  return findings;
}
