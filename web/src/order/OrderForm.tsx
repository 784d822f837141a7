import { useQuery } from '@tanstack/react-query';
import { Button, DatePicker, Input, InputNumber, Select } from 'antd';
import dayjs from 'dayjs';
import { useState } from 'react';
import { changeOrder, createOrder, type Order } from '../api/orders.js';
import { patternsQuery } from '../api/patterns.js';
import { useChange } from '../api/useChange.js';
import { Trouble } from '../ui/Trouble.js';

const DAY = 'YYYY-MM-DD';
const USUAL_PIECES = 6;

/** A line while it is written: a pattern may still be missing. */
interface Written {
  key: number;
  number?: number;
  /** it is being made: its pattern stays */
  made: boolean;
  patternId: string | null;
  pieces: number;
}

const written = (order: Order | null): Written[] =>
  order === null
    ? [{ key: 0, made: false, patternId: null, pieces: USUAL_PIECES }]
    : order.lines.map(({ number, batchId, patternId, pieces }) => ({
        key: number,
        number,
        made: batchId !== null,
        patternId,
        pieces,
      }));

/** An order as it is written down, new or changed: for whom, by when, how many of what. */
export function OrderForm({ order, onDone }: { order: Order | null; onDone: () => void }) {
  const create = useChange(createOrder, 'orders');
  const change = useChange(changeOrder, 'orders', 'batches');
  const [customer, setCustomer] = useState(order?.customer ?? '');
  const [due, setDue] = useState(order?.due ?? null);
  const [lines, setLines] = useState(() => written(order));
  const save = order === null ? create : change;
  const set = (key: number, changed: Partial<Written>) =>
    setLines(lines.map((l) => (l.key === key ? { ...l, ...changed } : l)));
  const wanted = lines.flatMap(({ number, patternId, pieces }) =>
    patternId === null ? [] : [{ ...(number === undefined ? {} : { number }), patternId, pieces }],
  );
  const submit = () => {
    const body = { customer: customer.trim(), due, lines: wanted };
    if (order === null) create.mutate(body, { onSuccess: onDone });
    else change.mutate({ ...body, id: order.id, basedOn: order.version }, { onSuccess: onDone });
  };
  return (
    <form
      className="order sheet column"
      aria-label={order === null ? 'New order' : `Order for ${order.customer}`}
      onSubmit={(e) => {
        e.preventDefault();
        if (customer.trim() !== '' && wanted.length > 0) submit();
      }}
    >
      <div className="row">
        <label>
          For whom{' '}
          <Input
            autoFocus
            aria-label="For whom"
            value={customer}
            maxLength={80}
            className="w-name"
            onChange={(e) => setCustomer(e.target.value)}
          />
        </label>
        <label>
          By when{' '}
          <DatePicker
            aria-label="By when"
            value={due === null ? null : dayjs(due)}
            format={DAY}
            onChange={(day) => setDue(day ? day.format(DAY) : null)}
            className="w-word"
          />
        </label>
      </div>
      {lines.map((line, i) => (
        <LineFields
          key={line.key}
          line={line}
          place={i + 1}
          set={(changed) => set(line.key, changed)}
          onRemove={line.made ? null : () => setLines(lines.filter((l) => l.key !== line.key))}
        />
      ))}
      <div className="row">
        <Button
          onClick={() =>
            setLines([
              ...lines,
              {
                key: Math.max(0, ...lines.map((l) => l.key)) + 1,
                made: false,
                patternId: null,
                pieces: USUAL_PIECES,
              },
            ])
          }
        >
          One more line
        </Button>
        <Button
          type="primary"
          htmlType="submit"
          loading={save.isPending}
          disabled={customer.trim() === '' || wanted.length === 0}
        >
          {order === null ? 'Write it down' : 'Save the order'}
        </Button>
        <Button onClick={onDone}>Leave it</Button>
        {wanted.length === 0 && <span className="soft">Choose what is wanted.</span>}
      </div>
      <Trouble error={save.error} />
    </form>
  );
}

interface LineFieldsProps {
  line: Written;
  place: number;
  set: (changed: Partial<Written>) => void;
  /** null where the line has to stay */
  onRemove: (() => void) | null;
}

function LineFields({ line, place, set, onRemove }: LineFieldsProps) {
  const patterns = useQuery(patternsQuery).data ?? [];
  return (
    <div className="row">
      <InputNumber
        aria-label={`How many, line ${place}`}
        value={line.pieces}
        min={1}
        max={2000}
        precision={0}
        className="w-digits"
        onChange={(pieces) => pieces !== null && set({ pieces })}
      />
      ×
      <Select
        aria-label={`What, line ${place}`}
        placeholder="pattern"
        value={line.patternId}
        disabled={line.made}
        showSearch={{ optionFilterProp: 'label' }}
        onChange={(patternId: string) => set({ patternId })}
        options={patterns.map((p) => ({ value: p.id, label: p.name }))}
        className="w-line"
      />
      {onRemove ? (
        <Button type="text" aria-label={`Take line ${place} out`} onClick={onRemove}>
          Take out
        </Button>
      ) : (
        <span className="soft">is being made</span>
      )}
    </div>
  );
}
