import type { Finding, Stage } from '@compas/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { StripInSight } from '../strip/StripInSight.js';
import { RAIL, stateOf } from './stages.js';
import './plan.css';

interface WorkScreenProps {
  title: ReactNode;
  strip: ReactNode;
  band?: ReactNode;
  stage: Stage;
  findings: readonly Finding[];
  /** where each stage leads; null when it cannot be entered yet */
  to: (stage: Stage) => string | null;
  /** somebody goes to another stage; it is shown when it is there */
  onGo?: () => void;
  children: ReactNode;
  /** null where there is nothing beside the work */
  aside: ReactNode;
}

/** A working screen: the strip across the top, the rail of stages at the left, findings at the right. */
export function WorkScreen({
  title,
  strip,
  band,
  stage,
  findings,
  to,
  onGo,
  children,
  aside,
}: WorkScreenProps) {
  return (
    <div className="work">
      <div className="work-head">
        <div className="work-title">{title}</div>
        {band}
      </div>
      <StripInSight>{strip}</StripInSight>
      <div className="work-body" data-beside={aside !== null}>
        <nav className="rail" aria-label="Stages">
          {RAIL.map((entry) => (
            <RailEntry
              key={entry.stage}
              {...entry}
              here={entry.stage === stage}
              to={to(entry.stage)}
              onGo={onGo}
              state={stateOf(findings, entry.stage)}
            />
          ))}
        </nav>
        <section className="work-middle">{children}</section>
        {aside !== null && <aside className="work-aside">{aside}</aside>}
      </div>
    </div>
  );
}

const STATE = {
  fine: { sign: '·', word: 'fine' },
  note: { sign: '·', word: 'fine' },
  warn: { sign: '▲', word: 'look' },
  stop: { sign: '■', word: 'stop' },
};

interface RailEntryProps {
  word: string;
  here: boolean;
  to: string | null;
  onGo: (() => void) | undefined;
  state: keyof typeof STATE;
}

function RailEntry({ word, here, to, onGo, state }: RailEntryProps) {
  const { sign, word: stateWord } = STATE[state];
  const inner = (
    <>
      <span className="rail-sign" data-state={state} aria-hidden>
        {sign}
      </span>
      <span>{word}</span>
      {state !== 'fine' && state !== 'note' && <span className="rail-state">{stateWord}</span>}
    </>
  );
  if (to === null) return <span className="rail-entry off">{inner}</span>;
  return (
    <Link to={to} onClick={onGo} className="rail-entry" aria-current={here ? 'page' : undefined}>
      {inner}
    </Link>
  );
}
