import {
  dim,
  type Dimension,
  type FittedHardware,
  type ItemKind,
  type Kit,
  kitsByUse,
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
import { changePart, changeTurning, fitKit, fittedAt } from './editing.js';
import { useEditor, useEditorActions } from './editor.js';
import { choicesOf } from '../ui/choices.js';

const NO_KIT = 'none';
interface HardwareFieldsProps {
  kits: Kit[];
  kind: ItemKind;
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
      kind={body.kind}
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

function UseFields({ kits, kind, partId, fitted, materialId, usedBy, longest, total }: HardwareFieldsProps) {
  const materials = useMaterials();
  const { spot, update } = useEditorActions();
  return (
    <>
      {PART_ENDS.flatMap((end) => {
        const here = fittedAt(fitted, partId, end);
        // a second one, such as a rod behind a ferrule, once there is a first
        return Array.from({ length: Math.min(here.length + 1, MOST_AT_END) }, (_, which) => (
          <KitChoice
            key={`${end}.${which}`}
            label={which === 0 ? `Hardware at the ${end} end` : `With it at the ${end} end`}
            kits={kits}
            kind={kind}
            kitId={here[which]?.kitId ?? null}
            onChange={(id) => update((body) => fitKit(body, partId, end, id, which))}
          />
        ));
      })}
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

/** Pieces of hardware that one end can carry. */
const MOST_AT_END = 2;

interface KitChoiceProps {
  label: string;
  kits: readonly Kit[];
  kind: ItemKind;
  kitId: string | null;
  onChange: (kitId: string | null) => void;
}

/** Hardware of the workshop, what such an item usually carries first. */
function KitChoice({ label, kits, kind, kitId, onChange }: KitChoiceProps) {
  const { usual, others } = kitsByUse(kits, kind);
  const named = (list: readonly Kit[]) => list.map((k) => ({ value: k.id, label: k.name }));
  return (
    <label className="column gap-hair">
      {label}
      <Select
        aria-label={label}
        showSearch={{ optionFilterProp: 'label' }}
        className="w-phrase"
        value={kitId ?? NO_KIT}
        onChange={(id) => onChange(id === NO_KIT ? null : id)}
        options={[{ value: NO_KIT, label: 'none' }, ...named(usual), ...named(others)]}
      />
    </label>
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
