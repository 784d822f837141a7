import { type BoardCut, type CutStock, isRound, type Material } from '@compas/core';
import { useId } from 'react';
import { TONES } from '../strip/tones.js';
import { useWidth } from '../strip/useWidth.js';
import { Sizes } from '../ui/Sizes.js';

interface BoardDrawingProps {
  cut: BoardCut;
  stock: CutStock;
  /** a letter for each demand */
  letters: ReadonlyMap<string, string>;
  materials: readonly Material[];
  /** length that fills the width: that of the longest board of the plan, mm */
  longest: number;
  /** boards that are cut alike */
  alike: number;
}

/** A stock piece from above: a rectangle, of a tip the one that narrows to its thin end. */
function outlineOf({ length, width, thinEnd = width }: CutStock, scale: number): string {
  const inwards = (width - thinEnd) / 2;
  const corners = [
    [0, 0],
    [length, inwards],
    [length, width - inwards],
    [0, width],
  ];
  return corners.map(([x = 0, y = 0]) => `${2 + x * scale},${2 + y * scale}`).join(' ');
}

/** One stock piece from above as it is cut: blanks with their letters, offcuts in outline, waste hatched. */
export function BoardDrawing({ cut, stock, letters, materials, longest, alike }: BoardDrawingProps) {
  const { ref, width } = useWidth<HTMLElement>();
  const hatch = useId();
  const scale = (width - 4) / longest;
  const tone = TONES[materials.find((m) => m.id === stock.materialId)?.tone ?? 'honey'];
  const height = stock.width * scale;
  const box = (r: { x: number; y: number; length: number; width: number }) => ({
    x: 2 + r.x * scale,
    // what is round is cut round its middle
    y: 2 + (isRound(stock) ? (stock.width - r.width) / 2 : r.y) * scale,
    width: Math.max(1, r.length * scale),
    height: Math.max(1, r.width * scale),
  });
  const made = cut.blanks.reduce((sum, b) => sum + b.layers, 0);
  const used = Math.round((100 * (cut.blankVolume + cut.offcutVolume)) / cut.stockVolume);
  const layers = Math.max(1, ...cut.blanks.map((b) => b.layers));
  return (
    <figure className="cut-board" ref={ref}>
      <figcaption>
        <b>
          {alike > 1 && `${alike} × `}
          {stock.label}
        </b>{' '}
        <span className="soft">
          <Sizes mm={[stock.thickness, stock.width, stock.length]} />: {made} blanks{alike > 1 && ' each'}
          {layers > 1 && `, ${layers} above one another`}, {used} % of it used or kept
        </span>
      </figcaption>
      <svg
        width={width}
        height={height + 4}
        role="img"
        aria-label={`How ${stock.label} is cut: ${made} blanks`}
      >
        <defs>
          <pattern
            id={hatch}
            width={7}
            height={7}
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width={7} height={7} fill="#f4efe4" />
            <line x1={0} y1={0} x2={0} y2={7} stroke="#a89a82" strokeWidth={1.4} />
          </pattern>
        </defs>
        <polygon points={outlineOf(stock, scale)} fill={`url(#${hatch})`} stroke="#5c5346" />
        {cut.offcuts.map((o, i) => (
          <g key={`o${i}`}>
            <rect
              {...box({ ...o, width: Math.min(o.width, stock.width - o.y) })}
              fill={tone.section}
              stroke="#5c5346"
              strokeDasharray="5 3"
            />
            {o.length * scale > 52 && o.width * scale > 13 && (
              <text
                x={2 + (o.x + o.length / 2) * scale}
                y={2 + (o.y + Math.min(o.width, stock.width - o.y) / 2) * scale}
                className="cut-mark"
              >
                kept
              </text>
            )}
          </g>
        ))}
        {cut.blanks.map((b, i) => {
          const r = box(b);
          return (
            <g key={i}>
              <rect {...r} fill={tone.outside} stroke="#3c3226" />
              {r.width > 12 && r.height > 10 && (
                <text x={r.x + r.width / 2} y={r.y + r.height / 2} className="cut-mark">
                  {letters.get(b.demandId)}
                </text>
              )}
            </g>
          );
        })}
        {stock.zones.map((z, i) => (
          <rect
            key={`z${i}`}
            {...box({
              x: Math.max(0, z.from),
              y: Math.max(0, z.low),
              length: z.to - Math.max(0, z.from),
              width: z.high - Math.max(0, z.low),
            })}
            fill="#6b3d2a"
            fillOpacity={0.6}
          />
        ))}
      </svg>
    </figure>
  );
}
