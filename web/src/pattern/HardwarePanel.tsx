import {
  dim,
  MATERIALS,
  type Dimension,
  type Hole,
  type Kit,
  type PatternBody,
  type PlannedHardware,
  type UsedBy,
} from '@compas/core';
import { Button, Checkbox, Input, Select } from 'antd';
import { LengthInput } from '../ui/LengthInput.js';
import { Length } from '../ui/Length.js';
import { changeHoles, changePart, changeTurning, fitKit } from './editing.js';

const NO_KIT = 'none';
const USED_BY: { value: UsedBy; label: string }[] = [
  { value: 'anybody', label: 'anybody' },
  { value: 'food', label: 'with food' },
  { value: 'child', label: 'a child' },
];

interface PanelProps {
  body: PatternBody;
  onChange: (body: PatternBody) => void;
}

/** Hardware, holes, material and limits of the item. */
export function HardwarePanel({
  body,
  onChange,
  kits,
  hardware,
}: PanelProps & { kits: Kit[]; hardware: PlannedHardware | null }) {
  const mating = hardware?.needs.mating;
  return (
    <div className="row" style={{ alignItems: 'flex-end', gap: 18 }}>
      <label className="column" style={{ gap: 2 }}>
        Hardware at the reference end
        <Select
          aria-label="Hardware at the reference end"
          style={{ width: 250 }}
          value={body.hardware[0]?.kitId ?? NO_KIT}
          onChange={(id) => onChange(fitKit(body, id === NO_KIT ? null : id))}
          options={[{ value: NO_KIT, label: 'none' }, ...kits.map((k) => ({ value: k.id, label: k.name }))]}
        />
      </label>
      {mating && Math.abs(mating.diameter - body.parts[0].turnings[0].startDiameter.mm) > 1e-6 && (
        <Button
          onClick={() =>
            onChange(changeTurning(body, (t) => ({ ...t, startDiameter: dim(mating.diameter) })))
          }
        >
          Take its <Length mm={mating.diameter} />
        </Button>
      )}
      <label className="column" style={{ gap: 2 }}>
        Usual material
        <Select
          aria-label="Usual material"
          style={{ width: 125 }}
          value={body.parts[0].materialId}
          onChange={(materialId) => onChange(changePart(body, (p) => ({ ...p, materialId })))}
          options={MATERIALS.map((m) => ({ value: m.id, label: m.name }))}
        />
      </label>
      <label className="column" style={{ gap: 2 }}>
        Used by
        <Select
          aria-label="Used by"
          style={{ width: 112 }}
          value={body.usedBy}
          onChange={(usedBy) => onChange({ ...body, usedBy })}
          options={USED_BY}
        />
      </label>
      <LongestAllowed body={body} onChange={onChange} />
    </div>
  );
}

function LongestAllowed({ body, onChange }: PanelProps) {
  if (!body.longest)
    return <Button onClick={() => onChange({ ...body, longest: dim(100) })}>Limit its length</Button>;
  return (
    <span className="row" style={{ alignItems: 'flex-end' }}>
      <LengthInput
        label="Longest allowed"
        showLabel
        value={body.longest}
        onChange={(longest) => onChange({ ...body, longest })}
      />
      <Button
        type="text"
        aria-label="Take the length limit away"
        onClick={() => onChange({ ...body, longest: undefined })}
      >
        ✕
      </Button>
    </span>
  );
}

/** Holes that the pattern itself asks for, besides those of its hardware. */
export function HolesPanel({ body, onChange }: PanelProps) {
  const { holes } = body.parts[0];
  const change = (hole: Hole) =>
    onChange(changeHoles(body, (all) => all.map((h) => (h.id === hole.id ? hole : h))));
  const add = () => {
    const id = `hole${body.lastId + 1}`;
    const hole: Hole = {
      id,
      name: 'hole',
      from: 'reference',
      through: false,
      pointAngle: 118,
      steps: [{ diameter: dim(6), depth: dim(20) }],
    };
    onChange({ ...changeHoles(body, (all) => [...all, hole]), lastId: body.lastId + 1 });
  };
  return (
    <div className="column">
      <div className="row">
        <h2>Holes of its own</h2>
        <Button size="small" onClick={add}>
          + add a hole
        </Button>
      </div>
      {holes.map((hole) => (
        <HoleRow
          key={hole.id}
          hole={hole}
          onChange={change}
          onRemove={() => onChange(changeHoles(body, (all) => all.filter((h) => h.id !== hole.id)))}
        />
      ))}
    </div>
  );
}

function HoleRow({
  hole,
  onChange,
  onRemove,
}: {
  hole: Hole;
  onChange: (hole: Hole) => void;
  onRemove: () => void;
}) {
  const step = (i: number, key: 'diameter' | 'depth', value: Dimension) =>
    onChange({ ...hole, steps: hole.steps.map((s, j) => (j === i ? { ...s, [key]: value } : s)) });
  const last = hole.steps.at(-1);
  const addStep = () =>
    last &&
    onChange({
      ...hole,
      steps: [...hole.steps, { diameter: dim(last.diameter.mm * 0.7), depth: dim(last.depth.mm + 10) }],
    });
  return (
    <div className="row" style={{ alignItems: 'flex-end' }}>
      <Input
        aria-label="Name of the hole"
        value={hole.name}
        maxLength={60}
        style={{ width: 130 }}
        onChange={(e) => onChange({ ...hole, name: e.target.value || 'hole' })}
      />
      <Select
        aria-label={`${hole.name}, from`}
        value={hole.from}
        style={{ width: 180 }}
        onChange={(from) => onChange({ ...hole, from })}
        options={[
          { value: 'reference', label: 'from the reference end' },
          { value: 'far', label: 'from the far end' },
        ]}
      />
      {hole.steps.map((s, i) => (
        <span key={i} className="row" style={{ alignItems: 'flex-end' }}>
          <LengthInput
            label={`${hole.name}, diameter ${i + 1}`}
            showLabel
            value={s.diameter}
            onChange={(v) => step(i, 'diameter', v)}
          />
          {!hole.through && (
            <LengthInput
              label={`${hole.name}, depth ${i + 1}`}
              showLabel
              value={s.depth}
              onChange={(v) => step(i, 'depth', v)}
            />
          )}
        </span>
      ))}
      <Checkbox checked={hole.through} onChange={(e) => onChange({ ...hole, through: e.target.checked })}>
        through
      </Checkbox>
      <Button size="small" onClick={addStep} disabled={hole.through}>
        + step
      </Button>
      <Button size="small" type="text" aria-label={`Take ${hole.name} away`} onClick={onRemove}>
        ✕
      </Button>
    </div>
  );
}
