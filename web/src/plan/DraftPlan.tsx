import { airOf, dryingWood, inputsOfPart, planOfPart, type PlanInputs, type Stage } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { memo, useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { createBatch, type NewBatch } from '../api/batches.js';
import { draftsQuery, dropDraft, type Draft as LeftDraft } from '../api/drafts.js';
import { patternQuery, type Pattern } from '../api/patterns.js';
import { dryingQuery, type Bundle } from '../api/stock.js';
import { useChange } from '../api/useChange.js';
import { kitsQuery, workshopQuery, type WorkshopDetail } from '../api/workshop.js';
import type { DryingWood, Kit, OwnWay, Plan } from '@compas/core';
import { FOR, LINES, linesIn, ORDER, SHOWN } from '../ui/planAddress.js';
import { NotedHere } from '../ui/NotedHere.js';
import { Trouble } from '../ui/Trouble.js';
import { editedPattern } from '../saving/editedPattern.js';
import { usePlan } from '../workers/usePlan.js';
import { asideOf } from './Aside.js';
import { draftFrom, keyFor, plannedBy, type Choose, type Draft } from './draft.js';
import { ForWhom, STOCK, WhomWords } from './ForWhom.js';
import { KeepPlan } from './KeepPlan.js';
import { LayAside } from './LayAside.js';
import { OrderBand } from './OrderBand.js';
import { DecidingHere } from './own/DecidingHere.js';
import { waysIn, waysText } from './own/waysInAddress.js';
import { PartSwitch } from './PartSwitch.js';
import { stageOf } from './stages.js';
import { LeftBefore, TakenUp } from './TakenUp.js';
import { useChoose, type ChooseAll } from './useChoose.js';
import { choicesIn, useKeptChoices, type Begun, type KeptChoices } from './useKeptChoices.js';
import { StageStrip } from './StageStrip.js';
import { StageWork } from './StageWork.js';
import { WorkScreen } from './WorkScreen.js';

/** A plan in the making: the order above, every stage below, all of it live. */
export default function DraftPlan() {
  const { id = '' } = useParams();
  const pattern = useQuery(patternQuery(id));
  const workshop = useQuery(workshopQuery);
  const kits = useQuery(kitsQuery);
  const drying = useQuery(dryingQuery);
  const drafts = useQuery({ ...draftsQuery, throwOnError: false });
  if (!pattern.data || !workshop.data || !kits.data || !drying.data || drafts.isPending) return null;
  const known = { pattern: pattern.data, held: workshop.data, kits: kits.data, bundles: drying.data };
  const draft = drafts.data?.find((d) => d.patternId === id) ?? null;
  return (
    <TakenUp key={id} draft={draft}>
      {(taken) => (
        <AsEdited {...known} taken={taken} begun={taken ? 'this' : draft ? 'another' : 'nothing'} />
      )}
    </TakenUp>
  );
}

/** What is changed of a pattern and not saved yet is planned as it is changed. */
function AsEdited(props: Omit<DraftingProps, 'edited'>) {
  const { pattern } = props;
  const edited = useMemo(() => editedPattern(pattern), [pattern]);
  return <Drafting {...props} pattern={edited ?? pattern} edited={edited !== null} />;
}

interface DraftingProps {
  pattern: Pattern;
  held: WorkshopDetail;
  kits: Kit[];
  bundles: Bundle[];
  /** it is not saved as it is planned */
  edited: boolean;
  /** what was begun before and is gone on with */
  taken: LeftDraft | null;
  begun: Begun;
}

function Drafting({ pattern, held, kits, bundles, edited, taken, begun }: DraftingProps) {
  const { body: workshop } = held;
  const [search] = useSearchParams();
  const [opened] = useState(() => Date.now());
  const stage = stageOf(useParams().stage, 'stock');
  const wanted = plannedBy(search);
  const draft = useMemo(
    () => draftFrom(new URLSearchParams(wanted), pattern.body, workshop, opened),
    [wanted, pattern.body, workshop, opened],
  );
  const keptChoices = useKeptChoices(pattern.id, search, begun);
  const woods = useMemo(() => bundles.map((lies) => dryingWood(lies, airOf(workshop))), [bundles, workshop]);
  const inputs = useMemo<PlanInputs>(
    () => ({
      pattern: pattern.body,
      workshop,
      stock: { kits, drying: woods },
      order: draft.order,
      schools: draft.schools,
    }),
    [pattern.body, workshop, kits, woods, draft],
  );
  const { plan, of, error } = usePlan(inputs);
  // what the plan that is shown was asked with: everything is drawn anew once, when the next one is there
  const [asked] = useState(() => new WeakMap<PlanInputs, Asked>());
  asked.set(inputs, { draft, query: queryOf(search) });
  const setAll = useChoose();
  if (error) throw error;
  const planned = of && asked.get(of);
  if (!plan || !planned) return null;
  const looked = search.get(SHOWN);
  const shown = plan.parts.find((p) => p.partId === looked) ?? plan.parts[0];
  return (
    <Drafted
      {...{ pattern, edited, held, inputs: of, plan, ...planned, woods, stage, setAll, taken, keptChoices }}
      shown={shown.partId}
    />
  );
}

/** For whom it is made: lines that are ordered, one more line of an order, somebody new, or the shelf. */
function madeFor(search: URLSearchParams): Pick<NewBatch, 'customer' | 'orderId' | 'lines'> {
  const lines = linesIn(search.get(LINES));
  if (lines.length > 0) return { lines };
  const orderId = search.get(ORDER);
  return orderId === null ? { customer: search.get(FOR)?.trim() || STOCK } : { orderId };
}

const queryOf = (search: URLSearchParams): string => (search.size > 0 ? `?${search.toString()}` : '');

/** What a plan was asked with. */
interface Asked {
  draft: Draft;
  query: string;
}

/** Takes every choice back, and what was kept of them. */
function useBeginAnew(patternId: string, setAll: ChooseAll): { left: boolean; begin: () => void } {
  const [search] = useSearchParams();
  const [left, leave] = useState(true);
  const drop = useChange(dropDraft, 'drafts');
  const begin = () => {
    leave(false);
    drop.mutate(patternId);
    setAll(Object.fromEntries([...new URLSearchParams(choicesIn(search)).keys()].map((key) => [key, null])));
  };
  return { left, begin };
}

interface DraftedProps {
  pattern: Pattern;
  edited: boolean;
  held: WorkshopDetail;
  inputs: PlanInputs;
  plan: Plan;
  draft: Draft;
  woods: DryingWood[];
  stage: Stage;
  setAll: ChooseAll;
  taken: LeftDraft | null;
  keptChoices: KeptChoices;
  /** the address that it was asked with */
  query: string;
  /** the part that is shown */
  shown: string;
}

const Drafted = memo(function Drafted(props: DraftedProps) {
  const { pattern, edited, held, inputs, plan: whole, draft, woods, stage, setAll, query, shown } = props;
  const { taken, keptChoices } = props;
  const anew = useBeginAnew(pattern.id, setAll);
  const set: Choose = (key, value) => setAll({ [key]: value });
  const first = whole.parts[0].partId;
  const search = useMemo(() => new URLSearchParams(query), [query]);
  // whoever goes on before the plan is there takes along what he has just chosen
  const [here] = useSearchParams();
  // and what he keeps is what he has chosen, not what was planned a moment before
  const planned = queryOf(here) === query;
  // who begins an order says at its first stage what it is; from then on it is a line of words
  const [open, setOpen] = useState(stage === 'stock' && !search.has('pieces'));
  const show = (partId: string) => set(SHOWN, partId === first ? null : partId);
  const navigate = useNavigate();
  const create = useChange(createBatch, 'batches', 'orders', 'drafts');
  const { workshop } = inputs;
  const plan = planOfPart(whole, pattern.body, shown);
  const ofPart = useMemo(() => inputsOfPart(inputs, shown), [inputs, shown]);
  const choose: Choose = (key, value) => set(keyFor(key, shown, first), value);
  const to = (wanted: Stage) =>
    wanted === 'pattern'
      ? `/patterns/${pattern.id}`
      : wanted === 'run' || wanted === 'twins'
        ? null
        : `/patterns/${pattern.id}/plan/${wanted}${queryOf(here)}`;
  const keep = (past: readonly OwnWay[]) => {
    keptChoices.hold();
    create.mutate(
      {
        patternId: pattern.id,
        revision: pattern.revision,
        name: `${draft.order.pieces} × ${pattern.name}`,
        ...madeFor(search),
        ...(keptChoices.isOwn() ? { fromDraft: true } : {}),
        ...draft.order,
        ...(past.length > 0 ? { ways: [...(draft.order.ways ?? []), ...past] } : {}),
        schools: draft.schools,
      },
      {
        onSuccess: (batch) => {
          keptChoices.settle();
          void navigate(`/batches/${batch.id}/${stage}`);
        },
        onError: keptChoices.release,
      },
    );
  };
  const ways = useMemo(() => ofPart.order.ways ?? [], [ofPart]);
  const wider = useMemo(() => ({ pattern, edited, workshop: held }), [pattern, edited, held]);
  return (
    <DecidingHere
      part={plan.parts[0]}
      leads={shown === first}
      ways={ways}
      changeWays={(change) => choose('ways', (now) => waysText(change(waysIn(now))))}
      wider={wider}
    >
      <WorkScreen
        title={
          <>
            <h1>
              Plan: <Link to={`/patterns/${pattern.id}`}>{pattern.name}</Link>
            </h1>
            <PartSwitch plan={whole} shown={shown} show={show} />
            {taken && anew.left && <LeftBefore draft={taken} onAnew={anew.begin} />}
          </>
        }
        strip={<StageStrip plan={plan} stage={stage} workshop={workshop} pattern={pattern.body} />}
        band={
          <>
            <NotedHere wish="Decide it where it stands, and say how far it holds." />
            <OrderBand
              draft={{
                ...draft,
                order: { ...plan.order, ...(draft.order.partId ? { partId: draft.order.partId } : {}) },
              }}
              workshop={workshop}
              set={choose}
              parts={pattern.body.parts}
              woods={woods.filter((w) => w.materialId === plan.order.materialId)}
              whom={<ForWhom patternId={pattern.id} set={setAll} />}
              whomWords={<WhomWords patternId={pattern.id} />}
              open={open}
              onOpen={setOpen}
            >
              <LayAside
                patternId={pattern.id}
                search={search}
                pieces={draft.order.pieces}
                due={draft.order.due}
                planned={planned}
                kept={keptChoices}
              />
              {edited ? (
                <Link to={`/patterns/${pattern.id}`} className="draft-unsaved">
                  ▲ Planned with what is not saved yet: save the pattern, then keep the plan
                </Link>
              ) : (
                <KeepPlan
                  findings={plan.findings}
                  planned={planned}
                  pending={create.isPending}
                  onKeep={keep}
                />
              )}
            </OrderBand>
            <Trouble error={create.error} />
          </>
        }
        stage={stage}
        findings={plan.findings}
        to={to}
        // it folds as one goes, not when the stage is there: what is opened meanwhile stays open
        onGo={() => setOpen(false)}
        aside={asideOf({
          stage,
          findings: plan.findings,
          figures: plan.figures[stage] ?? [],
          patternId: pattern.id,
        })}
      >
        <StageWork plan={plan} stage={stage} inputs={ofPart} choose={choose} />
      </WorkScreen>
    </DecidingHere>
  );
});
