import { type Decoration, DECORATION_KINDS, type DecorationKind, dim } from '@compas/core';
import { Button, Input, Select } from 'antd';
import { LengthInput } from '../ui/LengthInput.js';
import { changePart, withNew } from './editing.js';
import { useEditor } from './editor.js';
import { choicesFrom } from '../ui/choices.js';

/** What is done to the surface: lines burnt in, textured bands, coloured zones. */
export function SurfacePanel() {
  const { body, part, turning, change, selected } = useEditor();
  const all = part.decorations ?? [];
  const put = (decorations: Decoration[]) =>
    change(changePart(body, part.id, (p) => ({ ...p, decorations })));
  const add = (kind: DecorationKind) => {
    const elementId = selected ?? turning.elements[0]?.id;
    if (!elementId) return;
    change(
      withNew(body, 'deco', (id, b) =>
        changePart(b, part.id, (p) => ({
          ...p,
          decorations: [
            ...all,
            { id, kind, elementId, from: dim(0), width: dim(kind === 'burnt line' ? 0.8 : 3) },
          ],
        })),
      ),
    );
  };
  const elements = turning.elements.map((e) => ({ value: e.id, label: e.name ?? e.kind }));
  return (
    <div className="column">
      <div className="row">
        <h2>Decoration</h2>
        {DECORATION_KINDS.map((kind) => (
          <Button key={kind} size="small" onClick={() => add(kind)}>
            + {kind}
          </Button>
        ))}
      </div>
      {all.length === 0 && <p className="soft">Plain. A decoration goes on the element that is chosen.</p>}
      {all.map((d) => {
        const swap = (changed: Decoration) => put(all.map((o) => (o.id === d.id ? changed : o)));
        return (
          <div key={d.id} className="row hole-row">
            <Select
              aria-label="Kind of decoration"
              className="w-date"
              value={d.kind}
              options={choicesFrom(DECORATION_KINDS)}
              onChange={(kind) => swap({ ...d, kind })}
            />
            <Select
              aria-label="On the element"
              className="w-word"
              value={d.elementId}
              options={elements}
              onChange={(elementId) => swap({ ...d, elementId })}
            />
            <LengthInput
              label="Begins after"
              showLabel
              value={d.from}
              onChange={(from) => swap({ ...d, from })}
            />
            <LengthInput label="Wide" showLabel value={d.width} onChange={(width) => swap({ ...d, width })} />
            <Input
              aria-label="Words for the decoration"
              placeholder={d.kind === 'colour' ? 'which dye' : 'how'}
              className="w-word"
              maxLength={200}
              value={d.words ?? ''}
              onChange={(e) => swap({ ...d, words: e.target.value || undefined })}
            />
            <Button
              size="small"
              type="text"
              aria-label="Take the decoration away"
              onClick={() => put(all.filter((o) => o.id !== d.id))}
            >
              ✕
            </Button>
          </div>
        );
      })}
    </div>
  );
}
