import { DUST_HAZARDS, type Material, type MaterialField } from '@compas/core';
import { Checkbox, Input, InputNumber, Select } from 'antd';
import { choicesOf } from '../ui/choices.js';

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

interface MaterialFieldsProps {
  material: Material;
  set: (field: string, value: unknown) => void;
}

/** What can be known of a material. */
export function MaterialFields({ material, set }: MaterialFieldsProps) {
  return (
    <div className="row fields">
      <label>
        Name
        <Input
          aria-label="Name of the material"
          value={material.name}
          maxLength={60}
          onChange={(e) => set('name', e.target.value)}
        />
      </label>
      {NUMBERS.map(([field, words, least, most]) => (
        <label key={field}>
          {words}
          <InputNumber
            aria-label={words}
            value={material[field] as number | null}
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
            value={material[field] as string}
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
            value={material[field]}
            onChange={(v) => set(field, v)}
            options={choicesOf(DUST_HAZARDS)}
            className="w-word"
          />
        </label>
      ))}
      <Checkbox checked={material.oily} onChange={(e) => set('oily', e.target.checked)}>
        Oily
      </Checkbox>
    </div>
  );
}
