import { cutStockOf, studyKey, type CutStock, type Sawing } from '@compas/core';
import { Button, Popconfirm } from 'antd';
import { Link, useNavigate } from 'react-router';
import { recordCutting, removeCutting, type Cutting, type HeldStock } from '../api/stock.js';
import { useChange } from '../api/useChange.js';
import { Trouble } from '../ui/Trouble.js';
import { CutResult } from './CutResult.js';
import type { ShopHabits } from './useShopHabits.js';

/** Plans that were kept, the newest first. */
export function KeptCuttings({ cuttings, here }: { cuttings: readonly Cutting[]; here: string | null }) {
  return (
    <section>
      <h2>Kept plans</h2>
      {cuttings.length === 0 && <p className="soft">None yet.</p>}
      <ul className="kept-plans">
        {cuttings.map((c) => (
          <li key={c.id}>
            <Link to={`/stock/cutting/${c.id}`} aria-current={c.id === here ? 'page' : undefined}>
              {c.name}
            </Link>
            <br />
            <span className="soft">
              {c.recordedAt === null ? 'not cut yet' : `cut on ${c.recordedAt.slice(0, 10)}`}
            </span>
          </li>
        ))}
      </ul>
      {here !== null && <Link to="/stock/cutting">Plan another cutting</Link>}
    </section>
  );
}

interface KeptCuttingProps {
  kept: Cutting;
  stock: HeldStock[];
  habits: ShopHabits;
}

/** A kept plan: taken to the saw, then written in the ledger. */
export function KeptCutting({ kept, stock, habits }: KeptCuttingProps) {
  const navigate = useNavigate();
  const record = useChange(recordCutting, 'cuttings', 'stock');
  const remove = useChange(removeCutting, 'cuttings');
  const now = stock
    .filter((h) => kept.input.stock.some((s) => s.id === h.item.id))
    .map((h) => cutStockOf(h.item, { amount: h.amount, cost: h.cost }, habits.sawing))
    .filter((s): s is CutStock => s !== null);
  const key = (stocks: CutStock[], sawing: Sawing) =>
    studyKey({ ...kept.input, sawing, stock: [...stocks].sort((a, b) => a.id.localeCompare(b.id)) });
  const stale =
    kept.recordedAt === null && key(now, habits.sawing) !== key(kept.input.stock, kept.input.sawing);
  return (
    <div className="column">
      <h1>{kept.name}</h1>
      {kept.recordedAt !== null && (
        <p role="status">
          Cut on {kept.recordedAt.slice(0, 10)}: the boards are off the shelf, blanks and offcuts are on it,
          their cost with them. <Link to="/stock/ledger">See the ledger</Link>
        </p>
      )}
      {stale && (
        <p className="stock-look" role="status">
          <span aria-hidden>▲</span> The shelf or the saws have changed since this was planned. It can be
          recorded only if its boards are still there; otherwise plan it again.
        </p>
      )}
      <CutResult
        input={kept.input}
        plans={[kept.plan]}
        plan={kept.plan}
        onOrder={() => undefined}
        habits={habits}
      />
      <Trouble error={record.error ?? remove.error} />
      {kept.recordedAt === null && (
        <div className="row">
          <Popconfirm
            title="Are all boards of this plan cut?"
            description="The boards leave the shelf; blanks and offcuts come onto it."
            okText="Yes, write it down"
            cancelText="Not yet"
            onConfirm={() => record.mutate(kept.id)}
          >
            <Button type="primary" size="large" loading={record.isPending}>
              The boards are cut
            </Button>
          </Popconfirm>
          <Button
            onClick={() => remove.mutate(kept.id, { onSuccess: () => void navigate('/stock/cutting') })}
          >
            Throw the plan away
          </Button>
        </div>
      )}
    </div>
  );
}
