import { Link, useSearchParams } from 'react-router';

/** Where one came from to mend something; only the way back to a screen of ours. */
const BACK = 'back';

/** An address that is opened to mend something, and leads back. */
export function mendingAt(path: string, back: string): string {
  const [at = '', query] = path.split('?');
  const search = new URLSearchParams(query);
  search.set(BACK, back);
  return `${at}?${search.toString()}`;
}

/** The way back to where something was found that is mended here. */
export function WayBack() {
  const [search] = useSearchParams();
  const back = search.get(BACK);
  if (back === null || !/^\/(patterns|batches)\//.test(back)) return null;
  return (
    <p className="way-back">
      <Link to={back}>← Back to where it was found</Link>
    </p>
  );
}
