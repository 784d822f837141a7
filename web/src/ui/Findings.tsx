import type { Finding, Severity } from '@compas/core';
import type { ReactNode } from 'react';
import { Say } from './Length.js';

/** Each severity has a sign and a word, so that it does not rest on its colour. */
const SEVERITY: Record<Severity, { sign: string; word: string }> = {
  stop: { sign: '■', word: 'Stop' },
  warn: { sign: '▲', word: 'Look' },
  note: { sign: '●', word: 'Note' },
};

interface FindingsProps {
  findings: readonly Finding[];
  empty: string;
  /** what can be done about one, below it */
  below?: (finding: Finding) => ReactNode;
}

/** Findings, the most serious first. */
export function Findings({ findings, empty, below }: FindingsProps) {
  if (findings.length === 0) return <p className="soft">{empty}</p>;
  return (
    <div aria-label="Findings" role="list">
      {findings.map((finding) => (
        <div key={finding.id} className="finding" data-severity={finding.severity} role="listitem">
          <span className="sign" aria-hidden>
            {SEVERITY[finding.severity].sign}
          </span>
          <div>
            <span className="word">{SEVERITY[finding.severity].word}</span>
            <p>
              <Say text={finding.what} />
            </p>
            <p className="soft">
              <Say text={finding.why} />
            </p>
            <p className="remedy">
              <Say text={finding.remedy} />
            </p>
            {below?.(finding)}
          </div>
        </div>
      ))}
    </div>
  );
}
