import { BIT_INDEXES, bitsOfIndex, type Workshop } from '@compas/core';
import { Select } from 'antd';
import { bitKind } from './columns.js';
import { EquipmentTable } from './EquipmentTable.js';

interface SectionProps {
  workshop: Workshop;
  onChange: (workshop: Workshop) => void;
}

/** The index of bits: one by one by what is stamped on them, or a whole index at once. */
export function BitsSection({ workshop, onChange }: SectionProps) {
  const { bits } = workshop;
  const take = (id: string | null) => {
    const index = BIT_INDEXES.find((i) => i.id === id);
    if (index) onChange({ ...workshop, bits: [...bits, ...bitsOfIndex(index, bits)] });
  };
  const smallest = [...bits].sort((a, b) => a.diameter.mm - b.diameter.mm);
  return (
    <>
      <div className="row spread">
        <span className="soft">Sizes as they are stamped: 8.2, 17/64, #7, F.</span>
        <Select
          aria-label="Take a whole index"
          placeholder="+ take a whole index"
          value={null}
          className="w-line"
          onChange={take}
          options={BIT_INDEXES.map((index) => ({ value: index.id, label: index.words }))}
        />
      </div>
      <EquipmentTable
        kind={bitKind}
        items={smallest}
        onChange={(changed) => onChange({ ...workshop, bits: changed })}
      />
    </>
  );
}
