import { copyingOf, keysOf, type Workshop } from '@compas/core';
import { LengthInput } from '../ui/LengthInput.js';
import { gaugeKind } from './columns.js';
import { EquipmentTable } from './EquipmentTable.js';
import { COPYING_WORDS } from './words.js';

interface SectionProps {
  workshop: Workshop;
  onChange: (workshop: Workshop) => void;
}

/** Gauges, callipers, and the copying attachment. */
export function GaugesSection({ workshop, onChange }: SectionProps) {
  const copying = copyingOf(workshop);
  return (
    <>
      <EquipmentTable
        kind={gaugeKind}
        items={workshop.gauges}
        onChange={(gauges) => onChange({ ...workshop, gauges })}
      />
      <section className="equipment column">
        <h2>Copying attachment</h2>
        <div className="row fields">
          {keysOf(COPYING_WORDS).map((key) => (
            <LengthInput
              key={key}
              label={COPYING_WORDS[key]}
              showLabel
              value={{ mm: copying[key] }}
              onChange={({ mm }) => onChange({ ...workshop, copying: { ...copying, [key]: mm } })}
            />
          ))}
        </div>
        {copying.stylus > copying.cutter && (
          <p role="alert" className="bad">
            ■ A stylus larger than the cutter cuts corners off. Take one of the cutter’s radius or less.
          </p>
        )}
      </section>
    </>
  );
}
