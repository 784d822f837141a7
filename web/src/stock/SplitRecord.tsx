import type { BilletWish, DryingSchool, LogWay } from '@compas/core';
import { Button, Checkbox, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { layBundle, splitLog, useChange, type HeldStock } from '../api/queries.js';
import { Trouble } from '../ui/Trouble.js';
import { onClock } from '../ui/clock.js';
import { DRYING_SCHOOLS } from '@compas/core';

interface SplitRecordProps {
  held: HeldStock;
  wish: BilletWish;
  way: LogWay;
  moisture: number;
  target: number;
}

/** Writes down that the log was split: how many billets came out, and whether they go to dry. */
export function SplitRecord({ held, wish, way, moisture, target }: SplitRecordProps) {
  const [billets, setBillets] = useState<number | null>(null);
  const [dries, setDries] = useState(true);
  const [school, setSchool] = useState<DryingSchool>('dry');
  const [grams, setGrams] = useState<number | null>(null);
  const split = useChange(splitLog, 'stock');
  const lay = useChange(layBundle, 'drying');
  const navigate = useNavigate();
  const count = billets ?? way.total;
  const record = async () => {
    const [made] = await split.mutateAsync({
      id: held.item.id,
      sectors: way.sectors,
      ...wish,
      billets: count,
    });
    if (!made || made.item.kind !== 'blank') return;
    if (!dries) return void navigate('/stock');
    const bundle = await lay.mutateAsync({
      label: made.item.label,
      itemId: made.item.id,
      materialId: made.item.materialId,
      pieces: count,
      school,
      target,
      startMoisture: moisture,
      air: null,
      weighings: grams === null ? [] : [{ day: onClock(Date.now(), 'UTC').slice(0, 10), grams }],
    });
    void navigate(`/stock/drying/${bundle.id}`);
  };
  return (
    <div className="sheet column" role="group" aria-label="Record the split">
      <h3>When it is split</h3>
      <div className="row fields">
        <label>
          Billets that came out
          <InputNumber
            aria-label="Billets that came out"
            value={count}
            min={1}
            precision={0}
            onChange={setBillets}
            style={{ width: 110 }}
          />
        </label>
        <Checkbox checked={dries} onChange={(e) => setDries(e.target.checked)}>
          Lay them on the drying shelf
        </Checkbox>
        {dries && (
          <>
            <label>
              How they dry
              <Select
                aria-label="How they dry"
                value={school}
                onChange={setSchool}
                options={DRYING_SCHOOLS.map((s) => ({ value: s.id, label: s.name }))}
                style={{ width: 220 }}
              />
            </label>
            <label>
              Weight of all, g
              <InputNumber
                aria-label="Weight of all"
                value={grams}
                min={1}
                onChange={setGrams}
                style={{ width: 120 }}
              />
            </label>
          </>
        )}
      </div>
      <Trouble error={split.error ?? lay.error} />
      <Button
        type="primary"
        style={{ alignSelf: 'flex-start' }}
        loading={split.isPending || lay.isPending}
        onClick={() => void record().catch(() => undefined)}
      >
        The log is split
      </Button>
    </div>
  );
}
