import { Segmented } from 'antd';
import { useState } from 'react';
import { IrregularPiece } from './IrregularPiece.js';
import { OvalPiece } from './OvalPiece.js';

/** The largest clean round in a piece that is not round: a dried oval, a split billet, horn, antler. */
export default function CylinderScreen() {
  const [how, setHow] = useState<'across' | 'reach'>('across');
  return (
    <div className="column">
      <h1>The round that is in an odd piece</h1>
      <Segmented
        aria-label="What kind of piece"
        className="self-start"
        value={how}
        onChange={setHow}
        options={[
          { value: 'across', label: 'A dried oval, straight' },
          { value: 'reach', label: 'Bent or irregular: antler, horn, billet' },
        ]}
      />
      {how === 'across' ? <OvalPiece /> : <IrregularPiece />}
    </div>
  );
}
