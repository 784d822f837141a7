import { Radio } from 'antd';
import type { ReactNode } from 'react';
import { Length } from '../ui/Length.js';
import { fieldWords, type FieldLabels } from './fieldWords.js';
import type { BothChanged } from './merge.js';

export type Side = 'mine' | 'theirs';

interface ChooseFieldProps {
  /** what the field is in, for its words */
  within: unknown;
  field: BothChanged;
  labels: FieldLabels | undefined;
  by: string;
  side: Side;
  onChoose: (side: Side) => void;
}

/** One field that both changed: mine and theirs side by side, to choose. */
export function ChooseField({ within, field, labels, by, side, onChoose }: ChooseFieldProps) {
  const words = fieldWords(within, field.path, labels);
  const unit = labels?.(field.path)?.unit;
  return (
    <fieldset className="both-changed">
      <legend>
        {words} <span className="soft">was {shown(field.base, unit)}</span>
      </legend>
      <Radio.Group
        aria-label={words}
        value={side}
        onChange={(e) => onChoose(e.target.value as Side)}
        options={[
          { value: 'mine', label: <>mine: {shown(field.mine, unit)}</> },
          {
            value: 'theirs',
            label: (
              <>
                {by}: {shown(field.theirs, unit)}
              </>
            ),
          },
        ]}
      />
    </fieldset>
  );
}

/** A value as it can be read at a glance. */
function shown(value: unknown, unit: string | undefined): ReactNode {
  if (value === undefined || value === null) return 'nothing';
  if (typeof value === 'number' && unit === 'mm') return <Length mm={value} />;
  if (typeof value === 'number' && unit !== undefined) return `${value} ${unit}`;
  if (typeof value === 'object') {
    if ('mm' in value && typeof value.mm === 'number') return <Length mm={value.mm} />;
    if (Array.isArray(value)) return `${value.length} in a list`;
    const { name, label, kind } = value as Record<string, unknown>;
    const words = name ?? label ?? kind;
    return typeof words === 'string' ? words : 'changed';
  }
  return typeof value === 'boolean' ? (value ? 'yes' : 'no') : `${value as string | number}`;
}
