import { CERTAINTIES, type Certainty, type Material } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { workshopQuery } from '../api/workshop.js';
import { Trouble } from '../ui/Trouble.js';
import { choicesFrom } from '../ui/choices.js';
import { MaterialFields } from './MaterialFields.js';
import { editedWorkshop, useWorkshopSave } from '../workshop/useWorkshopSave.js';

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
      <MaterialFields material={now} set={set} />
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
