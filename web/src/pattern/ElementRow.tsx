import {
  canJoin,
  canSplit,
  canTakeUp,
  dim,
  dimensionOf,
  DIMENSION_WORDS,
  DIMENSIONS_OF,
  OPTIONAL_DIMENSIONS,
  runsAlong,
  withDimension,
  type DimensionKey,
  type Element,
  type MustFit,
} from '@compas/core';
import { Button, Dropdown, Input } from 'antd';
import { memo } from 'react';
import { Length } from '../ui/Length.js';
import { LengthInput } from '../ui/LengthInput.js';
import { AddButton } from './AddButton.js';
import {
  joinElements,
  moveElement,
  pasteElements,
  removeElement,
  repeatElement,
  replaceElement,
  splitElement,
  takeUp,
  turningAt,
} from './editing.js';
import { useEditorActions } from './editor.js';
import { ElementOptions } from './ElementOptions.js';
import { HoldButton } from './HoldButton.js';
import { wordsOf } from './kinds.js';

interface ElementRowProps {
  element: Element;
  startDiameter: number;
  endDiameter: number;
  next: Element | undefined;
  first: boolean;
  chosen: boolean;
}

/** One element: its name, its dimensions, and what can be done with it. */
export const ElementRow = memo(function ElementRow(props: ElementRowProps) {
  const { element, startDiameter, endDiameter, next, first, chosen } = props;
  const { spot, lathe, update, select } = useEditorActions();
  const name = element.name ?? element.kind;
  const put = (changed: Element, tag?: string) => update((body) => replaceElement(body, spot, changed), tag);
  const given = DIMENSIONS_OF[element.kind].filter(
    (key) => !OPTIONAL_DIMENSIONS.has(key) || dimensionOf(element, key) !== undefined,
  );
  const move = (by: -1 | 1) => update((body) => moveElement(body, spot, element.id, by));
  return (
    <tr aria-selected={chosen} onFocus={() => select(element.id)}>
      <td style={{ minWidth: 120 }}>
        <Input
          variant="borderless"
          aria-label={`Name of ${name}`}
          value={element.name ?? ''}
          placeholder={element.kind}
          maxLength={60}
          style={{ fontWeight: 600, paddingLeft: 0 }}
          onChange={(e) => put({ ...element, name: e.target.value || undefined }, `name ${element.id}`)}
        />
        <span className="soft">{wordsOf(element.kind)}</span>
      </td>
      <td>
        <span className="dimensions">
          {given.map((key) => (
            <DimensionField key={key} element={element} dimension={key} fit={fitOf(key, lathe)} put={put} />
          ))}
          <ElementOptions element={element} startDiameter={startDiameter} put={put} />
          {!('endDiameter' in element) && (
            <span>
              <span className="soft">ends at</span>
              <span style={{ padding: '6px 0' }}>
                <Length mm={endDiameter} />
              </span>
            </span>
          )}
        </span>
      </td>
      <td style={{ whiteSpace: 'nowrap' }}>
        <Button
          size="small"
          type="text"
          disabled={first}
          aria-label={`Move ${name} towards the reference end`}
          onClick={() => move(-1)}
        >
          ↑
        </Button>
        <Button
          size="small"
          type="text"
          disabled={!next}
          aria-label={`Move ${name} away from the reference end`}
          onClick={() => move(1)}
        >
          ↓
        </Button>
        <Button
          size="small"
          type="text"
          aria-label={`Take ${name} out`}
          onClick={() => update((body) => removeElement(body, spot, element.id))}
        >
          ✕
        </Button>
        <AddButton afterId={element.id} after={name} />
        <MoreButton element={element} next={next} />
      </td>
    </tr>
  );
});

const fitOf = (key: DimensionKey, lathe: { swing: number; betweenCentres: number }): MustFit =>
  runsAlong(key)
    ? { what: 'the bed of the lathe', minMm: 0, maxMm: lathe.betweenCentres }
    : key === 'radius'
      ? { what: 'a curve', minMm: 0, maxMm: 20_000 }
      : { what: 'the swing of the lathe', minMm: 0, maxMm: lathe.swing };

interface DimensionFieldProps {
  element: Element;
  dimension: DimensionKey;
  fit: MustFit;
  put: (element: Element) => void;
}

function DimensionField({ element, dimension, fit, put }: DimensionFieldProps) {
  const name = element.name ?? element.kind;
  const value = dimensionOf(element, dimension) ?? dim(0);
  const follows = dimension === 'length' && element.takesUp === true;
  const held = element.held?.includes(dimension) === true;
  const label = `${name}, ${DIMENSION_WORDS[dimension]}`;
  const hold = (on: boolean) => {
    const rest = (element.held ?? []).filter((k) => k !== dimension);
    const kept = on ? [...rest, dimension] : rest;
    put({ ...element, held: kept.length > 0 ? kept : undefined });
  };
  return (
    <span>
      <span className="soft">{follows ? 'length, takes up' : DIMENSION_WORDS[dimension]}</span>
      {follows ? (
        <span style={{ padding: '6px 0' }}>
          <Length mm={value.mm} />
        </span>
      ) : (
        <span className="held-input">
          <LengthInput
            label={label}
            value={value}
            fit={fit}
            disabled={held}
            onChange={(mm) => put(withDimension(element, dimension, mm))}
          />
          {OPTIONAL_DIMENSIONS.has(dimension) ? (
            <button
              type="button"
              className="hold"
              aria-label={`Take away ${label}`}
              onClick={() => put(withDimension(element, dimension, undefined))}
            >
              ✕
            </button>
          ) : (
            <HoldButton name={label} held={held} onChange={hold} />
          )}
        </span>
      )}
    </span>
  );
}

/** Elements kept for pasting, here or in another pattern: they outlive the page. */
const CLIPBOARD = 'compas.elements';

export function clipboard(): Element[] {
  try {
    return JSON.parse(localStorage.getItem(CLIPBOARD) ?? '[]') as Element[];
  } catch {
    return [];
  }
}

function MoreButton({ element, next }: { element: Element; next: Element | undefined }) {
  const { spot, read, update } = useEditorActions();
  const name = element.name ?? element.kind;
  const { id } = element;
  const optional = DIMENSIONS_OF[element.kind].filter(
    (key) => OPTIONAL_DIMENSIONS.has(key) && dimensionOf(element, key) === undefined,
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
    ...optional.map((key) => ({ key, label: `Give it: ${DIMENSION_WORDS[key]}` })),
    { key: 'copy', label: 'Copy it' },
    { key: 'copyOn', label: 'Copy it and what follows' },
    { key: 'paste', label: 'Paste after it', disabled: clipboard().length === 0 },
  ];
  const usual: Partial<Record<string, number>> = { fillet: 1, blend: 3, turn: 10, roll: 12 };
  return (
    <Dropdown
      trigger={['click']}
      menu={{
        items,
        onClick: ({ key }) => {
          const act = doing[key];
          if (act) return act();
          const given = withDimension(element, key as DimensionKey, dim(usual[key] ?? 1));
          update((body) => replaceElement(body, spot, given));
        },
      }}
    >
      <Button size="small" type="text" aria-label={`More for ${name}`}>
        ⋯
      </Button>
    </Dropdown>
  );
}
