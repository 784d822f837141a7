import type { Dimension, Kit, MustFit, NewKit } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { kitsQuery, removeKit, saveKit, useChange } from '../api/queries.js';
import { LengthInput } from '../ui/LengthInput.js';
import { Trouble } from '../ui/Trouble.js';

const KIND_WORDS: Record<Kit['kind'], string> = {
  'tapped-insert': 'stopper base with a tapped insert',
  'self-tapping-stud': 'stopper base with a self-tapping stud',
  ferrule: 'ferrule and tang',
};

const FRESH: Record<Kit['kind'], NewKit> = {
  'tapped-insert': {
    kind: 'tapped-insert',
    name: 'Stopper base',
    onHand: 0,
    baseDiameter: { mm: 32 },
    insertDiameter: { mm: 11.5 },
    insertLength: { mm: 20 },
    thread: 'M8',
    glue: 'epoxy',
  },
  'self-tapping-stud': {
    kind: 'self-tapping-stud',
    name: 'Stopper base',
    onHand: 0,
    baseDiameter: { mm: 30 },
    rootDiameter: { mm: 6 },
    outsideDiameter: { mm: 8 },
    studLength: { mm: 16 },
    thread: 'stud 8',
  },
  ferrule: {
    kind: 'ferrule',
    name: 'Ferrule',
    onHand: 0,
    bore: { mm: 20 },
    outsideDiameter: { mm: 22 },
    length: { mm: 18 },
    tangDiameter: { mm: 8 },
    tangLength: { mm: 45 },
    glue: 'epoxy',
  },
};

/** Lengths of each kind, which faces to measure, and what each must fit. */
const LENGTHS: { key: string; label: string; fit?: (kit: NewKit) => MustFit }[] = [
  { key: 'baseDiameter', label: 'Base, where wood meets it' },
  {
    key: 'insertDiameter',
    label: 'Body of the insert, not its flange',
    fit: (k) => within('the base', 2, 'baseDiameter' in k ? k.baseDiameter.mm : 60),
  },
  { key: 'insertLength', label: 'Length of the insert' },
  {
    key: 'rootDiameter',
    label: 'Root between the threads',
    fit: (k) => within('the base', 1, 'baseDiameter' in k ? k.baseDiameter.mm : 60),
  },
  { key: 'bore', label: 'Inside of the ferrule' },
  {
    key: 'outsideDiameter',
    label: 'Outside',
    fit: (k) =>
      within(
        k.kind === 'ferrule' ? 'a ferrule' : 'the base',
        1,
        'baseDiameter' in k ? k.baseDiameter.mm : 80,
      ),
  },
  { key: 'length', label: 'Length of the ferrule' },
  { key: 'studLength', label: 'Stud, tip to base' },
  {
    key: 'tangDiameter',
    label: 'Tang, across',
    fit: (k) => within('the ferrule', 1, 'bore' in k ? k.bore.mm : 60),
  },
  { key: 'tangLength', label: 'Tang, length' },
];

const within = (what: string, minMm: number, maxMm: number): MustFit => ({ what, minMm, maxMm });

/** The kit list: hardware of the workshop's own kinds, measured with a calliper. */
export function KitsSection() {
  const kits = useQuery(kitsQuery);
  const [adding, setAdding] = useState<NewKit | null>(null);
  return (
    <section className="equipment column">
      <div className="row spread">
        <h2>Hardware kits</h2>
        <Select
          aria-label="Add a kit"
          placeholder="+ add a kit"
          value={null}
          style={{ width: 290 }}
          onChange={(kind: Kit['kind'] | null) => kind && setAdding(FRESH[kind])}
          options={(Object.keys(KIND_WORDS) as Kit['kind'][]).map((kind) => ({
            value: kind,
            label: KIND_WORDS[kind],
          }))}
        />
      </div>
      {adding && <KitForm key="new" id={null} first={adding} onDone={() => setAdding(null)} />}
      {kits.data?.map((kit) => (
        <KitForm key={kit.id} id={kit.id} first={withoutId(kit)} onDone={() => undefined} />
      ))}
    </section>
  );
}

function withoutId(kit: Kit): NewKit {
  const { id: _id, ...rest } = kit;
  return rest;
}

/** A kit with a number that need not be there. */
function withOptional(kit: NewKit, key: 'cost' | 'reorderAt', value: number | null): NewKit {
  const { [key]: _before, ...rest } = kit;
  return value === null ? rest : { ...kit, [key]: value };
}

function KitForm({ id, first, onDone }: { id: string | null; first: NewKit; onDone: () => void }) {
  const [kit, setKit] = useState(first);
  const save = useChange(saveKit, 'kits', 'stock');
  const remove = useChange(removeKit, 'kits', 'stock');
  const changed = id === null || JSON.stringify(kit) !== JSON.stringify(first);
  const set = (key: string, value: string | number | Dimension) => setKit({ ...kit, [key]: value });
  return (
    <div className="sheet">
      <div className="row fields">
        <label>
          {KIND_WORDS[kit.kind]}
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
        {'thread' in kit && (
          <label>
            Thread
            <Input
              value={kit.thread}
              maxLength={20}
              style={{ width: 100 }}
              onChange={(e) => set('thread', e.target.value)}
            />
          </label>
        )}
        {LENGTHS.filter((l) => l.key in kit).map(({ key, label, fit }) => (
          <LengthInput
            key={key}
            label={label}
            showLabel
            value={(kit as unknown as Record<string, Dimension>)[key] ?? { mm: 0 }}
            fit={fit?.(kit)}
            onChange={(value) => set(key, value)}
          />
        ))}
        {'glue' in kit && (
          <label>
            Glue
            <Select
              aria-label={`${kit.name}, glue`}
              value={kit.glue}
              style={{ width: 150 }}
              onChange={(glue) => set('glue', glue)}
              options={['epoxy', 'cyanoacrylate', 'wood glue', 'foaming'].map((g) => ({
                value: g,
                label: g,
              }))}
            />
          </label>
        )}
      </div>
      <Trouble error={save.error ?? remove.error} />
      <div className="row" style={{ marginTop: 8 }}>
        {changed && (
          <Button
            type="primary"
            loading={save.isPending}
            onClick={() => save.mutate({ id, kit }, { onSuccess: onDone })}
          >
            Save the kit
          </Button>
        )}
        {id === null ? (
          <Button onClick={onDone}>Leave it</Button>
        ) : (
          <Button type="text" onClick={() => remove.mutate(id)}>
            Take away
          </Button>
        )}
      </div>
    </div>
  );
}
