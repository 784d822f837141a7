import {
  dayAfter,
  daysBetween,
  dryingFigures,
  dryingFindings,
  dryingVerdict,
  DRYING_SCHOOLS,
  forecastOf,
  moistureOn,
  schoolDays,
  type DryingForecast,
} from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { dryingQuery, takeOffBundle, type Bundle } from '../api/stock.js';
import { useChange } from '../api/useChange.js';
import { dayWords, onClock } from '../ui/clock.js';
import { Figures } from '../ui/Figures.js';
import { Findings } from '../ui/Findings.js';
import { Trouble } from '../ui/Trouble.js';
import { AirPanel } from './AirPanel.js';
import { BundleForm } from './BundleForm.js';
import { Weighings } from './Weighings.js';
import { materialName } from './stockWords.js';
import { useShopHabits, type ShopHabits } from './useShopHabits.js';

const DryingChart = lazy(() => import('./DryingChart.js'));

/** Wood that dries: what may be turned today, what not yet, and until when. */
export default function DryingScreen() {
  const { id } = useParams();
  const drying = useQuery(dryingQuery);
  const habits = useShopHabits();
  const [adding, setAdding] = useState(false);
  if (!drying.data || !habits) return null;
  const today = onClock(Date.now(), habits.timeZone).slice(0, 10);
  const chosen = drying.data.find((b) => b.id === id) ?? drying.data[0];
  return (
    <div className="stock-two">
      <div className="column">
        <div className="row spread">
          <h1>Drying, {dayWords(today)}</h1>
          <span className="row">
            <a href="/api/drying/calendar.ics" download="drying-shelf.ics">
              Days for the calendar (ICS)
            </a>
            <Button type="primary" onClick={() => setAdding(true)}>
              Lay a bundle down
            </Button>
          </span>
        </div>
        {adding && <BundleForm habits={habits} today={today} onDone={() => setAdding(false)} />}
        {drying.data.length === 0 && !adding && (
          <p>
            Nothing dries. Lay green billets or roughed pieces down with their weight, and weigh them now and
            then.
          </p>
        )}
        <ul className="stock-rows" aria-label="Bundles">
          {drying.data.map((b) => (
            <BundleRow key={b.id} kept={b} habits={habits} today={today} chosen={b === chosen} />
          ))}
        </ul>
        {chosen && (
          <BundleView key={chosen.id + String(chosen.version)} kept={chosen} habits={habits} today={today} />
        )}
      </div>
      <aside className="stock-aside">
        <AirPanel />
      </aside>
    </div>
  );
}

interface BundleProps {
  kept: Bundle;
  habits: ShopHabits;
  today: string;
}

function BundleRow({ kept: { id, bundle }, habits, today, chosen }: BundleProps & { chosen: boolean }) {
  const read = forecastOf(bundle, habits.air);
  const first = bundle.weighings[0]?.day ?? today;
  const verdict = read.ok
    ? dryingVerdict(bundle.school, moistureOn(read.forecast, daysBetween(first, today)), bundle.target)
    : { verdict: 'not yet' as const, why: read.why };
  return (
    <li>
      <Link
        to={`/stock/drying/${id}`}
        className="stock-row dry-row"
        aria-current={chosen ? 'true' : undefined}
      >
        <span className="stock-what">
          <b>{bundle.label}</b>
          <span className="soft">
            {bundle.pieces} pieces, {materialName(habits.materials, bundle.materialId)}
          </span>
        </span>
        <span>
          <b data-verdict={verdict.verdict} className="dry-verdict">
            <span aria-hidden>{SIGNS[verdict.verdict]}</span> {verdict.verdict}
          </b>
          <br />
          <span className="soft">{verdict.why}</span>
        </span>
      </Link>
    </li>
  );
}

const SIGNS = { 'turn now': '✔', 'half dry: detail today': '◐', 'not yet': '…' };

function BundleView({ kept, habits, today }: BundleProps) {
  const { bundle } = kept;
  const read = forecastOf(bundle, habits.air);
  const takeOff = useChange(takeOffBundle, 'drying');
  const navigate = useNavigate();
  const first = bundle.weighings[0]?.day;
  return (
    <section className="sheet column" aria-label={bundle.label}>
      {read.ok && first ? (
        <>
          <Ready forecast={read.forecast} first={first} target={bundle.target} />
          <div className="figure-row">
            <Figures figures={dryingFigures(read.forecast, daysBetween(first, today))} />
          </div>
          <Suspense fallback={<p className="soft">One moment…</p>}>
            <DryingChart bundle={bundle} forecast={read.forecast} today={today} />
          </Suspense>
          <Findings
            findings={dryingFindings(
              kept.id,
              bundle.label,
              read.forecast,
              daysBetween(first, today),
              bundle.target,
            )}
            empty=""
          />
          <Schools forecast={read.forecast} first={first} school={bundle.school} />
        </>
      ) : (
        <p>{read.ok ? 'It has not been weighed yet.' : read.why}</p>
      )}
      <Weighings kept={kept} today={today} />
      <Trouble error={takeOff.error} />
      <Button
        className="self-start"
        onClick={() => takeOff.mutate(kept.id, { onSuccess: () => void navigate('/stock/drying') })}
      >
        Take it off the drying shelf
      </Button>
    </section>
  );
}

/** The day, how sure it is, and where it comes from. */
function Ready({ forecast, first, target }: { forecast: DryingForecast; first: string; target: number }) {
  const { ready } = forecast;
  if (ready === null) return <h2>This air never brings it to {target} %.</h2>;
  const early = dayAfter(first, Math.floor(ready.earliest));
  return (
    <div>
      <h2>
        {target} % on {dayWords(dayAfter(first, Math.ceil(ready.days)))}
      </h2>
      <p>
        {ready.latest === null
          ? `Not before ${dayWords(early)}; how late cannot be told from so few weights.`
          : `Between ${dayWords(early)} and ${dayWords(dayAfter(first, Math.ceil(ready.latest)))}, about nineteen times in twenty.`}{' '}
        <span className="soft">
          The air leaves {forecast.equilibrium.toFixed(1)} %; it would weigh {forecast.dryWeight.toFixed(0)} g
          without any water, by {forecast.by}.
        </span>
      </p>
    </div>
  );
}

function Schools({ forecast, first, school }: { forecast: DryingForecast; first: string; school: string }) {
  return (
    <div className="dry-rows" role="group" aria-label="Schools of drying">
      {schoolDays(first, forecast).map(({ school: id, day }) => {
        const { name, words } = DRYING_SCHOOLS[id];
        return (
          <div key={id} className="way" data-chosen={id === school}>
            <b>
              {name}: {day === null ? 'never in this air' : `from ${dayWords(day)}`}
            </b>
            <br />
            <span className="soft">{words}</span>
          </div>
        );
      })}
    </div>
  );
}
