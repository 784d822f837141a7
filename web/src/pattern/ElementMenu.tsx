import {
  canJoin,
  canSplit,
  canTakeUp,
  dim,
  dimensionOf,
  dimensionsOf,
  dimensionWords,
  nameOf,
  usualOf,
  withDimension,
  type Element,
} from '@compas/core';
import { Button, Dropdown } from 'antd';
import {
  joinElements,
  pasteElements,
  repeatElement,
  replaceElement,
  splitElement,
  takeUp,
  turningAt,
} from './editing.js';
import { useEditorActions } from './editor.js';

/** Elements kept for pasting, here or in another pattern: they outlive the page. */
const CLIPBOARD = 'compas.elements';

export function clipboard(): Element[] {
  try {
    return JSON.parse(localStorage.getItem(CLIPBOARD) ?? '[]') as Element[];
  } catch {
    return [];
  }
}

/** What else can be done with an element. */
export function ElementMenu({ element, next }: { element: Element; next: Element | undefined }) {
  const { spot, read, update } = useEditorActions();
  const name = nameOf(element);
  const { id } = element;
  const optional = dimensionsOf(element.kind).filter(
    (key) => usualOf(element.kind, key) !== undefined && dimensionOf(element, key) === undefined,
  );
  const doing: Record<string, () => void> = {
    split: () => update((body) => splitElement(body, spot, id)),
    join: () => update((body) => joinElements(body, spot, id)),
    repeat: () => update((body) => repeatElement(body, spot, id, 3)),
    takeUp: () => update((body) => takeUp(body, spot, id)),
    copy: () => localStorage.setItem(CLIPBOARD, JSON.stringify([element])),
    copyOn: () => {
      const { elements } = turningAt(read(), spot);
      const from = elements.findIndex((e) => e.id === id);
      localStorage.setItem(CLIPBOARD, JSON.stringify(elements.slice(from)));
    },
    paste: () => update((body) => pasteElements(body, spot, clipboard(), id)),
    tolerance: () => update((body) => replaceElement(body, spot, { ...element, tolerance: 0.2 })),
  };
  const items = [
    { key: 'split', label: 'Cut it in two', disabled: !canSplit(element) },
    { key: 'join', label: 'Join with the next', disabled: !canJoin(element, next) },
    { key: 'repeat', label: 'Make it a row', disabled: element.kind === 'repeat' },
    {
      key: 'takeUp',
      label: element.takesUp ? 'Stop taking up' : 'Let it take up what is left',
      disabled: !canTakeUp(element),
    },
    ...(element.tolerance === undefined ? [{ key: 'tolerance', label: 'Give it a tolerance' }] : []),
    ...optional.map((key) => ({ key, label: `Give it: ${dimensionWords(element.kind, key)}` })),
    { key: 'copy', label: 'Copy it' },
    { key: 'copyOn', label: 'Copy it and what follows' },
    { key: 'paste', label: 'Paste after it', disabled: clipboard().length === 0 },
  ];
  return (
    <Dropdown
      trigger={['click']}
      menu={{
        items,
        onClick: ({ key }) => {
          const act = doing[key];
          if (act) return act();
          const given = optional.find((own) => own === key);
          if (!given) return;
          const begins = dim(usualOf(element.kind, given) ?? 0);
          update((body) => replaceElement(body, spot, withDimension(element, given, begins)));
        },
      }}
    >
      <Button size="small" type="text" aria-label={`More for ${name}`}>
        ⋯
      </Button>
    </Dropdown>
  );
}
