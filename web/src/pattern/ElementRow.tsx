import { kindOf, nameOf, type Element } from '@compas/core';
import { Button, Input } from 'antd';
import { memo } from 'react';
import { Length } from '../ui/Length.js';
import { AddButton } from './AddButton.js';
import { DimensionField } from './DimensionField.js';
import { moveElement, removeElement, replaceElement } from './editing.js';
import { useEditorActions } from './editor.js';
import { ElementMenu } from './ElementMenu.js';
import { ElementOptions } from './ElementOptions.js';
import { givenDimensions } from './givenDimensions.js';

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
  const { spot, update, select } = useEditorActions();
  const name = nameOf(element);
  const put = (changed: Element, tag?: string) => update((body) => replaceElement(body, spot, changed), tag);
  const given = givenDimensions(element);
  const move = (by: -1 | 1) => update((body) => moveElement(body, spot, element.id, by));
  return (
    <tr aria-selected={chosen} onFocus={() => select(element.id)}>
      <td className="element-name">
        <Input
          variant="borderless"
          aria-label={`Name of ${name}`}
          value={element.name ?? ''}
          placeholder={element.kind}
          maxLength={60}
          onChange={(e) => put({ ...element, name: e.target.value || undefined }, `name ${element.id}`)}
        />
        <span className="soft">{kindOf(element).words}</span>
      </td>
      <td>
        <span className="dimensions">
          {given.map((key) => (
            <DimensionField key={key} element={element} name={name} dimension={key} put={put} />
          ))}
          <ElementOptions element={element} startDiameter={startDiameter} put={put} />
          {!('endDiameter' in element) && (
            <span>
              <span className="soft">ends at</span>
              <span className="resting">
                <Length mm={endDiameter} />
              </span>
            </span>
          )}
        </span>
      </td>
      <td className="row-tools">
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
        <ElementMenu element={element} next={next} />
      </td>
    </tr>
  );
});
