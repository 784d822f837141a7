import { dim, type Mount } from '@compas/core';
import { Segmented } from 'antd';
import { useState } from 'react';
import { LengthInput } from '../../ui/LengthInput.js';
import { Otherwise } from './Otherwise.js';

/** How much longer the blank is at an end. */
export function WasteChoice({ mount }: { mount: Mount }) {
  const [end, setEnd] = useState<'drive' | 'tail'>('drive');
  const now = end === 'drive' ? mount.wasteDrive : mount.wasteTail;
  const [wish, setWish] = useState<number | null>(null);
  return (
    <Otherwise
      label="Leave more or less waste"
      wanted={() => ({ kind: 'waste', end, mm: wish ?? now })}
      carries="every way of holding"
      onClose={() => setWish(null)}
    >
      <Segmented<'drive' | 'tail'>
        aria-label="End of the blank"
        value={end}
        onChange={(wanted) => {
          setEnd(wanted);
          setWish(null);
        }}
        options={[
          { value: 'drive', label: 'at the drive' },
          { value: 'tail', label: 'at the tail' },
        ]}
      />
      <LengthInput label="Waste" value={dim(wish ?? now)} onChange={({ mm }) => setWish(mm)} showLabel />
    </Otherwise>
  );
}
