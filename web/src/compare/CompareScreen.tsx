import { compareOutlines, differenceInWords, type Comparison } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { InputNumber, Segmented, Select } from 'antd';
import { lazy, Suspense, useMemo } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { patternQuery } from '../api/patterns.js';
import { OverlayLayer } from '../strip/partLayers.js';
import { Strip } from '../strip/Strip.js';
import { PLAIN } from '../strip/wood/woodLook.js';
import { FineLength, Length, Say } from '../ui/Length.js';
import { Trouble } from '../ui/Trouble.js';
import '../plan/plan.css';
import { useThings, type Thing } from './things.js';

const DifferenceChart = lazy(() => import('./DifferenceChart.js'));

/** Any two of revision, pattern, sample and measured piece, one laid over the other. */
export default function CompareScreen() {
  const { id = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const pattern = useQuery(patternQuery(id));
  const { things, error } = useThings(id);
  const set = (key: string, value: string) => {
    const next = new URLSearchParams(search);
    next.set(key, value);
    setSearch(next, { replace: true });
  };
  const first = things.find((t) => t.id === search.get('a')) ?? things[1] ?? things[0];
  const second = things.find((t) => t.id === search.get('b')) ?? things[0];
  const shift = Number(search.get('shift') ?? 0) || 0;
  const byFar = search.get('by') === 'far';
  const placed = first && second ? shift + (byFar ? first.outline.length - second.outline.length : 0) : 0;
  const comparison = useMemo(
    () => (first && second ? compareOutlines(first.outline, second.outline, placed) : null),
    [first, second, placed],
  );
  if (error) return <Trouble error={error} />;
  if (!pattern.data || !first || !second || !comparison) return null;
  const words = first.body && second.body ? differenceInWords(first.body, second.body) : [];
  return (
    <div className="column">
      <div className="row spread">
        <h1>
          Compare <Link to={`/patterns/${id}`}>{pattern.data.name}</Link>
        </h1>
      </div>
      <PairBand things={things} first={first} second={second} shift={shift} byFar={byFar} set={set} />
      <Strip outline={first.outline} holes={[]} look={PLAIN} headstockEnd="reference" tallest={290}>
        <OverlayLayer outline={second.outline} shift={placed} />
      </Strip>
      <Summary comparison={comparison} />
      <Suspense fallback={null}>
        <DifferenceChart comparison={comparison} />
      </Suspense>
      {words.length > 0 && (
        <p className="sheet">
          In words:{' '}
          {words.map((w, i) => (
            <span key={w}>
              {i > 0 ? ', ' : ''}
              <Say text={w} />
            </span>
          ))}
          .
        </p>
      )}
    </div>
  );
}

interface PairBandProps {
  things: Thing[];
  first: Thing;
  second: Thing;
  shift: number;
  byFar: boolean;
  /** changes one choice in the address */
  set: (key: string, value: string) => void;
}

/** Which two are compared, and how they are laid on each other. */
function PairBand({ things, first, second, shift, byFar, set }: PairBandProps) {
  const options = things.map((t) => ({ value: t.id, label: t.label }));
  return (
    <div className="band" role="group" aria-label="What is compared">
      <label>
        This
        <Select
          aria-label="This"
          className="w-line"
          value={first.id}
          options={options}
          onChange={(v) => set('a', v)}
        />
      </label>
      <label>
        with that, drawn as a line
        <Select
          aria-label="With that"
          className="w-line"
          value={second.id}
          options={options}
          onChange={(v) => set('b', v)}
        />
      </label>
      <label>
        laid on each other at
        <Segmented
          aria-label="Laid on each other at"
          value={byFar ? 'far' : 'reference'}
          onChange={(by) => set('by', by)}
          options={[
            { value: 'reference', label: 'the reference end' },
            { value: 'far', label: 'the far end' },
          ]}
        />
      </label>
      <label>
        moved by, mm
        <InputNumber
          aria-label="Moved by"
          className="w-figure"
          step={0.5}
          value={shift}
          onChange={(v) => set('shift', String(v ?? 0))}
        />
      </label>
    </div>
  );
}

/** How far the two differ, in three figures. */
function Summary({ comparison: { largest, typical, longer } }: { comparison: Comparison }) {
  return (
    <div className="row">
      <span className="sheet">
        <span className="soft">largest difference on the diameter</span>{' '}
        <b>
          <FineLength mm={Math.abs(largest.difference)} />
        </b>{' '}
        {Math.abs(largest.difference) > 0.005 && (
          <>
            {largest.difference > 0 ? 'thicker' : 'thinner'} <span className="soft">at</span>{' '}
            <Length mm={largest.x} />
          </>
        )}
      </span>
      <span className="sheet">
        <span className="soft">typical</span> <FineLength mm={typical} />
      </span>
      <span className="sheet">
        <span className="soft">length</span>{' '}
        {Math.abs(longer) < 0.005 ? (
          'the same'
        ) : (
          <>
            <Length mm={Math.abs(longer)} /> {longer > 0 ? 'longer' : 'shorter'}
          </>
        )}
      </span>
    </div>
  );
}
