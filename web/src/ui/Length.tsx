import { formatFine, lengthParts, sentenceParts, type Units } from '@compas/core';
import { Fragment } from 'react';
import { useUnits } from './units.js';

/** A length in the reader's units; fractions are stacked as they stand on a rule. */
export function Length({ mm, bare = false }: { mm: number; bare?: boolean }) {
  return <LengthIn mm={mm} units={useUnits().units} bare={bare} />;
}

function LengthIn({ mm, units, bare }: { mm: number; units: Units; bare: boolean }) {
  const parts = lengthParts(mm, units);
  if (parts.kind === 'decimal')
    return (
      <span className="length">
        <span className="figures">{parts.text}</span>
        {bare ? '' : parts.unit === 'mm' ? '\u00a0mm' : '″'}
      </span>
    );
  const { shade } = parts;
  const { whole, numerator, denominator } = parts.fraction;
  const spoken = `${shade ?? ''} ${numerator === 0 || whole !== 0 ? whole : ''} ${numerator > 0 ? `${numerator}/${denominator}` : ''} inch`;
  return (
    <span className="fraction figures" role="img" aria-label={spoken.trim()}>
      {shade !== null && <span className="off">{shade}</span>}
      {(whole !== 0 || numerator === 0) && <span>{whole}</span>}
      {numerator > 0 && (
        <span className="stack">
          <span>{numerator}</span>
          <span>{denominator}</span>
        </span>
      )}
      {bare ? '' : '″'}
    </span>
  );
}

/** A small difference, to a hundredth of a millimetre or a thousandth of an inch. */
export function FineLength({ mm }: { mm: number }) {
  return <span className="length">{formatFine(mm, useUnits().units)}</span>;
}

/** A sentence of the core with its lengths in the reader's units. */
export function Say({ text }: { text: string }) {
  return sentenceParts(text).map((part, i) =>
    typeof part === 'string' ? (
      <Fragment key={i}>{part}</Fragment>
    ) : part.fine ? (
      <FineLength key={i} mm={part.mm} />
    ) : (
      <Length key={i} mm={part.mm} />
    ),
  );
}
