import { dim, MATERIALS, type Kit, type PlannedHardware, type UsedBy } from '@compas/core';
import { Button, Select } from 'antd';
import { Length } from '../ui/Length.js';
import { LengthInput } from '../ui/LengthInput.js';
import { changePart, changeTurning, fitKit } from './editing.js';
import { useEditor } from './editor.js';

const NO_KIT = 'none';
const USED_BY: { value: UsedBy; label: string }[] = [
  { value: 'anybody', label: 'anybody' },
  { value: 'food', label: 'with food' },
  { value: 'child', label: 'a child' },
];

/** Hardware, material and limits. */
export function HardwarePanel({ kits, hardware }: { kits: Kit[]; hardware: PlannedHardware | null }) {
  const { body, part, turning, spot, change } = useEditor();
  const mating = hardware?.needs.mating;
  const fitted = body.hardware.find((h) => h.partId === part.id);
  const meets = () =>
    mating &&
    change(
      changeTurning(body, spot, (t) => ({ ...t, startDiameter: dim(mating.diameter), startHeld: true })),
    );
  return (
    <div className="row" style={{ alignItems: 'flex-end', gap: 18 }}>
      <label className="column" style={{ gap: 2 }}>
        Hardware at the {fitted?.end === 'far' ? 'far' : 'reference'} end
        <Select
          aria-label="Hardware at the reference end"
          style={{ width: 250 }}
          value={fitted?.kitId ?? NO_KIT}
          onChange={(id) => change(fitKit(body, part.id, id === NO_KIT ? null : id))}
          options={[{ value: NO_KIT, label: 'none' }, ...kits.map((k) => ({ value: k.id, label: k.name }))]}
        />
      </label>
      {mating && Math.abs(mating.diameter - turning.startDiameter.mm) > 1e-6 && (
        <Button onClick={meets}>
          Take its <Length mm={mating.diameter} /> and hold it
        </Button>
      )}
      <label className="column" style={{ gap: 2 }}>
        Usual material
        <Select
          aria-label="Usual material"
          style={{ width: 125 }}
          value={part.materialId}
          onChange={(materialId) => change(changePart(body, part.id, (p) => ({ ...p, materialId })))}
          options={MATERIALS.map((m) => ({ value: m.id, label: m.name }))}
        />
      </label>
      <label className="column" style={{ gap: 2 }}>
        Used by
        <Select
          aria-label="Used by"
          style={{ width: 112 }}
          value={body.usedBy}
          onChange={(usedBy) => change({ ...body, usedBy })}
          options={USED_BY}
        />
      </label>
      <Limit
        label="Longest allowed"
        words="Limit its length"
        value={body.longest}
        usual={100}
        onChange={(longest) => change({ ...body, longest })}
      />
      <Limit
        label="Fixed total"
        words="Fix its total"
        value={turning.total}
        usual={100}
        onChange={(total) => change(changeTurning(body, spot, (t) => ({ ...t, total })))}
      />
    </div>
  );
}

interface LimitProps {
  label: string;
  words: string;
  value: { mm: number } | undefined;
  usual: number;
  onChange: (value: { mm: number } | undefined) => void;
}

/** A length that may be set or not. */
function Limit({ label, words, value, usual, onChange }: LimitProps) {
  if (!value) return <Button onClick={() => onChange(dim(usual))}>{words}</Button>;
  return (
    <span className="row" style={{ alignItems: 'flex-end', gap: 2 }}>
      <LengthInput label={label} showLabel value={value} onChange={onChange} />
      <Button
        type="text"
        aria-label={`Take away: ${label.toLowerCase()}`}
        onClick={() => onChange(undefined)}
      >
        ✕
      </Button>
    </span>
  );
}
