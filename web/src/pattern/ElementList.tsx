import { outlineOf, type ElementKind } from '@compas/core';
import { Button, Dropdown } from 'antd';
import { LengthInput } from '../ui/LengthInput.js';
import { changeTurning, insertElement } from './editing.js';
import { useEditor } from './editor.js';
import { ElementRow } from './ElementRow.js';
import { HoldButton } from './HoldButton.js';
import { KINDS } from './kinds.js';

/** Every element in order from the reference end, each dimension edited in place. */
export function ElementList() {
  const { body, spot, turning, workshop, change, select } = useEditor();
  const { spans } = outlineOf(turning);
  const add = (afterId: string | null) => (kind: ElementKind) => {
    const { body: next, id } = insertElement(body, spot, kind, afterId);
    change(next);
    select(id);
  };
  return (
    <table className="elements">
      <thead>
        <tr>
          <th>From the reference end</th>
          <th>Dimensions</th>
          <th aria-label="Changes" />
        </tr>
      </thead>
      <tbody>
        <tr>
          <td className="soft">begins with</td>
          <td>
            <span className="dimensions">
              <span>
                <span className="soft">diameter</span>
                <span className="held-input">
                  <LengthInput
                    label="Start diameter"
                    value={turning.startDiameter}
                    disabled={turning.startHeld}
                    fit={{ what: 'the swing of the lathe', minMm: 0, maxMm: workshop.lathe.swing }}
                    onChange={(startDiameter) =>
                      change(changeTurning(body, spot, (t) => ({ ...t, startDiameter })))
                    }
                  />
                  <HoldButton
                    name="Start diameter"
                    held={turning.startHeld === true}
                    onChange={(startHeld) =>
                      change(changeTurning(body, spot, (t) => ({ ...t, startHeld: startHeld || undefined })))
                    }
                  />
                </span>
              </span>
            </span>
          </td>
          <td>
            <AddButton onAdd={add(null)} />
          </td>
        </tr>
        {spans.map((span, i) => (
          <ElementRow
            key={span.element.id}
            span={span}
            next={spans[i + 1]?.element}
            first={i === 0}
            add={<AddButton onAdd={add(span.element.id)} after={span.element.name ?? span.element.kind} />}
          />
        ))}
      </tbody>
    </table>
  );
}

function AddButton({ onAdd, after }: { onAdd: (kind: ElementKind) => void; after?: string }) {
  return (
    <Dropdown
      trigger={['click']}
      menu={{
        items: KINDS.map(({ kind, words }) => ({ key: kind, label: words })),
        onClick: ({ key }) => onAdd(key as ElementKind),
      }}
    >
      <Button
        size="small"
        aria-label={after ? `Add an element after ${after}` : 'Add an element at the reference end'}
      >
        + add
      </Button>
    </Dropdown>
  );
}
