import { ELEMENT_KIND_NAMES, kindOf, type ElementKind } from '@compas/core';
import { Button, Dropdown } from 'antd';
import { insertElement } from './editing.js';
import { useEditorActions } from './editor.js';

/** Puts a new element after another, or first. */
export function AddButton({ afterId, after }: { afterId: string | null; after?: string }) {
  const { spot, read, update, select } = useEditorActions();
  const add = (kind: ElementKind) => {
    select(insertElement(read(), spot, kind, afterId).id);
    update((body) => insertElement(body, spot, kind, afterId).body);
  };
  return (
    <Dropdown
      trigger={['click']}
      rootClassName="kinds-menu"
      menu={{
        items: ELEMENT_KIND_NAMES.map((kind) => ({ key: kind, label: kindOf({ kind }).words })),
        onClick: ({ key }) => add(key as ElementKind),
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
