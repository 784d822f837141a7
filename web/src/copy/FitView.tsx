import { fine, leftOver, len, type Finding, type FittedSample } from '@compas/core';
import { Button, Slider } from 'antd';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { useFrame } from '../strip/frame.js';
import { Strip } from '../strip/Strip.js';
import { PLAIN } from '../strip/wood/woodLook.js';
import { Findings } from '../ui/Findings.js';
import { FineLength, Length } from '../ui/Length.js';
import { tracing } from '../workers/tracing.js';
import type { Measured } from './measured.js';
import type { Copy } from './useCopy.js';

export interface Fit {
  fitted: FittedSample | null;
  why: string | null;
}

/** Elements laid through what was measured, beside the interface; left-out places are not asked. */
export function useFit(
  measured: Measured | null,
  ignored: ReadonlySet<number>,
  curves: number | undefined,
): Fit {
  const [fit, setFit] = useState<Fit>({ fitted: null, why: null });
  useEffect(() => {
    let current = true;
    const points = measured?.points.filter((p) => !ignored.has(p.x)) ?? [];
    if (!measured || points.length < 3) {
      setFit({ fitted: null, why: null });
      return;
    }
    tracing()
      .fit(points, { unsure: measured.unsure, ...(curves === undefined ? {} : { curves }) })
      .then((fitted) => current && setFit({ fitted, why: null }))
      .catch((error: Error) => current && setFit({ fitted: null, why: error.message }));
    return () => {
      current = false;
    };
  }, [measured, ignored, curves]);
  return fit;
}

interface FitViewProps {
  measured: Measured | null;
  fit: Fit;
  /** the copy as it will be made: what was found, and what was changed of it here */
  copy: Copy;
  ignored: ReadonlySet<number>;
  onIgnore: (ignored: ReadonlySet<number>) => void;
  onCurves: (curves: number) => void;
  children: ReactNode;
}

/** The fitted elements over what was measured; what is sure, what is not, and what may be left out. */
export function FitView(props: FitViewProps) {
  const { measured, copy, ignored, onIgnore, onCurves, children } = props;
  const { fitted, why } = props.fit;
  const findings = useMemo(() => (fitted ? findingsOf(fitted) : []), [fitted]);
  if (why) return <p className="sheet">{why}</p>;
  if (!fitted || !measured || !copy.outline)
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
  const left = leftOver(
    measured.points.filter((p) => !ignored.has(p.x) && !loose.some((x) => Math.abs(x - p.x) < 1e-9)),
    copy.outline,
  );
  return (
    <div className="column">
      <Strip outline={copy.outline} holes={[]} look={PLAIN} headstockEnd="reference" tallest={260}>
        <MeasuredLayer measured={measured} start={start} />
        <UnsureLayer fitted={fitted} />
      </Strip>
      <div className="sheet column gap-hair">
        <div className="row">
          <Left {...left} />
          {loose.length > 0 && (
            <Button size="small" onClick={() => onIgnore(new Set([...ignored, ...loose]))}>
              Leave {loose.length === 1 ? 'the loose place' : `${loose.length} loose places`} out
            </Button>
          )}
          {ignored.size > 0 && <Button onClick={() => onIgnore(new Set())}>Take all places in again</Button>}
        </div>
        <CurvesChoice fitted={fitted} onCurves={onCurves} />
      </div>
      {children}
      <div className="sheet">
        <Findings findings={findings} empty="Every place that was measured lies on the copy." />
      </div>
    </div>
  );
}

/** What the copy leaves of the sample. */
function Left({ error, largest }: Pick<FittedSample, 'error' | 'largest'>) {
  return (
    <span>
      <span className="soft">typical error of the radius</span>{' '}
      <b>
        <FineLength mm={error} />
      </b>
      <span className="soft">, largest</span>{' '}
      <b>
        <FineLength mm={Math.abs(largest.off)} />
      </b>{' '}
      <span className="soft">at</span> <Length mm={largest.x} />
    </span>
  );
}

/** From fewest curves to most, and what each number of them leaves as error. */
function CurvesChoice({ fitted, onCurves }: { fitted: FittedSample; onCurves: (curves: number) => void }) {
  const { rungs, curves } = fitted;
  const at = rungs.findIndex((rung) => rung.curves === curves);
  const [first, last] = [rungs[0], rungs.at(-1)];
  if (!first || !last || first === last || at < 0) return null;
  return (
    <label className="column gap-none">
      <span>
        Drawn by <b>{curves === 1 ? 'one curve' : `${curves} curves`}</b>
        <span className="soft">; fewer are simpler, more follow it closer</span>
        {rungs.slice(Math.max(0, at - 1), at + 2).map((rung) => (
          <span key={rung.curves}>
            {' · '}
            {rung.curves} leave <FineLength mm={rung.error} />
          </span>
        ))}
      </span>
      <Slider
        aria-label="How many curves"
        min={0}
        max={rungs.length - 1}
        value={at}
        onChange={(index) => {
          const rung = rungs[index];
          if (rung) onCurves(rung.curves);
        }}
        tooltip={{ formatter: null }}
      />
    </label>
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
  if (fitted.stations) findings.push(...stationFindings(fitted));
  else
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

/** What a few stations cannot show, and what was taken so without being said. */
function stationFindings({ breaks, guesses }: FittedSample): Finding[] {
  const base = { stage: 'pattern', severity: 'note' } as const;
  const findings = guesses.map(({ x, taken }): Finding => ({
    ...base,
    id: `fit.guess.${x}`,
    x,
    what: `Taken for a ${taken}: the one place measured at ${len(x)} stands ${taken === 'bead' ? 'out' : 'in'}.`,
    why: 'One diameter between two does not say whether it is round, pointed or a slip.',
    remedy: `Say what it is beside that place, and mark its edges.`,
  }));
  const longest = breaks.reduce<(typeof breaks)[number] | undefined>(
    (a, b) => (a && a.to - a.from >= b.to - b.from ? a : b),
    undefined,
  );
  if (!longest) return findings;
  return [
    ...findings,
    {
      ...base,
      id: 'fit.unnamed',
      x: longest.x,
      what: `Where one element ends and the next begins was only measured beside, ${breaks.length === 1 ? 'once' : `${breaks.length} times`}; the longest stretch that was not looked at is from ${len(longest.from)} to ${len(longest.to)}.`,
      why: 'Between two stations nothing is known: a small bead or groove there is lost, and an edge may lie anywhere.',
      remedy: 'Measure at the edges and mark them as edges.',
    },
  ];
}

/** Measured places on both sides of the axis. */
function MeasuredLayer({ measured, start }: { measured: Measured; start: number }) {
  const frame = useFrame();
  const every = Math.max(1, Math.ceil(measured.points.length / 400));
  return (
    <g className="measured">
      {measured.points
        .filter((_, i) => i % every === 0)
        .map((p, i) => (
          <g key={i}>
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
      {b.unsure && !fitted.stations && (
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
