import { plan, type Decision, type Habit, type OwnWay, type PatternBody } from '@compas/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { useMemo, useState } from 'react';
import { exampleInputs } from '../../core/src/plan/exampleShop.js';
import { DecidingHere } from '../src/plan/own/DecidingHere.js';
import { GoPast } from '../src/plan/own/GoPast.js';
import { StageWork } from '../src/plan/StageWork.js';
import { Findings } from '../src/ui/Findings.js';
import { answering, shownInApp } from './inApp.js';

/** What is planned: three stoppers. */
export const base = exampleInputs(3);
/** An own way of a decision. */
export const way = (decides: Decision, more: Partial<Habit> = {}): Habit => ({
  id: 'w1',
  decides,
  why: 'crisp beads',
  by: 'Ines',
  at: '2026-03-01T08:00:00.000Z',
  ...more,
});

/** A stage of a plan that follows what is decided on it, with all that was decided for the order. */
export async function shownStage(
  stage: Parameters<typeof StageWork>[0]['stage'],
  {
    ways: first = [],
    habits = [],
    pattern = base.pattern,
    edited = false,
  }: { ways?: OwnWay[]; habits?: Habit[]; pattern?: PatternBody; edited?: boolean } = {},
) {
  const kept: OwnWay[][] = [];
  const workshop = { ...base.workshop, ways: habits };
  const asked = answering({
    'GET /api/session': () => ({
      body: { userId: 'u', userName: 'Ines', workshopId: 'w', workshops: [], demo: false },
    }),
    'PUT /api/workshop': () => ({ body: { id: 'w', name: 'Ours', version: 4, body: workshop } }),
    'PUT /api/patterns/p1': () => ({ body: {} }),
  });
  const wider = {
    pattern: { id: 'p1', name: 'Stopper', kind: 'stopper', revision: 1, version: 7, body: pattern },
    edited,
    workshop: { id: 'w', name: 'Ours', version: 3, body: workshop },
  } as Parameters<typeof DecidingHere>[0]['wider'];
  function Planned() {
    const [ways, setWays] = useState(first);
    const order = useMemo(() => ({ ...base.order, ways }), [ways]);
    const made = useMemo(() => plan(pattern, workshop, base.stock, order, base.schools), [order]);
    const inputs = { ...base, pattern, workshop, order };
    return (
      <DecidingHere
        part={made.parts[0]}
        leads
        ways={ways}
        changeWays={(change) => {
          const changed = change(ways);
          kept.push(changed);
          setWays(changed);
        }}
        wider={wider}
      >
        <StageWork plan={made} stage={stage} inputs={inputs} />
        <Findings
          findings={made.findings.filter((f) => f.severity === 'stop' || f.past !== undefined)}
          empty="no Stop"
          below={(f) => <GoPast finding={f} />}
        />
      </DecidingHere>
    );
  }
  const { client } = shownInApp(<Planned />);
  await waitFor(() => expect(client.getQueryData(['session'])).toBeTruthy());
  return { kept, asked };
}
export const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
export const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
export const sent = (asked: ReturnType<typeof answering>, method: string) =>
  asked.find((a) => a.method === method)?.body as {
    basedOn: number;
    body: { ways: Habit[]; parts: { ways: OwnWay[] }[] };
  };
