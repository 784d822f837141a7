import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import type { PatternBody } from '@compas/core';
import { memo } from 'react';
import { revisionsQuery } from '../api/patterns.js';
import { Say } from '../ui/Length.js';

/** What changed from revision to revision, in words; an old one can be taken up again. */
export const RevisionHistory = memo(function RevisionHistory({
  patternId,
  current,
  onTake,
}: {
  patternId: string;
  current: number;
  onTake: (body: PatternBody) => void;
}) {
  const revisions = useQuery(revisionsQuery(patternId));
  return (
    <ol className="history" aria-label="Revisions">
      {revisions.data?.map((revision) => (
        <li key={revision.number}>
          <span className="row spread">
            <b>Revision {revision.number}</b>
            {revision.number !== current && (
              <Button size="small" onClick={() => onTake(revision.body)}>
                Take it up
              </Button>
            )}
          </span>
          <span className="soft">
            {new Date(revision.madeAt).toLocaleDateString('en-GB', {
              day: 'numeric',
              month: 'short',
              year: 'numeric',
            })}
            , {revision.madeBy}
          </span>
          <div>
            {revision.changes.length === 0
              ? 'as it began'
              : revision.changes.map((c, i) => (
                  <span key={c}>
                    {i > 0 ? ', ' : ''}
                    <Say text={c} />
                  </span>
                ))}
          </div>
        </li>
      ))}
    </ol>
  );
});
