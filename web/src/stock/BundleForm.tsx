import { DRYING_SCHOOLS, type DryingBundle, type DryingSchool, keysOf } from '@compas/core';
import { Button, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { layBundle, useChange } from '../api/queries.js';
import { Trouble } from '../ui/Trouble.js';
import type { ShopHabits } from './useShopHabits.js';

interface BundleFormProps {
  habits: ShopHabits;
  today: string;
  onDone: () => void;
}

/** A bundle as it is laid down to dry. */
export function BundleForm({ habits, today, onDone }: BundleFormProps) {
  const [label, setLabel] = useState('');
  const [materialId, setMaterial] = useState('birch');
  const [pieces, setPieces] = useState(6);
  const [school, setSchool] = useState<DryingSchool>('dry');
  const [target, setTarget] = useState(12);
  const [startMoisture, setStart] = useState<number | null>(null);
  const [grams, setGrams] = useState<number | null>(null);
  const lay = useChange(layBundle, 'drying');
  const navigate = useNavigate();
  const bundle: DryingBundle = {
    label,
    itemId: null,
    materialId,
    pieces,
    school,
    target,
    startMoisture,
    air: null,
    weighings: grams === null ? [] : [{ day: today, grams }],
  };
  const number = (words: string, value: number | null, set: (v: number | null) => void, width = 100) => (
    <label>
      {words}
      <InputNumber aria-label={words} value={value} min={1} onChange={set} style={{ width }} />
    </label>
  );
  return (
    <form
      className="sheet column"
      aria-label="Lay a bundle down"
      onSubmit={(e) => {
        e.preventDefault();
        lay.mutate(bundle, {
          onSuccess: ({ id }) => {
            onDone();
            void navigate(`/stock/drying/${id}`);
          },
        });
      }}
    >
      <div className="row fields">
        <label>
          What it is
          <Input
            aria-label="What it is"
            value={label}
            maxLength={120}
            onChange={(e) => setLabel(e.target.value)}
            style={{ width: 230 }}
          />
        </label>
        <label>
          Wood
          <Select
            aria-label="Wood"
            showSearch={{ optionFilterProp: 'label' }}
            value={materialId}
            onChange={setMaterial}
            options={habits.materials
              .filter((m) => m.family === 'wood')
              .map((m) => ({ value: m.id, label: m.name }))}
            style={{ width: 170 }}
          />
        </label>
        {number('Pieces', pieces, (v) => v !== null && setPieces(v))}
        <label>
          School
          <Select
            aria-label="School of drying"
            value={school}
            onChange={setSchool}
            options={keysOf(DRYING_SCHOOLS).map((s) => ({ value: s, label: DRYING_SCHOOLS[s].name }))}
            style={{ width: 220 }}
          />
        </label>
        {number('Until, %', target, (v) => v !== null && setTarget(v))}
        {number('Moisture now, if measured, %', startMoisture, setStart, 200)}
        {number('Weighs, g', grams, setGrams, 120)}
      </div>
      <Trouble error={lay.error} />
      <div className="row">
        <Button type="primary" htmlType="submit" disabled={label === ''} loading={lay.isPending}>
          Lay it down
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </div>
    </form>
  );
}
