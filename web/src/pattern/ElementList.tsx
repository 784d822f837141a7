import {
  dimensionOf,
  DIMENSION_WORDS,
  DIMENSIONS_OF,
  withDimension,
  type Element,
  type ElementKind,
  type MustFit,
  type Outline,
  type PatternBody,
} from '@compas/core';
import { Button, Dropdown, Input } from 'antd';
import { Length } from '../ui/Length.js';
import { LengthInput } from '../ui/LengthInput.js';
import { changeTurning, insertElement, moveElement, removeElement, replaceElement } from './editing.js';

/** Kinds with the words a turner would choose them by. */
const KINDS: { kind: ElementKind; words: string }[] = [
  { kind: 'cylinder', words: 'cylinder' },
  { kind: 'taper', words: 'taper' },
  { kind: 'bead', words: 'bead' },
  { kind: 'cove', words: 'cove' },
  { kind: 'shoulder', words: 'shoulder' },
  { kind: 'v-groove', words: 'V groove' },
  { kind: 'sphere', words: 'ball' },
  { kind: 'arc', words: 'curve by radius' },
];

interface ElementListProps {
  body: PatternBody;
  outline: Outline;
  lathe: { swing: number; betweenCentres: number };
  selected: string | null;
  onSelect: (id: string) => void;
  onChange: (body: PatternBody) => void;
}

/** Every element in order from the reference end, each dimension edited in place. */
export function ElementList({ body, outline, lathe, selected, onSelect, onChange }: ElementListProps) {
  const [turning] = body.parts[0].turnings;
  const add = (afterId: string | null) => (kind: ElementKind) => {
    const { body: next, id } = insertElement(body, kind, afterId);
    onChange(next);
    onSelect(id);
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
                <LengthInput
                  label="Start diameter"
                  value={turning.startDiameter}
                  fit={fitOf('diameter', lathe)}
                  onChange={(startDiameter) =>
                    onChange(changeTurning(body, (t) => ({ ...t, startDiameter })))
                  }
                />
              </span>
            </span>
          </td>
          <td>
            <AddButton onAdd={add(null)} />
          </td>
        </tr>
        {outline.spans.map((span, i) => (
          <ElementRow
            key={span.element.id}
            element={span.element}
            endDiameter={span.endDiameter}
            lathe={lathe}
            chosen={span.element.id === selected}
            first={i === 0}
            last={i === outline.spans.length - 1}
            onSelect={() => onSelect(span.element.id)}
            onChange={(element) => onChange(replaceElement(body, element))}
            onMove={(by) => onChange(moveElement(body, span.element.id, by))}
            onRemove={() => onChange(removeElement(body, span.element.id))}
            onAdd={add(span.element.id)}
          />
        ))}
      </tbody>
    </table>
  );
}

const fitOf = (key: string, lathe: ElementListProps['lathe']): MustFit =>
  key === 'length'
    ? { what: 'the bed of the lathe', minMm: 0, maxMm: lathe.betweenCentres }
    : key === 'radius'
      ? { what: 'a curve', minMm: 0, maxMm: 20_000 }
      : { what: 'the swing of the lathe', minMm: 0, maxMm: lathe.swing };

interface ElementRowProps {
  element: Element;
  endDiameter: number;
  lathe: ElementListProps['lathe'];
  chosen: boolean;
  first: boolean;
  last: boolean;
  onSelect: () => void;
  onChange: (element: Element) => void;
  onMove: (by: -1 | 1) => void;
  onRemove: () => void;
  onAdd: (kind: ElementKind) => void;
}

function ElementRow({
  element,
  endDiameter,
  lathe,
  chosen,
  first,
  last,
  onSelect,
  onChange,
  onMove,
  onRemove,
  onAdd,
}: ElementRowProps) {
  const name = element.name ?? element.kind;
  return (
    <tr aria-selected={chosen} onFocus={onSelect}>
      <td style={{ minWidth: 130 }}>
        <Input
          variant="borderless"
          aria-label={`Name of ${name}`}
          value={element.name ?? ''}
          placeholder={element.kind}
          maxLength={60}
          style={{ fontWeight: 600, paddingLeft: 0 }}
          onChange={(e) => onChange({ ...element, name: e.target.value || undefined })}
        />
        <span className="soft">{KINDS.find((k) => k.kind === element.kind)?.words}</span>
      </td>
      <td>
        <span className="dimensions">
          {DIMENSIONS_OF[element.kind].map((key) => (
            <span key={key}>
              <span className="soft">{DIMENSION_WORDS[key]}</span>
              <LengthInput
                label={`${name}, ${DIMENSION_WORDS[key]}`}
                value={dimensionOf(element, key) ?? { mm: 0 }}
                fit={fitOf(key, lathe)}
                onChange={(value) => onChange(withDimension(element, key, value))}
              />
            </span>
          ))}
          {element.kind === 'arc' && (
            <Button
              size="small"
              style={{ alignSelf: 'flex-end' }}
              onClick={() => onChange({ ...element, side: element.side === 'out' ? 'in' : 'out' })}
            >
              {element.side === 'out' ? 'bulges out' : 'is hollow'}
            </Button>
          )}
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
          onClick={() => onMove(-1)}
        >
          ↑
        </Button>
        <Button
          size="small"
          type="text"
          disabled={last}
          aria-label={`Move ${name} away from the reference end`}
          onClick={() => onMove(1)}
        >
          ↓
        </Button>
        <Button size="small" type="text" aria-label={`Take ${name} out`} onClick={onRemove}>
          ✕
        </Button>
        <AddButton onAdd={onAdd} after={name} />
      </td>
    </tr>
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
