import { parseLength, type PartPlan, type Reading, type Step } from '@compas/core';
import { useState } from 'react';
import { Length, Say } from '../ui/Length.js';
import { useUnits } from '../ui/units.js';
import { verdictOf } from './ReadingEntry.js';
import type { Keep } from './useKept.js';

interface ReadingListProps {
  readings: readonly Reading[];
  part: PartPlan;
  step: Step;
  record: Keep;
}

const SIGN = { good: '✓', fat: '▲', thin: '■', off: '●' };

/** Readings of this step with their verdicts; each can be corrected, the first entry stays. */
export function ReadingList({ readings, part, step, record }: ReadingListProps) {
  const [correcting, setCorrecting] = useState<string | null>(null);
  return (
    <ul className="run-readings" aria-label="Readings">
      {readings.map((reading) => {
        const station = part.stations.find((s) => s.id === reading.stationId);
        if (!station) return null;
        const verdict = verdictOf(reading.mm, station, step);
        return (
          <li key={reading.eventId} data-verdict={verdict.verdict}>
            <b>
              <span aria-hidden>{SIGN[verdict.verdict]}</span> {station.label} <Length mm={reading.mm} />
            </b>{' '}
            <Say text={verdict.words} />
            {reading.who !== undefined && <span className="run-soft"> {reading.who.split(' ')[0]}</span>}
            {reading.instead && (
              <span className="run-soft">
                {' '}
                holds, instead of <Lengths mm={reading.instead} />
              </span>
            )}
            {reading.correctedWhy && <span className="run-soft"> corrected: {reading.correctedWhy}</span>}{' '}
            {correcting === reading.eventId ? (
              <Correction
                onDone={() => setCorrecting(null)}
                onCorrect={(mm, typed, why) =>
                  record({ kind: 'corrected', eventId: reading.eventId, mm, typed, why })
                }
              />
            ) : (
              <button type="button" className="run-link" onClick={() => setCorrecting(reading.eventId)}>
                correct
              </button>
            )}
          </li>
        );
      })}
    </ul>
  );
}

function Lengths({ mm }: { mm: readonly number[] }) {
  return mm.map((m, i) => (
    <span key={`${i} ${m}`}>
      {i > 0 && ', '}
      <Length mm={m} />
    </span>
  ));
}

function Correction({
  onCorrect,
  onDone,
}: {
  /** true when it was kept */
  onCorrect: (mm: number, typed: string, why: string) => Promise<boolean>;
  onDone: () => void;
}) {
  const { units } = useUnits();
  const [text, setText] = useState('');
  const [why, setWhy] = useState('');
  const parsed = parseLength(text, units);
  const correct = async (mm: number, typed: string, because: string) => {
    if (await onCorrect(mm, typed, because)) onDone();
  };
  return (
    <form
      className="run-correction"
      onSubmit={(event) => {
        event.preventDefault();
        if (parsed.ok && why.trim()) void correct(parsed.dimension.mm, text.trim(), why.trim());
      }}
    >
      <label>
        It is
        <input autoFocus inputMode="decimal" value={text} onChange={(e) => setText(e.target.value)} />
      </label>
      <label>
        because
        <input value={why} maxLength={500} onChange={(e) => setWhy(e.target.value)} />
      </label>
      <button type="submit" className="run-quiet" disabled={!parsed.ok || why.trim() === ''}>
        Correct it
      </button>
    </form>
  );
}
