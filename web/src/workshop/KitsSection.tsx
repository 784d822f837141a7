import {
  type Dimension,
  freshKit,
  GLUE_KINDS,
  KIT_KIND_LIST,
  KIT_KINDS,
  kitFit,
  type KitKind,
  type KitLength,
  type KitWord,
  type NewKit,
  type Workshop,
} from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { createKit, heldKitsQuery, removeKit, useChange } from '../api/queries.js';
import { Length } from '../ui/Length.js';
import { LengthInput } from '../ui/LengthInput.js';
import { Trouble } from '../ui/Trouble.js';
import { useKitSave } from './useKitSave.js';
import { withoutId } from './withoutId.js';
import { KitAsks } from './KitAsks.js';
import { choicesFrom } from '../ui/choices.js';

/** The kit list: hardware of the workshop's own kinds, measured with a calliper. */
export function KitsSection({ workshop }: { workshop: Workshop }) {
  const kits = useQuery(heldKitsQuery);
  const [adding, setAdding] = useState<NewKit | null>(null);
  const [open, setOpen] = useState<string | null>(null);
  return (
    <section className="equipment column">
      <div className="row spread">
        <h2>Hardware kits</h2>
        <Select
          aria-label="Add a kit"
          placeholder="+ add a kit"
          value={null}
          style={{ width: 310 }}
          onChange={(kind: KitKind | null) => kind && setAdding(freshKit(kind))}
          options={KIT_KIND_LIST.map((kind) => ({ value: kind, label: KIT_KINDS[kind].words }))}
        />
      </div>
      {adding && (
        <KitForm
          key={`new ${adding.kind}`}
          held={null}
          first={adding}
          workshop={workshop}
          onDone={() => setAdding(null)}
        />
      )}
      {kits.data?.map(({ kit, version }) => (
        <div key={kit.id}>
          <button
            type="button"
            className="kit-row"
            aria-expanded={open === kit.id}
            onClick={() => setOpen(open === kit.id ? null : kit.id)}
          >
            <b>{kit.name}</b>
            <span className="soft">
              {KIT_KINDS[kit.kind].words}
              {'neckDiameter' in kit && kit.neckDiameter && (
                <>
                  , neck <Length mm={kit.neckDiameter.mm} />
                </>
              )}
            </span>
            <span className="figures">{kit.onHand}</span>
          </button>
          {open === kit.id && (
            <KitForm
              held={{ id: kit.id, version }}
              first={withoutId(kit)}
              workshop={workshop}
              onDone={() => setOpen(null)}
            />
          )}
        </div>
      ))}
    </section>
  );
}

/** A kit with one field set, or left out. */
function withField(kit: NewKit, key: string, value: string | number | Dimension | undefined): NewKit {
  const rest = Object.fromEntries(Object.entries(kit).filter(([k]) => k !== key)) as unknown as NewKit;
  return value === undefined ? rest : { ...kit, [key]: value };
}

function KitLengthField({
  kit,
  length,
  onChange,
}: {
  kit: NewKit;
  length: KitLength;
  onChange: (value: Dimension | undefined) => void;
}) {
  const value = (kit as unknown as Record<string, Dimension | undefined>)[length.key];
  if (value === undefined)
    return <Button onClick={() => onChange({ mm: length.usual })}>+ {length.measure}</Button>;
  return (
    <span className="row" style={{ alignItems: 'flex-end', gap: 0 }}>
      <LengthInput
        label={length.measure}
        showLabel
        value={value}
        fit={kitFit(kit, length)}
        onChange={onChange}
      />
      {length.optional && (
        <Button type="text" aria-label={`Take away: ${length.measure}`} onClick={() => onChange(undefined)}>
          ✕
        </Button>
      )}
    </span>
  );
}

function WordField({
  word,
  kit,
  onChange,
}: {
  word: KitWord;
  kit: NewKit;
  onChange: (value: string) => void;
}) {
  const value = (kit as unknown as Record<string, string>)[word.key] ?? '';
  return (
    <label>
      {word.label}
      {word.choices ? (
        <Select
          aria-label={`${kit.name}, ${word.label}`}
          value={value}
          style={{ width: 130 }}
          onChange={onChange}
          options={word.choices.map((c) => ({ value: c, label: c }))}
        />
      ) : (
        <Input
          value={value}
          maxLength={20}
          style={{ width: 120 }}
          onChange={(e) => onChange(e.target.value)}
        />
      )}
    </label>
  );
}

/** A kit with a number that need not be there. */
function withOptional(kit: NewKit, key: 'cost' | 'reorderAt', value: number | null): NewKit {
  const { [key]: _before, ...rest } = kit;
  return value === null ? rest : { ...kit, [key]: value };
}

interface KitFormProps {
  /** null for a kit that is new */
  held: { id: string; version: number } | null;
  first: NewKit;
  workshop: Workshop;
  onDone: () => void;
}

function KitForm({ held, first, workshop, onDone }: KitFormProps) {
  // what it is changed from: as it stood in the list when the form was opened
  const [base] = useState({ value: first, version: held?.version ?? 0 });
  const [kit, setKit] = useState(first);
  const create = useChange(createKit, 'kits', 'stock');
  const save = useKitSave(held?.id ?? '');
  const remove = useChange(removeKit, 'kits', 'stock');
  const changed = held === null || JSON.stringify(kit) !== JSON.stringify(first);
  const keep = () => {
    if (held === null) create.mutate(kit, { onSuccess: onDone });
    else save.mutate({ base, mine: kit }, { onSuccess: onDone });
  };
  const { words, lengths, texts = [] } = KIT_KINDS[kit.kind];
  const set = (key: string, value: string | number | Dimension | undefined) =>
    setKit(withField(kit, key, value));
  return (
    <div className="sheet">
      <div className="row fields">
        <label>
          {words}
          <Input
            value={kit.name}
            aria-label="Name of the kit"
            maxLength={80}
            style={{ width: 290 }}
            onChange={(e) => set('name', e.target.value)}
          />
        </label>
        <label>
          On the shelf
          <InputNumber
            aria-label={`${kit.name}, on the shelf`}
            value={kit.onHand}
            min={0}
            precision={0}
            onChange={(n) => n !== null && set('onHand', n)}
          />
        </label>
        <label>
          One costs, cents
          <InputNumber
            aria-label={`${kit.name}, one costs`}
            value={kit.cost ?? null}
            min={0}
            precision={0}
            onChange={(n) => setKit(withOptional(kit, 'cost', n))}
          />
        </label>
        <label>
          Order again below
          <InputNumber
            aria-label={`${kit.name}, order again below`}
            value={kit.reorderAt ?? null}
            min={0}
            precision={0}
            onChange={(n) => setKit(withOptional(kit, 'reorderAt', n))}
          />
        </label>
        {texts.map((text) => (
          <WordField key={text.key} word={text} kit={kit} onChange={(value) => set(text.key, value)} />
        ))}
        {lengths.map((length) => (
          <KitLengthField key={length.key} kit={kit} length={length} onChange={(v) => set(length.key, v)} />
        ))}
        {'glue' in kit && (
          <label>
            Glue
            <Select
              aria-label={`${kit.name}, glue`}
              value={kit.glue}
              style={{ width: 150 }}
              onChange={(glue) => set('glue', glue)}
              options={choicesFrom(GLUE_KINDS)}
            />
          </label>
        )}
      </div>
      <KitAsks kit={{ ...kit, id: held?.id ?? 'new' }} workshop={workshop} />
      <Trouble error={create.error ?? save.error ?? remove.error} />
      {save.dialog}
      <div className="row" style={{ marginTop: 8 }}>
        {changed && (
          <Button type="primary" loading={create.isPending || save.isPending} onClick={keep}>
            Save the kit
          </Button>
        )}
        {held === null ? (
          <Button onClick={onDone}>Leave it</Button>
        ) : (
          <Button type="text" onClick={() => remove.mutate(held.id)}>
            Take away
          </Button>
        )}
      </div>
    </div>
  );
}
