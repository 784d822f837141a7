import { Radio } from 'antd';
import type { ReactNode } from 'react';
import { Length } from '../ui/Length.js';
import { fieldWords } from './fieldWords.js';
import type { BothChanged } from './merge.js';

export type Side = 'mine' | 'theirs';

interface ChooseFieldProps {
  /** what the field is in, for its words */
  within: unknown;
  field: BothChanged;
  by: string;
  side: Side;
  onChoose: (side: Side) => void;
}

/** One field that both changed: mine and theirs side by side, to choose. */
export function ChooseField({ within, field, by, side, onChoose }: ChooseFieldProps) {
  const words = fieldWords(within, field.path);
  return (
    <fieldset className="both-changed">
      <legend>
        {words} <span className="soft">was {shown(field.base)}</span>
      </legend>
      <Radio.Group
        aria-label={words}
        value={side}
        onChange={(e) => onChoose(e.target.value as Side)}
        options={[
          { value: 'mine', label: <>mine: {shown(field.mine)}</> },
          {
            value: 'theirs',
            label: (
              <>
                {by}: {shown(field.theirs)}
              </>
            ),
          },
        ]}
      />
    </fieldset>
  );
}

/** A value as it can be read at a glance. */
function shown(value: unknown): ReactNode {
  if (value === undefined || value === null) return 'nothing';
  if (typeof value === 'object') {
    if ('mm' in value && typeof value.mm === 'number') return <Length mm={value.mm} />;
    if (Array.isArray(value)) return `${value.length} in a list`;
    const { name, label, kind } = value as Record<string, unknown>;
    const words = name ?? label ?? kind;
    return typeof words === 'string' ? words : 'changed';
  }
  return typeof value === 'boolean' ? (value ? 'yes' : 'no') : `${value as string | number}`;
}
