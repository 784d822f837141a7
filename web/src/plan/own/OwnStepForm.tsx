import { nameOf, PLACES, type PartPlan, type Place } from '@compas/core';
import { Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { DRAWN_SCOPES, useDeciding } from './deciding.js';
import { DecideForm } from './Otherwise.js';

interface OwnStepFormProps {
  /** the step it comes after, as decisions name it, and what that is called */
  after: string;
  title: string;
  onDone: () => void;
}

/** A step of one's own can be put in behind this one. */
export function OwnStepHere({ after, title }: Pick<OwnStepFormProps, 'after' | 'title'>) {
  const [open, setOpen] = useState(false);
  if (!useDeciding()) return null;
  return (
    <div className="otherwise">
      <button
        type="button"
        className="more"
        aria-expanded={open}
        aria-label={`Own step after: ${title}`}
        onClick={() => setOpen(!open)}
      >
        {open ? 'Leave it' : 'Own step after this'}
      </button>
      {open && <OwnStepForm after={after} title={title} onDone={() => setOpen(false)} />}
    </div>
  );
}

/** A step in one's own words: what, where, how long, and what drawn it makes. */
export function OwnStepForm({ after, title, onDone }: OwnStepFormProps) {
  const deciding = useDeciding();
  const [what, setWhat] = useState('');
  const [words, setWords] = useState('');
  const [place, setPlace] = useState<Place>('bench');
  const [minutes, setMinutes] = useState<number | null>(2);
  const [makes, setMakes] = useState<string[]>([]);
  if (!deciding) return null;
  const step = { title: what.trim(), words: words.trim(), place, minutes: minutes ?? 0, after, makes };
  return (
    <DecideForm
      label={`Own step after: ${title}`}
      scopes={DRAWN_SCOPES}
      wanted={() => (step.title === '' ? null : { kind: 'extra', step })}
      onDone={onDone}
    >
      <label>
        What is done
        <Input
          aria-label="What is done"
          value={what}
          maxLength={80}
          onChange={(e) => setWhat(e.target.value)}
        />
      </label>
      <label>
        How
        <Input aria-label="How" value={words} maxLength={500} onChange={(e) => setWords(e.target.value)} />
      </label>
      <label>
        Where
        <Select<Place>
          aria-label="Where"
          value={place}
          onChange={setPlace}
          className="w-word"
          options={PLACES.map((p) => ({ value: p, label: p }))}
        />
      </label>
      <label>
        Minutes a piece
        <InputNumber
          aria-label="Minutes a piece"
          value={minutes}
          min={0}
          max={10_000}
          onChange={setMinutes}
        />
      </label>
      <label>
        Makes what is drawn
        <Select
          aria-label="Makes what is drawn"
          mode="multiple"
          value={makes}
          onChange={setMakes}
          className="w-phrase"
          placeholder="nothing that is drawn"
          options={drawnThings(deciding.part)}
        />
      </label>
    </DecideForm>
  );
}

/** Features and holes of the part, which a step of one's own may be the one to make. */
const drawnThings = ({ outline, holes }: PartPlan) => [
  ...outline.spans.map(({ element }) => ({ value: element.id, label: nameOf(element) })),
  ...holes.map((h) => ({ value: h.id, label: h.name })),
];
