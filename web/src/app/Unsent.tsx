import { useQuery } from '@tanstack/react-query';
import { unsentQuery } from '../run/useSender.js';
import { clockHere } from '../ui/clock.js';
import { useSeenSince } from '../api/seen.js';
import { unsentWords } from './unsentWords.js';

/** What is kept on this device and not sent yet, and since when what is shown may be old. */
export function Unsent() {
  const { data = [] } = useQuery(unsentQuery);
  const since = useSeenSince();
  if (data.length === 0 && since === null) return null;
  return (
    <p className="shell-unsent" role="status">
      {since !== null && `○ No connection: as it was ${clockHere(since)}. `}
      {data.length > 0 && `○ ${unsentWords(data)} kept here until it can be sent.`}
    </p>
  );
}
