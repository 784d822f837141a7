import { dim, outlineOf, widestOf, type Dimension, type NewStockItem, type StockForm } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { patternsQuery, type Pattern } from '../api/patterns.js';
import { receiveStock } from '../api/stock.js';
import { useChange } from '../api/useChange.js';
import { LengthInput } from '../ui/LengthInput.js';
import { Trouble } from '../ui/Trouble.js';
import { useMaterials } from '../ui/useMaterials.js';

interface OddRoundProps {
  /** the round that lies in it, mm */
  diameter: number;
  /** how long that is, mm; asked for where it was not measured */
  length: number | null;
  /** what the piece is when it comes to be centred */
  form: StockForm;
}

const USUAL_LENGTH = 120;

/** What becomes of an odd piece: it goes on the shelf by the round that is in it, and something is made of it. */
export function OddRound({ diameter, length: measured, form }: OddRoundProps) {
  const materials = useMaterials();
  const [label, setLabel] = useState('');
  const [materialId, setMaterialId] = useState(form === 'irregular' ? 'antler' : 'maple');
  const [asked, setAsked] = useState<Dimension>(dim(USUAL_LENGTH));
  const [pieces, setPieces] = useState(1);
  const shelve = useChange(receiveStock, 'stock');
  const length = measured ?? asked.mm;
  const name =
    label.trim() || `Odd ${materials.find((m) => m.id === materialId)?.name.toLowerCase() ?? 'piece'}`;
  const item: NewStockItem = {
    kind: 'blank',
    form: 'round',
    label: name,
    place: '',
    price: null,
    reorderAt: null,
    materialId,
    moisture: null,
    origin: '',
    offcut: false,
    // never more than is in it
    size: dim(tenthBelow(diameter)),
    length: dim(tenthBelow(length)),
    batchId: null,
  };
  return (
    <section className="sheet column" aria-label="What becomes of it">
      <div className="row fields">
        <label>
          What it is called
          <Input
            aria-label="What it is called"
            value={label}
            placeholder={name}
            maxLength={80}
            onChange={(e) => setLabel(e.target.value)}
          />
        </label>
        <label>
          Material
          <Select
            aria-label="Material"
            showSearch={{ optionFilterProp: 'label' }}
            className="w-word"
            value={materialId}
            onChange={setMaterialId}
            options={materials.map((m) => ({ value: m.id, label: m.name }))}
          />
        </label>
        {measured === null && <LengthInput label="Length" showLabel value={asked} onChange={setAsked} />}
        <label>
          Pieces alike
          <InputNumber
            aria-label="Pieces alike"
            value={pieces}
            min={1}
            max={500}
            precision={0}
            className="w-date"
            onChange={(n) => n !== null && setPieces(n)}
          />
        </label>
        <Button
          type="primary"
          disabled={length <= 0 || shelve.isSuccess}
          loading={shelve.isPending}
          onClick={() => shelve.mutate([{ item, amount: pieces }])}
        >
          Put it on the shelf
        </Button>
        {shelve.isSuccess && (
          <span role="status">
            It lies on the <Link to="/stock">shelf</Link>, by the round that is in it.
          </span>
        )}
      </div>
      <Trouble error={shelve.error} />
      <MadeOfIt round={{ diameter, length }} pieces={pieces} materialId={materialId} form={form} />
    </section>
  );
}

/** Sizes on the shelf are told to the tenth. */
const tenthBelow = (mm: number): number => Math.floor(mm * 10 + 1e-6) / 10;

interface MadeOfItProps {
  round: { diameter: number; length: number };
  pieces: number;
  materialId: string;
  form: StockForm;
}

/** Patterns that lie in the round, the longest first: each is planned from such a piece. */
function MadeOfIt({ round, pieces, materialId, form }: MadeOfItProps) {
  const patterns = useQuery(patternsQuery).data ?? [];
  const fitting = patterns.filter((p) => fitsInto(p, round)).sort((a, b) => lengthOf(b) - lengthOf(a));
  if (patterns.length === 0) return null;
  if (fitting.length === 0)
    return <p className="soft">No pattern of one part is so small that it lies in it.</p>;
  const search = new URLSearchParams({ pieces: String(pieces), material: materialId, form });
  return (
    <p>
      Make of it:{' '}
      {fitting.slice(0, MOST_OFFERED).map((p, i) => (
        <span key={p.id}>
          {i > 0 && ', '}
          <Link to={`/patterns/${p.id}/plan/stock?${search.toString()}`}>{p.name}</Link>
        </span>
      ))}
      {fitting.length > MOST_OFFERED && ` and ${fitting.length - MOST_OFFERED} more that are shorter`}.
    </p>
  );
}

const MOST_OFFERED = 6;

const lengthOf = ({ body }: Pattern): number => outlineOf(body.parts[0].turnings[0]).length;

/** Of its wood alone: what is wasted at the ends and skimmed off the plan says. */
function fitsInto({ body }: Pattern, { diameter, length }: MadeOfItProps['round']): boolean {
  const outline = outlineOf(body.parts[0].turnings[0]);
  return body.parts.length === 1 && widestOf(outline).diameter <= diameter && outline.length <= length;
}
