import type { ReactNode } from 'react';

interface RunBarProps {
  /** the one next action, at the corner of the chosen hand */
  primary: ReactNode;
  /** other actions beside it */
  children?: ReactNode;
  /** what gives a piece up: at the other end of the bar, never beside the next action */
  away?: ReactNode;
}

/** The bar along the lower edge, the same at every step. */
export function RunBar({ primary, children, away }: RunBarProps) {
  return (
    <div className="run-bar" role="toolbar" aria-label="What is done">
      <span className="run-bar-next">{primary}</span>
      {children}
      <span className="run-bar-away">{away}</span>
    </div>
  );
}
