import { dim, nameOf, type Element, type ElementOf } from '@compas/core';
import { Button } from 'antd';
import { LengthInput } from '../ui/LengthInput.js';

/** Points of a fair curve: where, and how thick. */
export function FairPoints({
  element,
  put,
}: {
  element: ElementOf<'fair'>;
  put: (element: Element) => void;
}) {
  const name = nameOf(element);
  const { points } = element;
  const last = points.at(-1);
  return (
    <>
      {points.map((point, i) => (
        <span key={i}>
          <span className="soft">point {i + 1}: at, diameter</span>
          <span className="held-input">
            <LengthInput
              label={`${name}, point ${i + 1}, at`}
              value={point.at}
              onChange={(at) =>
                put({ ...element, points: points.map((p, j) => (j === i ? { ...p, at } : p)) })
              }
            />
            <LengthInput
              label={`${name}, point ${i + 1}, diameter`}
              value={point.diameter}
              onChange={(diameter) =>
                put({ ...element, points: points.map((p, j) => (j === i ? { ...p, diameter } : p)) })
              }
            />
            <button
              type="button"
              className="hold"
              aria-label={`Take point ${i + 1} of ${name} away`}
              onClick={() => put({ ...element, points: points.filter((_, j) => j !== i) })}
            >
              ✕
            </button>
          </span>
        </span>
      ))}
      <Button
        size="small"
        className="option-button"
        onClick={() =>
          put({
            ...element,
            points: [
              ...points,
              {
                at: dim(((last?.at.mm ?? 0) + element.length.mm) / 2),
                diameter: last?.diameter ?? element.endDiameter,
              },
            ],
          })
        }
      >
        + point
      </Button>
    </>
  );
}
