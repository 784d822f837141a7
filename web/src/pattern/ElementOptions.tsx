import { dim, newElement, TENON_FITS, type Element, type ElementKind, type TenonFit } from '@compas/core';
import { Button, InputNumber, Select } from 'antd';
import { LengthInput } from '../ui/LengthInput.js';
import { KINDS } from './kinds.js';

interface OptionsProps<E extends Element> {
  element: E;
  put: (element: Element) => void;
}
type Of<K extends ElementKind> = Extract<Element, { kind: K }>;

/** What an element has besides its dimensions: which way it bulges, its fit, its points. */
export function ElementOptions({
  element,
  startDiameter,
  put,
}: OptionsProps<Element> & { startDiameter: number }) {
  const name = element.name ?? element.kind;
  return (
    <>
      <FormSwitch element={element} put={put} />
      {element.kind === 'tenon' && (
        <span>
          <span className="soft">fit</span>
          <Select<TenonFit>
            aria-label={`${name}, fit`}
            size="middle"
            style={{ width: 84 }}
            value={element.fit}
            onChange={(fit) => put({ ...element, fit })}
            options={TENON_FITS.map((fit) => ({ value: fit, label: fit }))}
          />
        </span>
      )}
      {element.kind === 'fair' && <FairPoints element={element} put={put} />}
      {element.kind === 'repeat' && <RowOptions element={element} put={put} startDiameter={startDiameter} />}
      {element.tolerance !== undefined && (
        <span>
          <span className="soft">tolerance, ± mm</span>
          <InputNumber
            aria-label={`${name}, tolerance`}
            style={{ width: 84 }}
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

/** Two ways an element can be, changed by pressing. */
function FormSwitch({ element, put }: OptionsProps<Element>) {
  const other = otherForm(element);
  if (!other) return null;
  return (
    <Button size="small" style={{ alignSelf: 'flex-end' }} onClick={() => put(other.element)}>
      {other.now}
    </Button>
  );
}

function otherForm(element: Element): { now: string; element: Element } | null {
  switch (element.kind) {
    case 'arc':
      return {
        now: element.side === 'out' ? 'bulges out' : 'is hollow',
        element: { ...element, side: element.side === 'out' ? 'in' : 'out' },
      };
    case 'ogee':
      return {
        now: element.side === 'out' ? 'round first' : 'hollow first',
        element: { ...element, side: element.side === 'out' ? 'in' : 'out' },
      };
    case 'bead':
      return {
        now: element.form === 'ellipse' ? 'elliptical' : 'round',
        element: { ...element, form: element.form === 'ellipse' ? undefined : 'ellipse' },
      };
    case 'balloon':
      return {
        now: element.ball === 'first' ? 'ball first' : 'cone first',
        element: { ...element, ball: element.ball === 'first' ? 'last' : 'first' },
      };
    case 'square':
      return {
        now: element.shoulder === 'rolled' ? 'rolled shoulders' : 'square shoulders',
        element: { ...element, shoulder: element.shoulder === 'rolled' ? 'square' : 'rolled' },
      };
    default:
      return null;
  }
}

function FairPoints({ element, put }: OptionsProps<Of<'fair'>>) {
  const name = element.name ?? element.kind;
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
        style={{ alignSelf: 'flex-end' }}
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

function RowOptions({ element, put, startDiameter }: OptionsProps<Of<'repeat'>> & { startDiameter: number }) {
  const name = element.name ?? 'row';
  const swap = (i: number, changed: Element) =>
    put({ ...element, elements: element.elements.map((e, j) => (j === i ? changed : e)) });
  return (
    <>
      <span>
        <span className="soft">times</span>
        <InputNumber
          aria-label={`${name}, times`}
          style={{ width: 74 }}
          min={1}
          max={200}
          precision={0}
          value={element.times}
          onChange={(times) => put({ ...element, times: times ?? 1 })}
        />
      </span>
      {element.elements.map((own, i) => (
        <RowElement
          key={own.id}
          own={own}
          name={name}
          put={(e) => swap(i, e)}
          startDiameter={startDiameter}
        />
      ))}
      <Button
        size="small"
        style={{ alignSelf: 'flex-end' }}
        onClick={() =>
          put({
            ...element,
            elements: [
              ...element.elements,
              { kind: 'cylinder', id: `${element.id}.${freeNumber(element)}`, length: dim(2) },
            ],
          })
        }
      >
        + in the row
      </Button>
    </>
  );
}

const freeNumber = ({ elements }: Of<'repeat'>): number =>
  Math.max(0, ...elements.map((e) => Number(e.id.split('.').at(-1)) || 0)) + 1;

/** An element within a row: its kind, and its first two dimensions. */
function RowElement({
  own,
  name,
  put,
  startDiameter,
}: {
  own: Element;
  name: string;
  put: (e: Element) => void;
  startDiameter: number;
}) {
  const second = own.kind === 'bead' ? ('crown' as const) : own.kind === 'cove' ? ('bottom' as const) : null;
  return (
    <span>
      <Select
        aria-label={`${name}, kind of ${own.id}`}
        size="small"
        variant="borderless"
        value={own.kind}
        options={KINDS.filter((k) => ['cylinder', 'bead', 'cove', 'v-groove'].includes(k.kind)).map((k) => ({
          value: k.kind,
          label: k.words,
        }))}
        onChange={(kind) => put(newElement(kind, own.id, Math.max(4, startDiameter)))}
      />
      <span className="held-input">
        {'length' in own && (
          <LengthInput
            label={`${own.id}, length`}
            value={own.length}
            onChange={(length) => put({ ...own, length })}
          />
        )}
        {second && second in own && (
          <LengthInput
            label={`${own.id}, ${second}`}
            value={own.kind === 'bead' ? own.crown : own.kind === 'cove' ? own.bottom : dim(0)}
            onChange={(value) =>
              put(
                own.kind === 'bead'
                  ? { ...own, crown: value }
                  : own.kind === 'cove'
                    ? { ...own, bottom: value }
                    : own,
              )
            }
          />
        )}
      </span>
    </span>
  );
}
