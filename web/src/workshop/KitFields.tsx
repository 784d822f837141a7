import { type Dimension, kitFit, type KitLength, type KitWord, type NewKit } from '@compas/core';
import { Button, Input, InputNumber, Select } from 'antd';
import { LengthInput } from '../ui/LengthInput.js';

/** One length of a kit; those that need not be there can be added and taken away. */
export function KitLengthField({
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
    <span className="row at-foot gap-none">
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

/** A word of a kit, such as its thread. */
export function WordField({
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
          className="w-word"
          onChange={onChange}
          options={word.choices.map((c) => ({ value: c, label: c }))}
        />
      ) : (
        <Input value={value} maxLength={20} className="w-date" onChange={(e) => onChange(e.target.value)} />
      )}
    </label>
  );
}

/** What something of a kit costs, in the workshop's currency; null where it is not known. */
export function MoneyField({
  kit,
  label,
  currency,
  minor,
  onChange,
}: {
  kit: NewKit;
  label: string;
  currency: string;
  minor: number | null;
  onChange: (minor: number | null) => void;
}) {
  return (
    <label>
      {label}, {currency}
      <InputNumber
        aria-label={`${kit.name}, ${label.toLowerCase()}`}
        value={minor === null ? null : minor / 100}
        min={0}
        precision={2}
        step={0.1}
        onChange={(n) => onChange(n === null ? null : Math.round(n * 100))}
      />
    </label>
  );
}

/** A whole number of a kit; null where it need not be known. */
export function CountField({
  kit,
  label,
  value,
  onChange,
}: {
  kit: NewKit;
  label: string;
  value: number | null;
  onChange: (value: number | null) => void;
}) {
  return (
    <label>
      {label}
      <InputNumber
        aria-label={`${kit.name}, ${label.toLowerCase().replace(/,.*/, '')}`}
        value={value}
        min={0}
        precision={0}
        onChange={onChange}
      />
    </label>
  );
}
