import {
  capitalised,
  cutFindings,
  type CutInput,
  type CutPlan,
  type CutStock,
  SAW_ORDERS,
  studyKey,
} from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox } from 'antd';
import { useMemo, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { batchesQuery, madeQuery, type Made, type BatchSummary } from '../api/batches.js';
import { cuttingsQuery, keepCutting, stockQuery } from '../api/stock.js';
import { useChange } from '../api/useChange.js';
import { Findings } from '../ui/Findings.js';
import { Sizes } from '../ui/Sizes.js';
import { moneyWords } from '../ui/moneyWords.js';
import { Trouble } from '../ui/Trouble.js';
import { useCutting } from '../workers/useCutting.js';
import { CutResult } from './CutResult.js';
import { cuttable, wantedBlanks, type WantedBlanks } from './cuttingInput.js';
import { KeptCutting, KeptCuttings } from './KeptCuttings.js';
import { materialName } from './stockWords.js';
import { useShopHabits, type ShopHabits } from './useShopHabits.js';

/** From orders to a saw list: what is cut from which stock, and how near to the best that is. */
export default function CuttingScreen() {
  const { id } = useParams();
  const stock = useQuery(stockQuery);
  const batches = useQuery(batchesQuery);
  const made = useQuery(madeQuery);
  const cuttings = useQuery(cuttingsQuery);
  const habits = useShopHabits();
  if (!stock.data || !batches.data || !made.data || !cuttings.data || !habits) return null;
  const kept = cuttings.data.find((c) => c.id === id);
  return (
    <div className="stock-two">
      {kept ? (
        <KeptCutting key={kept.id} kept={kept} stock={stock.data} habits={habits} />
      ) : (
        <Planning batches={batches.data} made={made.data} stock={stock.data} habits={habits} />
      )}
      <aside className="stock-aside">
        <KeptCuttings cuttings={cuttings.data} here={kept?.id ?? null} />
      </aside>
    </div>
  );
}

interface PlanningProps {
  batches: BatchSummary[];
  made: Made[];
  stock: Parameters<typeof cuttable>[0];
  habits: ShopHabits;
}

function Planning({ batches, made, stock, habits }: PlanningProps) {
  const wanted = useMemo(() => wantedBlanks(batches, stock, made), [batches, stock, made]);
  const [search] = useSearchParams();
  const asked = search.get('batch');
  // until somebody chooses: the order that was asked for, or all, also those that only now arrive
  const [picked, choose] = useState<string[] | null>(null);
  const chosen = useMemo(
    () => picked ?? wanted.filter((w) => asked === null || w.batch.id === asked).map((w) => w.demand.id),
    [picked, wanted, asked],
  );
  const [spare, setSpare] = useState(true);
  const [octagons, setOctagons] = useState(true);
  const [left, leave] = useState<string[]>([]);
  const study = useCutting();
  const { state } = study;
  const demand = useMemo(
    () =>
      wanted
        .filter((w) => chosen.includes(w.demand.id))
        .map((w) => (spare ? w.spare : w.demand))
        .map((d) => ({ ...d, octagon: d.octagon && octagons })),
    [wanted, chosen, spare, octagons],
  );
  const { dry, wet } = useMemo(() => cuttable(stock, demand, habits.sawing), [stock, demand, habits.sawing]);
  const input = useMemo<CutInput>(
    () => ({ demand, stock: dry.filter((s) => !left.includes(s.id)), sawing: habits.sawing }),
    [demand, dry, left, habits.sawing],
  );
  const findings = useMemo(() => (demand.length > 0 ? cutFindings(input) : []), [demand.length, input]);
  const blocked = findings.some((f) => f.id.startsWith('stock.kerf'));
  const stale = state.kind === 'done' && studyKey(state.input) !== studyKey(input);
  if (wanted.length === 0)
    return (
      <div className="column">
        <h1>No blanks are waiting to be cut.</h1>
        <p>Keep a plan of a pattern, and its blanks appear here until they are cut.</p>
      </div>
    );
  return (
    <div className="column">
      <h1>Cut blanks for</h1>
      <Orders
        wanted={wanted}
        chosen={chosen}
        spare={spare}
        habits={habits}
        onToggle={(id) => choose(toggle(chosen, id))}
      />
      <Checkbox checked={spare} onChange={(e) => setSpare(e.target.checked)}>
        Cut spares for what is usually rejected ({ratesOf(wanted, chosen)})
      </Checkbox>
      <Checkbox checked={octagons} onChange={(e) => setOctagons(e.target.checked)}>
        Saw the corners off to octagons where a plan roughs them so
      </Checkbox>
      <FromStock dry={dry} wet={wet} left={left} habits={habits} onToggle={(id) => leave(toggle(left, id))} />
      {findings.length > 0 && <Findings findings={findings} empty="" />}
      <div className="row">
        <Button
          type="primary"
          size="large"
          disabled={demand.length === 0 || blocked || state.kind === 'running'}
          onClick={() => study.begin(input)}
        >
          Plan the cutting
        </Button>
        {state.kind === 'running' && (
          <span className="row" role="status">
            {state.progress
              ? `${capitalised(SAW_ORDERS[state.progress.order])}: ${state.progress.doing}, ${state.progress.round} sums solved`
              : 'Laying the boards out…'}
            <Button onClick={study.callOff}>Call it off</Button>
          </span>
        )}
        {state.kind === 'failed' && (
          <span role="alert">■ The sums could not be done here. Plan it again.</span>
        )}
      </div>
      {stale && (
        <p className="stock-look" role="status">
          <span aria-hidden>▲</span> Orders, stock or saws have changed since: plan it again.
        </p>
      )}
      {state.kind === 'done' && (
        <Result
          input={state.input}
          plans={state.plans}
          milliseconds={state.milliseconds}
          stale={stale}
          habits={habits}
        />
      )}
    </div>
  );
}

const toggle = (list: string[], id: string) =>
  list.includes(id) ? list.filter((x) => x !== id) : [...list, id];

interface OrdersProps {
  wanted: readonly WantedBlanks[];
  chosen: readonly string[];
  /** spares are cut too */
  spare: boolean;
  habits: ShopHabits;
  onToggle: (id: string) => void;
}

/** The orders that wait for blanks; each is cut now or left. */
function Orders({ wanted, chosen, spare, habits, onToggle }: OrdersProps) {
  return (
    <ul className="cut-wants" aria-label="Orders">
      {wanted.map((w) => (
        <li key={w.demand.id}>
          <Checkbox checked={chosen.includes(w.demand.id)} onChange={() => onToggle(w.demand.id)}>
            <b>{w.batch.name}</b>, {w.batch.customer}:{' '}
            {spare && w.spare.count > w.demand.count
              ? `${w.demand.count} and ${w.spare.count - w.demand.count} spare`
              : w.demand.count}{' '}
            of <Sizes mm={[w.demand.section, w.demand.section, w.demand.length]} />,{' '}
            {materialName(habits.materials, w.demand.materialId)}
            {cutAlready(w) !== '' && <span className="soft">; {cutAlready(w)}</span>}
          </Checkbox>
        </li>
      ))}
    </ul>
  );
}

/** Of what was ordered, what is cut: so that nobody wonders where the rest is. */
const cutAlready = ({ begun, shelved }: WantedBlanks): string =>
  [begun > 0 ? `${begun} begun` : '', shelved > 0 ? `${shelved} on the shelf` : '']
    .filter((words) => words !== '')
    .join(', ');

const sizesOf = ({ form, thickness, width, thinEnd = width, length }: CutStock): number[] =>
  form === 'rod' ? [width, length] : form === 'tip' ? [width, thinEnd, length] : [thickness, width, length];

interface FromStockProps extends Pick<ReturnType<typeof cuttable>, 'dry' | 'wet'> {
  left: readonly string[];
  habits: ShopHabits;
  onToggle: (id: string) => void;
}

/** What on the shelf it may be cut from. */
function FromStock({ dry, wet, left, habits, onToggle }: FromStockProps) {
  return (
    <details className="sheet" open={left.length > 0}>
      <summary>
        From {dry.length - left.length} of {dry.length} kinds of stock on the shelf
        {wet.length > 0 && `; still too wet: ${wet.join(', ')}`}
      </summary>
      <ul className="cut-from">
        {dry.map((s) => (
          <li key={s.id}>
            <Checkbox checked={!left.includes(s.id)} onChange={() => onToggle(s.id)}>
              {s.pieces} × {s.label}, <Sizes mm={sizesOf(s)} />
              {s.cost !== null && `, ${moneyWords(s.cost, habits.currency)} each`}
            </Checkbox>
          </li>
        ))}
      </ul>
    </details>
  );
}

const ratesOf = (wanted: readonly WantedBlanks[], chosen: readonly string[]): string =>
  [
    ...new Set(
      wanted.filter((w) => chosen.includes(w.demand.id)).map((w) => `${(100 * w.rate).toFixed(0)} %`),
    ),
  ].join(', ');

interface ResultProps {
  input: CutInput;
  plans: CutPlan[];
  milliseconds: number;
  stale: boolean;
  habits: ShopHabits;
}

function Result({ input, plans, milliseconds, stale, habits }: ResultProps) {
  const [order, setOrder] = useState(plans[0]?.order ?? 'rip-first');
  const navigate = useNavigate();
  const keep = useChange(keepCutting, 'cuttings');
  const plan = plans.find((p) => p.order === order) ?? plans[0];
  if (!plan) return null;
  return (
    <>
      <CutResult input={input} plans={plans} plan={plan} onOrder={setOrder} habits={habits} />
      <p className="soft">Worked out in {(milliseconds / 1000).toFixed(1)} s.</p>
      <Trouble error={keep.error} />
      <div className="row">
        <Button
          type="primary"
          size="large"
          disabled={stale || plan.cuts.length === 0}
          loading={keep.isPending}
          onClick={() =>
            keep.mutate(
              {
                name: input.demand
                  .map((d) => d.label)
                  .join(' and ')
                  .slice(0, 120),
                studyKey: studyKey(input),
                demand: input.demand,
                stockIds: input.stock.map((s) => s.id),
                // of what it is compared with only the figures are kept
                plan: { ...plan, compared: { ...plan.compared, cuts: [] } },
              },
              { onSuccess: (kept) => void navigate(`/stock/cutting/${kept.id}`) },
            )
          }
        >
          Keep this plan
        </Button>
      </div>
    </>
  );
}
