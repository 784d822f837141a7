import { type BilletWish, DRYING_SCHOOLS, type DryingSchool, keysOf, type LogWay } from '@compas/core';
import { Button, Checkbox, InputNumber, Select } from 'antd';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { layBundle, splitLog, type HeldStock } from '../api/stock.js';
import { useChange } from '../api/useChange.js';
import { Trouble } from '../ui/Trouble.js';
import { onClock } from '../ui/clock.js';
import type { ShopHabits } from './useShopHabits.js';

interface SplitRecordProps {
  held: HeldStock;
  wish: BilletWish;
  way: LogWay;
  moisture: number;
  target: number;
  habits: ShopHabits;
}

/** How the split is written down. */
interface Wanted {
  count: number;
  dries: boolean;
  school: DryingSchool;
  grams: number | null;
}

/** Writes down that the log was split: how many billets came out, and whether they go to dry. */
export function SplitRecord({ held, wish, way, moisture, target, habits }: SplitRecordProps) {
  const [billets, setBillets] = useState<number | null>(null);
  const [dries, setDries] = useState(true);
  const [school, setSchool] = useState<DryingSchool>('dry');
  const [grams, setGrams] = useState<number | null>(null);
  // a log that is split is not split again when only laying it down failed
  const made = useRef<HeldStock | null>(null);
  const count = billets ?? way.total;
  const record = useChange(
    async ({ count, dries, school, grams }: Wanted) => {
      const item = { id: held.item.id, sectors: way.sectors, ...wish, billets: count };
      made.current ??= (await splitLog(item))[0] ?? null;
      const { current } = made;
      if (!dries || current?.item.kind !== 'blank') return '/stock';
      const today = onClock(Date.now(), habits.timeZone).slice(0, 10);
      const { id } = await layBundle({
        label: current.item.label,
        itemId: current.item.id,
        materialId: current.item.materialId,
        pieces: count,
        school,
        target,
        startMoisture: moisture,
        air: null,
        weighings: grams === null ? [] : [{ day: today, grams }],
      });
      return `/stock/drying/${id}`;
    },
    'stock',
    'drying',
  );
  const navigate = useNavigate();
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
            className="w-date"
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
                options={keysOf(DRYING_SCHOOLS).map((s) => ({ value: s, label: DRYING_SCHOOLS[s].name }))}
                className="w-phrase"
              />
            </label>
            <label>
              Weight of all, g
              <InputNumber
                aria-label="Weight of all"
                value={grams}
                min={1}
                onChange={setGrams}
                className="w-date"
              />
            </label>
          </>
        )}
      </div>
      <Trouble error={record.error} />
      <Button
        type="primary"
        className="self-start"
        loading={record.isPending}
        onClick={() =>
          record.mutate({ count, dries, school, grams }, { onSuccess: (to) => void navigate(to) })
        }
      >
        The log is split
      </Button>
    </div>
  );
}
