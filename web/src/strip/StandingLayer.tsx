import {
  extremes,
  facesLeft,
  facesOf,
  radiusAt,
  type Hollow,
  type Outline,
  type SilhouettePoint,
  type StandingWood,
} from '@compas/core';
import { memo, useId, useState } from 'react';
import { useFrame, type Frame } from './frame.js';
import { HollowLayer } from './HollowLayer.js';
import { wholePath } from './paths.js';
import { TONES } from './tones.js';
import { Outside, Section } from './wood/Turned.js';
import type { WoodLook } from './wood/woodLook.js';

interface StandingProps {
  standing: StandingWood;
  outline: Outline;
  look: WoodLook;
  /** as they are drawn; shown once they are cut */
  hollows?: readonly Hollow[];
}

/**
 * The wood as it stands now: above the axis its outside as the last tool left it, below it in section what will be the
 * piece and, hatched, what is still waste; the drawing dashed.
 */
export const StandingLayer = memo(function StandingLayer({
  standing,
  outline,
  look,
  hollows = [],
}: StandingProps) {
  const frame = useFrame();
  const hatch = useId();
  const tint = TONES[look.tone];
  const { silhouette, pieceAt, pieceRuns, beside } = standing;
  const ofPiece = (x: number) => (x - pieceAt) * pieceRuns;
  const at = (x: number) => frame.at(ofPiece(x));
  const lumps = silhouette.map((run) => ({
    run,
    whole: bandPath(
      run,
      frame,
      at,
      (p) => p.outside,
      (p) => -p.outside,
    ),
  }));
  const gone = useBefore(standing, frame, lumps.map((l) => l.whole).join(''));
  const stoutest = extremes(outline, 0, outline.length).largest.diameter / 2;
  const wood = { frame, look, stoutest, at: frame.at };
  const kept = ({ x, outside }: SilhouettePoint) => {
    const inside = [0, ...beside]
      .map((begins) => ofPiece(x) - begins)
      .find((place) => place >= 0 && place <= outline.length);
    return inside === undefined ? 0 : Math.min(outside, radiusAt(outline, inside));
  };
  return (
    <g className="standing">
      <defs>
        <pattern id={hatch} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" className="hatch" />
        </pattern>
      </defs>
      {gone !== null && <path key={gone} d={gone} className="waste-gone" fill={tint.section} />}
      <GluedTo standing={standing} tint={tint.section} at={at} from={(p) => p.outside} />
      {lumps.map(({ run, whole }) => (
        <g key={run[0]?.x}>
          <path d={whole} fill={tint.section} />
          <path d={whole} fill={`url(#${hatch})`} />
          <Section
            path={bandPath(
              run,
              frame,
              at,
              () => 0,
              (p) => -kept(p),
            )}
            profile={thinned(run, frame.scale).map((p) => ({ x: ofPiece(p.x), r: kept(p) }))}
            {...wood}
          />
          <path
            d={bandPath(
              run,
              frame,
              at,
              () => 0,
              (p) => -p.inside,
            )}
            className="strip-hole"
          />
        </g>
      ))}
      {facesOf(standing, facesLeft(outline)).map(({ is, flat, run }) => (
        <Outside
          key={run[0]?.x}
          path={bandPath(
            run,
            frame,
            at,
            (p) => p.outside,
            () => 0,
          )}
          profile={thinned(run, frame.scale).map((p) => ({ x: ofPiece(p.x), r: p.outside }))}
          surface={is}
          flat={flat}
          {...wood}
        />
      ))}
      {lumps.map(({ run, whole }) => (
        <path key={run[0]?.x} d={whole} fill="none" className="standing-edge" />
      ))}
      {/* in section it is seen in its hole as well */}
      <GluedTo standing={standing} tint={tint.section} at={at} from={() => 0} />
      <HollowLayer
        hollows={hollows.filter((h) => h.opens === 'side' && isHollowed(standing, h))}
        outline={outline}
      />
      {standing.rings.map((run) =>
        ([1, -1] as const).map((side) => (
          <path
            key={`${run[0]?.x} ${side}`}
            d={bandPath(
              run,
              frame,
              at,
              (p) => side * p.outside,
              (p) => side * p.inside,
            )}
            fill={tint.outside}
            className="standing-edge"
          />
        )),
      )}
      <BesideLayer outline={outline} at={standing.beside} />
      <path d={wholePath(outline, frame)} className="standing-drawn" />
    </g>
  );
});

/** The wood as it was drawn before this cut: what of it is gone recedes. On another scale nothing has been cut. */
function useBefore(standing: StandingWood, frame: Frame, now: string): string | null {
  const [drawn, draw] = useState<{
    standing: StandingWood;
    frame: Frame;
    now: string;
    before: string | null;
  }>({
    standing,
    frame,
    now,
    before: null,
  });
  if (drawn.standing === standing && drawn.frame === frame) return drawn.before;
  const before = drawn.frame === frame ? drawn.now : null;
  draw({ standing, frame, now, before });
  return before;
}

/** Pixels between two places of the grain. */
const GRAIN_PITCH = 5;

/** As many places as grain is drawn by; where the wood steps every one is kept. */
function thinned(run: readonly SilhouettePoint[], scale: number): SilhouettePoint[] {
  let last: SilhouettePoint | null = null;
  return run.filter((p, i) => {
    const keep =
      last === null ||
      i === run.length - 1 ||
      Math.abs(p.x - last.x) * scale >= GRAIN_PITCH ||
      Math.abs(p.outside - last.outside) * scale >= GRAIN_PITCH;
    if (keep) last = p;
    return keep;
  });
}

/** What the piece was glued to, finished: to the axis from the height that it is seen to. */
function GluedTo({
  standing,
  tint,
  at,
  from,
}: {
  standing: StandingWood;
  tint: string;
  at: (x: number) => number;
  from: (point: SilhouettePoint) => number;
}) {
  const frame = useFrame();
  return standing.others.map((run) => (
    <path
      key={run[0]?.x}
      d={bandPath(run, frame, at, from, (p) => -p.outside)}
      fill={tint}
      className="standing-edge"
    />
  ));
}

const isHollowed = ({ wood }: StandingWood, { id }: Hollow): boolean =>
  wood.body.skins.some(
    (s) => s.side === 'inside' && (s.id.split('/').at(-1) ?? '').startsWith(`hollow:${id}`),
  );

/** The other pieces that lie in the same blank: where each begins, x of the one at hand. mm */
export function BesideLayer({ outline, at }: { outline: Outline; at: readonly number[] }) {
  const frame = useFrame();
  return at.map((x) => (
    <path
      key={x}
      d={wholePath(outline, frame)}
      transform={`translate(${frame.at(x) - frame.at(0)} 0)`}
      className="standing-beside"
    />
  ));
}

/** Closed path between an upper and a lower line along a run. */
function bandPath(
  run: readonly SilhouettePoint[],
  frame: Frame,
  at: (x: number) => number,
  upper: (p: SilhouettePoint) => number,
  lower: (p: SilhouettePoint) => number,
): string {
  const px = (value: number) => value.toFixed(2);
  const corner = (p: SilhouettePoint, r: number) => `${px(at(p.x))},${px(frame.up(r))}`;
  const top = run.map((p) => corner(p, upper(p)));
  const under = run.toReversed().map((p) => corner(p, lower(p)));
  return `M${[...top, ...under].join('L')}Z`;
}

/** Where the step works: the stretch of wood that is to be looked at. */
export function WorkLayer({ standing: { work, pieceAt, pieceRuns } }: { standing: StandingWood }) {
  const frame = useFrame();
  if (!work) return null;
  const [a, b] = [work.x0, work.x1].map((x) => frame.at((x - pieceAt) * pieceRuns)) as [number, number];
  const width = Math.max(3, Math.abs(b - a));
  const middle = (a + b) / 2;
  return (
    <g className="work-place">
      <rect x={middle - width / 2} y={6} width={width} height={frame.height - 36} />
      <path d={`M${middle},${frame.height - 30} l-9,-12 h18 Z`} />
    </g>
  );
}
