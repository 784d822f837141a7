import {
  heldHow,
  alternatives,
  capitalised,
  centringOf,
  otherwise,
  type Alternative,
  type Mount,
  type MountKind,
  type Otherwise,
  type Outcome,
  type PartPlan,
  type PlanInputs,
  SENSIBLE_WAYS,
  STOCK_FORMS,
} from '@compas/core';
import { Segmented } from 'antd';
import { useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import { Length, Say } from '../ui/Length.js';
import { drillChoices, withDrillChoice, type Choose } from './draft.js';
import { AlwaysSo } from './own/AlwaysSo.js';
import { StackBar } from './StackBar.js';

interface MountStageProps {
  part: PartPlan;
  inputs: PlanInputs;
  choose?: Choose;
}

/** The sensible ways to hold the work; one is chosen. Then what must be on the lathe, and how the centre is found. */
export function MountStage({ part, inputs, choose }: MountStageProps) {
  const { mount, mounts } = part;
  const [all, setAll] = useState(mounts.findIndex((m) => m.kind === mount.kind) >= SENSIBLE_WAYS);
  const shown = all ? mounts : mounts.slice(0, SENSIBLE_WAYS);
  const ways = useAlternatives(inputs, shown);
  const [quickest] = ways;
  return (
    <div className="column">
      <h2>Held {heldHow(mount)}</h2>
      <StackBar part={part} room={inputs.workshop.lathe.betweenCentres} />
      <div className="ways" role={choose ? 'radiogroup' : undefined} aria-label="Ways to hold the work">
        {shown.map((way) => (
          <Way
            key={way.kind}
            mount={way}
            comesTo={ways.find((a) => a.kind === way.kind)}
            quickest={way.kind === quickest?.kind && quickest.against.length === 0}
            chosen={way.kind === mount.kind}
            onChoose={choose && (() => choose('mount', way.kind))}
          />
        ))}
      </div>
      <AlwaysSo
        part={part}
        inputs={inputs}
        decides={{ kind: 'hold', mount: mount.kind }}
        label="Hold it so always"
      />
      {mounts.length > SENSIBLE_WAYS && (
        <button type="button" className="more" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Only the sensible ones' : `${mounts.length - SENSIBLE_WAYS} other ways, less fitting`}
        </button>
      )}
      <OtherOrders part={part} inputs={inputs} choose={choose} />
      <State part={part} />
      <CentringPanel part={part} inputs={inputs} choose={choose} />
    </div>
  );
}

/** What each way comes to; it is worked out beside the plan itself and may stand a moment behind it. */
function useAlternatives(inputs: PlanInputs, shown: readonly Mount[]): Alternative[] {
  const settled = useDeferredValue(inputs);
  const kinds = shown.map((m) => m.kind).join('|');
  return useMemo(() => alternatives(settled, kinds.split('|') as MountKind[]), [settled, kinds]);
}

/** The same hold with another order of things: when it is drilled, green or dry. Each is planned through when it is asked for. */
function OtherOrders({ part, inputs, choose }: MountStageProps) {
  const [open, setOpen] = useState(false);
  return (
    <section>
      <button type="button" className="more" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open
          ? 'Only as it is planned'
          : 'The same hold in another order: drilled first or last, green or dry'}
      </button>
      {open && <Orders part={part} inputs={inputs} choose={choose} />}
    </section>
  );
}

function Orders({ part, inputs, choose }: MountStageProps) {
  const orders = useMemo(() => otherwise(inputs, part), [inputs, part]);
  const quickest = orders
    .filter((o) => o.against.length === 0 && o.minutes !== null)
    .sort((a, b) => (a.minutes ?? 0) - (b.minutes ?? 0))[0];
  return (
    <div className="ways" role={choose ? 'radiogroup' : undefined} aria-label="Orders in this hold">
      {orders.map((order) => (
        <Choice key={order.id} chosen={order.followed} onChoose={choose && (() => takeOrder(order, choose))}>
          <b>{order.label}</b>
          <br />
          {order.words}
          <ComesTo way={order} quickest={order === quickest} />
        </Choice>
      ))}
    </div>
  );
}

/** Its choices, into the address. */
function takeOrder({ change: { green, drilling } }: Otherwise, choose: Choose): void {
  if (green !== undefined) choose('green', green ? 'yes' : null);
  if (drilling)
    choose(
      'holes',
      drilling.reduce((text, one) => withDrillChoice(drillChoices(text), one), ''),
    );
}

/** What must stand on the lathe before the first cut, and what changes on the way. */
function State({ part: { mount, steps } }: { part: PartPlan }) {
  const leaves = steps.some((s) => s.setup.tailstock === 'away');
  return (
    <section>
      <h2>On the lathe</h2>
      <ul className="state">
        <li>
          <Say text={`Headstock: ${mount.headstock}.`} />
        </li>
        <li>
          Tailstock:{' '}
          {mount.tailstock === null
            ? 'not used.'
            : `${mount.tailstock}; ${leaves ? 'away where the steps say so' : 'up for as long as it turns'}.`}
        </li>
        {mount.fixtures?.map((fixture) => (
          <li key={fixture}>
            <Say text={`${capitalised(fixture)}.`} />
          </li>
        ))}
        {mount.tenon && (
          <li>
            Tenon on the waste: <Length mm={mount.tenon.diameter} /> across,{' '}
            <Length mm={mount.tenon.length} /> long, its shoulder square and hard against the jaws.
          </li>
        )}
        {mount.reversal && (
          <li>
            Other end: <Say text={mount.reversal} />
          </li>
        )}
      </ul>
    </section>
  );
}

/** What the stock is, and how the centre of its ends is found then. */
function CentringPanel({ part, inputs, choose }: MountStageProps) {
  const form = inputs.order.stockForm ?? 'square';
  const centring = part.centring ?? centringOf(form, part.blank.section);
  return (
    <section>
      <h2>Centres of {form} stock</h2>
      {choose && (
        <Segmented
          aria-label="Form of the stock"
          value={form}
          onChange={(wanted) => choose('form', wanted === 'square' ? null : wanted)}
          options={[...STOCK_FORMS]}
          className="stock-form"
        />
      )}
      <AlwaysSo
        part={part}
        inputs={inputs}
        decides={{ kind: 'form', stockForm: form }}
        label="Such stock always"
      />
      {centring.words.map((words) => (
        <p key={words}>
          <Say text={words} />
        </p>
      ))}
      <p className="soft">
        Usually right to <Length mm={centring.error} />
        {form === 'square' ? (
          <>
            ; the workshop allows for <Length mm={inputs.workshop.allowances.centring} />.
          </>
        ) : (
          ': the blank is counted that much larger.'
        )}
      </p>
    </section>
  );
}

interface WayProps {
  mount: Mount;
  comesTo?: Alternative;
  quickest: boolean;
  chosen: boolean;
  onChoose?: () => void;
}

function Way({ mount, comesTo, quickest, chosen, onChoose }: WayProps) {
  const inner = (
    <>
      <b>{mount.label}</b>
      <br />
      <Say text={mount.why} />
      <br />
      <span className="soft">
        <Say text={`Headstock: ${mount.headstock}. Tailstock: ${mount.tailstock ?? 'not used'}.`} />
      </span>
      {comesTo && <ComesTo way={comesTo} quickest={quickest} />}
      {mount.missing.length > 0 && (
        <>
          <br />
          <span className="bad">
            ■ Missing: <Say text={mount.missing.join(', ')} />.
          </span>
        </>
      )}
    </>
  );
  return (
    <Choice chosen={chosen} onChoose={onChoose}>
      {inner}
    </Choice>
  );
}

/** One of several ways; it can be taken while the plan is in the making. */
function Choice({
  chosen,
  onChoose,
  children,
}: {
  chosen: boolean;
  onChoose: (() => void) | undefined;
  children: ReactNode;
}) {
  if (!onChoose)
    return (
      <div className="way" data-chosen={chosen}>
        {children}
      </div>
    );
  return (
    <button type="button" role="radio" aria-checked={chosen} className="way" onClick={onChoose}>
      {children}
    </button>
  );
}

/** Minutes and set-ups of the plan that takes this way, or why there is none. */
function ComesTo({ way, quickest }: { way: Outcome; quickest: boolean }) {
  const { minutes, setups, holds, against } = way;
  const [none] = against.filter((f) => f.id.startsWith('route.'));
  if (none)
    return (
      <>
        <br />
        <span className="bad">
          ■ <Say text={none.why} />
        </span>
      </>
    );
  if (minutes === null) return null;
  return (
    <>
      <br />
      <span>
        {minutes.toFixed(0)} min hands on for a piece, {setups} set-ups, on the lathe{' '}
        {holds === 1 ? 'once' : `${holds} times`}
        {quickest && <b> · quickest</b>}
      </span>
    </>
  );
}
