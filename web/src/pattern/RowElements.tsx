import { dim, ELEMENT_KIND_NAMES, kindOf, newElement, type Element, type ElementOf } from '@compas/core';
import { Button, Select } from 'antd';
import { DimensionField } from './DimensionField.js';
import { givenDimensions } from './givenDimensions.js';

interface RowElementsProps {
  element: ElementOf<'repeat'>;
  name: string;
  startDiameter: number;
  put: (element: Element) => void;
}

/** The elements that a row repeats, and another added to them. */
export function RowElements({ element, name, startDiameter, put }: RowElementsProps) {
  const swap = (i: number, changed: Element) =>
    put({ ...element, elements: element.elements.map((e, j) => (j === i ? changed : e)) });
  const add = () =>
    put({
      ...element,
      elements: [
        ...element.elements,
        { kind: 'cylinder', id: `${element.id}.${freeNumber(element)}`, length: dim(2) },
      ],
    });
  return (
    <>
      {element.elements.map((own, i) => (
        <RowElement
          key={own.id}
          own={own}
          name={name}
          put={(e) => swap(i, e)}
          startDiameter={startDiameter}
        />
      ))}
      <Button size="small" className="option-button" onClick={add}>
        + in the row
      </Button>
    </>
  );
}

const freeNumber = ({ elements }: ElementOf<'repeat'>): number =>
  Math.max(0, ...elements.map((e) => Number(e.id.split('.').at(-1)) || 0)) + 1;

/** A row holds no rows. */
const KINDS = ELEMENT_KIND_NAMES.filter((kind) => kind !== 'repeat').map((kind) => ({
  value: kind,
  label: kindOf({ kind }).words,
}));

interface RowElementProps {
  own: Element;
  name: string;
  put: (e: Element) => void;
  startDiameter: number;
}

/** An element within a row: its kind and its dimensions. */
function RowElement({ own, name, put, startDiameter }: RowElementProps) {
  return (
    <span>
      <Select
        aria-label={`${name}, kind of ${own.id}`}
        size="small"
        variant="borderless"
        value={own.kind}
        options={KINDS}
        onChange={(kind) => put(newElement(kind, own.id, Math.max(4, startDiameter)))}
      />
      {givenDimensions(own).map((key) => (
        <DimensionField key={key} element={own} name={own.id} dimension={key} put={put} />
      ))}
    </span>
  );
}
