import { ITEM_KINDS, traceOf, type ItemKind, type Outline } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Input, Select, Tabs } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { sessionQuery } from '../api/session.js';
import { createPattern, createSample } from '../api/patterns.js';
import { useChange } from '../api/useChange.js';
import { Trouble } from '../ui/Trouble.js';
import { useMaterials } from '../ui/useMaterials.js';
import { carriedOver, copiedBody, type CopyWishes } from './copied.js';
import { CopiedElements } from './CopiedElements.js';
import { CsvTrace } from './CsvTrace.js';
import { KeptSamples } from './KeptSamples.js';
import type { Measured } from './measured.js';
import { FitView, useFit } from './FitView.js';
import { PhotoTrace } from './PhotoTrace.js';
import { StationsEntry } from './StationsEntry.js';
import { useCopy } from './useCopy.js';
import './copy.css';

const OF_NO_ELEMENT = { names: {}, ungauged: new Set<string>(), unmarked: new Set<string>() };
const NO_WISHES: CopyWishes = { kind: 'other', materialId: 'beech', ...OF_NO_ELEMENT };

/** A sample becomes a pattern: measured at stations, from a trace or from a photo, then fitted. */
export default function CopyScreen() {
  const [measured, setMeasured] = useState<Measured | null>(null);
  const [ignored, setIgnored] = useState<ReadonlySet<number>>(new Set());
  const [curves, setCurves] = useState<number>();
  const [name, setName] = useState('');
  const [wishes, setWishes] = useState(NO_WISHES);
  const fit = useFit(measured, ignored, curves);
  const copy = useCopy(fit.fitted);
  const drawn = useRef<Outline | null>(null);
  useEffect(() => {
    const { outline } = copy;
    const before = drawn.current;
    if (before && outline && before !== outline) setWishes((wishes) => carriedOver(wishes, before, outline));
    drawn.current = outline ?? before;
  }, [copy]);
  const session = useQuery(sessionQuery);
  const navigate = useNavigate();
  const pattern = useChange(createPattern, 'patterns');
  const sample = useChange(createSample, 'samples');
  const take = (next: Measured | null) => {
    setMeasured(next);
    setIgnored(new Set());
    setCurves(undefined);
  };
  /** another sample is measured: what was said of the elements of this one goes */
  const anotherWay = () => {
    take(null);
    drawn.current = null;
    setWishes({ ...wishes, ...OF_NO_ELEMENT });
  };
  const called = name.trim() || 'Copied sample';
  const make = async () => {
    if (!measured || !copy.turning) return;
    if (!measured.kept)
      await sample.mutateAsync({
        name: called,
        measuredBy: measured.by,
        trace: traceOf(measured.points),
        note: '',
      });
    const body = copiedBody(copy.turning, wishes, session.data?.userName ?? '');
    const made = await pattern.mutateAsync({ name: called, body });
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
          <KindAndWood wishes={wishes} onWishes={setWishes} />
          <Button
            type="primary"
            size="large"
            disabled={!copy.outline || copy.outline.problems.length > 0}
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
            onChange={anotherWay}
            items={[
              { key: 'photo', label: 'From a photo', children: <PhotoTrace onMeasured={take} /> },
              { key: 'stations', label: 'By calliper', children: <StationsEntry onMeasured={take} /> },
              { key: 'csv', label: 'From a trace', children: <CsvTrace onMeasured={take} /> },
              { key: 'kept', label: 'Kept', children: <KeptSamples onMeasured={take} /> },
            ]}
            destroyOnHidden
          />
        </div>
        <FitView {...{ measured, fit, copy, ignored }} onIgnore={setIgnored} onCurves={setCurves}>
          <CopiedElements copy={copy} wishes={wishes} onWishes={setWishes} />
        </FitView>
      </div>
    </div>
  );
}

/** What kind of item it is, and of what wood it is usually made. */
function KindAndWood({ wishes, onWishes }: { wishes: CopyWishes; onWishes: (wishes: CopyWishes) => void }) {
  const materials = useMaterials();
  return (
    <>
      <Select<ItemKind>
        aria-label="Kind of item"
        className="w-word"
        value={wishes.kind}
        onChange={(kind) => onWishes({ ...wishes, kind })}
        options={ITEM_KINDS.map((kind) => ({ value: kind, label: kind === 'other' ? 'other item' : kind }))}
      />
      <Select
        aria-label="Usual material"
        className="w-word"
        showSearch={{ optionFilterProp: 'label' }}
        value={wishes.materialId}
        onChange={(materialId) => onWishes({ ...wishes, materialId })}
        options={materials.map((m) => ({ value: m.id, label: m.name }))}
      />
    </>
  );
}
