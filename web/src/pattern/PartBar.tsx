import { dim, type TurningAxis } from '@compas/core';
import { Button, Input, InputNumber, Segmented } from 'antd';
import { LengthInput } from '../ui/LengthInput.js';
import { addPart, addTurning, changePart, changeTurning, removePart, removeTurning } from './editing.js';
import { useEditor } from './editor.js';

/** The parts of the item, and the axes of the part that is edited. */
export function PartBar() {
  const { body, spot, part, turning, change, goTo, select } = useEditor();
  const enter = (partId: string) => {
    const next = body.parts.find((p) => p.id === partId);
    if (!next) return;
    select(null);
    goTo({ partId, turningId: next.turnings[0].id });
  };
  const made = ({ body: next, spot: there }: ReturnType<typeof addPart>) => {
    change(next);
    goTo(there);
  };
  return (
    <div className="row at-foot">
      {body.parts.length > 1 && (
        <Segmented
          aria-label="Part"
          value={part.id}
          onChange={enter}
          options={body.parts.map((p) => ({ value: p.id, label: p.name }))}
        />
      )}
      <label className="column gap-hair">
        Part
        <Input
          aria-label="Name of the part"
          value={part.name}
          maxLength={60}
          className="w-word"
          onChange={(e) =>
            change(
              changePart(body, part.id, (p) => ({ ...p, name: e.target.value || 'Part' })),
              'part name',
            )
          }
        />
      </label>
      <label className="column gap-hair">
        In each item
        <InputNumber
          aria-label="In each item"
          min={1}
          max={100}
          precision={0}
          className="w-digits"
          value={part.perItem}
          onChange={(perItem) => change(changePart(body, part.id, (p) => ({ ...p, perItem: perItem ?? 1 })))}
        />
      </label>
      <Button onClick={() => made(addPart(body))}>+ part</Button>
      <Button
        disabled={body.parts.length === 1}
        onClick={() => {
          const next = removePart(body, part.id);
          change(next);
          goTo({ partId: next.parts[0].id, turningId: next.parts[0].turnings[0].id });
        }}
      >
        Take this part away
      </Button>
      <span className="row at-foot to-the-right">
        {part.turnings.length + (part.hollows?.length ?? 0) > 1 && (
          <Segmented
            aria-label="Axis"
            value={turning.id}
            onChange={(turningId) => goTo({ partId: part.id, turningId })}
            options={[
              ...part.turnings.map((t, i) => ({ value: t.id, label: `Axis ${i + 1}` })),
              ...(part.hollows ?? []).map((h) => ({ value: h.id, label: h.name })),
            ]}
          />
        )}
        {turning.axis && (
          <AxisFields
            axis={turning.axis}
            onChange={(axis) => change(changeTurning(body, spot, (t) => ({ ...t, axis })))}
          />
        )}
        {turning.axis ? (
          <Button
            onClick={() => {
              change(removeTurning(body, spot));
              goTo({ partId: part.id, turningId: part.turnings[0].id });
            }}
          >
            Take this axis away
          </Button>
        ) : (
          <Button type="text" onClick={() => made(addTurning(body, part.id))}>
            + second axis
          </Button>
        )}
      </span>
    </div>
  );
}

function AxisFields({ axis, onChange }: { axis: TurningAxis; onChange: (axis: TurningAxis) => void }) {
  return (
    <>
      <LengthInput
        label="Shifted by"
        showLabel
        value={axis.shift ?? dim(0)}
        onChange={(shift) => onChange({ ...axis, shift })}
      />
      <LengthInput
        label="At, from the reference end"
        showLabel
        value={axis.along ?? dim(0)}
        onChange={(along) => onChange({ ...axis, along })}
      />
      <label className="column gap-hair">
        towards, °
        <InputNumber
          aria-label="Direction of the shift"
          className="w-digits"
          min={-360}
          max={360}
          value={axis.direction}
          onChange={(direction) => onChange({ ...axis, direction: direction ?? 0 })}
        />
      </label>
      <label className="column gap-hair">
        leaning, °
        <InputNumber
          aria-label="Lean of the axis"
          className="w-digits"
          min={-90}
          max={90}
          value={axis.tilt}
          onChange={(tilt) => onChange({ ...axis, tilt: tilt ?? 0 })}
        />
      </label>
    </>
  );
}
