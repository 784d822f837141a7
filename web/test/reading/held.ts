import { effectsOf, woodsOf } from './moment.js';
import { L, lengthsIn, mmOf } from './printed.js';
import { differs } from './profile.js';
import type { Reader } from './turned.js';

export const sawn: Reader = (moment, shown, by) => {
  const [stock] = effectsOf(moment, 'stock');
  const form = stock?.wood.body.form;
  const long = shown.beside.find((s) => s.label === 'long')?.value ?? '';
  const planed =
    new RegExp(String.raw`Plane all four faces, to (${L}) square`).exec(shown.words)?.[1] ?? null;
  return form && 'across' in form
    ? [
        // what is sawn may be planed: then its words say to what
        ...differs(
          'sawn',
          mmOf(shown.value),
          planed === null ? form.across : (lengthsIn(shown.words)[0] ?? 0),
          by + 0.05,
        ),
        ...(planed === null ? [] : differs('planed', mmOf(planed), form.across, by + 0.05)),
        ...differs('long', mmOf(long), form.length, by + 0.05),
      ]
    : ['nothing is sawn'];
};

export const clipped: Reader = (moment, shown, by) => {
  const [flat] = effectsOf(moment, 'flat');
  const [wood] = woodsOf(moment);
  const form = wood?.body.form;
  if (!flat || !form || !('across' in form)) return ['nothing is clipped'];
  const out = Math.hypot(flat.flat.at.at[1], flat.flat.at.at[2]);
  return differs('below', mmOf(shown.value), form.across / Math.SQRT2 - out, by + 0.05);
};

/** Lines from all sides cross in the middle. */
export const gauged: Reader = (moment, shown, by) => {
  const form = woodsOf(moment)[0]?.body.form;
  return form && 'across' in form
    ? [
        ...differs('gauge', mmOf(shown.value), form.across / 2, by + 0.05),
        ...differs('its words say', lengthsIn(shown.words)[0], form.across / 2, by + 0.05),
      ]
    : ['nothing is marked'];
};

export const heldBy: Reader = (moment, shown) => {
  const [hold] = effectsOf(moment, 'hold');
  const tail = shown.beside.find((s) => s.label === 'at the tail')?.value;
  return hold?.held?.drive.words === shown.value &&
    (tail === undefined || tail === (hold.held.tail?.words ?? 'nothing'))
    ? []
    : ['it is held otherwise'];
};

export const tailGone: Reader = (moment) =>
  effectsOf(moment, 'hold').every((e) => e.held?.tail === null) ? [] : ['the tail stays'];

export const middleAt: Reader = (moment, shown) =>
  effectsOf(moment, 'join').length > 0 && lengthsIn(shown.value).length > 0 ? [] : ['nothing is slid on'];
