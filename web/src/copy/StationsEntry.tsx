import { dim, FEATURES, type Dimension, type Feature, type SamplePoint } from '@compas/core';
import { Button, Select } from 'antd';
import { useState } from 'react';
import { LengthInput } from '../ui/LengthInput.js';
import type { Measured } from './measured.js';

interface Row {
  id: number;
  at: Dimension;
  diameter: Dimension;
  /** what was seen there: a feature, or the point it ends in */
  is?: Seen | undefined;
}

type Seen = Feature | 'point';

const SEEN: Record<Seen, string> = { ...FEATURES, point: 'a point, ⌀ 0' };

/** A calliper is read to about this, mm on the radius. */
const UNSURE = 0.05;
const FIRST: Row[] = [0, 10, 20].map((at, id) => ({ id, at: dim(at), diameter: dim(0) }));

/** Places and diameters typed in, or sent by a calliper that types: Enter goes on to the next. */
export function StationsEntry({ onMeasured }: { onMeasured: (measured: Measured | null) => void }) {
  const [rows, setRows] = useState(FIRST);
  const put = (next: Row[]) => {
    const last = next.at(-1);
    // the next place stands ready as soon as the last has its diameter
    setRows(last && isRead(last) ? [...next, following(next)] : next);
    const read = next.filter(isRead);
    onMeasured(
      read.length < 3
        ? null
        : {
            by: 'stations',
            unsure: UNSURE,
            points: read.map(stationOf),
          },
    );
  };
  const change = (id: number, part: Partial<Row>) =>
    put(rows.map((r) => (r.id === id ? { ...r, ...part } : r)));
  return (
    <div className="column">
      <p>
        Measure from one end. Take the crown of each bead, the bottom of each cove, both ends of every
        straight, and say beside the diameter what you see there. At a step give two rows with the same place.
      </p>
      <table className="elements">
        <thead>
          <tr>
            <th>From the end</th>
            <th>Diameter</th>
            <th>There is</th>
            <th aria-label="Changes" />
          </tr>
        </thead>
        <tbody
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || !(event.target instanceof HTMLInputElement)) return;
            const table = event.currentTarget;
            const lengths = () => [...table.querySelectorAll<HTMLInputElement>('.length-input input')];
            const at = lengths().indexOf(event.target);
            if (at < 0) return;
            // once the row that this may have added is there
            requestAnimationFrame(() => lengths()[at + 2]?.focus());
          }}
        >
          {rows.map((row, i) => (
            <tr key={row.id}>
              <td>
                <LengthInput
                  label={`Place ${i + 1}`}
                  value={row.at}
                  onChange={(at) => change(row.id, { at })}
                />
              </td>
              <td>
                <LengthInput
                  label={`Diameter ${i + 1}`}
                  value={row.diameter}
                  onChange={(diameter) => change(row.id, { diameter })}
                />
              </td>
              <td>
                <Select<Seen>
                  size="small"
                  className="w-word"
                  aria-label={`What is at place ${i + 1}`}
                  allowClear
                  placeholder="—"
                  value={row.is ?? null}
                  onChange={(is: Seen | undefined) => change(row.id, { is })}
                  options={Object.entries(SEEN).map(([value, label]) => ({ value, label }))}
                />
              </td>
              <td>
                <Button
                  size="small"
                  type="text"
                  aria-label={`Take place ${i + 1} out`}
                  onClick={() => put(rows.filter((r) => r.id !== row.id))}
                >
                  ✕
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Button onClick={() => setRows([...rows, following(rows)])} className="self-start">
        + place
      </Button>
    </div>
  );
}

/** A row counts once its diameter is typed, also where that is nothing: the piece ends in a point. */
const isRead = ({ diameter, is }: Row): boolean =>
  diameter.mm > 0 || diameter.typed !== undefined || is === 'point';

function stationOf({ at, diameter, is }: Row): SamplePoint {
  const r = is === 'point' ? 0 : diameter.mm / 2;
  return { x: at.mm, up: r, down: r, ...(is && is !== 'point' ? { is } : {}) };
}

/** The next place: as far on as the last two are apart. */
function following(rows: readonly Row[]): Row {
  const [before, last] = [rows.at(-2), rows.at(-1)];
  const step = last && before ? last.at.mm - before.at.mm : 10;
  return {
    id: Math.max(0, ...rows.map((r) => r.id)) + 1,
    at: dim((last?.at.mm ?? 0) + Math.max(0.1, step)),
    diameter: dim(0),
  };
}
