import type { Layout, Blank, Cut, SizingCut, Station, Step, TwinsVerdict } from '@compas/core';
import { useId } from 'react';
import { formatLength, spreadLabels } from '@compas/core';
import { useUnits } from '../ui/units.js';
import { useFrame, type Frame } from './frame.js';

/** Blank round the work: waste hatched, the blank's edge drawn. */
export function BlankLayer({ blank }: { blank: Blank }) {
  const frame = useFrame();
  const hatch = useId();
  const left = Math.min(frame.at(0), frame.at(frame.length)) - frame.before * frame.scale;
  const width = (frame.before + frame.length + frame.after) * frame.scale;
  const half = (blank.section / 2) * frame.scale;
  return (
    <g>
      <defs>
        <pattern id={hatch} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" className="hatch" />
        </pattern>
      </defs>
      <rect
        x={left}
        y={frame.axis - half}
        width={width}
        height={2 * half}
        fill={`url(#${hatch})`}
        className="blank-edge"
      />
    </g>
  );
}

/** Lines of the story stick with the diameters to cut to. */
export function MarkLayer({ layout }: { layout: Layout }) {
  const frame = useFrame();
  const { units } = useUnits();
  return (
    <g>
      {layout.marks.map((mark) => (
        <g key={mark.id}>
          <line
            x1={frame.at(mark.x)}
            x2={frame.at(mark.x)}
            y1={20}
            y2={frame.height - 26}
            className={mark.id === layout.datum?.id ? 'mark datum' : 'mark'}
          />
          <path d={`M${frame.at(mark.x)},${frame.height - 26} l-4,-7 h8 Z`} className="notch" />
        </g>
      ))}
      {layout.sizing.map((cut) => (
        <circle
          key={cut.id}
          cx={frame.at(cut.x)}
          cy={frame.up(cut.finished / 2)}
          r={4}
          className={cut.mating ? 'station mating' : 'station'}
        />
      ))}
      {sizeLabels(layout.sizing, frame).map(({ cut, x, y, at }) => (
        <g key={cut.id}>
          {Math.abs(at - x) > 4 && (
            <line x1={at} y1={y + 3} x2={x} y2={frame.up(cut.finished / 2) - 5} className="cut-leads" />
          )}
          <text x={at} y={y} textAnchor="middle" className="layer-word clear">
            {formatLength(cut.cutTo, units)}
          </text>
        </g>
      ))}
    </g>
  );
}

/** Rows in which diameters are written over their places, px, and how wide one is. */
const SIZE_ROWS = [12, 26] as const;
const SIZE_WIDE = 62;

/** Where the diameters are written: in turn in two rows, in each no nearer than they are wide. */
function sizeLabels(sizing: readonly SizingCut[], frame: Frame) {
  const places = sizing.map((cut) => ({ cut, x: frame.at(cut.x) })).sort((a, b) => a.x - b.x);
  return SIZE_ROWS.flatMap((y, row) => {
    const own = places.filter((_, i) => i % SIZE_ROWS.length === row);
    const laid = spreadLabels(
      own.map((p) => p.x),
      SIZE_WIDE,
      [SIZE_WIDE / 2, frame.width - SIZE_WIDE / 2],
    );
    return own.map(({ cut, x }, i) => ({ cut, x, y, at: laid[i] ?? x }));
  });
}

/** Order of cuts, numbered along the top; the wood that still stands hatched behind. */
export function CutLayer({ cuts }: { cuts: readonly Cut[] }) {
  const frame = useFrame();
  const places = cuts
    .map((cut, i) => ({ cut, number: i + 1, x: frame.at((cut.x0 + cut.x1) / 2) }))
    .sort((a, b) => a.x - b.x);
  const laid = spreadLabels(
    places.map((p) => p.x),
    CUT_WIDE,
    [CUT_WIDE / 2, frame.width - CUT_WIDE / 2],
  );
  return places.map(({ cut, number, x }, i) => {
    const at = laid[i] ?? x;
    return (
      <g key={cut.elementId}>
        {Math.abs(at - x) > 2 && <line x1={at} x2={x} y1={17} y2={34} className="cut-leads" />}
        <circle cx={at} cy={17} r={11} className="cut-number" />
        <text x={at} y={22} textAnchor="middle" className="cut-digit">
          {number}
        </text>
      </g>
    );
  });
}

/** Numbers of cuts stand no nearer than this, px. */
const CUT_WIDE = 24;

/** A wash over what is sanded and finished. */
export function FinishLayer() {
  const frame = useFrame();
  const left = Math.min(frame.at(0), frame.at(frame.length));
  return (
    <rect
      x={left}
      y={frame.height - 42}
      width={frame.length * frame.scale}
      height={8}
      className="finish-zone"
    />
  );
}

/** Where the step at hand works. */
export function StepLayer({ step, stations }: { step: Step; stations: readonly Station[] }) {
  const frame = useFrame();
  return stations
    .filter((s) => step.measures.includes(s.id))
    .map(({ along, ...s }) => ({ ...s, finished: along?.across ?? s.finished }))
    .map((s) => (
      <g key={s.id}>
        <line
          x1={frame.at(s.x)}
          x2={frame.at(s.x)}
          y1={frame.up(s.finished / 2) - 26}
          y2={frame.up(s.finished / 2)}
          className="calliper"
        />
        <line
          x1={frame.at(s.x)}
          x2={frame.at(s.x)}
          y1={frame.up(-s.finished / 2) + 26}
          y2={frame.up(-s.finished / 2)}
          className="calliper"
        />
      </g>
    ));
}

/** How much deviations are enlarged on the drawing. */
export const ENLARGED = 12;

/** Every piece's deviation at every station, enlarged, over the outline. */
export function DeviationLayer({ verdict }: { verdict: TwinsVerdict }) {
  const frame = useFrame();
  const ends = [frame.at(0), frame.at(frame.length)];
  const [left, right] = [Math.min(...ends) + BESIDE, Math.max(...ends) - BESIDE];
  // what is measured at an end is drawn on the piece, not beside it
  const middle = (x: number) =>
    left > right ? (left + right) / 2 : Math.min(right, Math.max(left, frame.at(x)));
  return (
    <g>
      {verdict.stations
        .filter(({ count, station }) => count > 0 && !station.along)
        .map(({ station }) => (
          <rect
            key={station.id}
            x={middle(station.x) - BESIDE}
            width={2 * BESIDE}
            y={frame.up(station.finished / 2 + station.tolerance * ENLARGED * 0.5)}
            height={station.tolerance * ENLARGED * frame.scale}
            className="tolerance"
          />
        ))}
      {verdict.stations
        .filter(({ count }) => count > 0)
        .map(({ station }) => station.along && <AlongBand key={station.id} station={station} />)}
      {verdict.pieces.flatMap((piece) =>
        piece.judgements.map(({ station, judgement }) =>
          station.along ? (
            <circle
              key={`${piece.piece}/${station.id}`}
              cx={frame.at(station.x + judgement.deviation * ENLARGED)}
              cy={besideAxis(frame, piece.piece, verdict.pieces.length)}
              r={2.6}
              className={`deviation ${judgement.verdict}`}
            />
          ) : (
            <circle
              key={`${piece.piece}/${station.id}`}
              cx={middle(station.x) + ((piece.piece - 0.5) / verdict.pieces.length - 0.5) * 34}
              cy={frame.up(station.finished / 2 + (judgement.deviation / 2) * ENLARGED)}
              r={2.6}
              className={`deviation ${judgement.verdict}`}
            />
          ),
        ),
      )}
    </g>
  );
}

/** Places along the axis are held against a band that stands across it. */
function AlongBand({ station: { x, tolerance } }: { station: Station }) {
  const frame = useFrame();
  const wide = 2 * tolerance * ENLARGED * frame.scale;
  return (
    <rect
      x={frame.at(x) - wide / 2}
      width={wide}
      y={frame.up(0) - BESIDE}
      height={2 * BESIDE}
      className="tolerance"
    />
  );
}

/** Pieces one below the other at the axis, where what is beside them is read along it. */
const besideAxis = ({ up }: Frame, piece: number, of: number): number =>
  up(0) + ((piece - 0.5) / of - 0.5) * 34;

/** Half the width in which the readings of a station stand side by side, px. */
const BESIDE = 20;
