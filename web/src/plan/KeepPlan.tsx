import { type Finding, type OwnWay } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { randomId } from '../api/randomId.js';
import { sessionQuery } from '../api/session.js';
import { Say } from '../ui/Length.js';
import { useOncePlanned } from './useOncePlanned.js';

interface KeepPlanProps {
  findings: readonly Finding[];
  /** they are those of what is chosen; false while its plan is on its way */
  planned?: boolean;
  pending: boolean;
  /** what the button says */
  words?: string;
  disabled?: boolean;
  /** keeps it, with the Stops that are gone past now */
  onKeep: (past: readonly OwnWay[]) => void;
}

/** Keeps a plan. Where something of it stops, it asks once, and the reason is kept with the plan. */
export function KeepPlan({
  findings,
  planned = true,
  pending,
  words = 'Keep the plan',
  disabled = false,
  onKeep,
}: KeepPlanProps) {
  const session = useQuery(sessionQuery);
  const [asked, setAsked] = useState(false);
  const [why, setWhy] = useState('');
  const stops = findings.filter((f) => f.severity === 'stop');
  const past = (): OwnWay[] =>
    stops.map(({ id }) => ({
      id: randomId(),
      decides: { kind: 'past', finding: id },
      why: why.trim(),
      by: session.data?.userName ?? '',
      at: new Date().toISOString(),
    }));
  const { press, waits } = useOncePlanned(planned, () => (stops.length === 0 ? onKeep([]) : setAsked(true)));
  if (!asked || stops.length === 0)
    return (
      <Button type="primary" size="large" loading={pending || waits} disabled={disabled} onClick={press}>
        {words}
      </Button>
    );
  const final = stops.filter((f) => f.final);
  return (
    <form
      className="keep-past"
      aria-label="Keep it all the same"
      onSubmit={(e) => {
        e.preventDefault();
        if (why.trim() !== '' && final.length === 0 && planned) onKeep(past());
      }}
    >
      <p>
        <b>■ {stops.length === 1 ? 'One Stop is' : `${stops.length} Stops are`} open:</b>{' '}
        {stops.slice(0, SHOWN).map((f) => (
          <Say key={f.id} text={`${f.what} `} />
        ))}
        {stops.length > SHOWN && `and ${stops.length - SHOWN} more.`}
      </p>
      {final.length > 0 ? (
        <p>Nobody can go past wood that nothing holds. Take back what leads to it.</p>
      ) : (
        <>
          <Input
            autoFocus
            aria-label="Why keep it all the same"
            placeholder="why it may go on"
            value={why}
            maxLength={300}
            className="w-line"
            onChange={(e) => setWhy(e.target.value)}
          />
          <Button htmlType="submit" type="primary" disabled={why.trim() === '' || !planned} loading={pending}>
            Go past and keep it
          </Button>
        </>
      )}{' '}
      <Button onClick={() => setAsked(false)}>Leave it</Button>
    </form>
  );
}

const SHOWN = 3;
