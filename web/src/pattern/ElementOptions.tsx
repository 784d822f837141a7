import { fieldsOf, nameOf, type Element, type Field } from '@compas/core';
import { Button, InputNumber, Select } from 'antd';
import { FairPoints } from './FairPoints.js';
import { RowElements } from './RowElements.js';

interface OptionsProps {
  element: Element;
  startDiameter: number;
  put: (element: Element) => void;
}

/** What an element has besides its dimensions, as its kind asks: which way it bulges, its fit, its points. */
export function ElementOptions(props: OptionsProps) {
  const { element, put } = props;
  const name = nameOf(element);
  return (
    <>
      {fieldsOf(element.kind).map(([key, field]) => (
        <Option key={key} {...props} name={name} field={field} of={key} />
      ))}
      {element.tolerance !== undefined && (
        <span>
          <span className="soft">tolerance, ± mm</span>
          <InputNumber
            aria-label={`${name}, tolerance`}
            className="short-number"
            min={0.01}
            max={20}
            step={0.05}
            value={element.tolerance}
            onChange={(tolerance) => put({ ...element, tolerance: tolerance ?? undefined })}
          />
        </span>
      )}
    </>
  );
}

interface OptionProps extends OptionsProps {
  name: string;
  field: Field;
  /** name of the field */
  of: string;
}

function Option({ element, startDiameter, put, name, field, of }: OptionProps) {
  switch (field.is) {
    case 'dimension':
      return null;
    case 'choice':
      return <Choice element={element} put={put} name={name} field={field} of={of} />;
    case 'count':
      return (
        <span>
          <span className="soft">{field.label}</span>
          <InputNumber
            aria-label={`${name}, ${field.label}`}
            className="short-number"
            min={field.least}
            max={field.most}
            precision={0}
            value={valueOf(element, of) as number}
            onChange={(value) => put(withValue(element, of, value ?? field.least))}
          />
        </span>
      );
    case 'points':
      return element.kind === 'fair' ? <FairPoints element={element} put={put} /> : null;
    case 'elements':
      return element.kind === 'repeat' ? (
        <RowElements element={element} name={name} startDiameter={startDiameter} put={put} />
      ) : null;
  }
}

type ChoiceProps = Omit<OptionProps, 'startDiameter' | 'field'> & { field: Extract<Field, { is: 'choice' }> };

/** Two ways are changed by pressing, more are chosen from. */
function Choice({ element, put, name, field, of }: ChoiceProps) {
  const ways = Object.keys(field.words);
  const value = (valueOf(element, of) as string | undefined) ?? field.usual ?? '';
  const choose = (way: string | undefined) =>
    put(withValue(element, of, way === field.usual ? undefined : way));
  if (ways.length === 2)
    return (
      <Button size="small" className="option-button" onClick={() => choose(ways.find((w) => w !== value))}>
        {field.words[value]}
      </Button>
    );
  return (
    <span>
      <span className="soft">{field.label}</span>
      <Select
        aria-label={`${name}, ${field.label}`}
        className="short-number"
        value={value}
        onChange={choose}
        options={ways.map((way) => ({ value: way, label: field.words[way] }))}
      />
    </span>
  );
}

const valueOf = (element: Element, field: string): unknown =>
  (element as unknown as Record<string, unknown>)[field];

const withValue = (element: Element, field: string, value: unknown): Element => ({
  ...element,
  [field]: value,
});
