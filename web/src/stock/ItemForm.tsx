import {
  CONSUMABLE_KINDS,
  CONSUMABLE_UNITS,
  dim,
  type Dimension,
  keysOf,
  type NewStockItem,
  parsePrice,
  priceText,
  STOCK_KINDS,
  type StockItem,
} from '@compas/core';
import { Button, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { receiveStock, useChange, type HeldStock } from '../api/queries.js';
import { LengthInput } from '../ui/LengthInput.js';
import { Trouble } from '../ui/Trouble.js';
import type { ShopHabits } from './useShopHabits.js';
import { choicesFrom } from '../ui/choices.js';
import { editedStock, useStockSave } from './useStockSave.js';

const WOOD = {
  label: '',
  place: '',
  price: null,
  reorderAt: null,
  materialId: 'ash',
  moisture: null,
  origin: '',
  offcut: false,
};

/** What a new item of a kind begins as. */
const FRESH: Record<StockItem['kind'], NewStockItem> = {
  board: { ...WOOD, kind: 'board', thickness: dim(52), width: dim(150), length: dim(1500), zones: [] },
  square: { ...WOOD, kind: 'square', side: dim(50), length: dim(600) },
  rod: { ...WOOD, kind: 'rod', diameter: dim(30), length: dim(1000) },
  tip: { ...WOOD, kind: 'tip', thickEnd: dim(35), thinEnd: dim(20), length: dim(150), materialId: 'antler' },
  log: {
    ...WOOD,
    kind: 'log',
    buttDiameter: dim(220),
    topDiameter: dim(200),
    length: dim(1000),
    pith: { x: 0, y: 0 },
    sapwood: dim(0),
    felled: null,
    moisture: 60,
  },
  blank: { ...WOOD, kind: 'blank', form: 'square', size: dim(45), length: dim(150), batchId: null },
  consumable: {
    kind: 'consumable',
    label: '',
    place: '',
    price: null,
    reorderAt: null,
    what: 'glue',
    unit: 'ml',
    opened: null,
    expires: null,
  },
};

/** Sizes of the kinds, in the order they are measured. */
const SIZES: { key: string; label: string }[] = [
  { key: 'thickness', label: 'Thickness' },
  { key: 'width', label: 'Width' },
  { key: 'side', label: 'Side' },
  { key: 'diameter', label: 'Diameter' },
  { key: 'size', label: 'Across' },
  { key: 'thickEnd', label: 'Thick end' },
  { key: 'thinEnd', label: 'Thin end' },
  { key: 'buttDiameter', label: 'Butt, inside the bark' },
  { key: 'topDiameter', label: 'Top, inside the bark' },
  { key: 'sapwood', label: 'Sapwood, thick' },
  { key: 'length', label: 'Length' },
];

interface ItemFormProps {
  /** null for stock that comes in */
  held: HeldStock | null;
  habits: ShopHabits;
  onDone: () => void;
}

/** Stock as it comes in, or as it is corrected. */
export function ItemForm({ held, habits, onDone }: ItemFormProps) {
  // what it is changed from: as it lay on the shelf when the form was opened
  const [base] = useState(held && editedStock(held));
  const [item, setItem] = useState<NewStockItem>(base?.value ?? FRESH.board);
  const [amount, setAmount] = useState<number | null>(1);
  const [price, setPrice] = useState(priceText(item.price));
  const receive = useChange(receiveStock, 'stock');
  const change = useStockSave(held?.item.id ?? '');
  const read = parsePrice(price, habits.currency);
  const set = (key: string, value: unknown) => setItem({ ...item, [key]: value });
  const keep = () => {
    if (!read.ok) return;
    const whole = { ...item, price: read.price };
    if (base) change.mutate({ base, mine: whole }, { onSuccess: onDone });
    else if (amount !== null) receive.mutate([{ item: whole, amount }], { onSuccess: onDone });
  };
  return (
    <form
      className="sheet column"
      aria-label={held ? 'Change the stock' : 'Take stock in'}
      onSubmit={(e) => {
        e.preventDefault();
        keep();
      }}
    >
      <div className="row fields">
        {!held && (
          <label>
            Kind
            <Select
              aria-label="Kind of stock"
              value={item.kind}
              onChange={(kind) => setItem({ ...FRESH[kind], label: item.label })}
              options={keysOf(STOCK_KINDS).map((k) => ({
                value: k,
                label: STOCK_KINDS[k].one,
              }))}
              style={{ width: 150 }}
            />
          </label>
        )}
        <Text label="What it is called" value={item.label} onChange={(v) => set('label', v)} width={230} />
        {'materialId' in item && (
          <label>
            Material
            <Select
              aria-label="Material of the stock"
              showSearch={{ optionFilterProp: 'label' }}
              value={item.materialId}
              onChange={(id) => set('materialId', id)}
              options={habits.materials.map((m) => ({ value: m.id, label: m.name }))}
              style={{ width: 180 }}
            />
          </label>
        )}
        {!held && (
          <label>
            How many
            <InputNumber
              aria-label="How many came in"
              value={amount}
              min={0}
              onChange={setAmount}
              style={{ width: 90 }}
            />
          </label>
        )}
      </div>
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
              Pith {axis === 'x' ? 'to the right, mm' : 'upwards, mm'}
              <InputNumber
                aria-label={`Pith ${axis}`}
                value={item.pith[axis]}
                onChange={(v) => set('pith', { ...item.pith, [axis]: v ?? 0 })}
                style={{ width: 110 }}
              />
            </label>
          ))}
      </div>
      <div className="row fields">
        <label>
          Price
          <Input
            aria-label="Price"
            placeholder="38.50 / m²"
            value={price}
            status={read.ok ? '' : 'error'}
            onChange={(e) => setPrice(e.target.value)}
            style={{ width: 140 }}
          />
        </label>
        {'moisture' in item && (
          <label>
            Moisture, %
            <InputNumber
              aria-label="Moisture"
              value={item.moisture}
              min={0}
              max={200}
              onChange={(v) => set('moisture', v)}
              style={{ width: 100 }}
            />
          </label>
        )}
        <label>
          Order again below
          <InputNumber
            aria-label="Order again below"
            value={item.reorderAt}
            min={0}
            onChange={(v) => set('reorderAt', v)}
            style={{ width: 110 }}
          />
        </label>
        <Text label="Where it lies" value={item.place} onChange={(v) => set('place', v)} width={150} />
        {'origin' in item && (
          <Text label="Where it is from" value={item.origin} onChange={(v) => set('origin', v)} width={230} />
        )}
        {item.kind === 'log' && (
          <Text
            label="Felled on"
            value={item.felled ?? ''}
            onChange={(v) => set('felled', v || null)}
            width={130}
            like="2026-02-14"
          />
        )}
        {item.kind === 'consumable' && <ConsumableFields item={item} set={set} />}
      </div>
      {!read.ok && (
        <p role="alert" className="why">
          ■ {read.why}
        </p>
      )}
      <Trouble error={receive.error ?? change.error} />
      <div className="row">
        <Button
          type="primary"
          htmlType="submit"
          disabled={!read.ok}
          loading={receive.isPending || change.isPending}
        >
          {held ? 'Save' : 'Put it on the shelf'}
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </div>
      {change.dialog}
    </form>
  );
}

interface TextProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
  width: number;
  like?: string;
}

function Text({ label, value, onChange, width, like }: TextProps) {
  return (
    <label>
      {label}
      <Input
        aria-label={label}
        value={value}
        maxLength={120}
        placeholder={like}
        onChange={(e) => onChange(e.target.value)}
        style={{ width }}
      />
    </label>
  );
}

function ConsumableFields({
  item,
  set,
}: {
  item: Extract<NewStockItem, { kind: 'consumable' }>;
  set: (key: string, value: unknown) => void;
}) {
  const choice = (label: string, key: 'what' | 'unit', choices: readonly string[]) => (
    <label>
      {label}
      <Select
        aria-label={label}
        value={item[key]}
        onChange={(v: string) => set(key, v)}
        options={choicesFrom(choices)}
        style={{ width: 110 }}
      />
    </label>
  );
  return (
    <>
      {choice('What', 'what', CONSUMABLE_KINDS)}
      {choice('Counted in', 'unit', CONSUMABLE_UNITS)}
      <Text
        label="Opened on"
        value={item.opened ?? ''}
        onChange={(v) => set('opened', v || null)}
        width={130}
        like="2026-02-14"
      />
      <Text
        label="Good until"
        value={item.expires ?? ''}
        onChange={(v) => set('expires', v || null)}
        width={130}
        like="2027-02-14"
      />
    </>
  );
}
