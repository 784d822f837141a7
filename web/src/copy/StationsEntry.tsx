import { dim, type Dimension } from '@compas/core';
import { Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { LengthInput } from '../ui/LengthInput.js';
import type { Measured } from './measured.js';

interface Row {
  id: number;
  at: Dimension;
  diameter: Dimension;
}

/** A calliper is read to about this, mm on the radius. */
const UNSURE = 0.05;
const FIRST: Row[] = [0, 10, 20].map((at, id) => ({ id, at: dim(at), diameter: dim(0) }));

/** Places and diameters typed in, or sent by a calliper that types: Enter goes on to the next. */
export function StationsEntry({ onMeasured }: { onMeasured: (measured: Measured | null) => void }) {
  const [rows, setRows] = useState(FIRST);
  const [typed, setTyped] = useState<number | null>(null);
  const body = useRef<HTMLTableSectionElement>(null);
  useEffect(() => {
    if (typed === null) return;
    const below = body.current?.querySelectorAll('input')[typed + 2];
    if (below) {
      below.focus();
      setTyped(null);
    } else add();
    // a row is added once, then found
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [typed, rows.length]);
  const put = (next: Row[]) => {
    setRows(next);
    const read = next.filter((r) => r.diameter.mm > 0);
    onMeasured(
      read.length < 3
        ? null
        : {
            by: 'stations',
            unsure: UNSURE,
            points: read.map((r) => ({ x: r.at.mm, up: r.diameter.mm / 2, down: r.diameter.mm / 2 })),
          },
    );
  };
  const change = (id: number, part: Partial<Row>) =>
    put(rows.map((r) => (r.id === id ? { ...r, ...part } : r)));
  const add = () => {
    const last = rows.at(-1);
    const before = rows.at(-2);
    const step = last && before ? last.at.mm - before.at.mm : 10;
    put([
      ...rows,
      {
        id: Math.max(0, ...rows.map((r) => r.id)) + 1,
        at: dim((last?.at.mm ?? 0) + Math.max(0.1, step)),
        diameter: dim(0),
      },
    ]);
  };
  return (
    <div className="column">
      <p>
        Measure from one end. Take the crown of each bead, the bottom of each cove, both ends of every
        straight. At a step give two rows a hair apart.
      </p>
      <table className="elements">
        <thead>
          <tr>
            <th>From the end</th>
            <th>Diameter</th>
            <th aria-label="Changes" />
          </tr>
        </thead>
        <tbody
          ref={body}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || !(event.target instanceof HTMLInputElement)) return;
            const inputs = [...event.currentTarget.querySelectorAll('input')];
            const at = inputs.indexOf(event.target);
            const below = inputs[at + 2];
            if (below) below.focus();
            // a calliper goes on typing: the next row stands ready for it
            else setTyped(at);
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
      <Button onClick={add} style={{ alignSelf: 'flex-start' }}>
        + place
      </Button>
    </div>
  );
}
