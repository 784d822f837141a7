import { sawingOf, type Sawing, type Workshop } from '@compas/core';
import { Checkbox, Input } from 'antd';
import { LengthInput } from '../ui/LengthInput.js';

type SawingLength = Exclude<keyof Sawing, 'offcutsCarryCost'>;

const SAWING_WORDS: Record<SawingLength, string> = {
  ripKerf: 'Kerf of the rip saw',
  crossKerf: 'Kerf of the crosscut saw',
  surfacing: 'Planed off each face and edge',
  endTrim: 'Cut off each end of new stock',
  leastOffcutLength: 'Keep offcuts this long',
  leastOffcutWidth: 'and this wide',
  leaveOversize: 'Leave stock this much too thick',
  splitDrift: 'A split drifts, over a metre',
};

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
        {(Object.keys(SAWING_WORDS) as SawingLength[]).map((key) => (
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
          Stock is paid in
          <Input
            aria-label="Stock is paid in"
            value={workshop.currency ?? 'EUR'}
            maxLength={3}
            style={{ width: 90 }}
            onChange={(e) => onChange({ ...workshop, currency: e.target.value.toUpperCase() })}
          />
        </label>
      </div>
    </section>
  );
}
