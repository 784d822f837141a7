import { airFigure, humidityFigure } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button, InputNumber } from 'antd';
import { useState } from 'react';
import { workshopQuery } from '../api/workshop.js';
import { Figures } from '../ui/Figures.js';
import { Trouble } from '../ui/Trouble.js';
import { editedWorkshop, useWorkshopSave } from '../workshop/useWorkshopSave.js';
import { useShopHabits } from './useShopHabits.js';

/** What is turned for a heated room, %. */
const USUAL_WANTED = 8;

/** The air of the workshop and the moisture that it leaves in wood; tried out here, and kept when it is right. */
export function AirPanel() {
  const workshop = useQuery(workshopQuery);
  const habits = useShopHabits();
  const [tried, setTried] = useState<{ temperature: number; humidity: number } | null>(null);
  const [wanted, setWanted] = useState(USUAL_WANTED);
  const save = useWorkshopSave();
  if (!workshop.data || !habits) return null;
  const base = editedWorkshop(workshop.data);
  const air = tried ?? habits.air;
  const set = (change: Partial<typeof air>) => setTried({ ...air, ...change });
  return (
    <section className="sheet column" aria-label="Air">
      <h2>The air here</h2>
      <Figures figures={[airFigure(air)]} />
      <div className="row fields">
        <label>
          Temperature, °C
          <InputNumber
            aria-label="Temperature"
            value={air.temperature}
            min={-10}
            max={80}
            onChange={(v) => v !== null && set({ temperature: v })}
          />
        </label>
        <label>
          Humidity, %
          <InputNumber
            aria-label="Humidity"
            value={air.humidity}
            min={5}
            max={98}
            onChange={(v) => v !== null && set({ humidity: v })}
          />
        </label>
      </div>
      <div className="row fields">
        <label>
          Wood is wanted at, %
          <InputNumber
            aria-label="Wanted moisture"
            value={wanted}
            min={2}
            max={25}
            step={0.5}
            onChange={(v) => v !== null && setWanted(v)}
          />
        </label>
      </div>
      <Figures figures={[humidityFigure(air.temperature, wanted) ?? []].flat()} />
      <Trouble error={save.error} />
      {tried && (
        <Button
          loading={save.isPending}
          onClick={() =>
            save.mutate(
              { base, mine: { ...base.value, body: { ...base.value.body, air: tried } } },
              { onSuccess: () => setTried(null) },
            )
          }
        >
          This is our air
        </Button>
      )}
      {save.dialog}
    </section>
  );
}
