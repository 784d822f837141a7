import { FileProblem, STOCK_COLUMNS, type StockList } from '@compas/core';
import { Button, Modal } from 'antd';
import { useRef, useState } from 'react';
import { receiveStock } from '../api/stock.js';
import { useChange } from '../api/useChange.js';
import { Trouble } from '../ui/Trouble.js';
import { Sizes } from '../ui/Sizes.js';
import { useUnits } from '../ui/units.js';
import { readFile } from '../workers/reading.js';
import { sizesOf } from './stockWords.js';
import type { ShopHabits } from './useShopHabits.js';

/** A stock list from a table: read, shown with its bad rows, and taken in only when somebody says so. */
export function StockImport({ habits }: { habits: ShopHabits }) {
  const { units } = useUnits();
  const chooser = useRef<HTMLInputElement>(null);
  const [list, setList] = useState<StockList | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const receive = useChange(receiveStock, 'stock');
  const close = () => {
    setList(null);
    setWhy(null);
    receive.reset();
  };
  const read = async (file: File) => {
    try {
      setList(await readFile('stock', await file.text(), { units, ...habits }));
      setWhy(null);
    } catch (error) {
      if (!(error instanceof FileProblem)) throw error;
      setWhy(error.message);
      setList({ rows: [], problems: [] });
    }
  };
  const take = () =>
    list &&
    receive.mutate(
      list.rows.map(({ item, pieces }) => ({ item, amount: pieces })),
      { onSuccess: close },
    );
  return (
    <>
      <Button onClick={() => chooser.current?.click()}>From a table (CSV)</Button>
      <input
        ref={chooser}
        type="file"
        accept=".csv,text/csv"
        hidden
        aria-label="Stock list"
        onChange={(e) => {
          const [file] = e.target.files ?? [];
          e.target.value = '';
          if (file) void read(file);
        }}
      />
      <Modal
        title="Stock list"
        open={list !== null}
        onCancel={close}
        width={720}
        okText={list && list.rows.length > 0 ? `Take in the ${list.rows.length} good rows` : 'Take in'}
        okButtonProps={{ disabled: !list || list.rows.length === 0, loading: receive.isPending }}
        cancelText="Leave it"
        onOk={take}
      >
        {why !== null && <p role="alert">■ {why}</p>}
        {list && list.problems.length > 0 && (
          <section>
            <h3>{list.problems.length} rows cannot be taken in</h3>
            <ul aria-label="Bad rows">
              {list.problems.map((p) => (
                <li key={p.row}>
                  Row {p.row}: {p.why}
                </li>
              ))}
            </ul>
          </section>
        )}
        {list && list.rows.length > 0 && (
          <section>
            <h3>{list.rows.length} rows are good</h3>
            <ul className="import-good">
              {list.rows.map((r) => (
                <li key={r.row}>
                  Row {r.row}: {r.pieces} × {r.item.label}, <Sizes mm={sizesOf(r.item)} />
                </li>
              ))}
            </ul>
          </section>
        )}
        <p className="soft">
          Columns that are known: {STOCK_COLUMNS.join(', ')}. Nothing is on the shelf yet.
        </p>
        <Trouble error={receive.error} />
      </Modal>
    </>
  );
}
