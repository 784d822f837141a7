import { memo, useId, useMemo } from 'react';
import type { Frame } from '../frame.js';
import { TONES } from '../tones.js';
import { lit, SHARES } from './light.js';
import { ringLines, ringsOf, sectionLines, type Place } from './rings.js';
import type { WoodLook } from './woodLook.js';

/** What was last done to the surface. */
export type Surface = 'tool' | 'sanded' | 'coated';

interface TurnedProps {
  /** closed paths of the outside above the axis and the cut face below it, px */
  upper: string;
  lower: string;
  profile: readonly Place[];
  frame: Frame;
  look: WoodLook;
  surface?: Surface;
  /** where a place of the profile is on the strip, px */
  at: (x: number) => number;
}

/** Turned wood: round to the eye above the axis, cut open below it, its grain as the surface lays it open. */
export const Turned = memo(function Turned(props: TurnedProps) {
  const { upper, lower, profile, frame, look, surface = 'sanded', at } = props;
  const id = useId();
  const tint = TONES[look.tone];
  const { axis } = frame;
  const grain = useMemo(() => grainPaths(profile, frame, at, look.seed), [profile, frame, at, look.seed]);
  return (
    <g>
      <defs>
        <path id={`${id}o`} d={upper} />
        <clipPath id={`${id}u`}>
          <use href={`#${id}o`} />
        </clipPath>
        <clipPath id={`${id}l`}>
          <path d={lower} />
        </clipPath>
        <Flanks id={`${id}f`} profile={profile} at={at} />
      </defs>
      {SHARES.map((share) => (
        <use
          key={share}
          href={`#${id}o`}
          fill={lit(tint.outside, share)}
          transform={`translate(0 ${axis}) scale(1 ${share}) translate(0 ${-axis})`}
        />
      ))}
      <path d={grain.outside} className="wood-grain" data-surface={surface} clipPath={`url(#${id}u)`} />
      <use href={`#${id}o`} fill={`url(#${id}f)`} />
      {surface === 'coated' && <use href={`#${id}o`} className="wood-coat" />}
      <path d={lower} fill={tint.section} />
      <path d={grain.section} className="wood-grain section" clipPath={`url(#${id}l)`} />
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

/** Lines of the rings as paths: of the outside and of the cut face. */
function grainPaths(
  profile: readonly Place[],
  { up, scale }: Frame,
  at: (x: number) => number,
  seed: string | null,
): { outside: string; section: string } {
  const most = Math.max(0, ...profile.map((p) => p.r));
  if (seed === null || most * scale < LEAST_DRAWN) return { outside: '', section: '' };
  const rings = ringsOf(seed, most);
  const path = (lines: ReturnType<typeof ringLines>) =>
    lines.map((line) => `M${line.map(([x, y]) => `${round(at(x))},${round(up(y))}`).join('L')}`).join('');
  const every = profile.filter((_, i) => i % 4 === 0 || i === profile.length - 1).map((p) => p.x);
  return { outside: path(ringLines(profile, rings)), section: path(sectionLines(every, most, rings)) };
}

/** Thinner than this on the screen nobody sees grain, px. */
const LEAST_DRAWN = 6;

const round = (px: number): number => Math.round(px * 10) / 10;
