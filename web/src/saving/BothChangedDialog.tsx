import { Button, Modal } from 'antd';
import { useState } from 'react';
import { ChooseField, type Side } from './ChooseField.js';
import type { FieldLabels } from './fieldWords.js';
import { withChoice, type Merged } from './merge.js';
import './saving.css';

/** What a person is asked when somebody else changed the same fields. */
export interface Question<T> {
  merged: Merged<T>;
  by: string;
  /** when, in words */
  at: string;
  answer: (chosen: T | 'duplicate' | null) => void;
}

interface BothChangedDialogProps<T> {
  question: Question<T> | null;
  /** mine can be kept as a thing of its own */
  canDuplicate: boolean;
  labels: FieldLabels | undefined;
}

/** Fields that two changed side by side; nothing is saved before each is chosen, nothing typed is lost. */
export function BothChangedDialog<T>({ question, ...rest }: BothChangedDialogProps<T>) {
  if (!question) return null;
  return <Asking question={question} {...rest} />;
}

interface AskingProps<T> extends BothChangedDialogProps<T> {
  question: Question<T>;
}

function Asking<T>({ question, canDuplicate, labels }: AskingProps<T>) {
  const { merged, by, at, answer } = question;
  const { value, conflicts } = merged;
  const [sides, setSides] = useState<Side[]>(() => conflicts.map(() => 'mine'));
  const chosen = () =>
    conflicts.reduce(
      (all, field, i) => withChoice(all, field.path, sides[i] === 'theirs' ? field.theirs : field.mine),
      value,
    );
  return (
    <Modal
      open
      title={`${by} changed it too, ${at}`}
      onCancel={() => answer(null)}
      width={620}
      footer={[
        <Button key="back" onClick={() => answer(null)}>
          Not now, keep mine here
        </Button>,
        ...(canDuplicate
          ? [
              <Button key="duplicate" onClick={() => answer('duplicate')}>
                Save mine as a duplicate
              </Button>,
            ]
          : []),
        <Button key="save" type="primary" onClick={() => answer(chosen())}>
          Save it so
        </Button>,
      ]}
    >
      <p>
        What only one of you changed goes together.{' '}
        {conflicts.length === 1
          ? 'One field you both changed:'
          : `${conflicts.length} fields you both changed:`}
      </p>
      {conflicts.map((field, i) => (
        <ChooseField
          key={field.path.join('/')}
          within={value}
          field={field}
          labels={labels}
          by={by}
          side={sides[i] ?? 'mine'}
          onChoose={(side) => setSides(sides.map((s, j) => (j === i ? side : s)))}
        />
      ))}
    </Modal>
  );
}
