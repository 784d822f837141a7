import {
  dim,
  ovalFrom,
  type AcrossReading,
  type CleanCylinder,
  type Dimension,
  type ReachStation,
} from '@compas/core';
import { Button, Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { Length } from '../ui/Length.js';
import { LengthInput } from '../ui/LengthInput.js';
import { solving } from '../workers/solving.js';
import { CylinderDrawing } from './CylinderDrawing.js';

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
      {how === 'across' ? <Oval /> : <Irregular />}
    </div>
  );
}

const ANGLES = [0, 45, 90, 135];

/** Four widths with the calliper, an eighth of a turn apart. */
function Oval() {
  const [widths, setWidths] = useState<Dimension[]>([dim(52), dim(50.6), dim(48.4), dim(49.9)]);
  const readings: AcrossReading[] = widths.map((w, i) => ({ angle: ANGLES[i] ?? 0, width: w.mm }));
  const oval = ovalFrom(readings);
  return (
    <>
      <p>Take the calliper across at one place, each time an eighth of a turn further.</p>
      <div className="row fields">
        {widths.map((w, i) => (
          <LengthInput
            key={i}
            label={`Across at ${ANGLES[i]}°`}
            showLabel
            value={w}
            onChange={(value) => setWidths(widths.map((x, j) => (j === i ? value : x)))}
          />
        ))}
      </div>
      {oval ? (
        <>
          <h2>
            A round of <Length mm={oval.smallest} /> cleans up
          </h2>
          <p>
            The oval is <Length mm={oval.largest} /> by <Length mm={oval.smallest} />, its long side at{' '}
            {oval.angle.toFixed(0)}°. The readings lie within <Length mm={oval.off} /> of it. Centre: half of
            the width along the long side and half of the width across it.
          </p>
        </>
      ) : (
        <p role="alert" className="why">
          ■ These widths make no oval. Measure again: each must be more than nothing.
        </p>
      )}
    </>
  );
}

const ROUND = [0, 45, 90, 135, 180, 225, 270, 315];

interface Station {
  x: Dimension;
  reaches: Dimension[];
}

/** An antler tip as it comes: bent a little, thick at one end. */
const FIRST: Station[] = [
  { x: dim(0), reaches: [17, 16.5, 16, 15.8, 16.4, 17, 17.4, 17.3].map(dim) },
  { x: dim(60), reaches: [17.5, 16.2, 14.2, 12.6, 12.3, 13.3, 15, 16.8].map(dim) },
  { x: dim(120), reaches: [12.5, 12.2, 11.8, 11.5, 11.4, 11.6, 12, 12.4].map(dim) },
];

/** Between provisional centres, the distance from the axis to the surface, at places along the piece. */
function Irregular() {
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
  const set = (i: number, change: Partial<Station>) =>
    setStations(stations.map((s, j) => (j === i ? { ...s, ...change } : s)));
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
      <div className="scroll">
        <table className="table" aria-label="Readings round the piece">
          <thead>
            <tr>
              <th>From the drive end</th>
              {ROUND.map((a) => (
                <th key={a}>{a}°</th>
              ))}
              <th />
            </tr>
          </thead>
          <tbody>
            {stations.map((s, i) => (
              <tr key={i}>
                <td>
                  <LengthInput
                    label={`Place ${i + 1}, from the drive end`}
                    value={s.x}
                    onChange={(x) => set(i, { x })}
                  />
                </td>
                {s.reaches.map((r, k) => (
                  <td key={k}>
                    <LengthInput
                      label={`Place ${i + 1} at ${ROUND[k]}°`}
                      value={r}
                      onChange={(value) =>
                        set(i, { reaches: s.reaches.map((x, j) => (j === k ? value : x)) })
                      }
                    />
                  </td>
                ))}
                <td>
                  {stations.length > 2 && (
                    <Button
                      type="text"
                      aria-label={`Take away place ${i + 1}`}
                      onClick={() => setStations(stations.filter((_, j) => j !== i))}
                    >
                      ✕
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
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
      {current && current.cylinder === null && (
        <p role="alert" className="why">
          ■ No round lies through the whole piece. Leave an end off, or set the provisional centres nearer to
          its middle.
        </p>
      )}
      {current?.cylinder && (
        <>
          <h2>
            A round of <Length mm={current.cylinder.diameter} /> lies in it
          </h2>
          <p>
            Move the drive centre {moved(current.cylinder.drive)} and the tail centre{' '}
            {moved(current.cylinder.tail)}.
          </p>
          <CylinderDrawing stations={read} cylinder={current.cylinder} />
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
