import { CERTAINTIES, type Certainty, DUST_HAZARDS, type Material, type MaterialField } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { workshopQuery } from '../api/queries.js';
import { Trouble } from '../ui/Trouble.js';
import { choicesFrom, choicesOf } from '../ui/choices.js';
import { editedWorkshop, useWorkshopSave } from '../workshop/useWorkshopSave.js';

const NUMBERS: [MaterialField, string, number, number][] = [
  ['density', 'Density at 12 %, g/cm³', 0.05, 3],
  ['shrinkRadial', 'Shrinks across the rings, %', 0, 25],
  ['shrinkTangential', 'Shrinks along the rings, %', 0, 25],
  ['stiffness', 'Stiffness, MPa', 100, 100_000],
  ['hardness', 'Hardness, N', 10, 100_000],
  ['startGrit', 'First grit, P', 40, 2000],
  ['sandingAllowance', 'Sanding takes off, mm', 0, 5],
];
const TEXTS: [MaterialField, string][] = [
  ['grain', 'Grain'],
  ['tool', 'Usual tool'],
  ['drilling', 'Drilling'],
  ['uses', 'Used for'],
];
/** A value that this workshop knows better, or a material it adds; each change says where it is from. */
export function MaterialForm({ material, onDone }: { material: Material; onDone: () => void }) {
  const workshop = useQuery(workshopQuery);
  const [changed, setChanged] = useState<Partial<Material>>({});
  const [source, setSource] = useState('own scales and calliper');
  const [certainty, setCertainty] = useState<Certainty>('measured');
  const save = useWorkshopSave();
  const navigate = useNavigate();
  const now = { ...material, ...changed };
  const set = (field: string, value: unknown) => setChanged({ ...changed, [field]: value });
  const keep = () => {
    if (!workshop.data) return;
    const base = editedWorkshop(workshop.data);
    const { name, body } = base.value;
    const fields = Object.keys(changed).filter((f) => f !== 'name');
    const provenance = {
      ...material.provenance,
      ...Object.fromEntries(fields.map((f) => [f, { source, certainty }])),
    };
    const materials = [...(body.materials ?? []).filter((m) => m.id !== material.id), { ...now, provenance }];
    save.mutate(
      { base, mine: { name, body: { ...body, materials } } },
      {
        onSuccess: () => {
          onDone();
          void navigate(`/stock/materials/${material.id}`);
        },
      },
    );
  };
  return (
    <form
      className="sheet column"
      aria-label="What we know of it"
      onSubmit={(e) => {
        e.preventDefault();
        keep();
      }}
    >
      <div className="row fields">
        <label>
          Name
          <Input
            aria-label="Name of the material"
            value={now.name}
            maxLength={60}
            onChange={(e) => set('name', e.target.value)}
          />
        </label>
        {NUMBERS.map(([field, words, least, most]) => (
          <label key={field}>
            {words}
            <InputNumber
              aria-label={words}
              value={now[field] as number | null}
              min={least}
              max={most}
              onChange={(v) => set(field, v)}
              className="w-word"
            />
          </label>
        ))}
        {TEXTS.map(([field, words]) => (
          <label key={field}>
            {words}
            <Input
              aria-label={words}
              value={now[field] as string}
              maxLength={120}
              onChange={(e) => set(field, e.target.value)}
              className="w-line"
            />
          </label>
        ))}
        {(['dust', 'skin'] as const).map((field) => (
          <label key={field}>
            {field === 'dust' ? 'Dust' : 'On the skin'}
            <Select
              aria-label={field === 'dust' ? 'Dust' : 'On the skin'}
              value={now[field]}
              onChange={(v) => set(field, v)}
              options={choicesOf(DUST_HAZARDS)}
              className="w-word"
            />
          </label>
        ))}
        <Checkbox checked={now.oily} onChange={(e) => set('oily', e.target.checked)}>
          Oily
        </Checkbox>
      </div>
      <div className="row fields">
        <label>
          How we know
          <Input
            aria-label="How we know"
            value={source}
            maxLength={120}
            onChange={(e) => setSource(e.target.value)}
            className="w-phrase"
          />
        </label>
        <label>
          How sure
          <Select
            aria-label="How sure"
            value={certainty}
            onChange={setCertainty}
            options={choicesFrom(CERTAINTIES)}
            className="w-name"
          />
        </label>
      </div>
      <Trouble error={save.error} />
      {save.dialog}
      <div className="row">
        <Button
          type="primary"
          htmlType="submit"
          loading={save.isPending}
          disabled={
            Object.keys(changed).length === 0 ||
            now.name.trim() === '' ||
            source.trim() === '' ||
            [now.density, now.startGrit, now.sandingAllowance].includes(null as never)
          }
        >
          Save what we know
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </div>
    </form>
  );
}
