import {
  CONSUMABLE_KINDS,
  CONSUMABLE_UNITS,
  dim,
  type Dimension,
  keysOf,
  type Material,
  type NewStockItem,
  STOCK_KINDS,
} from '@compas/core';
import { InputNumber, Select } from 'antd';
import { choicesFrom } from '../ui/choices.js';
import { LengthInput } from '../ui/LengthInput.js';
import { TextField } from '../ui/TextField.js';
import { FRESH, SIZES, STOCK_WORDS } from './stockFields.js';

interface FieldsProps<Item extends NewStockItem = NewStockItem> {
  item: Item;
  set: (key: string, value: unknown) => void;
}

/** The kind of what comes in; another kind begins anew but for its name. */
export function KindField({ item, onKind }: { item: NewStockItem; onKind: (item: NewStockItem) => void }) {
  return (
    <label>
      Kind
      <Select
        aria-label="Kind of stock"
        value={item.kind}
        onChange={(kind) => onKind({ ...FRESH[kind], label: item.label })}
        options={keysOf(STOCK_KINDS).map((k) => ({ value: k, label: STOCK_KINDS[k].one }))}
        className="w-word"
      />
    </label>
  );
}

export function MaterialField({ item, set, materials }: FieldsProps & { materials: readonly Material[] }) {
  if (!('materialId' in item)) return null;
  return (
    <label>
      {STOCK_WORDS.materialId.label}
      <Select
        aria-label="Material of the stock"
        showSearch={{ optionFilterProp: 'label' }}
        value={item.materialId}
        onChange={(id) => set('materialId', id)}
        options={materials.map((m) => ({ value: m.id, label: m.name }))}
        className="w-name"
      />
    </label>
  );
}

/** What is measured of an item of its kind. */
export function SizeFields({ item, set }: FieldsProps) {
  return (
    <div className="row fields">
      {SIZES.filter((s) => s.key in item).map(({ key, label }) => (
        <LengthInput
          key={key}
          label={label}
          showLabel
          value={(item as unknown as Record<string, Dimension>)[key] ?? dim(0)}
          onChange={(value) => set(key, value)}
        />
      ))}
      {item.kind === 'log' &&
        (['x', 'y'] as const).map((axis) => (
          <label key={axis}>
            {STOCK_WORDS[axis].label}, mm
            <InputNumber
              aria-label={`Pith ${axis}`}
              value={item.pith[axis]}
              onChange={(v) => set('pith', { ...item.pith, [axis]: v ?? 0 })}
              className="w-date"
            />
          </label>
        ))}
    </div>
  );
}

/** What is known of it beside its sizes and its price. */
export function KnownFields({ item, set }: FieldsProps) {
  return (
    <>
      {'moisture' in item && (
        <label>
          {STOCK_WORDS.moisture.label}
          <InputNumber
            aria-label="Moisture"
            value={item.moisture}
            min={0}
            max={200}
            onChange={(v) => set('moisture', v)}
            className="w-figure"
          />
        </label>
      )}
      <label>
        {STOCK_WORDS.reorderAt.label}
        <InputNumber
          aria-label="Order again below"
          value={item.reorderAt}
          min={0}
          onChange={(v) => set('reorderAt', v)}
          className="w-date"
        />
      </label>
      <Line item={item} set={set} field="place" width="w-word" />
      {'origin' in item && <Line item={item} set={set} field="origin" width="w-phrase" />}
      {item.kind === 'log' && <Day item={item} set={set} field="felled" like="2026-02-14" />}
      {item.kind === 'consumable' && <ConsumableFields item={item} set={set} />}
    </>
  );
}

function ConsumableFields({ item, set }: FieldsProps<Extract<NewStockItem, { kind: 'consumable' }>>) {
  const choice = (field: 'what' | 'unit', choices: readonly string[]) => (
    <label>
      {STOCK_WORDS[field].label}
      <Select
        aria-label={STOCK_WORDS[field].label}
        value={item[field]}
        onChange={(v: string) => set(field, v)}
        options={choicesFrom(choices)}
        className="w-date"
      />
    </label>
  );
  return (
    <>
      {choice('what', CONSUMABLE_KINDS)}
      {choice('unit', CONSUMABLE_UNITS)}
      <Day item={item} set={set} field="opened" like="2026-02-14" />
      <Day item={item} set={set} field="expires" like="2027-02-14" />
    </>
  );
}

type Field = keyof typeof STOCK_WORDS;

const textOf = (item: NewStockItem, field: Field): string =>
  (item as unknown as Record<string, string | null>)[field] ?? '';

function Line({ item, set, field, width }: FieldsProps & { field: Field; width: string }) {
  const { label } = STOCK_WORDS[field];
  return (
    <TextField label={label} value={textOf(item, field)} onChange={(v) => set(field, v)} width={width} />
  );
}

/** A day that need not be known. */
function Day({ item, set, field, like }: FieldsProps & { field: Field; like: string }) {
  return (
    <TextField
      label={STOCK_WORDS[field].label}
      value={textOf(item, field)}
      onChange={(v) => set(field, v || null)}
      width="w-word"
      like={like}
    />
  );
}
