import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link, useNavigate } from 'react-router';
import { patternsQuery } from '../api/patterns.js';
import { enterDemo, OF_A_WORKSHOP, sessionQuery } from '../api/session.js';
import { useChange } from '../api/useChange.js';
import { Trouble } from '../ui/Trouble.js';

/** Nothing is being made: the ways to begin. */
export function EmptyBench() {
  const patterns = useQuery(patternsQuery);
  const some = (patterns.data?.length ?? 0) > 0;
  return (
    <div className="sheet column">
      <h1>The bench is clear.</h1>
      <p>
        {some
          ? 'Choose a pattern, say how many and by when, and Compas lays out the work.'
          : 'Everything begins with a pattern: what is to be made again and again.'}
      </p>
      <ul className="ways-in">
        {some && (
          <Way
            to="/patterns"
            title="Choose a pattern"
            words="One of your own, as often as it is ordered."
            first
          />
        )}
        <Way
          to="/patterns/new"
          title="Begin with a form"
          words="A stopper, a handle, a pin: you give the few sizes that you know."
          first={!some}
        />
        <Way
          to="/patterns/copy"
          title="Copy a sample"
          words="The one that is left, from a photo, by calliper or from a trace."
        />
        <DemoWay />
      </ul>
    </div>
  );
}

interface WayProps {
  to: string;
  title: string;
  words: string;
  first?: boolean;
}

function Way({ to, title, words, first = false }: WayProps) {
  return (
    <li>
      <Link to={to}>
        <Button type={first ? 'primary' : 'default'} size="large">
          {title}
        </Button>
      </Link>
      <span>{words}</span>
    </li>
  );
}

/** A batch half made can be looked at where the demo workshop stands open; one comes back by signing in. */
function DemoWay() {
  const session = useQuery(sessionQuery);
  const demo = useChange(enterDemo, ...OF_A_WORKSHOP);
  const navigate = useNavigate();
  if (!session.data?.demo) return null;
  return (
    <li>
      <Button
        size="large"
        loading={demo.isPending}
        onClick={() => demo.mutate(undefined, { onSuccess: () => void navigate('/') })}
      >
        Look at a batch half made
      </Button>
      <span>In the demo workshop. It signs you out of your own; sign in again to come back.</span>
      <Trouble error={demo.error} />
    </li>
  );
}
