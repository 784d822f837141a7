import { dim, traceOf, type PatternBody } from '@compas/core';
import { Button, Input, Tabs } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { createPattern, createSample } from '../api/patterns.js';
import { useChange } from '../api/useChange.js';
import { Trouble } from '../ui/Trouble.js';
import { CsvTrace } from './CsvTrace.js';
import { KeptSamples } from './KeptSamples.js';
import type { Measured } from './measured.js';
import { FitView, useFit } from './FitView.js';
import { PhotoTrace } from './PhotoTrace.js';
import { StationsEntry } from './StationsEntry.js';
import './copy.css';

/** A sample becomes a pattern: measured at stations, from a trace or from a photo, then fitted. */
export default function CopyScreen() {
  const [measured, setMeasured] = useState<Measured | null>(null);
  const [ignored, setIgnored] = useState<ReadonlySet<number>>(new Set());
  const [name, setName] = useState('');
  const fit = useFit(measured, ignored);
  const navigate = useNavigate();
  const pattern = useChange(createPattern, 'patterns');
  const sample = useChange(createSample, 'samples');
  const take = (next: Measured | null) => {
    setMeasured(next);
    setIgnored(new Set());
  };
  const called = name.trim() || 'Copied sample';
  const make = async () => {
    if (!measured || !fit.fitted) return;
    if (!measured.kept)
      await sample.mutateAsync({
        name: called,
        measuredBy: measured.by,
        trace: traceOf(measured.points),
        note: '',
      });
    const made = await pattern.mutateAsync({ name: called, body: bodyOf(fit.fitted.turning) });
    void navigate(`/patterns/${made.id}`);
  };
  return (
    <div className="column">
      <div className="row spread">
        <h1>Copy a sample</h1>
        <span className="row">
          <Input
            aria-label="Name of the copy"
            placeholder="What it is"
            className="w-phrase"
            maxLength={80}
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
          <Button
            type="primary"
            size="large"
            disabled={!fit.fitted || fit.fitted.outline.problems.length > 0}
            loading={pattern.isPending || sample.isPending}
            onClick={() => void make().catch(() => undefined)}
          >
            Make the pattern
          </Button>
        </span>
      </div>
      <Trouble error={pattern.error ?? sample.error} />
      <div className="copy">
        <div className="sheet">
          <Tabs
            onChange={() => take(null)}
            items={[
              { key: 'photo', label: 'From a photo', children: <PhotoTrace onMeasured={take} /> },
              { key: 'stations', label: 'By calliper', children: <StationsEntry onMeasured={take} /> },
              { key: 'csv', label: 'From a trace', children: <CsvTrace onMeasured={take} /> },
              { key: 'kept', label: 'Kept', children: <KeptSamples onMeasured={take} /> },
            ]}
            destroyOnHidden
          />
        </div>
        <FitView measured={measured} fit={fit} ignored={ignored} onIgnore={setIgnored} />
      </div>
    </div>
  );
}

const bodyOf = (turning: PatternBody['parts'][0]['turnings'][0]): PatternBody => ({
  schema: 1,
  kind: 'other',
  usedBy: 'anybody',
  parts: [
    {
      id: 'part1',
      name: 'Body',
      perItem: 1,
      materialId: 'beech',
      turnings: [{ ...turning, startDiameter: dim(turning.startDiameter.mm) }],
      holes: [],
    },
  ],
  hardware: [],
  source: { from: 'sample', words: '', allows: '' },
  lastId: 100,
});
