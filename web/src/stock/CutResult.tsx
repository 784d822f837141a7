import {
  blankCosts,
  type BoardCut,
  capitalised,
  cutFigures,
  type CutInput,
  type CutPlan,
  SAW_ORDERS,
  sawListOf,
  type SawOrder,
} from '@compas/core';
import { useMemo } from 'react';
import { Figures } from '../ui/Figures.js';
import { Sizes } from '../ui/Sizes.js';
import { BoardDrawing } from './BoardDrawing.js';
import { SawList } from './SawList.js';
import { moneyWords } from '../ui/moneyWords.js';
import type { ShopHabits } from './useShopHabits.js';

interface CutResultProps {
  input: CutInput;
  /** the other order of sawing beside it, when both are known */
  plans: CutPlan[];
  plan: CutPlan;
  onOrder: (order: SawOrder) => void;
  habits: ShopHabits;
}

/** What the cutting plan opens and costs, how good that is, how each board is cut, and the saw list. */
export function CutResult({ input, plans, plan, onOrder, habits }: CutResultProps) {
  const figures = useMemo(() => cutFigures(plan, input), [plan, input]);
  const list = useMemo(() => sawListOf(plan, input), [plan, input]);
  const letters = new Map(input.demand.map((d, i) => [d.id, letterOf(i)]));
  const longest = Math.max(
    1,
    ...input.stock.filter((s) => plan.cuts.some((c) => c.stockId === s.id)).map((s) => s.length),
  );
  const worth = (cost: number) =>
    plan.byVolume ? `${(cost / 1000).toFixed(1)} dm³` : moneyWords(cost, habits.currency);
  return (
    <section className="column" aria-label="Cutting plan">
      <h2>
        Opens {plan.opened} {plan.opened === 1 ? 'piece' : 'pieces'} of stock
      </h2>
      <div className="figure-row">
        <Figures figures={figures} />
      </div>
      <p>
        {boundWords(plan, worth)} {comparedWords(plan, worth)}
        {plan.estimated.length > 0 &&
          ` No price is known of ${plan.estimated.join(', ')}: counted by volume at the mean of the others.`}
      </p>
      {plan.missing.map((m) => (
        <p key={m.demandId} role="alert" className="why">
          ■ {m.count} blanks of {input.demand.find((d) => d.id === m.demandId)?.label} cannot be cut from this
          stock. Take more stock in, or make fewer.
        </p>
      ))}
      {plans.length > 1 && (
        <div className="compare" role="radiogroup" aria-label="What is sawn first">
          {plans.map((p) => (
            <button
              key={p.order}
              type="button"
              role="radio"
              aria-checked={p === plan}
              className="way"
              onClick={() => onOrder(p.order)}
            >
              <b>{capitalised(SAW_ORDERS[p.order])}</b>
              <br />
              {p.missing.length > 0 ? 'some blanks are missing, ' : ''}
              {p.opened} opened, {worth(p.cost)}, {(p.waste / 1e6).toFixed(2)} dm³ of waste
            </button>
          ))}
        </div>
      )}
      <Keys input={input} plan={plan} letters={letters} currency={habits.currency} />
      {alikeCuts(plan.cuts).map(({ cut, alike }, i) => {
        const stock = input.stock.find((s) => s.id === cut.stockId);
        return (
          stock && (
            <BoardDrawing
              key={i}
              cut={cut}
              stock={stock}
              letters={letters}
              materials={habits.materials}
              longest={longest}
              alike={alike}
            />
          )
        );
      })}
      <SawList list={list} letters={letters} input={input} />
      <Kept plan={plan} input={input} />
    </section>
  );
}

/** Boards that are cut the same way are drawn once. */
function alikeCuts(cuts: readonly BoardCut[]): { cut: BoardCut; alike: number }[] {
  const known = new Map<string, { cut: BoardCut; alike: number }>();
  for (const cut of cuts) {
    const key = JSON.stringify([cut.stockId, cut.blanks]);
    const before = known.get(key);
    if (before) before.alike++;
    else known.set(key, { cut, alike: 1 });
  }
  return [...known.values()];
}

const letterOf = (i: number): string => String.fromCharCode(65 + (i % 26));

function boundWords(plan: CutPlan, worth: (cost: number) => string): string {
  if (plan.bound === null) return '';
  if (plan.proven) return 'No way of cutting in this order costs less: that is proven.';
  const over = plan.cost - plan.bound;
  return `No way of cutting in this order can cost less than ${worth(plan.bound)}; this is at most ${worth(over)} (${((100 * over) / Math.max(1, plan.bound)).toFixed(1)} %) above the best.`;
}

function comparedWords(plan: CutPlan, worth: (cost: number) => string): string {
  const { compared } = plan;
  if (compared.missing.length > 0) {
    const count = compared.missing.reduce((sum, m) => sum + m.count, 0);
    return `Cut one after another as they come, ${count} blanks would be missing.`;
  }
  return compared.cost > plan.cost
    ? `Cut one after another as they come, ${compared.opened} pieces would be opened for ${worth(compared.cost)}.`
    : 'Cut one after another as they come would open as much.';
}

interface KeysProps {
  input: CutInput;
  plan: CutPlan;
  letters: Map<string, string>;
  currency: string;
}

function Keys({ input, plan, letters, currency }: KeysProps) {
  const costs = blankCosts(plan, input);
  return (
    <ul className="cut-keys">
      {input.demand.map((d) => {
        const made = plan.cuts
          .flatMap((c) => c.blanks)
          .filter((b) => b.demandId === d.id)
          .reduce((sum, b) => sum + b.layers, 0);
        return (
          <li key={d.id}>
            <b className="cut-letter">{letters.get(d.id)}</b> {made === 0 ? 'none of' : `${made} ×`}{' '}
            <Sizes mm={[d.section, d.section, d.length]} /> for {d.label}
            {costs.has(d.id) && `, ${moneyWords(Math.round(costs.get(d.id) ?? 0), currency)} each`}
          </li>
        );
      })}
    </ul>
  );
}

/** Offcuts that go back on the shelf. */
function Kept({ plan, input }: { plan: CutPlan; input: CutInput }) {
  const kept = plan.cuts.flatMap((cut) =>
    cut.offcuts.map((o) => ({ ...o, label: input.stock.find((s) => s.id === cut.stockId)?.label ?? '' })),
  );
  if (kept.length === 0) return <p className="soft">Nothing is left that is large enough to keep.</p>;
  return (
    <section>
      <h2>Back on the shelf</h2>
      <ul className="cut-keys">
        {kept.map((o, i) => (
          <li key={i}>
            {o.pieces} × <Sizes mm={[o.thickness, o.width, o.length].map(Math.floor)} /> of {o.label}
          </li>
        ))}
      </ul>
    </section>
  );
}
