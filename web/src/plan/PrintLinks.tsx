import type { Paper } from '@compas/core';
import { Segmented } from 'antd';
import { useState } from 'react';
import { useUnits } from '../ui/units.js';

/** Batch sheet and story stick as PDF, on the paper at hand. */
export function PrintLinks({ batchId }: { batchId: string }) {
  const { units } = useUnits();
  const [paper, setPaper] = useState<Paper>('A4');
  const address = (file: string) => `/api/batches/${batchId}/${file}.pdf?paper=${paper}&units=${units}`;
  return (
    <span className="row">
      Print on
      <Segmented
        aria-label="Paper"
        size="small"
        value={paper}
        onChange={setPaper}
        options={['A4', 'Letter']}
      />
      <a href={address('sheet')} target="_blank" rel="noreferrer">
        Batch sheet
      </a>
      <a href={address('stick')} target="_blank" rel="noreferrer">
        Story stick 1:1
      </a>
    </span>
  );
}
