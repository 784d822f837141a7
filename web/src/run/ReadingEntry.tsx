import {
  checkPlausible,
  judge,
  parseLength,
  type Dimension,
  type LikelyReading,
  type Station,
  type Step,
} from '@compas/core';
import { useRef, useState, type FormEvent } from 'react';
import { Say } from '../ui/Length.js';
import { useUnits } from '../ui/units.js';
import { useCalliperKeys } from './useCalliperKeys.js';

interface ReadingEntryProps {
  station: Station;
  /** what was typed and could not be kept, with why */
  again: { text: string; why: string } | undefined;
  take: (reading: Dimension) => void;
}

/** Off by more than this, a number was rather typed wrongly than cut wrongly, mm or share of the size. */
const FAR_MM = 4;
const FAR_SHARE = 0.25;

/** One reading: a calliper types digits and Enter; the verdict comes at once. */
export function ReadingEntry({ station, again, take }: ReadingEntryProps) {
  const { units } = useUnits();
  const field = useRef<HTMLInputElement>(null);
  useCalliperKeys(field);
  const [text, setText] = useState(again?.text ?? '');
  const [why, setWhy] = useState<string | null>(again?.why ?? null);
  const [doubt, setDoubt] = useState<{ entered: Dimension; likely: LikelyReading } | null>(null);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const parsed = parseLength(text, units);
    if (!parsed.ok) return setWhy(parsed.why);
    setWhy(null);
    const likely = checkPlausible(parsed.dimension, fitOf(station));
    if (!likely) return take(parsed.dimension);
    setDoubt({ entered: parsed.dimension, likely });
    // measured once more, it takes the place of what is doubted
    field.current?.select();
  };
  return (
    <form className="run-reading" onSubmit={submit}>
      <label>
        Measure {station.label}
        <input
          ref={field}
          autoFocus
          inputMode="decimal"
          value={text}
          onChange={(e) => setText(e.target.value)}
          aria-invalid={why !== null}
          autoComplete="off"
        />
      </label>
      {why !== null && <p role="alert">{why}</p>}
      {doubt && (
        <div className="run-doubt" role="alert">
          <p>
            <Say text={`Is it ⟦${doubt.likely.likely.mm}⟧? ${doubt.likely.reason}.`} />
          </p>
          <button
            type="button"
            className="run-quiet"
            onClick={() => take({ ...doubt.likely.likely, typed: text })}
          >
            Yes
          </button>
          <button type="button" className="run-quiet" onClick={() => take(doubt.entered)}>
            No, it is {text}
          </button>
        </div>
      )}
      <button type="submit" className="run-quiet" disabled={text.trim() === ''}>
        Take the reading
      </button>
    </form>
  );
}

function fitOf(station: Station) {
  const room = Math.max(FAR_MM, station.finished * FAR_SHARE);
  return {
    what: `${station.label} of this piece`,
    minMm: Math.max(0, station.finished - room),
    maxMm: station.cutTo + room,
  };
}

/** Verdict of a reading, in words. */
export const verdictOf = (mm: number, station: Station, step: Step) => judge(mm, station, step.against);
