import { Button, Input } from 'antd';
import { Link } from 'react-router';
import type { Pattern } from '../api/patterns.js';
import { ExportMenu } from './ExportMenu.js';
import { ReshapeMenu } from './ReshapeMenu.js';

interface EditorTitleProps {
  pattern: Pattern;
  name: string;
  onName: (name: string) => void;
  undo: (() => void) | null;
  redo: (() => void) | null;
  changed: boolean;
  /** null while it cannot be saved */
  onSave: (() => void) | null;
  saving: boolean;
  partId: string;
}

/** The name of the pattern, and what can be done with all of it. */
export function EditorTitle(props: EditorTitleProps) {
  const { pattern, name, onName, undo, redo, changed, onSave, saving, partId } = props;
  return (
    <>
      <Input
        variant="borderless"
        aria-label="Name of the pattern"
        className="title-input"
        value={name}
        maxLength={80}
        onChange={(e) => onName(e.target.value)}
      />
      <span className="row tight">
        <Button onClick={undo ?? undefined} disabled={!undo}>
          Undo <kbd>Ctrl Z</kbd>
        </Button>
        <Button onClick={redo ?? undefined} disabled={!redo}>
          Redo <kbd>Ctrl Shift Z</kbd>
        </Button>
        <ReshapeMenu />
        <ExportMenu patternId={pattern.id} name={name} />
        <Link to={`/patterns/${pattern.id}/compare`}>
          <Button disabled={changed} title={changed ? 'Save first' : undefined}>
            Compare
          </Button>
        </Link>
        <Button
          onClick={onSave ?? undefined}
          type={changed ? 'primary' : 'default'}
          disabled={!changed || !onSave}
          loading={saving}
        >
          {changed ? `Save as revision ${pattern.revision + 1}` : `Revision ${pattern.revision}`}{' '}
          {changed && <kbd>Ctrl S</kbd>}
        </Button>
        <Link to={`/patterns/${pattern.id}/plan/stock?show=${partId}`}>
          <Button
            type={changed ? 'default' : 'primary'}
            disabled={changed && !onSave}
            title={changed && !onSave ? 'It cannot be made as it stands' : undefined}
          >
            Order some
          </Button>
        </Link>
      </span>
    </>
  );
}
