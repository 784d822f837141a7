import { bitSize, type Dimension } from '@compas/core';
import { Button, Input, InputNumber, Select } from 'antd';
import { LengthInput } from '../ui/LengthInput.js';
import type { Column } from './columns.js';

interface CellProps<T> {
  item: T;
  column: Column<T>;
  label: string;
  onChange: (item: T) => void;
}

/** A field of an entry, edited in place. */
export function EquipmentCell<T extends { id: string }>({ item, column, label, onChange }: CellProps<T>) {
  const value = item[column.key];
  const set = (next: string | number | Dimension | undefined) => onChange({ ...item, [column.key]: next });
  switch (column.kind) {
    case 'text':
      return (
        <Input
          aria-label={label}
          value={String(value ?? '')}
          maxLength={80}
          className={column.wide ? 'w-phrase' : 'w-date'}
          onChange={(e) => set(e.target.value)}
        />
      );
    case 'optional text':
      return (
        <Input
          aria-label={label}
          value={String(value ?? '')}
          maxLength={40}
          className="w-date"
          onChange={(e) => set(e.target.value === '' ? undefined : e.target.value)}
        />
      );
    case 'length':
      return <LengthInput label={label} value={{ mm: Number(value ?? 0) }} onChange={({ mm }) => set(mm)} />;
    case 'bit size':
      return <LengthInput label={label} value={value as Dimension} onChange={set} read={bitSize} />;
    case 'optional length':
      return <OptionalLength label={label} value={value as number | undefined} onChange={set} />;
    case 'dimension':
      return value === undefined ? (
        <Button size="small" aria-label={`Set ${label}`} onClick={() => set({ mm: 20 })}>
          set
        </Button>
      ) : (
        <LengthInput label={label} value={value as Dimension} onChange={set} />
      );
    case 'number':
      return (
        <InputNumber
          aria-label={label}
          value={Number(value)}
          min={1}
          precision={0}
          suffix={column.unit}
          onChange={(n) => n !== null && set(n)}
          className="w-word"
        />
      );
    case 'choice':
      return (
        <Select
          aria-label={label}
          value={String(value)}
          className="w-name"
          onChange={set}
          options={column.choices.map((c) => ({ value: c, label: column.words?.[c] ?? c }))}
        />
      );
  }
}

/** A length that need not be given: measured when it is known. */
function OptionalLength({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number | undefined;
  onChange: (mm: number | undefined) => void;
}) {
  if (value === undefined)
    return (
      <Button size="small" aria-label={`Set ${label}`} onClick={() => onChange(0)}>
        set
      </Button>
    );
  return (
    <span className="row gap-none one-line">
      <LengthInput label={label} value={{ mm: value }} onChange={({ mm }) => onChange(mm)} />
      <Button type="text" size="small" aria-label={`Take away: ${label}`} onClick={() => onChange(undefined)}>
        ✕
      </Button>
    </span>
  );
}
