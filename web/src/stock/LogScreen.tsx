import {
  dim,
  greenDiameter,
  materialById,
  ovalOf,
  provenanceOf,
  BILLET_FORMS,
  type BilletForm,
  type BilletWish,
  type Dimension,
  type Log,
  type LogPlan,
  type LogWay,
  type Material,
} from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox, InputNumber, Select } from 'antd';
import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { stockQuery, type HeldStock } from '../api/stock.js';
import { useLogPlan } from '../workers/useLogPlan.js';
import { Findings } from '../ui/Findings.js';
import { Length, Say } from '../ui/Length.js';
import { LengthInput } from '../ui/LengthInput.js';
import { LogSection } from './LogSection.js';
import { SplitRecord } from './SplitRecord.js';
import type { ShopHabits } from './useShopHabits.js';
import { useShopHabits } from './useShopHabits.js';

/** A log on its end: how it is split so that most billets come out of it, none with the pith. */
export default function LogScreen() {
  const { id } = useParams();
  const navigate = useNavigate();
  const stock = useQuery(stockQuery);
  const habits = useShopHabits();
  if (!stock.data || !habits) return null;
  const logs = stock.data.filter((h) => h.item.kind === 'log' && h.amount > 0);
  const held = logs.find((h) => h.item.id === id) ?? logs[0];
  if (!held || held.item.kind !== 'log')
    return (
      <div className="column">
        <h1>No log is in the yard.</h1>
        <p>Take one in on the shelf: its two diameters, its length, and where the pith lies.</p>
      </div>
    );
  return (
    <div className="column">
      <div className="row">
        <h1>Split</h1>
        <Select
          aria-label="Log"
          value={held.item.id}
          onChange={(log) => void navigate(`/stock/logs/${log}`)}
          options={logs.map((h) => ({ value: h.item.id, label: h.item.label }))}
          className="w-line"
        />
      </div>
      <Splitting key={held.item.id} held={held} log={held.item} habits={habits} />
    </div>
  );
}

const NOT_YET: LogPlan = { bolts: [], ways: [], findings: [] };

interface SplittingProps {
  held: HeldStock;
  log: Log;
  habits: ShopHabits;
}

function Splitting({ held, log, habits }: SplittingProps) {
  const [finished, setFinished] = useState<Dimension>(dim(45));
  const [length, setLength] = useState<Dimension>(dim(320));
  const [clearance, setClearance] = useState<Dimension>(dim(12));
  const [hewing, setHewing] = useState<Dimension>(dim(3));
  const [form, setForm] = useState<BilletForm>('round');
  const [heartOnly, setHeartOnly] = useState(false);
  const [moisture, setMoisture] = useState(log.moisture ?? 60);
  const [target, setTarget] = useState(11);
  const [sectors, setSectors] = useState<number | null>(null);
  const material = materialById(log.materialId, habits.materials);
  const green = material ? greenDiameter(finished.mm, material, moisture, target) : null;
  const wish = useMemo<BilletWish>(
    () => ({
      form,
      diameter: Math.ceil(green ?? finished.mm),
      hewing: hewing.mm,
      length: length.mm,
      pithClearance: clearance.mm,
      heartOnly,
    }),
    [form, green, finished, hewing, length, clearance, heartOnly],
  );
  const { split, busy } = useLogPlan(log, wish, habits.sawing);
  const { ways, bolts, findings } = split?.plan ?? NOT_YET;
  const laidOut = split?.wish ?? wish;
  const way = ways.find((w) => w.sectors === sectors) ?? ways[0];
  return (
    <>
      <div className="band" role="group" aria-label="What is wanted of it">
        <label>
          Billets
          <Select
            aria-label="Billets"
            value={form}
            onChange={setForm}
            options={BILLET_FORMS.map((f) => ({ value: f, label: f }))}
            className="w-date"
          />
        </label>
        <LengthInput
          label="Across when dry, before turning"
          showLabel
          value={finished}
          onChange={setFinished}
        />
        <LengthInput label="Length of a billet" showLabel value={length} onChange={setLength} />
        <LengthInput label="Left round each for hewing" showLabel value={hewing} onChange={setHewing} />
        <LengthInput label="Keep from the pith" showLabel value={clearance} onChange={setClearance} />
        <label>
          Moisture now, %
          <InputNumber
            aria-label="Moisture now"
            value={moisture}
            min={5}
            max={200}
            onChange={(v) => v !== null && setMoisture(v)}
          />
        </label>
        <label>
          and when dry, %
          <InputNumber
            aria-label="Moisture when dry"
            value={target}
            min={4}
            max={30}
            onChange={(v) => v !== null && setTarget(v)}
          />
        </label>
        {log.sapwood.mm > 0 && (
          <Checkbox checked={heartOnly} onChange={(e) => setHeartOnly(e.target.checked)}>
            Heartwood only
          </Checkbox>
        )}
      </div>
      {material && (
        <GreenSize
          material={material}
          finished={finished.mm}
          wish={wish}
          known={green !== null}
          from={moisture}
          to={target}
        />
      )}
      {busy && (
        <p className="soft" role="status">
          Laying out the billets…
        </p>
      )}
      {findings.length > 0 && <Findings findings={findings} empty="" />}
      {way && (
        <div className="log-two">
          <LogSection log={log} bolt={bolts[bolts.length - 1]} wish={laidOut} way={way} />
          <div className="column">
            <h2>
              {way.total} billets, split into {way.sectors}
            </h2>
            <p>
              {bolts.length} {bolts.length === 1 ? 'length' : 'lengths'} of <Length mm={laidOut.length} />{' '}
              between trimmed ends; {listed(way.perBolt)} billets in them from the butt. When every split
              drifts by <Length mm={(habits.sawing.splitDrift * laidOut.length) / 1000} />, {way.drifted} are
              left: a drift costs {Math.max(0, way.total - way.drifted)}.
            </p>
            <ol>
              {way.splits.map((words) => (
                <li key={words}>{words}</li>
              ))}
            </ol>
            <Ways ways={ways} chosen={way} choose={setSectors} />
            <SplitRecord
              held={held}
              wish={laidOut}
              way={way}
              moisture={moisture}
              target={target}
              habits={habits}
            />
          </div>
        </div>
      )}
    </>
  );
}

interface GreenSizeProps {
  material: Material;
  finished: number;
  wish: BilletWish;
  known: boolean;
  from: number;
  to: number;
}

/** How much thicker it is now than it will be, and what it then looks like. */
function GreenSize({ material, finished, wish, known, from, to }: GreenSizeProps) {
  if (!known)
    return (
      <p className="stock-look">
        <span aria-hidden>▲</span> Nobody knows how much {material.name.toLowerCase()} shrinks: the billets
        are laid out without oversize. Give its shrinkage under Materials, or add a tenth yourself.
      </p>
    );
  const oval = ovalOf(wish.diameter, material, from, to);
  return (
    <p>
      Billets <Length mm={wish.diameter} /> across now: dried from {from} to {to} % they become{' '}
      {wish.form === 'round' && 'an oval of '}
      {oval && <Say text={`⟦${oval.largest}⟧ by ⟦${oval.smallest}⟧`} />}, and <Length mm={finished} /> is
      still in it ({provenanceOf(material, 'shrinkTangential')?.certainty} shrinkage of{' '}
      {material.name.toLowerCase()}).
    </p>
  );
}

function Ways({
  ways,
  chosen,
  choose,
}: {
  ways: LogWay[];
  chosen: LogWay;
  choose: (sectors: number) => void;
}) {
  return (
    <table className="table" aria-label="Ways to split">
      <thead>
        <tr>
          <th>Split into</th>
          <th className="number">Billets</th>
          <th className="number">When splits drift</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {ways.map((w) => (
          <tr key={w.sectors}>
            <td>{WORDS[w.sectors] ?? w.sectors}</td>
            <td className="number figures">{w.total}</td>
            <td className="number figures">{w.drifted}</td>
            <td>
              <Button
                size="small"
                aria-pressed={w === chosen}
                type={w === chosen ? 'primary' : 'default'}
                onClick={() => choose(w.sectors)}
              >
                {w === chosen ? 'shown' : 'show'}
              </Button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const listed = (counts: readonly number[]): string =>
  counts.length < 2 ? counts.join('') : `${counts.slice(0, -1).join(', ')} and ${counts[counts.length - 1]}`;

const WORDS: Record<number, string> = {
  2: 'halves',
  3: 'thirds',
  4: 'quarters',
  6: 'sixths',
  8: 'eighths',
  12: 'twelfths',
};
