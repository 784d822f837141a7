import type { StandingWood } from '@compas/core';
import { useFrame } from '../strip/frame.js';
import { Length } from '../ui/Length.js';
import { lensOf } from './lens.js';
import type { ShownFigure, ShownSmall } from './shownFigure.js';

/** A screen that is narrower has its figure in two lines, px. */
const NARROW = 900;
/** Room at both sides of a figure above the work, px. */
const EDGE = 8;

/** Room that the one figure takes on the strip, px: above the work its name goes below it where the screen is narrow. */
export const figureRoom = (screen: number): { width: number; height: number; above: number } => ({
  width: 430,
  height: 196,
  above: screen < NARROW ? 162 : 116,
});

/** The one large figure of a step, hung from the place where it is worked by a line, with where that is measured from. */
export function FigureLayer({ figure, standing }: { figure: ShownFigure; standing: StandingWood | null }) {
  const frame = useFrame();
  const { y, beside } = frame.figure;
  const x = beside ? frame.figure.x : EDGE;
  const room = figureRoom(window.innerWidth);
  const place = placeOf(standing, frame.at);
  const lens = lensOf(frame, standing);
  // beside the enlarged place it is narrower, and goes as far down as the wood
  const height = beside ? room.height : lens ? frame.up(standing?.most ?? 0) - y - EDGE : room.above;
  // where the work leaves more room than was kept, the place it is measured from stands in one line
  const width = beside ? Math.max(room.width, frame.width - x - EDGE) : (lens?.x ?? frame.width) - 2 * x;
  // the line leads from the place to the edge of the figure
  const to = beside
    ? `M${place ?? 0},${frame.axis - 8} V${Math.max(14, y - 6)} H${x}`
    : `M${place ?? 0},${frame.axis - 8} V${y + height}`;
  return (
    <g className="figure-layer">
      {place !== null && <path d={to} className="figure-line" />}
      <foreignObject x={x} y={y} width={width} height={height}>
        <div className="run-hung" data-beside={beside}>
          <p className="run-figure-label">{figure.label}</p>
          <p
            className="run-figure"
            data-long={'text' in figure ? figure.text.length > 8 : figure.to !== undefined}
          >
            <Value figure={figure} />
          </p>
          {figure.from && <p className="run-datum">{figure.from}</p>}
          {figure.at && (
            <p className="run-datum">
              {figure.at.mm !== undefined && <Length mm={figure.at.mm} bare />}
              {figure.at.to !== undefined && (
                <>
                  {figure.at.mm === undefined ? 'over ' : ' to '}
                  <Length mm={figure.at.to} bare />
                </>
              )}{' '}
              {figure.at.from}
            </p>
          )}
          {figure.beside?.map((small) => (
            <p key={small.label} className="run-datum">
              {small.label}{' '}
              <b>
                <Value figure={small} />
              </b>
              {small.from && ` ${small.from}`}
            </p>
          ))}
        </div>
      </foreignObject>
    </g>
  );
}

function Value({ figure }: { figure: ShownSmall }) {
  if ('text' in figure) return figure.text;
  return (
    <>
      <Length mm={figure.mm} />
      {figure.to !== undefined && (
        <>
          {' '}
          to <Length mm={figure.to} />
        </>
      )}
    </>
  );
}

/** Where on the strip the work is done, px; null where it is about the whole. */
function placeOf(standing: StandingWood | null, at: (x: number) => number): number | null {
  if (!standing?.work) return null;
  const { work, pieceAt, pieceRuns } = standing;
  return at(((work.x0 + work.x1) / 2 - pieceAt) * pieceRuns);
}
