import { useQueryErrorResetBoundary } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link, useLocation, useNavigate, useRouteError } from 'react-router';
import { ApiProblem, sentenceOf } from '../api/problem.js';

/** In the place of a screen that cannot be shown: what went wrong, and the ways on and back. */
export function Fault() {
  const error = useRouteError();
  const { reset } = useQueryErrorResetBoundary();
  const navigate = useNavigate();
  const here = useLocation();
  const again = () => {
    reset();
    void navigate(here, { replace: true });
  };
  if (error instanceof ApiProblem && error.status === 404) return <NotThere what={sentenceOf(error)} />;
  return (
    <div className="sheet column" role="alert">
      <h1>This screen cannot be shown.</h1>
      <p>{whatOf(error)}</p>
      <p>
        Unsaved changes to a pattern or the workshop, and what was recorded at the lathe, are kept on this
        device.
      </p>
      <span className="row">
        <Button type="primary" size="large" onClick={again}>
          Try again
        </Button>
        <Link to="/">To the Bench</Link>
      </span>
    </div>
  );
}

/** An answer of the server in its words; anything else is our own mistake. */
const whatOf = (error: unknown): string =>
  error instanceof ApiProblem || isNetwork(error) ? sentenceOf(error) : 'Compas made a mistake on it.';

/** Browsers tell of a request that found no server by a TypeError. */
const isNetwork = (error: unknown): boolean =>
  error instanceof TypeError && /fetch|network/i.test(error.message);

/** For an address at which nothing lies. */
export function NotThere({ what = 'Nothing lies at this address.' }: { what?: string }) {
  return (
    <div className="sheet column">
      <h1>Not here.</h1>
      <p>{what} It may have been taken away, or the address has a slip.</p>
      <span className="row">
        <Link to="/">To the Bench</Link>
        <Link to="/patterns">To the patterns</Link>
      </span>
    </div>
  );
}
