import type { Units } from '@compas/core';
import { clipped, gauged, heldBy, middleAt, sawn, tailGone } from './held.js';
import { effectsOf, type Moment } from './moment.js';
import { HALF, type Printed } from './printed.js';
import { profileRead, type Misread } from './profile.js';
import { across, least, sized, turned, type Reader } from './turned.js';
import {
  banded,
  cutOff,
  drilled,
  gritted,
  hollowed,
  offTheEnd,
  overAll,
  reamed,
  ringFree,
} from './worked.js';

/*
 * Somebody who reads a step as the screen prints it, at the lathe: its large figure, what stands beside it, its words. They know
 * the trade and the wood before it, and nothing of how a step is made. What they would cut is held against what is played.
 */

/** How each figure is read, by what is printed over it. */
const READERS: Record<string, Reader> = {
  'blank, across': sawn,
  'off below each corner': clipped,
  'round to': (moment, shown, by, units) =>
    turned(across, shown.at === '' ? 'all' : 'stretch')(moment, shown, by, units),
  'gauge lines at': gauged,
  tenon: turned(across, 'stretch'),
  stub: turned(across, 'stretch'),
  nib: turned(across, 'stretch'),
  'part down to': sized,
  crown: turned(across, 'stretch'),
  bottom: turned(least, 'stretch'),
  'straight at': turned(across, 'stretch'),
  'down to': turned(least, 'stretch'),
  'to a point, from ⌀': turned(across, 'stretch'),
  'off the end': offTheEnd,
  'cut off': cutOff,
  'tape at': drilled,
  bit: drilled,
  'reamed, mouth to bottom': reamed,
  deep: hollowed,
  'over all, back to rim': overAll,
  'ring free at ⌀': ringFree,
  stretch: banded,
  over: banded,
  grit: gritted,
  'at the drive': heldBy,
  'held by': heldBy,
  tailstock: tailGone,
  'its middle': middleAt,
};
export const isRead = (label: string): boolean => label in READERS;

/** Steps whose profile is told in words. */
const TELLS = /From [^:]*: [^:]*→/;

/** Where a step as it is printed is not what is done to the wood; nothing where it is. */
export function misread(moment: Moment, shown: Printed, units: Units): Misread {
  const own = READERS[shown.label]?.(moment, shown, HALF[units], units) ?? [];
  const [cut] = effectsOf(moment, 'cut');
  const straight = cut && Math.abs(cut.skin.axis.along[0]) < 0.999 && !shown.words.includes('From the rim');
  const profile = cut && !straight && TELLS.test(shown.words) ? profileRead(moment, shown, cut, units) : [];
  return [...own, ...profile];
}
