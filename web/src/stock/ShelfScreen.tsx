import { keysOf, STOCK_KINDS, type StockItem } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { stockQuery, type HeldStock } from '../api/stock.js';
import { Sizes } from '../ui/Sizes.js';
import { moneyWords } from '../ui/moneyWords.js';
import { ItemForm } from './ItemForm.js';
import { ItemPanel } from './ItemPanel.js';
import { StockImport } from './StockImport.js';
import { StockPicture } from './StockPicture.js';
import { amountWords, formOf, materialName, sizesOf, unitOf } from './stockWords.js';
import { useShopHabits, type ShopHabits } from './useShopHabits.js';

/** What lies on the shelves, to scale; the piece that is chosen opens at the right. */
export default function ShelfScreen() {
  const stock = useQuery(stockQuery);
  const habits = useShopHabits();
  const [search, setSearch] = useSearchParams();
  const [adding, setAdding] = useState(false);
  const [empty, showEmpty] = useState(false);
  if (!stock.data || !habits) return null;
  const shown = stock.data.filter((h) => empty || h.amount > 0);
  const chosen =
    stock.data.find((h) => h.item.id === search.get('piece')) ?? shown.find((h) => h.item.kind === 'board');
  const choose = (id: string | null) => setSearch(id === null ? {} : { piece: id }, { replace: true });
  const gone = stock.data.length - stock.data.filter((h) => h.amount > 0).length;
  return (
    <div className="stock-two">
      <div className="column">
        <div className="row spread">
          <h1>On the shelf, worth {moneyWords(sum(stock.data), habits.currency)}</h1>
          <span className="row">
            <StockImport habits={habits} />
            <Button type="primary" onClick={() => setAdding(true)}>
              Take stock in
            </Button>
          </span>
        </div>
        {adding && <ItemForm held={null} habits={habits} onDone={() => setAdding(false)} />}
        {stock.data.length === 0 && !adding && (
          <p>
            Nothing is entered yet. Take in the boards, squares and logs that you have; Compas then says what
            to cut from which.
          </p>
        )}
        {keysOf(STOCK_KINDS).map((kind) => (
          <Group
            key={kind}
            kind={kind}
            held={shown.filter((h) => h.item.kind === kind)}
            habits={habits}
            chosen={chosen?.item.id ?? null}
            choose={choose}
          />
        ))}
        {gone > 0 && (
          <Checkbox checked={empty} onChange={(e) => showEmpty(e.target.checked)}>
            Show the {gone} that are used up
          </Checkbox>
        )}
      </div>
      <aside className="stock-aside">
        {chosen ? (
          <ItemPanel key={chosen.item.id + String(chosen.version)} held={chosen} habits={habits} />
        ) : (
          <p className="soft">Choose a piece to use it, count it, mark its bad places or split it.</p>
        )}
      </aside>
    </div>
  );
}

const sum = (held: readonly HeldStock[]): number => held.reduce((total, h) => total + h.cost, 0);

/** Widest a picture becomes, pixels. */
const PICTURE = 260;

interface GroupProps {
  kind: StockItem['kind'];
  held: HeldStock[];
  habits: ShopHabits;
  chosen: string | null;
  choose: (id: string | null) => void;
}

function Group({ kind, held, habits, chosen, choose }: GroupProps) {
  if (held.length === 0) return null;
  const longest = Math.max(1, ...held.map((h) => ('length' in h.item ? h.item.length.mm : 0)));
  return (
    <section>
      <h2>{STOCK_KINDS[kind].many}</h2>
      <ul className="stock-rows">
        {held.map((h) => (
          <li key={h.item.id}>
            <button
              type="button"
              className="stock-row"
              aria-pressed={h.item.id === chosen}
              onClick={() => choose(h.item.id === chosen ? null : h.item.id)}
            >
              <span className="stock-what">
                <b>{h.item.label}</b>
                <span className="soft">
                  {'materialId' in h.item && `${materialName(habits.materials, h.item.materialId)}, `}
                  {formOf(h.item)}
                  {h.item.kind === 'consumable' ? h.item.what : <Sizes mm={sizesOf(h.item)} />}
                </span>
                <span className="soft">{detailsOf(h.item)}</span>
              </span>
              <span className="stock-drawn">
                <StockPicture item={h.item} materials={habits.materials} scale={PICTURE / longest} />
              </span>
              <span className="stock-amount">
                <b>{amountWords(h.amount, unitOf(h.item))}</b>
                <span className="soft">{h.cost > 0 ? moneyWords(h.cost, habits.currency) : 'no price'}</span>
                {h.item.reorderAt !== null && h.amount < h.item.reorderAt && (
                  <span className="stock-look">
                    <span aria-hidden>▲</span> below {h.item.reorderAt}
                  </span>
                )}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function detailsOf(item: StockItem): string {
  const words = [item.place];
  if (item.kind === 'consumable') words.push(item.expires === null ? '' : `good until ${item.expires}`);
  else words.push(item.moisture === null ? '' : `${item.moisture} % moisture`, item.offcut ? 'offcut' : '');
  return words.filter(Boolean).join(', ');
}
