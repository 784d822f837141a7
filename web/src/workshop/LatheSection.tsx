import { type Drive, DRIVE_KINDS, type Workshop } from '@compas/core';
import { Button, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { LengthInput } from '../ui/LengthInput.js';
import { choicesOf } from '../ui/choices.js';
import { LATHE_WORDS } from './words.js';

interface SectionProps {
  workshop: Workshop;
  onChange: (workshop: Workshop) => void;
}

const FRESH_DRIVE: Record<Drive['kind'], Drive> = {
  pulleys: { kind: 'pulleys', speeds: [500, 900, 1400, 2000, 2800] },
  range: { kind: 'range', slowest: 500, fastest: 3200 },
  treadle: { kind: 'treadle' },
};

/** What most tailstocks have: where measuring begins, mm. */
const USUAL_QUILL = 60;

/** The lathe: what turns it, what fits on it. */
export function LatheSection({ workshop, onChange }: SectionProps) {
  const { lathe } = workshop;
  // who looks at another drive and comes back finds their own speeds
  const [had, setHad] = useState<Partial<Record<Drive['kind'], Drive>>>({});
  const set = (change: Partial<Workshop['lathe']>) =>
    onChange({ ...workshop, lathe: { ...lathe, ...change } });
  return (
    <section className="equipment column">
      <h2>Lathe</h2>
      <div className="row fields">
        <label>
          {LATHE_WORDS.name}
          <Input value={lathe.name} maxLength={80} onChange={(e) => set({ name: e.target.value })} />
        </label>
        <label>
          {LATHE_WORDS.drive}
          <Select
            aria-label={LATHE_WORDS.drive}
            value={lathe.drive.kind}
            className="w-phrase"
            onChange={(kind) => {
              setHad({ ...had, [lathe.drive.kind]: lathe.drive });
              set({ drive: had[kind] ?? FRESH_DRIVE[kind] });
            }}
            options={choicesOf(DRIVE_KINDS)}
          />
        </label>
        <DriveFields drive={lathe.drive} onChange={(drive) => set({ drive })} />
      </div>
      <div className="row fields">
        <LengthInput
          label={LATHE_WORDS.swing}
          showLabel
          value={{ mm: lathe.swing }}
          onChange={({ mm }) => set({ swing: mm })}
        />
        <LengthInput
          label={LATHE_WORDS.betweenCentres}
          showLabel
          value={{ mm: lathe.betweenCentres }}
          onChange={({ mm }) => set({ betweenCentres: mm })}
        />
        <Measured
          label={LATHE_WORDS.overRest}
          mm={lathe.overRest}
          usual={lathe.swing}
          onChange={(overRest) => set({ overRest })}
        />
        <Measured
          label={LATHE_WORDS.quillTravel}
          mm={lathe.quillTravel}
          usual={USUAL_QUILL}
          onChange={(quillTravel) => set({ quillTravel })}
        />
        <label>
          {LATHE_WORDS.spindleThread}
          <Input
            value={lathe.spindleThread}
            maxLength={40}
            onChange={(e) => set({ spindleThread: e.target.value })}
          />
        </label>
        <label>
          {LATHE_WORDS.taper}
          <Input value={lathe.taper} maxLength={40} onChange={(e) => set({ taper: e.target.value })} />
        </label>
      </div>
    </section>
  );
}

/** A length that counts only once somebody measured it. */
function Measured({
  label,
  mm,
  usual,
  onChange,
}: {
  label: string;
  mm: number | undefined;
  usual: number;
  onChange: (mm: number) => void;
}) {
  if (mm === undefined) return <Button onClick={() => onChange(usual)}>+ {label}</Button>;
  return <LengthInput label={label} showLabel value={{ mm }} onChange={(value) => onChange(value.mm)} />;
}

function DriveFields({ drive, onChange }: { drive: Drive; onChange: (drive: Drive) => void }) {
  if (drive.kind === 'treadle') return <span className="soft">Plans leave speeds out.</span>;
  if (drive.kind === 'range')
    return (
      <>
        <label>
          Slowest, rpm
          <InputNumber
            value={drive.slowest}
            min={1}
            max={20_000}
            onChange={(slowest) => slowest !== null && onChange({ ...drive, slowest })}
          />
        </label>
        <label>
          Fastest, rpm
          <InputNumber
            value={drive.fastest}
            min={1}
            max={20_000}
            onChange={(fastest) => fastest !== null && onChange({ ...drive, fastest })}
          />
        </label>
      </>
    );
  return (
    <label>
      Speeds, rpm
      <Input
        key={drive.speeds.join()}
        defaultValue={drive.speeds.join(' ')}
        className="w-line"
        onBlur={(e) =>
          onChange({
            kind: 'pulleys',
            speeds: e.target.value
              .split(/[^\d.]+/)
              .map(Number)
              .filter((n) => n > 0),
          })
        }
      />
    </label>
  );
}
