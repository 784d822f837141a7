import {
  dim,
  dimensionOf,
  dimensionWords,
  lieOf,
  usualOf,
  withDimension,
  type DimensionKey,
  type Element,
  type MustFit,
} from '@compas/core';
import { Length } from '../ui/Length.js';
import { LengthInput } from '../ui/LengthInput.js';
import { useEditorActions } from './editor.js';
import { HoldButton } from './HoldButton.js';

function fitOf(key: DimensionKey, lathe: { swing: number; betweenCentres: number }): MustFit {
  switch (lieOf(key)) {
    case 'along':
      return { what: 'the bed of the lathe', minMm: 0, maxMm: lathe.betweenCentres };
    case 'across':
      return { what: 'the swing of the lathe', minMm: 0, maxMm: lathe.swing };
    case 'free':
      return { what: 'a curve', minMm: 0, maxMm: 20_000 };
  }
}

interface DimensionFieldProps<E extends Element> {
  element: E;
  /** what the element is called in the labels */
  name: string;
  dimension: DimensionKey;
  put: (element: E) => void;
  /** it belongs to what is chosen: it can be held, or taken away */
  chosen?: boolean;
}

/** One dimension of an element: typed, held, or taken away where it need not be given. */
export function DimensionField<E extends Element>(props: DimensionFieldProps<E>) {
  const { element, name, dimension, put, chosen = true } = props;
  const { lathe } = useEditorActions();
  const words = dimensionWords(element.kind, dimension);
  const value = dimensionOf(element, dimension) ?? dim(0);
  const follows = dimension === 'length' && element.takesUp === true;
  const held = element.held?.includes(dimension) === true;
  const label = `${name}, ${words}`;
  const hold = (on: boolean) => {
    const rest = (element.held ?? []).filter((k) => k !== dimension);
    const kept = on ? [...rest, dimension] : rest;
    put({ ...element, held: kept.length > 0 ? kept : undefined });
  };
  return (
    <span>
      <span className="soft">{follows ? 'length, takes up' : words.replace(/ diameter$/, ' ⌀')}</span>
      {follows ? (
        <span className="resting">
          <Length mm={value.mm} />
        </span>
      ) : (
        <span className="held-input">
          <LengthInput
            label={label}
            value={value}
            fit={fitOf(dimension, lathe)}
            disabled={held}
            onChange={(mm) => put(withDimension(element, dimension, mm))}
          />
          {held && <span className="held-word">held</span>}
          {!chosen ? null : usualOf(element.kind, dimension) !== undefined ? (
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
