import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { membersQuery } from '../api/session.js';

interface AtTheLatheProps {
  /** who works here; null until somebody said so */
  who: string | null;
  onTake: (who: string) => void;
}

const KEY = 'compas.people';

/** Who works at this tablet: one touch, one more to hand it over. Names are kept, so that it works without the network. */
export function AtTheLathe({ who, onTake }: AtTheLatheProps) {
  const members = useQuery({ ...membersQuery, throwOnError: false, networkMode: 'always', retry: false });
  const list = useRef<HTMLDetailsElement>(null);
  const names = members.data?.map((m) => m.name) ?? kept();
  useEffect(() => {
    if (members.data) localStorage.setItem(KEY, JSON.stringify(members.data.map((m) => m.name)));
  }, [members.data]);
  if (names.length < 2) return null;
  return (
    <details className="run-settings" ref={list}>
      <summary aria-label={`At the lathe: ${who ?? 'nobody said so yet'}`}>
        {who?.split(' ')[0] ?? 'Who?'}
      </summary>
      <div role="radiogroup" aria-label="At the lathe">
        {names.map((name) => (
          <button
            key={name}
            type="button"
            role="radio"
            aria-checked={name === who}
            className="run-quiet"
            onClick={() => {
              if (list.current) list.current.open = false;
              if (name !== who) onTake(name);
            }}
          >
            {name}
          </button>
        ))}
      </div>
    </details>
  );
}

function kept(): string[] {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return Array.isArray(found) ? found.filter((n): n is string => typeof n === 'string') : [];
  } catch {
    return [];
  }
}
