import { len } from '../measure/index.js';
import type { Centre, Chuck, Fixture, Jaws, Mandrel } from '../workshop/index.js';

/** An entry of one of the workshop's lists, but for its id. Lengths mm. */
export type Entry =
  | { list: 'centres'; entry: Omit<Centre, 'id'> }
  | { list: 'mandrels'; entry: Omit<Mandrel, 'id'> }
  | { list: 'fixtures'; entry: Omit<Fixture, 'id'> }
  | { list: 'chucks'; entry: Omit<Chuck, 'id'> }
  | { list: 'jaws'; chuckId: string; entry: Omit<Jaws, 'id'> };

/** What a way of holding needs and the workshop does not own. */
export interface Lack {
  /** with its article: "a dowel of 20 mm" */
  words: string;
  /** how it would be listed: what the work asks of it is exact, any other size a usual one. None where only a person knows */
  adds?: Entry;
}

/** What lacks, in words and as it would be listed. */
export function lacking(...wanted: readonly (Lack | false)[]): { missing: string[]; lacks?: Lack[] } {
  const lacks = wanted.filter((lack) => lack !== false);
  return { missing: lacks.map(({ words }) => words), ...(lacks.length > 0 ? { lacks } : {}) };
}

/** A fixture that lacks. mm */
export const fixture = (words: string, entry: Omit<Fixture, 'id'>): Lack => ({
  words,
  adds: { list: 'fixtures', entry },
});

const centre = (words: string, name: string, kind: Centre['kind']): Lack => ({
  words,
  adds: { list: 'centres', entry: { name, kind, diameter: 20 } },
});
export const LIVE_CENTRE = centre('a live centre', 'Live centre', 'live');
export const DRIVE_CENTRE = centre('a drive centre', 'Ring centre', 'ring');
export const SPUR_CENTRE = centre('a spur centre', 'Spur centre', 'spur');
export const CHUCK: Lack = {
  words: 'a chuck',
  adds: { list: 'chucks', entry: { name: 'Chuck', fastest: 2500, jaws: [] } },
};
/** Most jaws that are sold close on about so much when they are just open, mm. */
const USUAL_GRIP = 50;
/**
 * Jaws that lack, for a chuck that is owned.
 * @param most the thickest tenon that the piece has room for, mm
 */
export function jawsUpTo(most: number, chuck: Chuck | undefined): Lack {
  const grip = Math.max(1, Math.floor(Math.min(most, USUAL_GRIP)));
  const entry: Omit<Jaws, 'id'> = {
    name: `Jaws of ${grip}`,
    gripLeast: Math.round(grip * 0.85),
    gripBest: grip,
    gripMost: Math.round(grip * 1.4),
    depth: 14,
  };
  const words = `jaws for a tenon of ${len(most)} or less`;
  return { words, ...(chuck ? { adds: { list: 'jaws', chuckId: chuck.id, entry } } : {}) };
}
export const DRAW_BAR = fixture('a draw bar', {
  name: 'Draw bar',
  kind: 'draw bar',
  diameter: 10,
  length: 300,
});
/** It is asked for by the drilling, not by a way of holding. */
export const DRILL_CHUCK: Entry = {
  list: 'fixtures',
  entry: { name: 'Drill chuck', kind: 'drill chuck', diameter: 13, length: 90 },
};
