import { widestOf, type PartPlan } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { samplesQuery, type Sample } from '../api/patterns.js';
import { wholePath } from '../strip/paths.js';
import { Length } from '../ui/Length.js';
import type { Tablet } from './useTablet.js';

/** What the bar measures that a screen is set by, mm. */
const BAR_MM = 100;
/** A screen is taken for this until it was measured: pixels of a millimetre by the rule of the web, 96 to the inch. */
const USUAL_PX = 96 / 25.4;
/** Room round the piece, pixels. */
const ROOM = 24;

interface TrueSizeProps {
  part: PartPlan;
  tablet: Tablet;
}

/** The piece at true size, to hold the work against: one touch away from every step. */
export function TrueSize({ part, tablet }: TrueSizeProps) {
  const [open, setOpen] = useState(false);
  const [setting, setSetting] = useState(tablet.pxPerMm === null);
  const close = () => {
    setOpen(false);
    setSetting(tablet.pxPerMm === null);
  };
  return (
    <>
      <button type="button" className="run-light" onClick={() => setOpen(true)}>
        True size
      </button>
      {open && (
        <div className="true-size" role="dialog" aria-label="True size">
          {setting || tablet.pxPerMm === null ? (
            <SetScreen
              pxPerMm={tablet.pxPerMm ?? USUAL_PX}
              onSet={(pxPerMm) => {
                tablet.set({ pxPerMm });
                setSetting(false);
              }}
            />
          ) : (
            <Drawn part={part} pxPerMm={tablet.pxPerMm} onAnew={() => setSetting(true)} />
          )}
          <button type="button" className="run-go" onClick={close}>
            Back to the step
          </button>
        </div>
      )}
    </>
  );
}

/** The screen is set once: a bar is made longer or shorter until a calliper says that it is 100. */
function SetScreen({ pxPerMm, onSet }: { pxPerMm: number; onSet: (pxPerMm: number) => void }) {
  const [bar, setBar] = useState(Math.round(pxPerMm * BAR_MM));
  return (
    <div className="true-size-set">
      <p>
        Set a calliper to <Length mm={BAR_MM} /> and hold it to the bar. Make the bar longer or shorter until
        both ends meet.
      </p>
      <div className="true-size-bar" role="img" aria-label={`Bar of ${bar} pixels`} style={{ width: bar }} />
      <div className="true-size-do">
        {[-10, -1, 1, 10].map((by) => (
          <button
            key={by}
            type="button"
            className="run-quiet"
            aria-label={`${by > 0 ? 'Longer' : 'Shorter'} by ${Math.abs(by)}`}
            onClick={() => setBar(Math.max(BAR_MM, bar + by))}
          >
            {by > 0 ? `+${by}` : `−${-by}`}
          </button>
        ))}
        <button type="button" className="run-quiet" onClick={() => onSet(bar / BAR_MM)}>
          That is <Length mm={BAR_MM} />
        </button>
      </div>
    </div>
  );
}

interface DrawnProps {
  part: PartPlan;
  pxPerMm: number;
  onAnew: () => void;
}

/** The outline as large as the piece; what is longer than the screen is shown by stretches. */
function Drawn({ part: { outline, name }, pxPerMm, onAnew }: DrawnProps) {
  const [upright, setUpright] = useState(false);
  const [page, setPage] = useState(0);
  const along = (upright ? window.innerHeight - FOOT : window.innerWidth) - 2 * ROOM;
  const pages = Math.max(1, Math.ceil((outline.length * pxPerMm) / along));
  const from = (Math.min(page, pages - 1) * outline.length) / pages;
  const shown = outline.length / pages;
  const [sample, setSample] = useState<Sample | null>(null);
  const reach = Math.max(widestOf(outline).diameter / 2, ...(sample?.trace.up ?? []).map(Math.abs));
  const radius = reach * pxPerMm;
  const [long, thick] = [shown * pxPerMm + 2 * ROOM, 2 * radius + 2 * ROOM];
  const frame = {
    scale: pxPerMm,
    axis: thick / 2,
    at: (x: number) => ROOM + (x - from) * pxPerMm,
    up: (r: number) => thick / 2 - r * pxPerMm,
  };
  return (
    <>
      <svg
        width={upright ? thick : long}
        height={upright ? long : thick}
        role="img"
        aria-label={`${name} at true size, ${upright ? 'upright' : 'lying'}`}
      >
        <g transform={upright ? `translate(${thick} 0) rotate(90)` : undefined}>
          <path d={wholePath(outline, frame)} className="true-size-piece" />
          {sample && (
            <path
              d={samplePath(sample, frame)}
              className="true-size-sample"
              role="img"
              aria-label={sample.name}
            />
          )}
          <line x1={0} x2={long} y1={thick / 2} y2={thick / 2} className="strip-axis" />
        </g>
      </svg>
      <div className="true-size-do">
        <button type="button" className="run-quiet" onClick={() => setUpright(!upright)}>
          {upright ? 'Lay it down' : 'Stand it up'}
        </button>
        {pages > 1 && (
          <button type="button" className="run-quiet" onClick={() => setPage((page + 1) % pages)}>
            Stretch {page + 1} of {pages}: the next
          </button>
        )}
        <Samples chosen={sample} choose={setSample} />
        <button type="button" className="run-quiet" onClick={onAnew}>
          Set the screen anew
        </button>
      </div>
    </>
  );
}

/** The outline of a sample that was measured, laid over the piece; asked for when it is wanted. */
function Samples({ chosen, choose }: { chosen: Sample | null; choose: (sample: Sample | null) => void }) {
  const [wanted, want] = useState(false);
  const samples = useQuery({ ...samplesQuery, enabled: wanted, throwOnError: false });
  if (chosen)
    return (
      <button type="button" className="run-quiet" onClick={() => choose(null)}>
        Without {chosen.name}
      </button>
    );
  if (!wanted)
    return (
      <button type="button" className="run-quiet" onClick={() => want(true)}>
        A sample over it
      </button>
    );
  if (samples.isError) return <p>The samples cannot be had without the network.</p>;
  if (samples.data?.length === 0) return <p>No sample was measured yet.</p>;
  return samples.data?.map((sample) => (
    <button key={sample.id} type="button" className="run-quiet" onClick={() => choose(sample)}>
      {sample.name}
    </button>
  ));
}

type Frame = Parameters<typeof wholePath>[1];

/** Both sides of a sample as they were measured, from the reference end of the piece. */
function samplePath({ trace: { x, up, down } }: Sample, { at, up: above }: Pick<Frame, 'at' | 'up'>): string {
  const point = (r: readonly number[], side: 1 | -1) => (place: number, i: number) =>
    `${at(place).toFixed(1)},${above(side * Math.abs(r[i] ?? 0)).toFixed(1)}`;
  const over = x.map(point(up, 1));
  const under = x.map(point(down, -1)).toReversed();
  return `M${[...over, ...under].join('L')}Z`;
}

/** What stands below the drawing, pixels. */
const FOOT = 220;
