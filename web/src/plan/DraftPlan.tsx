import { airOf, dryingWood, inputsOfPart, planOfPart, type PlanInputs, type Stage } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { createBatch } from '../api/batches.js';
import { patternQuery, type Pattern } from '../api/patterns.js';
import { dryingQuery, type Bundle } from '../api/stock.js';
import { useChange } from '../api/useChange.js';
import { kitsQuery, workshopQuery, type WorkshopDetail } from '../api/workshop.js';
import type { DryingWood, Kit, OwnWay, Plan } from '@compas/core';
import { Figures } from '../ui/Figures.js';
import { Findings } from '../ui/Findings.js';
import { Trouble } from '../ui/Trouble.js';
import { usePlan } from '../workers/usePlan.js';
import { draftFrom, keyFor, waysText, type Choose, type Draft } from './draft.js';
import { KeepPlan } from './KeepPlan.js';
import { OrderBand } from './OrderBand.js';
import { DecidingHere } from './own/DecidingHere.js';
import { GoPast } from './own/GoPast.js';
import { PartSwitch, useShownPart } from './PartSwitch.js';
import { stageOf } from './stages.js';
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
  if (!pattern.data || !workshop.data || !kits.data || !drying.data) return null;
  return (
    <Drafting key={id} pattern={pattern.data} held={workshop.data} kits={kits.data} bundles={drying.data} />
  );
}

interface DraftingProps {
  pattern: Pattern;
  held: WorkshopDetail;
  kits: Kit[];
  bundles: Bundle[];
}

function Drafting({ pattern, held, kits, bundles }: DraftingProps) {
  const { body: workshop } = held;
  const [search, setSearch] = useSearchParams();
  const [opened] = useState(() => Date.now());
  const stage = stageOf(useParams().stage, 'stock');
  const draft = useMemo(
    () => draftFrom(search, pattern.body, workshop, opened),
    [search, pattern.body, workshop, opened],
  );
  const woods = useMemo(
    () => bundles.map(({ id, bundle }) => dryingWood(id, bundle, airOf(workshop))),
    [bundles, workshop],
  );
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
  const { plan, error } = usePlan(inputs);
  if (error) throw error;
  if (!plan) return null;
  const set: Choose = (key, value) =>
    setSearch(
      (before) => {
        const after = new URLSearchParams(before);
        if (value === null) after.delete(key);
        else after.set(key, value);
        return after;
      },
      { replace: true },
    );
  return <Drafted {...{ pattern, held, inputs, plan, draft, woods, stage, set }} />;
}

interface DraftedProps {
  pattern: Pattern;
  held: WorkshopDetail;
  inputs: PlanInputs;
  plan: Plan;
  draft: Draft;
  woods: DryingWood[];
  stage: Stage;
  set: Choose;
}

function Drafted({ pattern, held, inputs, plan: whole, draft, woods, stage, set }: DraftedProps) {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const create = useChange(createBatch, 'batches');
  const [shown, show] = useShownPart(whole);
  const { workshop } = inputs;
  const plan = planOfPart(whole, pattern.body, shown);
  const ofPart = useMemo(() => inputsOfPart(inputs, shown), [inputs, shown]);
  const choose: Choose = (key, value) => set(keyFor(key, shown, whole.parts[0].partId), value);
  const query = search.size > 0 ? `?${search.toString()}` : '';
  const to = (wanted: Stage) =>
    wanted === 'pattern'
      ? `/patterns/${pattern.id}`
      : wanted === 'run' || wanted === 'twins'
        ? null
        : `/patterns/${pattern.id}/plan/${wanted}${query}`;
  const keep = (past: readonly OwnWay[]) =>
    create.mutate(
      {
        patternId: pattern.id,
        revision: pattern.revision,
        name: `${draft.order.pieces} × ${pattern.name}`,
        customer: draft.customer || 'stock',
        ...draft.order,
        ...(past.length > 0 ? { ways: [...(draft.order.ways ?? []), ...past] } : {}),
        schools: draft.schools,
      },
      { onSuccess: (batch) => void navigate(`/batches/${batch.id}/${stage}`) },
    );
  const stageFindings = plan.findings.filter((f) => f.stage === stage);
  const elsewhere = plan.findings.filter((f) => f.stage !== stage && f.severity === 'stop');
  const ways = useMemo(() => ofPart.order.ways ?? [], [ofPart]);
  const wider = useMemo(() => ({ pattern, workshop: held }), [pattern, held]);
  return (
    <DecidingHere
      part={plan.parts[0]}
      leads={shown === whole.parts[0].partId}
      ways={ways}
      setWays={(changed) => choose('ways', waysText(changed))}
      wider={wider}
    >
      <WorkScreen
        title={
          <>
            <h1>
              Plan: <Link to={`/patterns/${pattern.id}`}>{pattern.name}</Link>
            </h1>
            <PartSwitch plan={whole} shown={shown} show={show} />
          </>
        }
        strip={<StageStrip plan={plan} stage={stage} workshop={workshop} pattern={pattern.body} />}
        band={
          <>
            <OrderBand
              draft={{
                ...draft,
                order: { ...plan.order, ...(draft.order.partId ? { partId: draft.order.partId } : {}) },
              }}
              workshop={workshop}
              set={choose}
              parts={pattern.body.parts}
              woods={woods.filter((w) => w.materialId === plan.order.materialId)}
            >
              <KeepPlan findings={plan.findings} pending={create.isPending} onKeep={keep} />
            </OrderBand>
            <Trouble error={create.error} />
          </>
        }
        stage={stage}
        findings={plan.findings}
        to={to}
        aside={
          <>
            <Findings
              findings={[...elsewhere, ...stageFindings]}
              empty="Nothing to look at in this stage."
              below={(finding) => <GoPast finding={finding} />}
            />
            <Figures figures={plan.figures[stage] ?? []} />
          </>
        }
      >
        <StageWork plan={plan} stage={stage} inputs={ofPart} choose={choose} />
      </WorkScreen>
    </DecidingHere>
  );
}
