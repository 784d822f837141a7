import { DUST_HAZARDS, type Material, type MaterialField, MATERIALS, provenanceOf } from '@compas/core';
import { Button, Input, Select } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { workshopQuery } from '../api/workshop.js';
import { MaterialForm } from './MaterialForm.js';
import { useShopHabits } from './useShopHabits.js';

const known = (value: number | null, digits = 0): string =>
  value === null ? 'unknown' : value.toFixed(digits);

/** What is known of each material, from where, and how sure that is. */
export default function MaterialsScreen() {
  const habits = useShopHabits();
  const workshop = useQuery(workshopQuery);
  const { id } = useParams();
  const navigate = useNavigate();
  const [wanted, setWanted] = useState('');
  const [family, setFamily] = useState<Material['family'] | null>(null);
  const [editing, setEditing] = useState<Material | null>(null);
  if (!habits || !workshop.data) return null;
  const own = workshop.data.body.materials ?? [];
  const shown = habits.materials.filter(
    (m) =>
      (family === null || m.family === family) &&
      `${m.name} ${m.uses} ${m.grain}`.toLowerCase().includes(wanted.toLowerCase()),
  );
  const chosen = habits.materials.find((m) => m.id === id) ?? shown[0];
  return (
    <div className="materials">
      <div className="column">
        <div className="row spread">
          <h1>{habits.materials.length} materials</h1>
          <span className="row">
            <Input
              aria-label="Search materials"
              placeholder="name, use, grain"
              value={wanted}
              onChange={(e) => setWanted(e.target.value)}
              className="w-name"
            />
            <Select
              aria-label="What it is made of"
              placeholder="all kinds"
              allowClear
              value={family}
              onChange={(f: Material['family'] | undefined) => setFamily(f ?? null)}
              options={[...new Set(MATERIALS.map((m) => m.family))].map((f) => ({ value: f, label: f }))}
              className="w-name"
            />
          </span>
        </div>
        <table className="table" aria-label="Materials">
          <thead>
            <tr>
              <th>Name</th>
              <th className="number">g/cm³</th>
              <th className="number">shrinks radial, tangential %</th>
              <th className="number">hardness, N</th>
              <th>dust</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((m) => (
              <tr key={m.id} aria-selected={m === chosen}>
                <td>
                  <button
                    type="button"
                    onClick={() => void navigate(`/stock/materials/${m.id}`, { replace: true })}
                  >
                    {m.name}
                  </button>
                  {own.some((o) => o.id === m.id) && <span className="soft"> (ours)</span>}
                </td>
                <td className="number figures">{m.density.toFixed(2)}</td>
                <td className="number figures">
                  {m.shrinkRadial === null && m.shrinkTangential === null
                    ? 'unknown'
                    : `${known(m.shrinkRadial, 1)}, ${known(m.shrinkTangential, 1)}`}
                </td>
                <td className="number figures">{known(m.hardness)}</td>
                <td>{DUST_HAZARDS[m.dust]}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <aside className="stock-aside column">
        {editing ? (
          <MaterialForm key={editing.id} material={editing} onDone={() => setEditing(null)} />
        ) : (
          <>
            {chosen && <Described material={chosen} />}
            <div className="row">
              {chosen && <Button onClick={() => setEditing(chosen)}>Correct a value</Button>}
              <Button onClick={() => setEditing(newMaterial(chosen ?? MATERIALS[0]))}>
                Add a material like it
              </Button>
            </div>
          </>
        )}
      </aside>
    </div>
  );
}

/** A material of the workshop's own begins as one that is known, with nothing claimed that nobody measured. */
const newMaterial = (like: Material): Material => ({
  ...like,
  id: `own-${crypto.getRandomValues(new Uint32Array(1))[0]?.toString(36) ?? '0'}`,
  name: '',
  stiffness: null,
  shrinkRadial: null,
  shrinkTangential: null,
  hardness: null,
  uses: '',
  source: 'entered here',
  provenance: {},
});

const FIELDS: [MaterialField, string, (m: Material) => string][] = [
  ['density', 'Density at 12 %', (m) => `${m.density.toFixed(2)} g/cm³`],
  ['shrinkRadial', 'Shrinks across the rings', (m) => (m.shrinkRadial === null ? '' : `${m.shrinkRadial} %`)],
  [
    'shrinkTangential',
    'Shrinks along the rings',
    (m) => (m.shrinkTangential === null ? '' : `${m.shrinkTangential} %`),
  ],
  ['stiffness', 'Stiffness', (m) => (m.stiffness === null ? '' : `${m.stiffness} MPa`)],
  ['hardness', 'Hardness', (m) => (m.hardness === null ? '' : `${m.hardness} N`)],
  ['grain', 'Grain', (m) => m.grain],
  ['oily', 'Oily', (m) => (m.oily ? 'yes: wipe with solvent before glue and finish' : 'no')],
  ['dust', 'Dust', (m) => DUST_HAZARDS[m.dust]],
  ['skin', 'On the skin', (m) => DUST_HAZARDS[m.skin]],
  ['tool', 'Usual tool', (m) => m.tool],
  ['startGrit', 'First grit', (m) => `P${m.startGrit}`],
  ['sandingAllowance', 'Sanding takes off', (m) => `${m.sandingAllowance} mm`],
  ['drilling', 'Drilling', (m) => m.drilling],
  ['uses', 'Used for', (m) => m.uses],
];

/** Every value with where it is from; what nobody knows says so. */
function Described({ material }: { material: Material }) {
  return (
    <section className="sheet" aria-label={material.name}>
      <h2>{material.name}</h2>
      <p className="soft">
        {material.family}, worked as {material.class}
      </p>
      <table className="table">
        <tbody>
          {FIELDS.map(([field, words, say]) => {
            const from = provenanceOf(material, field);
            return (
              <tr key={field}>
                <th scope="row">{words}</th>
                <td>
                  {from === null ? <b>unknown</b> : say(material)}
                  {from && material.provenance[field] && (
                    <span className="soft">
                      <br />
                      {from.certainty}: {from.source}
                    </span>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="soft">
        Unless a value says otherwise: {material.certainty}, from {material.source}. Your own scales and
        calliper are better.
      </p>
    </section>
  );
}
