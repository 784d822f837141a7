import type { Step } from '@compas/core';
import { useState } from 'react';
import { PhotoField } from './PhotoField.js';
import type { Keep } from './useKept.js';

/** What is noted most: a touch is enough. */
const CHIPS = [
  'took it down a hair',
  'the grain tore',
  'the tool was dull',
  'the hole ran off',
  'it chattered',
];

/** A note on the step at hand: chips first, then a photo, words last. */
export function Note({ step, record }: { step: Step; record: Keep }) {
  const [open, setOpen] = useState(false);
  const [words, setWords] = useState('');
  const [photo, setPhoto] = useState<string | null>(null);
  if (!open)
    return (
      <button type="button" className="run-quiet" onClick={() => setOpen(true)}>
        Note
      </button>
    );
  const keep = async (said: string) => {
    if (!(await record({ kind: 'noted', stepId: step.id, words: said, ...(photo ? { photo } : {}) }))) return;
    setOpen(false);
    setWords('');
    setPhoto(null);
  };
  return (
    <form
      className="run-hold run-noting"
      onSubmit={(event) => {
        event.preventDefault();
        if (words.trim() !== '' || photo) void keep(words.trim());
      }}
    >
      <div className="run-chips">
        {CHIPS.map((chip) => (
          <button key={chip} type="button" className="run-quiet" onClick={() => void keep(chip)}>
            {chip}
          </button>
        ))}
      </div>
      <PhotoField taken={photo !== null} onPhoto={setPhoto} />
      <label>
        In words
        <input value={words} maxLength={500} onChange={(e) => setWords(e.target.value)} />
      </label>
      <div className="run-chips">
        <button type="submit" className="run-quiet" disabled={words.trim() === '' && !photo}>
          Keep the note
        </button>
        <button type="button" className="run-link" onClick={() => setOpen(false)}>
          Leave it
        </button>
      </div>
    </form>
  );
}
