import { fine, len, type Finding, type FittedSample } from '@compas/core';
import { Button } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import { useFrame } from '../strip/frame.js';
import { Strip } from '../strip/Strip.js';
import { Findings } from '../ui/Findings.js';
import { FineLength, Length } from '../ui/Length.js';
import { tracing } from '../workers/tracing.js';
import type { Measured } from './measured.js';

export interface Fit {
  fitted: FittedSample | null;
  why: string | null;
}

/** Elements laid through what was measured, beside the interface; left-out places are not asked. */
export function useFit(measured: Measured | null, ignored: ReadonlySet<number>): Fit {
  const [fit, setFit] = useState<Fit>({ fitted: null, why: null });
  useEffect(() => {
    let current = true;
    const points = measured?.points.filter((p) => !ignored.has(p.x)) ?? [];
    if (!measured || points.length < 3) {
      setFit({ fitted: null, why: null });
      return;
    }
    tracing()
      .fit(points, measured.unsure)
      .then((fitted) => current && setFit({ fitted, why: null }))
      .catch((error: Error) => current && setFit({ fitted: null, why: error.message }));
    return () => {
      current = false;
    };
  }, [measured, ignored]);
  return fit;
}

interface FitViewProps {
  measured: Measured | null;
  fit: Fit;
  ignored: ReadonlySet<number>;
  onIgnore: (ignored: ReadonlySet<number>) => void;
}

/** The fitted elements over what was measured; what is sure, what is not, and what may be left out. */
export function FitView({ measured, fit: { fitted, why }, ignored, onIgnore }: FitViewProps) {
  const findings = useMemo(() => (fitted ? findingsOf(fitted) : []), [fitted]);
  if (why) return <p className="sheet">{why}</p>;
  if (!fitted || !measured)
    return (
      <div className="sheet">
        <h2>What will stand here</h2>
        <p>
          The elements that were found, drawn over what was measured, how far they are off, and the places
          where the fit is unsure. You decide which irregularities are meant.
        </p>
      </div>
    );
  const start = Math.min(...measured.points.map((p) => p.x));
  const loose = fitted.outliers.map((o) => o.x + start);
  return (
    <div className="column">
      <Strip outline={fitted.outline} holes={[]} tone="honey" headstockEnd="reference" tallest={300}>
        <MeasuredLayer measured={measured} start={start} />
        <UnsureLayer fitted={fitted} />
      </Strip>
      <div className="row">
        <span className="sheet">
          <span className="soft">typical error of the radius</span>{' '}
          <b>
            <FineLength mm={fitted.error} />
          </b>
        </span>
        <span className="sheet">
          <span className="soft">largest</span>{' '}
          <b>
            <FineLength mm={Math.abs(fitted.largest.off)} />
          </b>{' '}
          <span className="soft">at</span> <Length mm={fitted.largest.x} />
        </span>
        <span className="sheet">
          <span className="soft">elements</span> <b>{fitted.turning.elements.length}</b>
        </span>
        {loose.length > 0 && (
          <Button onClick={() => onIgnore(new Set([...ignored, ...loose]))}>
            Leave {loose.length === 1 ? 'the loose place' : `${loose.length} loose places`} out
          </Button>
        )}
        {ignored.size > 0 && <Button onClick={() => onIgnore(new Set())}>Take all places in again</Button>}
      </div>
      <div className="sheet">
        <Findings findings={findings} empty="The fit is sure everywhere." />
      </div>
    </div>
  );
}

function findingsOf(fitted: FittedSample): Finding[] {
  const base = { stage: 'pattern', severity: 'note' } as const;
  const unsure = fitted.breaks.filter((b) => b.unsure);
  const { asymmetry, outliers, outline } = fitted;
  const findings: Finding[] = outline.problems.map((p) => ({
    ...base,
    severity: 'stop',
    id: `fit.problem.${p.elementId}`,
    what: p.why,
    why: 'So it cannot be made.',
    remedy: 'Leave doubtful places out, or measure them again.',
  }));
  for (const b of unsure)
    findings.push({
      ...base,
      id: `fit.unsure.${b.x}`,
      x: b.x,
      what: `Where one element ends and the next begins is unsure: anywhere from ${len(b.from)} to ${len(b.to)}.`,
      why: 'Both lie within the noise of what was measured; the diameters there are sure.',
      remedy: 'Set it where the eye wants it, in the pattern.',
    });
  if (Math.abs(asymmetry.largest.off) > Math.max(0.1, 4 * fitted.noise))
    findings.push({
      ...base,
      id: 'fit.asymmetry',
      x: asymmetry.largest.x,
      what: `The two sides differ: by ${fine(2 * Math.abs(asymmetry.largest.off))} at ${len(asymmetry.largest.x)}.`,
      why: 'It is worn, dried oval, or not quite along the axis. The copy takes the middle of both.',
      remedy: 'Look at the sample there and decide which side is meant.',
    });
  for (const o of outliers)
    findings.push({
      ...base,
      id: `fit.outlier.${o.x}`,
      x: o.x,
      what: `One place stands apart by ${fine(Math.abs(o.off))}, at ${len(o.x)}.`,
      why: 'Its neighbours agree with each other, so it was left aside: a slip, a crumb.',
      remedy: 'If it is a groove that is meant, measure it closer.',
    });
  return findings;
}

/** Measured places on both sides of the axis. */
function MeasuredLayer({ measured, start }: { measured: Measured; start: number }) {
  const frame = useFrame();
  const every = Math.max(1, Math.ceil(measured.points.length / 400));
  return (
    <g className="measured">
      {measured.points
        .filter((_, i) => i % every === 0)
        .map((p) => (
          <g key={p.x}>
            <circle cx={frame.at(p.x - start)} cy={frame.up(p.up)} r={1.8} />
            <circle cx={frame.at(p.x - start)} cy={frame.up(-p.down)} r={1.8} />
          </g>
        ))}
    </g>
  );
}

/** Stretches in which a break may lie. */
function UnsureLayer({ fitted }: { fitted: FittedSample }) {
  const frame = useFrame();
  return fitted.breaks.map((b) => (
    <g key={b.x}>
      {b.unsure && (
        <rect
          x={frame.at(b.from)}
          y={14}
          width={Math.max(2, frame.at(b.to) - frame.at(b.from))}
          height={frame.height - 44}
          className="unsure"
        />
      )}
      <line x1={frame.at(b.x)} x2={frame.at(b.x)} y1={18} y2={frame.height - 30} className="mark" />
    </g>
  ));
}
