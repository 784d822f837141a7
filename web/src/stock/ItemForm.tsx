import { type NewStockItem, parsePrice, priceText } from '@compas/core';
import { Button, Input, InputNumber } from 'antd';
import { receiveStock, type HeldStock } from '../api/stock.js';
import { useChange } from '../api/useChange.js';
import { KeptHere } from '../saving/KeptHere.js';
import { useKeptForm } from '../saving/useKeptForm.js';
import { TextField } from '../ui/TextField.js';
import { Trouble } from '../ui/Trouble.js';
import { KindField, KnownFields, MaterialField, SizeFields } from './StockFields.js';
import { FRESH, STOCK_WORDS } from './stockFields.js';
import type { ShopHabits } from './useShopHabits.js';
import { editedStock, useStockSave } from './useStockSave.js';

interface ItemFormProps {
  /** null for stock that comes in */
  held: HeldStock | null;
  habits: ShopHabits;
  onDone: () => void;
}

/** What is typed of an item: its price is text until it can be read. */
interface Typed {
  item: NewStockItem;
  amount: number | null;
  price: string;
}

const typedOf = (item: NewStockItem): Typed => ({ item, amount: 1, price: priceText(item.price) });

/** Stock as it comes in, or as it is corrected. */
export function ItemForm({ held, habits, onDone }: ItemFormProps) {
  const there = held ? editedStock(held) : { value: FRESH.board, version: 0 };
  const form = useKeptForm<Typed>(held ? `stock/${held.item.id}` : 'stock/new', {
    value: typedOf(there.value),
    version: there.version,
  });
  const { item, amount, price } = form.mine;
  const receive = useChange(
    (came: Parameters<typeof receiveStock>[0]) => form.keptUntil(receiveStock(came)),
    'stock',
  );
  const change = useStockSave(held?.item.id ?? '', form.keptUntil);
  const read = parsePrice(price, habits.currency);
  const setItem = (next: NewStockItem) => form.set({ ...form.mine, item: next });
  const set = (key: string, value: unknown) => setItem({ ...item, [key]: value });
  const close = () => {
    form.drop();
    onDone();
  };
  const keep = () => {
    if (!read.ok) return;
    const whole = { ...item, price: read.price };
    const base = { value: form.base.value.item, version: form.base.version };
    if (held) change.mutate({ base, mine: whole }, { onSuccess: close });
    else if (amount !== null) receive.mutate([{ item: whole, amount }], { onSuccess: close });
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
      <KeptHere at={form.keptAt} room={form.room} onTakeBack={form.takeBack} />
      <div className="row fields">
        {!held && <KindField item={item} onKind={setItem} />}
        <TextField
          label={STOCK_WORDS.label.label}
          value={item.label}
          onChange={(v) => set('label', v)}
          width="w-phrase"
        />
        <MaterialField item={item} set={set} materials={habits.materials} />
        {!held && (
          <label>
            How many
            <InputNumber
              aria-label="How many came in"
              value={amount}
              min={0}
              onChange={(v) => form.set({ ...form.mine, amount: v })}
              className="w-figure"
            />
          </label>
        )}
      </div>
      <SizeFields item={item} set={set} />
      <div className="row fields">
        <label>
          {STOCK_WORDS.price.label}
          <Input
            aria-label="Price"
            placeholder="38.50 / m²"
            value={price}
            status={read.ok ? '' : 'error'}
            onChange={(e) => form.set({ ...form.mine, price: e.target.value })}
            className="w-word"
          />
        </label>
        <KnownFields item={item} set={set} />
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
        <Button onClick={close}>Leave it</Button>
      </div>
      {change.dialog}
    </form>
  );
}
