import { hasWood } from '@compas/core';
import { effectsOf, rule, woodsOf, type Moment } from './moment.js';
import { L, lengthsIn, mmOf } from './printed.js';
import { differs, type Misread } from './profile.js';
import { stretchRead, type Reader } from './turned.js';

/** Cut in two so far from an end. */
export const cutOff: Reader = (moment, shown, by) => {
  const [split] = effectsOf(moment, 'split');
  const runs = rule(moment, shown.from);
  return split
    ? differs('cut off', runs?.(mmOf(shown.value)), split.at.at[0], by + 0.05)
    : ['nothing is cut off'];
};

export const offTheEnd: Reader = (moment, shown, by) => {
  const [flat] = effectsOf(moment, 'flat');
  const runs = rule(moment, shown.at);
  return flat
    ? differs('off', runs?.(mmOf(shown.value)), flat.flat.at.at[0], by + 0.05)
    : ['nothing is faced'];
};

export const drilled: Reader = (moment, shown, by) => {
  const [drill] = effectsOf(moment, 'drill');
  if (!drill) return ['nothing is drilled'];
  const { at, steps } = drill.hole;
  const last = steps.at(-1);
  const small = (label: string) => shown.beside.find((s) => s.label === label)?.value;
  const bit = shown.label === 'bit' ? shown.value : (small('bit') ?? '');
  const tape = new RegExp(String.raw`tape at (${L}) from the point`).exec(shown.words)?.[1];
  const deep = new RegExp(String.raw`(${L}) deep to the shoulder`).exec(shown.words)?.[1];
  const isAlong = Math.abs(at.along[0]) > 0.9;
  return [
    ...differs('bit', bit === '' ? undefined : mmOf(bit), last?.diameter ?? 0, by + 0.05),
    ...(shown.label === 'tape at'
      ? differs('tape', mmOf(shown.value), tape ? mmOf(tape) : NaN, 2 * by + 0.05)
      : []),
    ...(isAlong && deep ? differs('deep', mmOf(deep), last?.depth ?? 0, by + 0.05) : []),
    ...(isAlong
      ? []
      : differs('at', rule(moment, shown.at)?.(lengthsIn(shown.at)[0] ?? 0), at.at[0], by + 0.05)),
  ];
};

export const reamed: Reader = (moment, shown, by) => {
  const [drill] = effectsOf(moment, 'drill');
  const taper = drill?.hole.steps.find((s) => s.endDiameter !== undefined);
  const [mouth, bottom] = lengthsIn(shown.value);
  const depth = shown.beside.find((s) => s.label === 'deep');
  if (!drill || !taper || !depth) return ['nothing is reamed'];
  const runs = rule(moment, depth.from);
  const end = drill.hole.at.at[0] + drill.hole.at.along[0] * taper.depth;
  return [
    ...differs('mouth', mouth, taper.diameter, by + 0.05),
    ...differs('bottom', bottom, taper.endDiameter ?? 0, by + 0.05),
    ...differs('deep', runs?.(mmOf(depth.value)), end, by + 0.05),
  ];
};

export const hollowed: Reader = (moment, shown, by) => {
  const [cut] = effectsOf(moment, 'cut');
  if (!cut) return ['nothing is hollowed'];
  const [first, last] = [cut.skin.profile[0], cut.skin.profile.at(-1)];
  const mouth = shown.beside.find((s) => s.label === 'mouth')?.value ?? '';
  const deep = mmOf(shown.value);
  const runs = rule(moment, shown.from);
  const bottom = cut.skin.axis.at[0] + cut.skin.axis.along[0] * (last?.x1 ?? 0);
  return [
    ...differs('mouth', mmOf(mouth), 2 * (first?.r0 ?? 0), 2 * by + 0.05),
    ...(shown.from.includes('rim')
      ? differs('deep', deep, last?.x1 ?? 0, by + 0.05)
      : differs('deep', runs?.(deep), bottom, by + 0.05)),
  ];
};

/** From the back of the wood, felt for along the axis it is held by, to the flat. */
export const overAll: Reader = (moment, shown, by) => {
  const [flat] = effectsOf(moment, 'flat');
  const [wood] = woodsOf(moment);
  if (!flat || !wood) return ['nothing is faced'];
  const { at, along } = flat.flat.at;
  const on = (d: number) =>
    [0, 1, 2].map((i) => (at[i] ?? 0) - d * (along[i] ?? 0)) as [number, number, number];
  let back = 200;
  while (back > 0 && !hasWood(wood.body, on(back))) back -= 0.02;
  return differs('over all', mmOf(shown.value), back, by + 0.1);
};

export const ringFree: Reader = (moment, shown, by) => {
  const [free] = effectsOf(moment, 'free');
  if (!free) return ['nothing comes free'];
  const { at, along } = free.axis;
  const ring = [free.ring.x0, free.ring.x1].map((x) => ({ x: at[0] + along[0] * x, r: free.ring.r }));
  return [
    ...differs('inside', mmOf(shown.value), 2 * free.ring.r, 2 * by + 0.05),
    ...stretchRead(moment, shown.at, ring, by + 0.05),
  ];
};

/** A zone from where to where, as wide as all that is treated in it. */
function zoneRead(moment: Moment, text: string, by: number): Misread {
  const zone = effectsOf(moment, 'treat').flatMap(({ treated }) => [
    { x: treated.on.x0, r: 0 },
    { x: treated.on.x1, r: 0 },
  ]);
  return stretchRead(moment, text, zone, by + 0.06);
}

export const banded: Reader = (moment, shown, by) => {
  const [a, b] = lengthsIn(shown.words);
  const [from, to] = lengthsIn(shown.value);
  return [
    ...zoneRead(moment, `${shown.label === 'over' ? 'over ' : ''}${shown.value} ${shown.from}`, by),
    // the words say it as well
    ...(a === from && b === to ? [] : [`its words say ${a} to ${b}`]),
  ];
};

export const gritted: Reader = (moment, shown, by) => [
  ...(moment.step.operation?.title.includes(shown.value) === true ? [] : [`grit ${shown.value} is another`]),
  ...zoneRead(moment, shown.at, by),
];
