import { keysOf, sawingOf, type Workshop } from '@compas/core';
import { Checkbox, Input } from 'antd';
import { LengthInput } from '../ui/LengthInput.js';
import { HABIT_WORDS, SAWING_WORDS } from './words.js';

/** How stock is sawn and split here, and what it is paid in. */
export function SawingSection({
  workshop,
  onChange,
}: {
  workshop: Workshop;
  onChange: (workshop: Workshop) => void;
}) {
  const sawing = sawingOf(workshop);
  return (
    <section className="equipment column">
      <h2>Saws and stock</h2>
      <div className="row fields">
        {keysOf(SAWING_WORDS).map((key) => (
          <LengthInput
            key={key}
            label={SAWING_WORDS[key]}
            showLabel
            value={{ mm: sawing[key] }}
            onChange={({ mm }) => onChange({ ...workshop, sawing: { ...sawing, [key]: mm } })}
          />
        ))}
        <Checkbox
          checked={sawing.offcutsCarryCost ?? false}
          onChange={(e) =>
            onChange({ ...workshop, sawing: { ...sawing, offcutsCarryCost: e.target.checked } })
          }
        >
          Offcuts keep a share of what their board cost
        </Checkbox>
        <label>
          {HABIT_WORDS.currency}
          <Input
            aria-label={HABIT_WORDS.currency}
            value={workshop.currency ?? 'EUR'}
            maxLength={3}
            className="w-figure"
            onChange={(e) => onChange({ ...workshop, currency: e.target.value.toUpperCase() })}
          />
        </label>
      </div>
    </section>
  );
}
