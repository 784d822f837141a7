import {
  checkPlausible,
  dim,
  editText,
  parseLength,
  type Dimension,
  type MustFit,
  type ParsedLength,
  type Units,
} from '@compas/core';
import { useId, useState, type KeyboardEvent } from 'react';
import { Say } from './Length.js';
import { STEP } from './lengthStep.js';
import { useUnits } from './units.js';

interface LengthInputProps {
  label: string;
  value: Dimension;
  onChange: (value: Dimension) => void;
  /** what it must fit: a number that cannot be meant gets a likelier reading proposed */
  fit?: MustFit;
  showLabel?: boolean;
  disabled?: boolean;
  /** how it is read, where more than lengths can be typed, such as the number of a bit */
  read?: (text: string, units: Units) => ParsedLength;
}

/** A length as people type it. Nonsense stays in the field with a sentence; nothing is lost. */
export function LengthInput({
  label,
  value,
  onChange,
  fit,
  showLabel = false,
  disabled,
  read = parseLength,
}: LengthInputProps) {
  const { units } = useUnits();
  const [draft, setDraft] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const id = useId();
  const likely = fit && why === null ? checkPlausible(value, fit) : null;

  const take = () => {
    if (draft === null) return;
    // what stands there already changes nothing, also where more of it is known than is shown
    if (draft === editText(value, units, read)) return setDraft(null);
    const parsed = read(draft, units);
    if (!parsed.ok) return setWhy(parsed.why);
    setDraft(null);
    setWhy(null);
    if (parsed.dimension.mm !== value.mm || parsed.dimension.typed !== value.typed)
      onChange(parsed.dimension);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') {
      take();
      // in a form the length is taken, and the form is not sent half filled
      event.preventDefault();
    }
    if (event.key === 'Escape') {
      setDraft(null);
      setWhy(null);
    }
    if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
    event.preventDefault();
    const step = STEP[units][event.shiftKey ? 'coarse' : 'fine'] * (event.key === 'ArrowUp' ? 1 : -1);
    setDraft(null);
    setWhy(null);
    onChange(dim(Math.max(0, Number((value.mm + step).toFixed(6)))));
  };
  return (
    <span className="length-input">
      {showLabel && <label htmlFor={id}>{label}</label>}
      <input
        id={id}
        aria-label={showLabel ? undefined : label}
        aria-invalid={why !== null}
        aria-describedby={why !== null ? `${id}-why` : undefined}
        disabled={disabled}
        value={draft ?? editText(value, units, read)}
        onChange={(event) => setDraft(event.target.value)}
        onFocus={(event) => event.target.select()}
        onBlur={take}
        onKeyDown={onKeyDown}
      />
      {why !== null && (
        <span className="why" id={`${id}-why`} role="alert">
          {why}
        </span>
      )}
      {value.correction && (
        <span className="soft" title={value.correction.reason}>
          entered as {value.correction.raw}
        </span>
      )}
      {likely && (
        <span className="likely" role="status">
          <Say text={`Is it ⟦${likely.likely.mm}⟧? ${likely.reason}.`} />{' '}
          <button type="button" onClick={() => onChange(likely.likely)}>
            Take it
          </button>
        </span>
      )}
    </span>
  );
}
