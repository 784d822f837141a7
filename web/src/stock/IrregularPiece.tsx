import { dim, type CleanCylinder, type ReachStation } from '@compas/core';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { Length } from '../ui/Length.js';
import { solving } from '../workers/solving.js';
import { CylinderDrawing } from './CylinderDrawing.js';
import { OddRound } from './OddRound.js';
import { ReachTable, ROUND, type Station } from './ReachTable.js';

/** An antler tip as it comes: bent a little, thick at one end. */
const FIRST: Station[] = [
  { x: dim(0), reaches: [17, 16.5, 16, 15.8, 16.4, 17, 17.4, 17.3].map(dim) },
  { x: dim(60), reaches: [17.5, 16.2, 14.2, 12.6, 12.3, 13.3, 15, 16.8].map(dim) },
  { x: dim(120), reaches: [12.5, 12.2, 11.8, 11.5, 11.4, 11.6, 12, 12.4].map(dim) },
];

/** Between provisional centres, the distance from the axis to the surface, at places along the piece. */
export function IrregularPiece() {
  const [stations, setStations] = useState(FIRST);
  const [found, setFound] = useState<{ of: Station[]; cylinder: CleanCylinder | null } | null>(null);
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState(false);
  const order = useMemo(() => [...stations].sort((a, b) => a.x.mm - b.x.mm), [stations]);
  const read: ReachStation[] = order.map((s) => ({
    x: s.x.mm,
    readings: s.reaches.map((r, i) => ({ angle: ROUND[i] ?? 0, reach: r.mm })),
  }));
  const bad = read.some((s) => s.readings.some((r) => r.reach <= 0));
  const find = async () => {
    setBusy(true);
    try {
      setFound({ of: stations, cylinder: await solving().cylinder(read) });
      setFailed(false);
    } catch {
      setFailed(true);
    } finally {
      setBusy(false);
    }
  };
  const current = found?.of === stations ? found : null;
  return (
    <>
      <p>
        Hold it between two provisional centres and measure from the axis to the surface, turning it by an
        eighth each time, at three or more places along it.
      </p>
      <ReachTable stations={stations} onChange={setStations} />
      <div className="row">
        <Button
          onClick={() =>
            setStations([
              ...stations,
              {
                ...(stations[stations.length - 1] as Station),
                x: dim((order[order.length - 1]?.x.mm ?? 0) + 30),
              },
            ])
          }
        >
          One place more
        </Button>
        <Button type="primary" loading={busy} disabled={bad} onClick={() => void find()}>
          Find the round in it
        </Button>
        {failed && (
          <span role="alert" className="why">
            ■ The sums could not be done here. Check the network, then try again.
          </span>
        )}
        {bad && (
          <span role="alert" className="why">
            ■ A reading is nothing. Each is the distance from the axis to the surface.
          </span>
        )}
      </div>
      {current && <FoundRound cylinder={current.cylinder} stations={read} />}
    </>
  );
}

interface FoundRoundProps {
  /** null where none lies through the whole piece */
  cylinder: CleanCylinder | null;
  stations: ReachStation[];
}

function FoundRound({ cylinder, stations }: FoundRoundProps) {
  return (
    <>
      {cylinder === null && (
        <p role="alert" className="why">
          ■ No round lies through the whole piece. Leave an end off, or set the provisional centres nearer to
          its middle.
        </p>
      )}
      {cylinder && (
        <>
          <h2>
            A round of <Length mm={cylinder.diameter} /> lies in it
          </h2>
          <p>
            Move the drive centre {moved(cylinder.drive)} and the tail centre {moved(cylinder.tail)}.
          </p>
          <CylinderDrawing stations={stations} cylinder={cylinder} />
          <OddRound
            diameter={cylinder.diameter}
            length={(stations.at(-1)?.x ?? 0) - (stations[0]?.x ?? 0)}
            form="irregular"
          />
        </>
      )}
    </>
  );
}

/** A move of a centre in words: towards 0° and towards 90°. */
function moved({ x, y }: { x: number; y: number }) {
  return (
    <>
      <Length mm={Math.abs(x)} /> towards {x >= 0 ? '0°' : '180°'} and <Length mm={Math.abs(y)} /> towards{' '}
      {y >= 0 ? '90°' : '270°'}
    </>
  );
}
