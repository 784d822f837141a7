import type { AcceptanceCheck, PieceProgress, Step } from '@compas/core';
import { useState } from 'react';
import { PhotoField } from './PhotoField.js';
import type { Keep } from './useKept.js';

interface CheckEntryProps {
  check: AcceptanceCheck;
  step: Step;
  state: PieceProgress;
  record: Keep;
}

/** One acceptance check: does it hold? With its number, or a photo that is shrunk before it is kept. */
export function CheckEntry({ check, step, state, record }: CheckEntryProps) {
  const [text, setText] = useState('');
  const [photo, setPhoto] = useState<string | null>(null);
  const counted = check.kind === 'number' || check.kind === 'function';
  const value = Number(text.replace(',', '.'));
  const known = text.trim() !== '' && Number.isFinite(value);
  const so = state.checked.get(check.id);
  const say = async (passed: boolean) => {
    const kept = await record({
      kind: 'checked',
      stepId: step.id,
      checkId: check.id,
      passed,
      ...(counted && known ? { value } : {}),
      ...(photo ? { photo } : {}),
    });
    if (!kept) return;
    setText('');
    setPhoto(null);
  };
  const within =
    known &&
    (check.least === undefined || value >= check.least) &&
    (check.most === undefined || value <= check.most);
  return (
    <div className="run-fit" role="group" aria-label={check.words}>
      <b>{check.words}</b>
      {counted && (
        <label>
          {limits(check)}
          <input inputMode="decimal" value={text} maxLength={20} onChange={(e) => setText(e.target.value)} />
        </label>
      )}
      {check.kind === 'photo' && <PhotoField taken={photo !== null} onPhoto={setPhoto} />}
      <div>
        <button
          type="button"
          className="run-quiet"
          aria-pressed={so === true}
          disabled={counted && (!known || !within)}
          onClick={() => void say(true)}
        >
          It holds
        </button>
        <button
          type="button"
          className="run-quiet"
          aria-pressed={so === false}
          disabled={counted && !known}
          onClick={() => void say(false)}
        >
          It does not
        </button>
      </div>
    </div>
  );
}

function limits({ least, most, unit = '' }: AcceptanceCheck): string {
  if (least !== undefined && most !== undefined) return `from ${least} to ${most} ${unit}`;
  if (least !== undefined) return `at least ${least} ${unit}`;
  if (most !== undefined) return `at most ${most} ${unit}`;
  return `number ${unit}`;
}
