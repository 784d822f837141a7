import { kindOf, nameOf, type Element } from '@compas/core';
import { Button, Input } from 'antd';
import { memo, type KeyboardEvent } from 'react';
import { Length } from '../ui/Length.js';
import { AddButton } from './AddButton.js';
import { DimensionField } from './DimensionField.js';
import { moveElement, moveElementTo, removeElement, replaceElement } from './editing.js';
import { useEditorActions } from './editor.js';
import { ElementMenu } from './ElementMenu.js';
import { ElementOptions } from './ElementOptions.js';
import { givenDimensions } from './givenDimensions.js';
import { optionWords } from './optionWords.js';
import { useRowDrag } from './useRowDrag.js';

interface ElementRowProps {
  element: Element;
  startDiameter: number;
  endDiameter: number;
  next: Element | undefined;
  first: boolean;
  chosen: boolean;
}

/** One element in one line: its name, kind and dimensions; what else it has opens where it is chosen. */
export const ElementRow = memo(function ElementRow(props: ElementRowProps) {
  const { element, startDiameter, endDiameter, next, first, chosen } = props;
  const { spot, update, select } = useEditorActions();
  const name = nameOf(element);
  const put = (changed: Element, tag?: string) => update((body) => replaceElement(body, spot, changed), tag);
  const move = (by: -1 | 1) => update((body) => moveElement(body, spot, element.id, by));
  const choose = () => select(element.id);
  const { over, grip, onto } = useRowDrag(element.id, (id) =>
    update((body) => moveElementTo(body, spot, id, element.id)),
  );
  const onKeyDown = (event: KeyboardEvent) => {
    if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
    event.preventDefault();
    event.stopPropagation();
    const by = event.key === 'ArrowUp' ? -1 : 1;
    if (by < 0 ? !first : next) move(by);
  };
  return (
    <tr
      aria-selected={chosen}
      data-over={over}
      onFocus={choose}
      onClick={choose}
      onKeyDownCapture={onKeyDown}
      {...onto}
    >
      <td className="element-name">
        <span className="row-grip" title={`Drag ${name} along the piece`} {...grip}>
          ↕
        </span>
        <Input
          variant="borderless"
          aria-label={`Name of ${name}`}
          value={element.name ?? ''}
          placeholder={element.kind}
          maxLength={60}
          onChange={(e) => put({ ...element, name: e.target.value || undefined }, `name ${element.id}`)}
        />
      </td>
      <td className="element-kind soft">{kindOf(element).words}</td>
      <td>
        <span className="dimensions">
          {givenDimensions(element).map((key) => (
            <DimensionField key={key} {...{ element, name, put, chosen }} dimension={key} />
          ))}
          {!('endDiameter' in element) && (
            <span>
              <span className="soft">ends at</span>
              <span className="resting">
                <Length mm={endDiameter} />
              </span>
            </span>
          )}
          {!chosen && <span className="soft">{optionWords(element)}</span>}
        </span>
        {chosen && (
          <span className="dimensions options">
            <ElementOptions element={element} startDiameter={startDiameter} put={put} />
            <span className="row-tools">
              <RowTools {...{ element, name, next, first, move }} />
            </span>
          </span>
        )}
      </td>
    </tr>
  );
});

interface RowToolsProps extends Pick<ElementRowProps, 'element' | 'next' | 'first'> {
  name: string;
  move: (by: -1 | 1) => void;
}

/** What can be done with the element that is chosen. */
function RowTools({ element, name, next, first, move }: RowToolsProps) {
  const { spot, update } = useEditorActions();
  return (
    <>
      <Button
        size="small"
        type="text"
        disabled={first}
        title="Alt ↑"
        aria-label={`Move ${name} towards the reference end`}
        onClick={() => move(-1)}
      >
        ↑
      </Button>
      <Button
        size="small"
        type="text"
        disabled={!next}
        title="Alt ↓"
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
      <ElementMenu element={element} next={next} />
    </>
  );
}
