import { DRYING_SCHOOLS, type DryingBundle, keysOf } from '@compas/core';
import { Button, InputNumber, Select } from 'antd';
import { useNavigate } from 'react-router';
import { layBundle } from '../api/stock.js';
import { useChange } from '../api/useChange.js';
import { KeptHere } from '../saving/KeptHere.js';
import { useKeptForm } from '../saving/useKeptForm.js';
import { TextField } from '../ui/TextField.js';
import { Trouble } from '../ui/Trouble.js';
import type { ShopHabits } from './useShopHabits.js';

interface BundleFormProps {
  habits: ShopHabits;
  today: string;
  onDone: () => void;
}

/** What is typed of a bundle: what it weighs is its first weighing. */
type Laid = Omit<DryingBundle, 'itemId' | 'air' | 'weighings'> & { grams: number | null };

const FRESH: Laid = {
  label: '',
  materialId: 'birch',
  pieces: 6,
  school: 'dry',
  target: 12,
  startMoisture: null,
  grams: null,
};

/** A bundle as it is laid down to dry. */
export function BundleForm({ habits, today, onDone }: BundleFormProps) {
  const form = useKeptForm('drying/new', { value: FRESH, version: 0 });
  const { grams, ...laid } = form.mine;
  const set = (change: Partial<Laid>) => form.set({ ...form.mine, ...change });
  const lay = useChange((made: DryingBundle) => form.keptUntil(layBundle(made)), 'drying');
  const navigate = useNavigate();
  const close = () => {
    form.drop();
    onDone();
  };
  const bundle: DryingBundle = {
    ...laid,
    itemId: null,
    air: null,
    weighings: grams === null ? [] : [{ day: today, grams }],
  };
  const number = (words: string, value: number | null, change: (v: number | null) => void) => (
    <label>
      {words}
      <InputNumber aria-label={words} value={value} min={1} onChange={change} className="w-date" />
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
            close();
            void navigate(`/stock/drying/${id}`);
          },
        });
      }}
    >
      <KeptHere at={form.keptAt} room={form.room} onTakeBack={form.takeBack} />
      <div className="row fields">
        <TextField
          label="What it is"
          value={laid.label}
          onChange={(label) => set({ label })}
          width="w-phrase"
        />
        <label>
          Wood
          <Select
            aria-label="Wood"
            showSearch={{ optionFilterProp: 'label' }}
            value={laid.materialId}
            onChange={(materialId) => set({ materialId })}
            options={habits.materials
              .filter((m) => m.family === 'wood')
              .map((m) => ({ value: m.id, label: m.name }))}
            className="w-name"
          />
        </label>
        {number('Pieces', laid.pieces, (v) => v !== null && set({ pieces: v }))}
        <label>
          School
          <Select
            aria-label="School of drying"
            value={laid.school}
            onChange={(school) => set({ school })}
            options={keysOf(DRYING_SCHOOLS).map((s) => ({ value: s, label: DRYING_SCHOOLS[s].name }))}
            className="w-phrase"
          />
        </label>
        {number('Until, %', laid.target, (v) => v !== null && set({ target: v }))}
        {number('Moisture now, if measured, %', laid.startMoisture, (v) => set({ startMoisture: v }))}
        {number('Weighs, g', grams, (v) => set({ grams: v }))}
      </div>
      <Trouble error={lay.error} />
      <div className="row">
        <Button type="primary" htmlType="submit" disabled={laid.label === ''} loading={lay.isPending}>
          Lay it down
        </Button>
        <Button onClick={close}>Leave it</Button>
      </div>
    </form>
  );
}
