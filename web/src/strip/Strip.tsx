import { type Bore, boreAt, extremes, facesLeft, radiusAt, type Hole, type Outline } from '@compas/core';
import { memo, use, useMemo, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { FrameContext, frameFor, type Frame } from './frame.js';
import { edgePath, halfPath, holePath, wholePath } from './paths.js';
import { CrossHoleLayer, SquareLayer } from './partLayers.js';
import { Readout } from './Readout.js';
import { Ruler } from './Ruler.js';
import { StripRoom } from './stripRoom.js';
import { useWidth } from './useWidth.js';
import { profileOf } from './wood/profile.js';
import { Outside, Section } from './wood/Turned.js';
import type { WoodLook } from './wood/woodLook.js';
import './strip.css';

interface StripProps {
  outline: Outline;
  holes: readonly Hole[];
  bores?: readonly Bore[];
  look: WoodLook;
  headstockEnd: 'reference' | 'far';
  /** waste between headstock and part, and between part and tailstock, mm */
  before?: number;
  after?: number;
  /** largest radius any layer needs, mm */
  largestRadius?: number;
  rpm?: number | null;
  selected?: string | null;
  onSelect?: (elementId: string) => void;
  tallest?: number;
  /** never lower than this, and room for a figure beside or above the work, px */
  least?: number;
  figure?: { width: number; height: number; above: number };
  /** keep the scale as it is, while something is dragged */
  held?: boolean;
  /** things on it can be taken hold of: then it is no single slider */
  edited?: boolean;
  /** the wood as it stands, drawn instead of the finished work */
  standing?: ReactNode;
  /** drawn under the work */
  behind?: ReactNode;
  /** drawn over the work */
  children?: ReactNode;
  /** what can be taken hold of, over everything */
  handles?: ReactNode;
}

const NO_BORES: readonly Bore[] = [];

/** As tall is a strip that is a band, px. */
const BAND = 156;

/** The work lying on the lathe: outside above the axis, section with its holes below. */
export function Strip(props: StripProps) {
  const {
    outline,
    holes,
    bores = NO_BORES,
    look,
    headstockEnd,
    before = 0,
    after = 0,
    rpm = null,
    selected = null,
    onSelect,
    tallest: wished = 236,
    least,
    figure,
    held = false,
    edited = false,
  } = props;
  const isBand = use(StripRoom) === 'band';
  const tallest = isBand ? Math.min(wished, BAND) : wished;
  const { ref, width } = useWidth<HTMLDivElement>();
  const [cursor, setCursor] = useState<number | null>(null);
  const stoutest = Math.max(1, extremes(outline, 0, outline.length).largest.diameter);
  const largest = props.largestRadius ?? Math.max(5, stoutest / 2);
  const fitted = useMemo(
    () =>
      frameFor({
        width,
        length: outline.length,
        largestRadius: largest,
        before,
        after,
        headstockEnd,
        tallest,
        ...(least === undefined ? {} : { least }),
        ...(figure === undefined ? {} : { figure }),
      }),
    [width, outline.length, largest, before, after, headstockEnd, tallest, least, figure],
  );
  const frame = useHeldFrame(fitted, held);
  const move = (event: PointerEvent<SVGSVGElement>) => setCursor(xUnder(event, frame));
  const onKeyDown = (event: KeyboardEvent) => {
    const step = (event.shiftKey ? 5 : 1) * (headstockEnd === 'reference' ? 1 : -1);
    if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return;
    event.preventDefault();
    setCursor((x) => clamp((x ?? 0) + (event.key === 'ArrowRight' ? step : -step), outline.length));
  };
  return (
    <div className="strip" ref={ref}>
      <svg
        width={frame.width}
        height={frame.height}
        {...(edited
          ? { role: 'group', 'aria-label': 'The work on the lathe, headstock left' }
          : {
              role: 'slider',
              'aria-label': 'The work on the lathe, headstock left. Arrow keys move the reading.',
              'aria-valuemin': 0,
              'aria-valuemax': Math.round(outline.length),
              'aria-valuenow': Math.round(cursor ?? 0),
              tabIndex: 0,
            })}
        onPointerMove={move}
        onPointerLeave={() => setCursor(null)}
        onKeyDown={onKeyDown}
      >
        <FrameContext value={frame}>
          {props.behind}
          {props.standing ?? <Wood outline={outline} holes={holes} bores={bores} look={look} frame={frame} />}
          {selected !== null && <Selection outline={outline} frame={frame} elementId={selected} />}
          <line
            x1={10}
            x2={frame.figure.beside ? frame.figure.x - 16 : frame.width - 10}
            y1={frame.axis}
            y2={frame.axis}
            className="strip-axis"
          />
          <Ruler />
          {props.children}
          {onSelect && <Targets outline={outline} frame={frame} onSelect={onSelect} />}
          {props.handles}
          {cursor !== null && (
            <line
              x1={frame.at(cursor)}
              x2={frame.at(cursor)}
              y1={8}
              y2={frame.height - 26}
              className="strip-cursor"
            />
          )}
        </FrameContext>
      </svg>
      {!isBand && (
        <Readout
          x={cursor}
          diameter={cursor === null ? 0 : 2 * radiusAt(outline, cursor)}
          bore={cursor === null ? 0 : 2 * boreAt(holes, outline, cursor)}
          stoutest={stoutest}
          rpm={rpm}
        />
      )}
    </div>
  );
}

interface WoodProps {
  outline: Outline;
  holes: readonly Hole[];
  bores: readonly Bore[];
  look: WoodLook;
  frame: Frame;
}

/** The work itself; a pointer that moves or a clock that ticks does not draw it anew. */
const Wood = memo(function Wood({ outline, holes, bores, look, frame }: WoodProps) {
  const profile = useMemo(() => profileOf(outline, frame.scale), [outline, frame.scale]);
  const stoutest = useMemo(() => extremes(outline, 0, outline.length).largest.diameter / 2, [outline]);
  const squares = useMemo(
    () =>
      (outline.squares ?? []).flatMap(({ elementId, side }) => {
        // beside it its shoulders are turned
        const flat = outline.segments.find((s) => s.elementId === elementId && s.bulge === 0 && s.x1 > s.x0);
        if (!flat) return [];
        const { x0, x1 } = flat;
        const [a, b] = [frame.at(x0), frame.at(x1)];
        return {
          path: `M${a},${frame.axis}V${frame.up(side / 2)}H${b}V${frame.axis}Z`,
          profile: [x0, x1].map((x) => ({ x, r: side / 2 })),
        };
      }),
    [outline, frame],
  );
  const wood = { profile, frame, look, stoutest, at: frame.at };
  return (
    <>
      <Outside path={halfPath(outline, frame, 1)} {...wood} />
      <Section path={halfPath(outline, frame, -1)} {...wood} />
      {squares.map(({ path, profile }) => (
        <Outside
          key={path}
          path={path}
          {...wood}
          profile={profile}
          surface={facesLeft(outline) ?? 'planed'}
          flat
        />
      ))}
      {holes.map((hole) => (
        <path key={hole.id} d={holePath(hole, outline.length, frame)} className="strip-hole" />
      ))}
      <path d={wholePath(outline, frame)} className="strip-edge" />
      <SquareLayer outline={outline} />
      <CrossHoleLayer bores={bores} />
    </>
  );
});

/** The frame as it fits, or as it was when something was taken hold of. */
function useHeldFrame(fitted: Frame, held: boolean): Frame {
  const [kept, setKept] = useState<Frame | null>(null);
  if (held && kept === null) setKept(fitted);
  if (!held && kept !== null) setKept(null);
  // the length still follows, so that positions on the part stay inside it
  return useMemo(() => (kept ? { ...kept, length: fitted.length } : fitted), [kept, fitted]);
}

const clamp = (x: number, length: number) => Math.min(length, Math.max(0, x));
function xUnder(event: PointerEvent<SVGSVGElement>, frame: Frame): number | null {
  const px = event.clientX - event.currentTarget.getBoundingClientRect().left;
  const left = frame.at(0);
  const right = frame.at(frame.length);
  const share = (px - left) / (right - left);
  return share < 0 || share > 1 ? null : share * frame.length;
}

function Selection({ outline, frame, elementId }: { outline: Outline; frame: Frame; elementId: string }) {
  const own = outline.segments.filter((s) => s.elementId === elementId);
  return ([1, -1] as const).map((side) => (
    <path key={side} d={edgePath(own, frame, side)} className="strip-selected" />
  ));
}

/** Each element can be chosen on the drawing. */
function Targets({
  outline,
  frame,
  onSelect,
}: {
  outline: Outline;
  frame: Frame;
  onSelect: (id: string) => void;
}) {
  return outline.spans.map((span) => {
    const a = frame.at(span.x0);
    const b = frame.at(span.x1);
    const width = Math.max(8, Math.abs(b - a));
    return (
      <rect
        key={span.element.id}
        x={(a + b) / 2 - width / 2}
        y={20}
        width={width}
        height={frame.height - 60}
        fill="transparent"
        cursor="pointer"
        onClick={() => onSelect(span.element.id)}
      />
    );
  });
}
