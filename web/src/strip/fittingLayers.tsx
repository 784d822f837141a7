import {
  boreAt,
  edgePoints,
  formatLength,
  heightAt,
  kitBands,
  radiusAt,
  type CrossOperation,
  type DrillOperation,
  type KitBand,
  type Missed,
  type Mount,
  type MountKind,
  type PartPlan,
  type PlannedHardware,
  type Template,
} from '@compas/core';
import { useId } from 'react';
import { useUnits } from '../ui/units.js';
import { useFrame, type Frame } from './frame.js';

/** Bits as they stand in their holes with the tape where the drilling stops, and the thinnest wall. */
export function DrillLayer({ part }: { part: PartPlan }) {
  const { drilling, crossDrilling = [] } = part;
  // the widest bit of each end is drawn; its stairs show in the section
  const shown = drilling.filter(
    (o) => !drilling.some((other) => other !== o && sameMouth(other, o) && other.toPoint > o.toPoint),
  );
  return (
    <g>
      {shown.map((o) => (
        <AxialBit key={o.id} operation={o} />
      ))}
      {crossDrilling.filter(seenFromTheSide).map((o) => (
        <CrossBit key={o.id} operation={o} part={part} />
      ))}
      <WallMark part={part} />
    </g>
  );
}

/** A bit that comes towards the turner is seen as its hole only. */
const seenFromTheSide = ({ angle }: CrossOperation) => Math.abs(Math.sin((angle * Math.PI) / 180)) > 0.7;

const sameMouth = (a: DrillOperation, b: DrillOperation) => a.hole.from === b.hole.from;

function AxialBit({ operation: o }: { operation: DrillOperation }) {
  const frame = useFrame();
  const outward = o.hole.from === 'reference' ? -1 : 1;
  const mouth = o.hole.from === 'reference' ? 0 : frame.length;
  const point = frame.at(mouth - outward * o.toPoint);
  const tape = frame.at(mouth);
  const direction = Math.sign(tape - point) || 1;
  const radius = ((o.bit?.diameter.mm ?? o.hole.steps[0]?.diameter.mm ?? 4) / 2) * frame.scale;
  const end = tape + direction * 46;
  return (
    <g>
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
}

/** A bit that comes down on the work from the face it is drilled into. */
function CrossBit({ operation: o, part }: { operation: CrossOperation; part: PartPlan }) {
  const frame = useFrame();
  const half = ((o.bit?.diameter.mm ?? 4) / 2) * frame.scale;
  const x = frame.at(o.x);
  const top = frame.up(radiusAt(part.outline, o.x));
  return (
    <g>
      <path
        d={`M${x - half},8 V${top - half} L${x},${top} L${x + half},${top - half} V8 Z`}
        className="bit"
      />
      <rect x={x - half - 3} y={Math.max(10, top - 22)} width={2 * half + 6} height={7} className="tape" />
    </g>
  );
}

/** Where least wood is left, and how much. */
function WallMark({ part: { leastWall, holes, outline } }: { part: PartPlan }) {
  const frame = useFrame();
  const { units } = useUnits();
  if (!leastWall || leastWall.wall <= 0) return null;
  const x = frame.at(leastWall.x);
  const inner = frame.up(-boreAt(holes, outline, leastWall.x));
  const outer = frame.up(-radiusAt(outline, leastWall.x));
  return (
    <g className="wall-mark">
      <line x1={x} x2={x} y1={inner} y2={outer} />
      <path d={`M${x - 4},${inner + 5} L${x},${inner} L${x + 4},${inner + 5}`} />
      <path d={`M${x - 4},${outer - 5} L${x},${outer} L${x + 4},${outer - 5}`} />
      <text x={x + 6} y={outer + 14} className="layer-word">
        wall {formatLength(leastWall.wall, units)}
      </text>
    </g>
  );
}

/** Hardware in brass where it sits. */
export function HardwareLayer({ hardware: { kit, fitted, needs } }: { hardware: PlannedHardware }) {
  const frame = useFrame();
  const inward = fitted.end === 'reference' ? 1 : -1;
  const mouth = fitted.end === 'reference' ? 0 : frame.length;
  const place = (depth: number) => frame.at(mouth + inward * Math.min(depth, frame.length));
  return kitBands(kit, needs.way).map((band, i) => (
    <path key={i} d={bandPath(band, place, frame)} className="brass" />
  ));
}

function bandPath(band: KitBand, place: (depth: number) => number, frame: Frame): string {
  const [a, b] = [place(band.from), place(band.to)];
  const near = band.diameter / 2;
  const far = (band.endDiameter ?? band.diameter) / 2;
  const top = band.inside ? 0 : 1;
  return `M${a},${frame.up(top * near)} L${b},${frame.up(top * far)} L${b},${frame.up(-far)} L${a},${frame.up(-near)} Z`;
}

/** Ways whose fixture is broad against the work. */
const BROAD: readonly MountKind[] = [
  'chuck',
  'recess',
  'collet',
  'glued shaft',
  'tape plate',
  'cups',
  'friction pair',
  'screw',
];
/** Ways that stand in a hole of the work. */
const INSIDE: readonly MountKind[] = ['mandrel', 'through mandrel', 'dowel'];

/** What holds the work: headstock left, tailstock right, in between what the fixture takes up. */
export function MountLayer({ mount }: { mount: Mount }) {
  const frame = useFrame();
  const left = Math.min(frame.at(0), frame.at(frame.length)) - frame.before * frame.scale;
  const right = Math.max(frame.at(0), frame.at(frame.length)) + frame.after * frame.scale;
  const y = frame.axis;
  const half = BROAD.includes(mount.kind) ? 18 : 7;
  return (
    <g>
      <rect x={left - 56} y={y - 24} width={34} height={48} rx={3} className="iron" />
      <rect
        x={left - 22}
        y={y - half}
        width={22}
        height={2 * half}
        className={INSIDE.includes(mount.kind) ? 'brass' : 'iron'}
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

/** The template's edge above the work, its split, and what the cutter leaves or gouges. */
export function TemplateLayer({ template, part }: { template: Template; part: PartPlan }) {
  const frame = useFrame();
  const hatch = useId();
  const { left, gouged, splitAt, reached } = template;
  const line = edgePoints(reached, 0.05)
    .map(([x, r]) => `${frame.at(x)},${frame.up(r)}`)
    .join(' L');
  return (
    <g>
      <defs>
        <pattern id={hatch} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="6" className="left-hatch" />
        </pattern>
      </defs>
      {left.map((m) => (
        <path
          key={m.x0}
          d={between(m, part, template, frame)}
          fill={`url(#${hatch})`}
          className="left-over"
        />
      ))}
      {gouged.map((m) => (
        <path key={m.x0} d={between(m, part, template, frame)} className="gouged" />
      ))}
      {[...left, ...gouged].map((m) => (
        <path
          key={`at${m.x}`}
          d={`M${frame.at(m.x)},${frame.up(heightAt(reached, m.x) ?? 0) - 3} l-5,-9 h10 Z`}
          className={gouged.includes(m) ? 'gouged' : 'notch'}
        />
      ))}
      <path d={`M${line}`} className="template-edge" />
      <line x1={frame.at(splitAt)} x2={frame.at(splitAt)} y1={8} y2={frame.axis} className="mark datum" />
      <text x={frame.at(splitAt)} y={16} textAnchor="middle" className="layer-word">
        ← split →
      </text>
    </g>
  );
}

/** The patch between the profile and what comes out, on the upper half. */
function between(m: Missed, part: PartPlan, template: Template, frame: Frame): string {
  const steps = 12;
  const xs = Array.from({ length: steps + 1 }, (_, i) => m.x0 + ((m.x1 - m.x0) * i) / steps);
  const wished = xs.map((x) => `${frame.at(x)},${frame.up(radiusAt(part.outline, x))}`);
  const got = xs.map((x) => `${frame.at(x)},${frame.up(heightAt(template.reached, x) ?? 0)}`);
  return `M${wished.join(' L')} L${got.reverse().join(' L')} Z`;
}
