import { outlineOf } from '@compas/core';
import { Button, Dropdown, InputNumber, Modal } from 'antd';
import { memo, useState } from 'react';
import { LengthInput } from '../ui/LengthInput.js';
import { mirrorPart, pasteElements, scalePart, turningAt } from './editing.js';
import { useEditor, useEditorActions } from './editor.js';
import { clipboard } from './ElementMenu.js';

/** Changes to the whole profile: end for end, larger or smaller, elements from elsewhere. */
export const ReshapeMenu = memo(function ReshapeMenu() {
  const { spot, read, update } = useEditorActions();
  const [scaling, setScaling] = useState(false);
  const doing: Record<string, () => void> = {
    mirror: () => update((body) => mirrorPart(body, spot)),
    scale: () => setScaling(true),
    paste: () => {
      const last = turningAt(read(), spot).elements.at(-1)?.id ?? null;
      update((body) => pasteElements(body, spot, clipboard(), last));
    },
  };
  return (
    <>
      <Dropdown
        trigger={['click']}
        menu={{
          items: [
            { key: 'mirror', label: 'Turn it end for end' },
            { key: 'scale', label: 'Scale it' },
            {
              key: 'paste',
              label: 'Paste copied elements at the far end',
              disabled: clipboard().length === 0,
            },
          ],
          onClick: ({ key }) => doing[key]?.(),
        }}
      >
        <Button>Reshape</Button>
      </Dropdown>
      {scaling && <ScaleDialog onClose={() => setScaling(false)} />}
    </>
  );
});

function ScaleDialog({ onClose }: { onClose: () => void }) {
  const { body, spot, turning, change } = useEditor();
  const { length } = outlineOf(turning);
  const [total, setTotal] = useState({ mm: Math.round(length * 100) / 100 });
  const [thickness, setThickness] = useState(100);
  return (
    <Modal
      open
      title="Scale it"
      okText="Scale"
      cancelText="Leave it"
      onCancel={onClose}
      onOk={() => {
        change(scalePart(body, spot, { length: total.mm / length, diameter: thickness / 100 }));
        onClose();
      }}
    >
      <div className="row at-foot">
        <LengthInput label="New total length" showLabel value={total} onChange={setTotal} />
        <label className="column gap-hair">
          Thickness, %
          <InputNumber
            aria-label="Thickness, per cent"
            min={5}
            max={2000}
            value={thickness}
            onChange={(value) => setThickness(value ?? 100)}
          />
        </label>
      </div>
      <p className="soft">What is held keeps its size; the total may then differ from what is asked.</p>
    </Modal>
  );
}
