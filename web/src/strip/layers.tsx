import type {
  DrillOperation,
  Layout,
  Mount,
  PlannedHardware,
  Blank,
  Cut,
  Step,
  TwinsVerdict,
} from '@compas/core';
import { useId } from 'react';
import { formatLength } from '@compas/core';
import { useUnits } from '../ui/units.js';
import { useFrame } from './frame.js';

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

/** Bits as they stand in their holes, with the tape where the drilling stops. */
export function DrillLayer({ operations }: { operations: readonly DrillOperation[] }) {
  const frame = useFrame();
  return operations.map((o) => {
    const outward = o.hole.from === 'reference' ? -1 : 1;
    const mouth = o.hole.from === 'reference' ? 0 : frame.length;
    const point = frame.at(mouth - outward * o.toPoint);
    const tape = frame.at(mouth);
    const direction = Math.sign(tape - point) || 1;
    const radius = ((o.bit?.diameter.mm ?? o.hole.steps[0]?.diameter.mm ?? 4) / 2) * frame.scale;
    const end = tape + direction * 46;
    return (
      <g key={o.id}>
        <path
          d={`M${end},${frame.axis} V${frame.axis + radius - 2} H${frame.at(mouth - outward * o.toShoulder)} L${point},${frame.axis} Z`}
          className="bit"
        />
        <rect
          x={tape + (direction > 0 ? 0 : -9)}
          y={frame.axis - radius - 3}
          width={9}
          height={2 * radius + 6}
          className="tape"
        />
        <text
          x={tape + direction * 14}
          y={frame.axis - radius - 8}
          textAnchor={direction > 0 ? 'start' : 'end'}
          className="layer-word"
        >
          tape
        </text>
      </g>
    );
  });
}

/** Hardware in brass: insert, stud or ferrule where it sits. */
export function HardwareLayer({ hardware }: { hardware: PlannedHardware }) {
  const frame = useFrame();
  const { kit, fitted } = hardware;
  const inward = fitted.end === 'reference' ? 1 : -1;
  const mouth = fitted.end === 'reference' ? 0 : frame.length;
  const band = (from: number, to: number, diameter: number, key: string, lower = false) => {
    const a = frame.at(mouth + inward * from);
    const b = frame.at(mouth + inward * to);
    const half = (diameter / 2) * frame.scale;
    return (
      <rect
        key={key}
        x={Math.min(a, b)}
        y={lower ? frame.axis : frame.axis - half}
        width={Math.abs(b - a)}
        height={lower ? half : 2 * half}
        className="brass"
      />
    );
  };
  switch (kit.kind) {
    case 'tapped-insert':
      return [
        band(0, kit.insertLength.mm, kit.insertDiameter.mm, 'insert', true),
        band(-3, 0, kit.baseDiameter.mm, 'base'),
      ];
    case 'self-tapping-stud':
      return [
        band(0, kit.studLength.mm, kit.outsideDiameter.mm, 'stud', true),
        band(-3, 0, kit.baseDiameter.mm, 'base'),
      ];
    case 'ferrule':
      return [band(0, kit.length.mm, kit.outsideDiameter.mm, 'ferrule')];
  }
}

/** What holds the work: headstock left, tailstock right. */
export function MountLayer({ mount }: { mount: Mount }) {
  const frame = useFrame();
  const left = Math.min(frame.at(0), frame.at(frame.length)) - frame.before * frame.scale;
  const right = Math.max(frame.at(0), frame.at(frame.length)) + frame.after * frame.scale;
  const y = frame.axis;
  return (
    <g>
      <rect x={left - 56} y={y - 24} width={34} height={48} rx={3} className="iron" />
      <rect
        x={left - 22}
        y={y - (mount.kind === 'chuck' ? 18 : 7)}
        width={22}
        height={mount.kind === 'chuck' ? 36 : 14}
        className={mount.kind === 'mandrel' ? 'brass' : 'iron'}
      />
      {mount.tailstock !== null && (
        <>
          <path d={`M${right},${y} l18,-9 v18 Z`} className="iron" />
          <rect x={right + 18} y={y - 17} width={34} height={34} rx={3} className="iron" />
        </>
      )}
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
          <line x1={frame.at(mark.x)} x2={frame.at(mark.x)} y1={20} y2={frame.height - 26} className="mark" />
          <path d={`M${frame.at(mark.x)},${frame.height - 26} l-4,-7 h8 Z`} className="notch" />
        </g>
      ))}
      {layout.sizing.map((cut, i) => (
        <g key={cut.id}>
          <circle
            cx={frame.at(cut.x)}
            cy={frame.up(cut.finished / 2)}
            r={4}
            className={cut.mating ? 'station mating' : 'station'}
          />
          <text x={frame.at(cut.x)} y={i % 2 === 0 ? 12 : 26} textAnchor="middle" className="layer-word">
            {formatLength(cut.cutTo, units)}
          </text>
        </g>
      ))}
    </g>
  );
}

/** Order of cuts, numbered along the top; the wood that still stands hatched behind. */
export function CutLayer({ cuts }: { cuts: readonly Cut[] }) {
  const frame = useFrame();
  return cuts.map((cut, i) => {
    const x = frame.at((cut.x0 + cut.x1) / 2);
    return (
      <g key={cut.elementId}>
        <circle cx={x} cy={17 + (i % 2) * 4} r={11} className="cut-number" />
        <text x={x} y={22 + (i % 2) * 4} textAnchor="middle" className="cut-digit">
          {i + 1}
        </text>
      </g>
    );
  });
}

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
export function StepLayer({
  step,
  stations,
}: {
  step: Step;
  stations: readonly { id: string; x: number; finished: number }[];
}) {
  const frame = useFrame();
  return stations
    .filter((s) => step.measures.includes(s.id))
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
  return (
    <g>
      {verdict.stations.map(({ station }) => (
        <g key={station.id}>
          <rect
            x={frame.at(station.x) - 20}
            width={40}
            y={frame.up(station.finished / 2 + station.tolerance * ENLARGED * 0.5)}
            height={station.tolerance * ENLARGED * frame.scale}
            className="tolerance"
          />
        </g>
      ))}
      {verdict.pieces.flatMap((piece) =>
        piece.judgements.map(({ station, judgement }) => (
          <circle
            key={`${piece.piece}/${station.id}`}
            cx={frame.at(station.x) + ((piece.piece - 0.5) / verdict.pieces.length - 0.5) * 34}
            cy={frame.up(station.finished / 2 + (judgement.deviation / 2) * ENLARGED)}
            r={2.6}
            className={`deviation ${judgement.verdict}`}
          />
        )),
      )}
    </g>
  );
}
