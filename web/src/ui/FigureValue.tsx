import { minutesInWords, type FigureUnit } from '@compas/core';
import { Money } from './Money.js';
import { Length } from './Length.js';

/** A figure's value with its unit. */
export function FigureValue({ value, unit }: { value: number | string; unit?: FigureUnit }) {
  if (typeof value === 'string') return value;
  if (unit === 'mm') return <Length mm={value} />;
  if (unit === 'money') return <Money minor={value} />;
  if (unit === 'min') return <span className="figures">{minutesInWords(value)}</span>;
  const digits = Math.abs(value) >= 100 || Number.isInteger(value) ? 0 : Math.abs(value) >= 10 ? 1 : 2;
  const names: Partial<Record<FigureUnit, string>> = { cm3: 'cm³', cm2: 'cm²' };
  return (
    <span className="length">
      <span className="figures">{value.toFixed(digits)}</span>
      {unit ? `\u00a0${names[unit] ?? unit}` : ''}
    </span>
  );
}
