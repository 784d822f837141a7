import type { Dimension, Kit, StartingForm } from '@compas/core';
import { Select } from 'antd';
import { Length } from '../ui/Length.js';

const NO_KIT = 'none';

/** The hardware that the piece is made for: what it gives need not be typed. */
export function OnKit({
  kits,
  kit,
  onChange,
}: {
  kits: readonly Kit[];
  kit: Kit | undefined;
  onChange: (kitId: string) => void;
}) {
  return (
    <label className="column gap-hair">
      Made for
      <Select
        aria-label="Made for"
        showSearch={{ optionFilterProp: 'label' }}
        value={kit?.id ?? NO_KIT}
        onChange={onChange}
        options={[
          { value: NO_KIT, label: 'no hardware of the drawer' },
          ...kits.map((k) => ({ value: k.id, label: k.name })),
        ]}
      />
    </label>
  );
}

/** What was taken from the hardware, so that one sees what it is drawn to. */
export function GivenSizes({ form, given }: { form: StartingForm; given: Record<string, Dimension> }) {
  const taken = form.questions.filter(({ key }) => key in given);
  return (
    <p className="soft" aria-label="From the hardware">
      From the hardware:{' '}
      {taken.map(({ key, label }, i) => (
        <span key={key}>
          {i > 0 && ', '}
          {label.toLowerCase()} <Length mm={given[key]?.mm ?? 0} />
        </span>
      ))}
      . Its hole is bored to it.
    </p>
  );
}
