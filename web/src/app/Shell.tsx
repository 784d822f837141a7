import { useQuery } from '@tanstack/react-query';
import { Segmented, Select } from 'antd';
import type { Units } from '@compas/core';
import { Suspense } from 'react';
import { Navigate, NavLink, Outlet, useLocation } from 'react-router';
import { enterWorkshop, OF_A_WORKSHOP, sessionQuery, type Session } from '../api/session.js';
import { useChange } from '../api/useChange.js';
import { workshopQuery } from '../api/workshop.js';
import { Trouble } from '../ui/Trouble.js';
import { WayBack } from '../ui/WayBack.js';
import { UnitsProvider, useUnits } from '../ui/units.js';
import { Keys } from './Keys.js';
import { useKeyboardUsed } from './useKeyboardUsed.js';
import { Leave } from './Leave.js';
import { Unsent } from './Unsent.js';
import { useUpdate } from './useUpdate.js';
import './shell.css';
import { choicesOf } from '../ui/choices.js';

/** The frame round every desk screen: where one can go, in which units one reads, who one is. */
export function Shell() {
  const session = useQuery({ ...sessionQuery, throwOnError: false });
  const signedIn = Boolean(session.data?.userId && session.data.workshopId);
  const workshop = useQuery({ ...workshopQuery, enabled: signedIn });
  const { pathname } = useLocation();
  useUpdate();
  const keyed = useKeyboardUsed();
  if (session.isError) return <Trouble error={session.error} />;
  if (!session.data) return null;
  if (!session.data.userId) return <Navigate to={`/sign-in?from=${encodeURIComponent(pathname)}`} replace />;
  return (
    <UnitsProvider usual={workshop.data?.body.units ?? 'mm'}>
      <div className="shell" data-keys={keyed}>
        <a className="skip" href="#work">
          To the work
        </a>
        <Header session={session.data} />
        <Unsent />
        <main id="work" className="page">
          <WayBack />
          <Suspense fallback={<p className="soft">One moment…</p>}>
            <Outlet />
          </Suspense>
        </main>
      </div>
    </UnitsProvider>
  );
}

const PLACES = [
  { to: '/', label: 'Bench', stroke: 'b' },
  { to: '/orders', label: 'Orders', stroke: 'o' },
  { to: '/patterns', label: 'Patterns', stroke: 'p' },
  { to: '/stock', label: 'Stock', stroke: 's' },
  { to: '/workshop', label: 'Workshop', stroke: 'w' },
];

function Header({ session }: { session: Session }) {
  const change = useChange(enterWorkshop, ...OF_A_WORKSHOP);
  return (
    <header className="shell-head">
      <span className="shell-name">
        <img src="/mark.svg" alt="" width={30} height={30} /> Compas
      </span>
      <nav aria-label="Places">
        {PLACES.map(({ to, label, stroke }) => (
          <NavLink key={to} to={to} end={to === '/'}>
            {label} <kbd>{stroke}</kbd>
          </NavLink>
        ))}
      </nav>
      <span className="shell-right">
        <UnitsToggle />
        <Keys />
        {session.workshops.length > 1 ? (
          <Select
            aria-label="Workshop"
            value={session.workshopId ?? undefined}
            options={session.workshops.map((w) => ({ value: w.id, label: w.name }))}
            onChange={(id) => change.mutate(id)}
          />
        ) : (
          <span className="shell-workshop">{session.workshops[0]?.name}</span>
        )}
        <Leave name={session.userName?.split(' ')[0] ?? ''} />
      </span>
    </header>
  );
}

const UNIT_WORDS: Record<Units, string> = { mm: 'mm', inch: 'inch ½', 'decimal-inch': 'inch .5' };

function UnitsToggle() {
  const { units, setUnits } = useUnits();
  return <Segmented aria-label="Units" value={units} onChange={setUnits} options={choicesOf(UNIT_WORDS)} />;
}
