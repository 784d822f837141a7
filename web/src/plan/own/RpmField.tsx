import type { Drive } from '@compas/core';
import { InputNumber, Select } from 'antd';

interface RpmFieldProps {
  label: string;
  drive: Exclude<Drive, { kind: 'treadle' }>;
  rpm: number | null;
  setRpm: (rpm: number | null) => void;
}

/** How fast the lathe turns: one of the belt's speeds, or any that the motor has. */
export function RpmField({ label, drive, rpm, setRpm }: RpmFieldProps) {
  return drive.kind === 'pulleys' ? (
    <Select
      aria-label={label}
      value={rpm}
      onChange={setRpm}
      className="w-word"
      options={drive.speeds.map((s) => ({ value: s, label: `${s} rpm` }))}
    />
  ) : (
    <InputNumber
      aria-label={label}
      value={rpm}
      min={drive.slowest}
      max={drive.fastest}
      precision={0}
      onChange={setRpm}
      className="w-name"
      suffix="rpm"
    />
  );
}
