import type { Finding } from '@compas/core';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { useDeciding } from './deciding.js';

/** The way past a Stop: with a reason, and never past wood that nothing holds. */
export function GoPast({ finding }: { finding: Finding }) {
  const deciding = useDeciding();
  const [why, setWhy] = useState<string | null>(null);
  if (finding.past !== undefined)
    return (
      <p>
        <b>Gone past:</b> {finding.past}{' '}
        {deciding && (
          <button type="button" className="more" onClick={() => deciding.stopAgain(finding.id)}>
            Stop here again
          </button>
        )}
      </p>
    );
  if (!deciding || finding.severity !== 'stop') return null;
  if (finding.final) return <p className="soft">Nobody can go past this one.</p>;
  if (why === null)
    return (
      <button type="button" className="more" onClick={() => setWhy('')}>
        Go past it, with a reason
      </button>
    );
  const past = () =>
    deciding.decide({ decides: { kind: 'past', finding: finding.id }, scope: 'order', why: why.trim() });
  return (
    <form
      className="go-past"
      onSubmit={(e) => {
        e.preventDefault();
        if (why.trim() !== '') past();
      }}
    >
      <Input
        autoFocus
        aria-label={`Why past: ${finding.what}`}
        placeholder="why"
        value={why}
        maxLength={300}
        onChange={(e) => setWhy(e.target.value)}
      />
      <Button htmlType="submit" disabled={why.trim() === ''}>
        Go past it
      </Button>
    </form>
  );
}
