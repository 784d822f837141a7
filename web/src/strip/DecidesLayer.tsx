import { extremes, formatLength, radiusAt, type Figure, type Outline } from '@compas/core';
import type { ReactNode } from 'react';
import { useUnits } from '../ui/units.js';
import { useFrame, type Frame } from './frame.js';

interface DecidesLayerProps {
  outline: Outline;
  figures: readonly Figure[];
  /** shows the working of what is pointed at */
  onOpen?: (figureId: string) => void;
}

/** Figures that have a place on the work: they are drawn there, and the column beside it keeps what has none. */
const PLACED = /^(narrowest|leaststiff|balance)\./;

/** Figures in those that are drawn where they are and those that have no place. */
export const placedApart = (figures: readonly Figure[]): { placed: Figure[]; others: Figure[] } => ({
  placed: figures.filter((f) => PLACED.test(f.id)),
  others: figures.filter((f) => !PLACED.test(f.id)),
});

/**
 * What decides, where it is: the thinnest place between the points of a calliper, the balance as a fulcrum under the
 * work, the least stiff place as a bend.
 */
export function DecidesLayer({ outline, figures, onOpen }: DecidesLayerProps) {
  const frame = useFrame();
  const { units } = useUnits();
  const of = (name: string) => figures.find((f) => f.id.startsWith(`${name}.`));
  const [thin, bend, balance] = [of('narrowest'), of('leaststiff'), of('balance')];
  const thinAt = thin && placeIn(thin);
  const bendAt = bend && Number(bend.value);
  const balanceAt = balance && Number(balance.value);
  const opener = (figure: Figure) => (onOpen ? () => onOpen(figure.id) : undefined);
  const words = (figure: Figure, mm: number) => `${figure.label}: ${formatLength(mm, units)}`;
  return (
    <g className="decides">
      {thin && thinAt !== undefined && (
        <Told words={words(thin, Number(thin.value))} onOpen={opener(thin)}>
          <Calliper frame={frame} x={thinAt} diameter={Number(thin.value)} />
          <Written frame={frame} outline={outline} x={thinAt} from={frame.up(Number(thin.value) / 2) - POINT}>
            {formatLength(Number(thin.value), units)}
          </Written>
        </Told>
      )}
      {bend && bendAt !== undefined && (
        <Told words={words(bend, bendAt)} onOpen={opener(bend)}>
          <path d={bow(frame.at(bendAt), frame.up(-radiusAt(outline, bendAt)) + POINT + 10)} />
        </Told>
      )}
      {balance && balanceAt !== undefined && (
        <Told words={words(balance, balanceAt)} onOpen={opener(balance)}>
          <path
            className="fulcrum"
            d={fulcrum(frame.at(balanceAt), frame.up(-radiusAt(outline, balanceAt)) + 2)}
          />
        </Told>
      )}
    </g>
  );
}

/** Length of a calliper's point as it is drawn, px. */
const POINT = 14;

/** About as wide is a figure, px. */
const WRITTEN = 40;

/** What can be taken hold of reaches so far above the work, px. */
const HANDLE = 20;

interface WrittenProps {
  frame: Frame;
  outline: Outline;
  x: number;
  /** where the point begins that it belongs to, px */
  from: number;
  children: string;
}

/**
 * A figure over its place, on the side on which the work rises less: above the wood and what can be taken hold of there,
 * led to its place where that is farther down.
 */
function Written({ frame, outline, x, from, children }: WrittenProps) {
  const along = WRITTEN / frame.scale;
  const { length } = outline;
  const reach = (a: number, b: number) =>
    extremes(outline, Math.max(0, a), Math.min(length, b)).largest.diameter / 2;
  const [before, after] = [reach(x - along, x), reach(x, x + along)];
  const right = frame.at(1) > frame.at(0) === after <= before;
  const y = Math.min(from - 4, frame.up(Math.min(before, after)) - HANDLE);
  const px = frame.at(x);
  return (
    <>
      {from - y > 8 && <path d={`M${px},${from}V${y}`} className="calliper-led" />}
      <text x={px + (right ? 8 : -8)} y={y} textAnchor={right ? 'start' : 'end'}>
        {children}
      </text>
    </>
  );
}

/** Where along the piece a figure was found. */
const placeIn = ({ working }: Figure): number | undefined => {
  const value = working.inputs.find((i) => i.label === 'from the reference end')?.value;
  return value === undefined ? undefined : Number(value);
};

function Calliper({ frame, x, diameter }: { frame: Frame; x: number; diameter: number }) {
  const [px, top, bottom] = [frame.at(x), frame.up(diameter / 2), frame.up(-diameter / 2)];
  return (
    <>
      <path d={`M${px},${top}l-4,${-POINT}h8Z`} className="calliper-point" />
      <path d={`M${px},${bottom}l-4,${POINT}h8Z`} className="calliper-point" />
    </>
  );
}

/** A bow under the work, its ends turned down: here it gives first. */
const bow = (x: number, y: number): string =>
  `M${x - 18},${y + 5}Q${x},${y - 7} ${x + 18},${y + 5}m-6,-6l6,6l-8,2M${x - 12},${y - 1}l-6,6l8,2`;

const fulcrum = (x: number, y: number): string => `M${x},${y}l-8,13h16Z`;

interface ToldProps {
  words: string;
  onOpen: (() => void) | undefined;
  children: ReactNode;
}

/** Drawn and told: by pointer, by key and to who hears the screen. */
function Told({ words, onOpen, children }: ToldProps) {
  const told = (
    <>
      <title>{words}</title>
      {children}
    </>
  );
  if (!onOpen)
    return (
      <g role="img" aria-label={words}>
        {told}
      </g>
    );
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={words}
      onClick={onOpen}
      onKeyDown={(e) => {
        if (e.key !== 'Enter' && e.key !== ' ') return;
        // the space bar opens it and does not scroll the page
        e.preventDefault();
        onOpen();
      }}
    >
      {told}
    </g>
  );
}
