import { HttpStatus } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';
import { Problem } from './problem.js';

/** What a request asks is never nested deeper; a pattern is 8 deep. */
const DEEPEST = 32;
/** Nothing here has so many fields; lists may be longer. */
const MOST_FIELDS = 400;
/** So much of a name or a value is said again, characters. */
const SAID = 40;

/** A character that no table of the database takes: nought, or half of a pair. */
const isUnkeepable = (text: string): boolean => text.includes('\0') || /\p{Cs}/u.test(text);

/** Refuses what nothing behind it could read: texts that cannot be kept, and what is nested without end. */
export function readable(request: Request, _response: Response, next: NextFunction): void {
  const fault =
    faultIn(request.body) ?? faultIn(request.query) ?? (isPlain(request.path) ? null : UNREADABLE_ADDRESS);
  next(fault === null ? undefined : new Problem(HttpStatus.BAD_REQUEST, fault.why, [fault]));
}

const UNREADABLE_ADDRESS = { field: '', why: 'This address holds a character that cannot be read.' };

function isPlain(path: string): boolean {
  try {
    return !isUnkeepable(decodeURIComponent(path));
  } catch {
    return false;
  }
}

/** The first value of what was sent that cannot be kept; walked without recursion, since it may be nested without end. */
function faultIn(sent: unknown): { field: string; why: string } | null {
  const open: { value: unknown; path: string[] }[] = [{ value: sent, path: [] }];
  for (let at = open.pop(); at; at = open.pop()) {
    const { value, path } = at;
    if (path.length > DEEPEST)
      return { field: path[0] ?? '', why: `"${said(path[0])}" is nested deeper than anything here is.` };
    if (typeof value === 'string' && isUnkeepable(value)) return unkeepable(path);
    if (typeof value !== 'object' || value === null) continue;
    if (Array.isArray(value) && value.includes(null)) return emptyEntry(path);
    const entries = Object.entries(value);
    if (!Array.isArray(value) && entries.length > MOST_FIELDS)
      return { field: path[0] ?? '', why: `"${said(path.at(-1))}" has more fields than anything here has.` };
    for (const [key, within] of entries) {
      if (isUnkeepable(key)) return unkeepable(path);
      open.push({ value: within, path: [...path, key] });
    }
  }
  return null;
}

const unkeepable = (path: readonly string[]) => ({
  field: path.join('.').slice(0, 3 * SAID),
  why: `"${said(path.at(-1))}" holds a character that cannot be kept. Take it out, or type it anew.`,
});

const emptyEntry = (path: readonly string[]) => ({
  field: path.join('.').slice(0, 3 * SAID),
  why: `"${said(path.at(-1))}" has an entry with nothing in it. Take it out.`,
});

const said = (name = 'it'): string => (name.length > SAID ? `${name.slice(0, SAID)}…` : name);
