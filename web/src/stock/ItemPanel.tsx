import { dim, HAND_MOVES, type HandMove, type Zone } from '@compas/core';
import { Button, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { moveStock, type HeldStock } from '../api/stock.js';
import { useChange } from '../api/useChange.js';
import { Sizes } from '../ui/Sizes.js';
import { LengthInput } from '../ui/LengthInput.js';
import { moneyWords } from '../ui/moneyWords.js';
import { Trouble } from '../ui/Trouble.js';
import { BoardZones } from './BoardZones.js';
import { ItemForm } from './ItemForm.js';
import { amountWords, formOf, materialName, sizesOf, unitOf } from './stockWords.js';
import type { ShopHabits } from './useShopHabits.js';
import { choicesOf } from '../ui/choices.js';
import { editedStock, useStockSave } from './useStockSave.js';
import { withoutId } from './withoutId.js';

/** One piece of stock: what can be done with it. */
export function ItemPanel({ held, habits }: { held: HeldStock; habits: ShopHabits }) {
  const { item } = held;
  const [editing, setEditing] = useState(false);
  if (editing) return <ItemForm held={held} habits={habits} onDone={() => setEditing(false)} />;
  return (
    <div className="sheet column">
      <div>
        <h2>{item.label}</h2>
        <p className="soft">
          {'materialId' in item && `${materialName(habits.materials, item.materialId)}, `}
          {formOf(item)}
          {item.kind !== 'consumable' && <Sizes mm={sizesOf(item)} />}
        </p>
        <p>
          <b>{amountWords(held.amount, unitOf(item))}</b>
          {held.cost > 0 && `, worth ${moneyWords(held.cost, habits.currency)}`}
        </p>
        {'origin' in item && item.origin !== '' && <p>From {item.origin}.</p>}
        {item.kind === 'consumable' && item.opened !== null && <p>Opened {item.opened}.</p>}
        {item.kind === 'log' && item.felled !== null && <p>Felled {item.felled}.</p>}
      </div>
      {item.kind === 'log' && (
        <Link to={`/stock/logs/${item.id}`}>
          <Button type="primary">How to split it</Button>
        </Link>
      )}
      {item.kind === 'tip' && (
        <Link to="/stock/cylinder">
          <Button type="primary">Find the round in it</Button>
        </Link>
      )}
      {item.kind === 'board' && <BadPlaces held={held} habits={habits} />}
      <Move held={held} />
      <Button onClick={() => setEditing(true)}>Change what is written here</Button>
    </div>
  );
}

/** Books a move: what came, went or was counted. */
function Move({ held: { item, amount } }: { held: HeldStock }) {
  const [kind, setKind] = useState<HandMove>('used');
  const [much, setMuch] = useState<number | null>(1);
  const [note, setNote] = useState('');
  const move = useChange(moveStock, 'stock');
  return (
    <div className="column" role="group" aria-label="Book a move">
      <div className="row fields">
        <label>
          {unitOf(item)}
          <InputNumber aria-label="Amount" value={much} min={0} onChange={setMuch} className="w-figure" />
        </label>
        <Select
          aria-label="What happened"
          value={kind}
          onChange={(k) => {
            setKind(k);
            if (k === 'corrected') setMuch(amount);
          }}
          options={choicesOf(HAND_MOVES)}
          className="w-phrase"
        />
      </div>
      <Input
        aria-label="Why"
        placeholder="why, if it matters"
        value={note}
        maxLength={200}
        onChange={(e) => setNote(e.target.value)}
      />
      <Trouble error={move.error} />
      <Button
        type="primary"
        disabled={much === null}
        loading={move.isPending}
        onClick={() =>
          much !== null &&
          move.mutate({ id: item.id, kind, amount: much, note }, { onSuccess: () => setNote('') })
        }
      >
        Write it in the ledger
      </Button>
    </div>
  );
}

/** Unusable places of a board: drawn on it, or typed. */
function BadPlaces({ held, habits }: { held: HeldStock; habits: ShopHabits }) {
  const { item } = held;
  const [zones, setZones] = useState<Zone[] | null>(null);
  const save = useStockSave(item.id);
  if (item.kind !== 'board') return null;
  const shown = zones ?? item.zones;
  const set = (i: number, change: Partial<Zone>) =>
    setZones(shown.map((z, j) => (j === i ? { ...z, ...change } : z)));
  return (
    <div className="column">
      <h3>Unusable places</h3>
      <BoardZones
        board={{ ...item, zones: shown }}
        materials={habits.materials}
        onDraw={(zone) => setZones([...shown, zone])}
      />
      <p className="soft">Draw over a knot or check on the board, or type it.</p>
      {shown.map((zone, i) => (
        <div key={i} className="row fields zone">
          {(['from', 'to', 'low', 'high'] as const).map((key) => (
            <LengthInput
              key={key}
              label={`${ZONE_WORDS[key]}, place ${i + 1}`}
              value={dim(zone[key])}
              onChange={(value) => set(i, { [key]: value.mm })}
            />
          ))}
          <Input
            aria-label={`What it is, place ${i + 1}`}
            value={zone.why}
            maxLength={60}
            className="w-date"
            onChange={(e) => set(i, { why: e.target.value })}
          />
          <Button
            type="text"
            aria-label={`Take away place ${i + 1}`}
            onClick={() => setZones(shown.filter((_, j) => j !== i))}
          >
            ✕
          </Button>
        </div>
      ))}
      <Trouble error={save.error} />
      {zones !== null && (
        <Button
          type="primary"
          loading={save.isPending}
          onClick={() =>
            save.mutate(
              { base: editedStock(held), mine: withoutId({ ...item, zones }) },
              { onSuccess: () => setZones(null) },
            )
          }
        >
          Save the places
        </Button>
      )}
      {save.dialog}
    </div>
  );
}

const ZONE_WORDS = { from: 'From', to: 'To', low: 'Across from', high: 'Across to' };
