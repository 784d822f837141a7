import {
  bodyOnKit,
  dim,
  givenByKit,
  outlineOf,
  STARTING_FORMS,
  type Dimension,
  type PatternBody,
  type StartingForm,
} from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { createPattern } from '../api/patterns.js';
import { kitsQuery } from '../api/workshop.js';
import { useChange } from '../api/useChange.js';
import { Silhouette } from '../strip/Silhouette.js';
import { LengthInput } from '../ui/LengthInput.js';
import { useMaterials } from '../ui/useMaterials.js';
import { Trouble } from '../ui/Trouble.js';
import { ImportFile } from './ImportFile.js';
import { GivenSizes, OnKit } from './OnKit.js';
import type { Imported } from '../workers/importing.js';
import './pattern.css';

const [FIRST_FORM] = STARTING_FORMS;

/** A new pattern from a starting form: only the sizes a person knows are asked. */
export default function NewPattern() {
  const materials = useMaterials();
  const [form, setForm] = useState(FIRST_FORM);
  const [sizes, setSizes] = useState<Record<string, Dimension>>({});
  const [name, setName] = useState('');
  const [materialId, setMaterialId] = useState('maple');
  const navigate = useNavigate();
  const create = useChange(createPattern, 'patterns');
  const [file, setFile] = useState<Imported | null>(null);
  const kits = useQuery(kitsQuery).data ?? [];
  const suited = kits.filter((k) => givenByKit(form, k) !== null);
  const [kitId, setKitId] = useState('');
  const kit = suited.find((k) => k.id === kitId);
  const given = (kit && givenByKit(form, kit)) ?? {};
  const drawn = kit ? bodyOnKit(form, kit, sizes, materialId) : form.body(sizes, materialId);
  const body = file ? file.body : drawn;
  const { length } = outlineOf(body.parts[0].turnings[0]);
  const choose = (next: StartingForm) => {
    setForm(next);
    setFile(null);
    setSizes({});
  };
  return (
    <div className="column">
      <div className="row spread">
        <h1>New pattern</h1>
        <span className="row">
          <ImportFile
            onImported={(read) => {
              setFile(read);
              setName(read.name);
            }}
          />
          <Link to="/patterns/copy">
            <Button size="large">Copy a sample</Button>
          </Link>
        </span>
      </div>
      <div className="forms" role="radiogroup" aria-label="Kind of item">
        {STARTING_FORMS.map((f) => (
          <button
            key={f.id}
            type="button"
            role="radio"
            aria-checked={!file && f.id === form.id}
            className="form-choice"
            onClick={() => choose(f)}
          >
            <Silhouette body={f.body({}, materialId)} scale={formScale(f)} name={f.name} />
            <span className="form-name">{f.name}</span>
          </button>
        ))}
      </div>
      <div className="new-pattern">
        <div className="sheet column">
          <div className="new-fields">
            {!file && suited.length > 0 && <OnKit kits={suited} kit={kit} onChange={setKitId} />}
            <label className="column gap-hair">
              Name
              <Input
                value={name}
                onChange={(e) => setName(e.target.value)}
                placeholder={form.name}
                maxLength={80}
              />
            </label>
            <label className="column gap-hair">
              Usual material
              <Select
                aria-label="Usual material"
                showSearch={{ optionFilterProp: 'label' }}
                value={materialId}
                onChange={setMaterialId}
                options={materials.map((m) => ({ value: m.id, label: m.name }))}
              />
            </label>
            {file ? (
              <FileNote file={file} />
            ) : (
              <>
                {form.questions
                  .filter(({ key }) => !(key in given))
                  .map((question) => (
                    <LengthInput
                      key={`${form.id}.${question.key}`}
                      label={question.label}
                      showLabel
                      value={sizes[question.key] ?? dim(question.usual)}
                      onChange={(value) => setSizes({ ...sizes, [question.key]: value })}
                    />
                  ))}
              </>
            )}
          </div>
          {!file && kit && <GivenSizes form={form} given={given} />}
          <Trouble error={create.error} />
          <Button
            type="primary"
            size="large"
            loading={create.isPending}
            onClick={() =>
              create.mutate(
                { name: name.trim() || (file?.name ?? form.name), body: withMaterial(body, materialId) },
                { onSuccess: (made) => void navigate(`/patterns/${made.id}`) },
              )
            }
          >
            Make the pattern
          </Button>
        </div>
        <div className="sheet new-look">
          <Silhouette body={body} scale={Math.min(6, LOOK_HEIGHT / Math.max(1, length))} name={form.name} />
        </div>
      </div>
    </div>
  );
}

/** What it will look like stands beside the fields without scrolling, px. */
const LOOK_HEIGHT = 330;
/** Forms are shown as high as the row allows, each by itself. */
const FORM_HEIGHT = 70;
const formScale = (form: StartingForm): number => {
  const { length } = outlineOf(form.body({}, 'ash').parts[0].turnings[0]);
  return Math.min(1.4, FORM_HEIGHT / Math.max(1, length));
};

const withMaterial = (body: PatternBody, materialId: string): PatternBody => {
  const [first, ...rest] = body.parts;
  return { ...body, parts: [{ ...first, materialId }, ...rest] };
};

function FileNote({ file }: { file: Imported }) {
  return (
    <p>
      Read as {file.readAs}, {file.body.parts[0].turnings[0].elements.length} elements.
      {file.leftAside.length > 0 && ` Left aside: ${file.leftAside.join(', ')}.`}
    </p>
  );
}
