import { printedLength } from '@compas/core';
import { useState } from 'react';
import { Say } from '../ui/Length.js';
import { LengthInput } from '../ui/LengthInput.js';

/** What was printed or cut is measured before it is trusted. */
export function PrintedCheck({ length }: { length: number }) {
  const [measured, setMeasured] = useState<{ mm: number } | null>(null);
  const said = measured && printedLength(measured.mm, length);
  return (
    <div className="sheet">
      <LengthInput
        label="The 100 mm between the notches measure"
        showLabel
        value={measured ?? { mm: 100 }}
        onChange={setMeasured}
        fit={{ what: 'a bar of 100 mm', minMm: 80, maxMm: 120 }}
      />
      {said ? (
        <p className={said.good ? undefined : 'bad'}>
          {said.good ? '✔ ' : '■ '}
          <Say text={said.words} />
        </p>
      ) : (
        <p className="soft">Nothing is cut by it before the bar is measured.</p>
      )}
    </div>
  );
}
