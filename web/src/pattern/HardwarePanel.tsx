import {
  dim,
  type Dimension,
  type FittedHardware,
  type Kit,
  PART_ENDS,
  type PlannedHardware,
  USED_BY,
  type UsedBy,
} from '@compas/core';
import { Button, Select } from 'antd';
import { memo, useState } from 'react';
import { Length } from '../ui/Length.js';
import { useMaterials } from '../ui/useMaterials.js';
import { LengthInput } from '../ui/LengthInput.js';
import { changePart, changeTurning, fitKit } from './editing.js';
import { useEditor, useEditorActions } from './editor.js';
import { choicesOf } from '../ui/choices.js';

const NO_KIT = 'none';
interface HardwareFieldsProps {
  kits: Kit[];
  partId: string;
  fitted: readonly FittedHardware[];
  mating: number | undefined;
  startDiameter: number;
  materialId: string;
  usedBy: UsedBy;
  longest: Dimension | undefined;
  total: Dimension | undefined;
}

/** Hardware, material and limits. */
export function HardwarePanel({ kits, hardware }: { kits: Kit[]; hardware: PlannedHardware | null }) {
  const { body, part, turning } = useEditor();
  return (
    <HardwareFields
      kits={kits}
      fitted={body.hardware}
      partId={part.id}
      mating={hardware?.fitted.end === 'reference' ? hardware.needs.mating?.diameter : undefined}
      startDiameter={turning.startDiameter.mm}
      materialId={part.materialId}
      usedBy={body.usedBy}
      longest={body.longest}
      total={turning.total}
    />
  );
}

/** Drawn anew only when something it shows has changed: its lists cost more than the whole strip. */
const HardwareFields = memo(function HardwareFields(props: HardwareFieldsProps) {
  const { mating, startDiameter } = props;
  const [open, setOpen] = useState(false);
  const { spot, update } = useEditorActions();
  const meets = (diameter: number) =>
    update((body) =>
      changeTurning(body, spot, (t) => ({ ...t, startDiameter: dim(diameter), startHeld: true })),
    );
  const take = mating !== undefined && Math.abs(mating - startDiameter) > 1e-6 && (
    <Button onClick={() => meets(mating)}>
      Take its <Length mm={mating} /> and hold it
    </Button>
  );
  if (!open)
    return (
      <div className="band-line">
        <button type="button" aria-expanded={false} onClick={() => setOpen(true)}>
          <UseWords {...props} />
          <span className="band-open">change</span>
        </button>
        {take}
      </div>
    );
  return (
    <div className="row at-foot gap-wide">
      <UseFields {...props} />
      {take}
      <Button type="text" aria-expanded onClick={() => setOpen(false)}>
        Fold
      </Button>
    </div>
  );
});

/** Wood, hardware, use and limits as they read. */
function UseWords({ kits, partId, fitted, materialId, usedBy, longest, total }: HardwareFieldsProps) {
  const materials = useMaterials();
  const wood = materials.find((m) => m.id === materialId)?.name ?? materialId;
  const hardware = fitted
    .filter((h) => h.partId === partId)
    .map((h) => `${kits.find((k) => k.id === h.kitId)?.name ?? h.kitId} at the ${h.end} end`);
  return (
    <>
      {[wood, ...(hardware.length > 0 ? hardware : ['no hardware']), `used by ${USED_BY[usedBy]}`].join(', ')}
      {longest && (
        <>
          , at most <Length mm={longest.mm} /> long
        </>
      )}
      {total && (
        <>
          , <Length mm={total.mm} /> in all
        </>
      )}
    </>
  );
}

function UseFields({ kits, partId, fitted, materialId, usedBy, longest, total }: HardwareFieldsProps) {
  const materials = useMaterials();
  const { spot, update } = useEditorActions();
  return (
    <>
      {PART_ENDS.map((end) => (
        <label key={end} className="column gap-hair">
          {`Hardware at the ${end} end`}
          <Select
            aria-label={`Hardware at the ${end} end`}
            showSearch={{ optionFilterProp: 'label' }}
            className="w-phrase"
            value={fitted.find((h) => h.partId === partId && h.end === end)?.kitId ?? NO_KIT}
            onChange={(id) => update((body) => fitKit(body, partId, end, id === NO_KIT ? null : id))}
            options={[{ value: NO_KIT, label: 'none' }, ...kits.map((k) => ({ value: k.id, label: k.name }))]}
          />
        </label>
      ))}
      <label className="column gap-hair">
        Usual material
        <Select
          aria-label="Usual material"
          showSearch={{ optionFilterProp: 'label' }}
          className="w-word"
          value={materialId}
          onChange={(id) =>
            update((body) => changePart(body, spot.partId, (p) => ({ ...p, materialId: id })))
          }
          options={materials.map((m) => ({ value: m.id, label: m.name }))}
        />
      </label>
      <label className="column gap-hair">
        Used by
        <Select
          aria-label="Used by"
          className="w-date"
          value={usedBy}
          onChange={(by) => update((body) => ({ ...body, usedBy: by }))}
          options={choicesOf(USED_BY)}
        />
      </label>
      <Limit
        label="Longest allowed"
        words="Limit its length"
        value={longest}
        usual={100}
        onChange={(length) => update((body) => ({ ...body, longest: length }))}
      />
      <Limit
        label="Fixed total"
        words="Fix its total"
        value={total}
        usual={100}
        onChange={(length) => update((body) => changeTurning(body, spot, (t) => ({ ...t, total: length })))}
      />
    </>
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
    <span className="row at-foot gap-hair">
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
