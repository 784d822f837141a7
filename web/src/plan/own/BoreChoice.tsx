import { bitWords, dim, wholeHole, type Bit, type BoredHole } from '@compas/core';
import { Segmented, Select } from 'antd';
import { useState } from 'react';
import { Say } from '../../ui/Length.js';
import { LengthInput } from '../../ui/LengthInput.js';
import { DRAWN_SCOPES } from './deciding.js';
import { Otherwise } from './Otherwise.js';

interface BoreChoiceProps {
  bore: BoredHole;
  bits: readonly Bit[];
  /** it has a bottom that can lie elsewhere */
  blind: boolean;
}

/** Another bit for a bore, or another depth for a blind hole. */
export function BoreChoice({ bore, bits, blind }: BoreChoiceProps) {
  const [what, setWhat] = useState<'bit' | 'depth'>('bit');
  const [ownBit, setBitId] = useState<string | null>(null);
  const [ownMm, setMm] = useState<number | null>(null);
  const bitId = ownBit ?? bore.bit?.id ?? bits[0]?.id;
  const mm = ownMm ?? bore.toShoulder;
  const ordered = [...bits].sort((a, b) => a.diameter.mm - b.diameter.mm);
  return (
    <Otherwise
      label={`Drill the ${bore.name} otherwise`}
      scopes={DRAWN_SCOPES}
      onClose={() => {
        setBitId(null);
        setMm(null);
      }}
      wanted={() => {
        if (what === 'depth') return { kind: 'depth', holeId: wholeHole(bore.id), mm };
        return bitId === undefined ? null : { kind: 'bit', boreId: bore.id, bitId };
      }}
    >
      {blind && (
        <Segmented<'bit' | 'depth'>
          aria-label={`What of the ${bore.name}`}
          value={what}
          onChange={setWhat}
          options={[
            { value: 'bit', label: 'bit' },
            { value: 'depth', label: 'depth' },
          ]}
        />
      )}
      {what === 'bit' ? (
        <Select
          aria-label={`Bit for the ${bore.name}`}
          value={bitId}
          onChange={setBitId}
          className="w-phrase"
          options={ordered.map((b) => ({ value: b.id, label: <Say text={bitWords(b)} /> }))}
        />
      ) : (
        <LengthInput
          label={`Depth of the ${bore.name}`}
          value={dim(mm)}
          onChange={(wanted) => setMm(wanted.mm)}
          showLabel
        />
      )}
    </Otherwise>
  );
}
