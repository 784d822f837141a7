import type { Surface } from '@compas/core';
import { memo, useId, useMemo } from 'react';
import type { Frame } from '../frame.js';
import { TONES } from '../tones.js';
import { lit, SHARES } from './light.js';
import { planeLines, ringLines, ringsOf, type Line, type Place } from './rings.js';
import { toolMarks } from './toolMarks.js';
import type { WoodLook } from './woodLook.js';

interface WoodProps {
  /** closed path, px */
  path: string;
  profile: readonly Place[];
  frame: Frame;
  look: WoodLook;
  /** largest radius of the piece: by it its grain is drawn, however much of it is seen, mm */
  stoutest: number;
  /** where a place of the profile is on the strip, px */
  at: (x: number) => number;
}

interface OutsideProps extends WoodProps {
  surface?: Surface;
  /** a flat face that looks to the front, and not a round */
  flat?: boolean;
}

/** The outside of wood above the axis: round to the eye or flat from the saw, with its grain and the marks of its tool. */
export const Outside = memo(function Outside(props: OutsideProps) {
  const { path, profile, frame, look, stoutest, surface = 'sanded', flat = false, at } = props;
  const id = useId();
  const tint = TONES[look.tone];
  const grain = useMemo(() => {
    const rings = grainOf(look, stoutest, frame);
    if (!rings) return '';
    if (!flat) return pathOf(ringLines(profile, rings), frame, at);
    const high = Math.max(0, ...profile.map((p) => p.r));
    return pathOf(planeLines(placesOf(profile), { front: high, low: 0, high }, rings), frame, at);
  }, [profile, frame, at, look, stoutest, flat]);
  const marks = useMemo(
    () => pathOf(toolMarks(profile, surface, { scale: frame.scale, seed: look.seed ?? '' }), frame, at),
    [profile, frame, at, surface, look.seed],
  );
  return (
    <g className="wood-face" data-surface={surface}>
      <defs>
        <path id={`${id}o`} d={path} />
        <clipPath id={`${id}u`}>
          <use href={`#${id}o`} />
        </clipPath>
        {!flat && <Flanks id={`${id}f`} profile={profile} at={at} />}
      </defs>
      {flat ? (
        <use href={`#${id}o`} fill={lit(tint.outside, 0)} />
      ) : (
        SHARES.map((share) => (
          <use
            key={share}
            href={`#${id}o`}
            fill={lit(tint.outside, share)}
            transform={`translate(0 ${frame.axis}) scale(1 ${share}) translate(0 ${-frame.axis})`}
          />
        ))
      )}
      <path d={grain} className="wood-grain" data-surface={surface} clipPath={`url(#${id}u)`} />
      {!flat && <use href={`#${id}o`} fill={`url(#${id}f)`} />}
      {marks !== '' && <path d={marks} className="tool-marks" clipPath={`url(#${id}u)`} />}
      {surface === 'coated' && <use href={`#${id}o`} className="wood-coat" />}
    </g>
  );
});

/** The cut face through the axis, below it. */
export const Section = memo(function Section({ path, profile, frame, look, stoutest, at }: WoodProps) {
  const id = useId();
  const grain = useMemo(() => {
    const rings = grainOf(look, stoutest, frame);
    if (!rings) return '';
    const low = -Math.max(0, ...profile.map((p) => p.r));
    return pathOf(planeLines(placesOf(profile), { front: 0, low, high: 0 }, rings), frame, at);
  }, [profile, frame, at, look, stoutest]);
  return (
    <g>
      <clipPath id={`${id}l`}>
        <path d={path} />
      </clipPath>
      <path d={path} fill={TONES[look.tone].section} />
      <path d={grain} className="wood-grain section" clipPath={`url(#${id}l)`} />
    </g>
  );
});

/** What looks to the headstock is lit, what looks away lies in its own shade: beads and coves are round. */
function Flanks({ id, profile, at }: { id: string; profile: readonly Place[]; at: (x: number) => number }) {
  const [first, last] = [profile[0], profile.at(-1)];
  if (!first || !last) return null;
  const [left, right] = [Math.min(at(first.x), at(last.x)), Math.max(at(first.x), at(last.x))];
  const stops = profile.slice(1).flatMap((p, i) => {
    const before = profile[i] ?? p;
    const [a, b] = [at(before.x), at(p.x)];
    if (Math.abs(b - a) < 0.5) return [];
    const slope = (p.r - before.r) / (Math.abs(p.x - before.x) * Math.sign(b - a));
    const shade = slope / Math.hypot(1, slope);
    // the same from end to end: a curve is many, a straight one has one light
    return [Math.min(a, b) + 0.01, Math.max(a, b)].map((px) => ({
      offset: (px - left) / (right - left),
      shade,
    }));
  });
  return (
    <linearGradient id={id} gradientUnits="userSpaceOnUse" x1={left} x2={right} y1="0" y2="0">
      {stops
        .sort((a, b) => a.offset - b.offset)
        .map(({ offset, shade }) => (
          <stop
            key={offset}
            offset={offset.toFixed(4)}
            stopColor={shade > 0 ? '#fff6e6' : '#2a1c0e'}
            stopOpacity={(Math.abs(shade) * (shade > 0 ? 0.3 : 0.28)).toFixed(3)}
          />
        ))}
    </linearGradient>
  );
}

/** Smaller than this grain is not to be seen, px. */
const LEAST_DRAWN = 6;

/** The rings of a piece; null where it has none, or none that could be seen. */
const grainOf = ({ seed }: WoodLook, stoutest: number, { scale }: Frame) =>
  seed === null || stoutest * scale < LEAST_DRAWN ? null : ringsOf(seed, stoutest);

const pathOf = (lines: readonly Line[], { up }: Frame, at: (x: number) => number): string =>
  lines.map((line) => `M${line.map(([x, y]) => `${round(at(x))},${round(up(y))}`).join('L')}`).join('');

/** In a plane the grain bends little: every fourth place is enough. */
const placesOf = (profile: readonly Place[]): number[] =>
  profile.filter((_, i) => i % 4 === 0 || i === profile.length - 1).map((p) => p.x);

const round = (px: number): number => Math.round(px * 10) / 10;
