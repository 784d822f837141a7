import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link } from 'react-router';
import { draftsQuery, dropDraft, type Draft } from '../api/drafts.js';
import { useChange } from '../api/useChange.js';
import { clockHere } from '../ui/clock.js';
import { FOR } from '../ui/planAddress.js';
import { Trouble } from '../ui/Trouble.js';

/** Plans that somebody began and nobody kept yet: each goes on where it was left. */
export function PlansBegun() {
  const drafts = useQuery({ ...draftsQuery, throwOnError: false });
  const drop = useChange(dropDraft, 'drafts');
  if (!drafts.data || drafts.data.length === 0) return null;
  return (
    <section>
      <h2>Plans that are begun</h2>
      {drafts.data.map((draft) => (
        <article key={draft.patternId} className="bench-row bench-ordered">
          <div className="bench-what">
            <h3>
              <Link to={`/patterns/${draft.patternId}`}>{draft.patternName}</Link>
            </h3>
            <span className="soft">{wordsOf(draft)}</span>
          </div>
          <span className="soft">
            {draft.changedBy && `${draft.changedBy}, `}
            {clockHere(Date.parse(draft.changedAt))}
          </span>
          <span className="bench-do">
            <Link to={`/patterns/${draft.patternId}/plan/stock?${draft.choices}`}>
              <Button size="large">Go on planning</Button>
            </Link>
            <Button onClick={() => drop.mutate(draft.patternId)}>Drop it</Button>
          </span>
        </article>
      ))}
      <Trouble error={drop.error} />
    </section>
  );
}

/** How many and for whom, as far as it was said. */
function wordsOf({ choices }: Draft): string {
  const search = new URLSearchParams(choices);
  const [pieces, whom] = [search.get('pieces'), search.get(FOR)];
  const words = [
    ...(pieces === null ? [] : [`${pieces} ${pieces === '1' ? 'piece' : 'pieces'}`]),
    ...(whom === null ? [] : [`for ${whom}`]),
  ];
  return words.length === 0 ? 'neither how many nor for whom is said yet' : words.join(' ');
}
