import { useState } from 'react';
import { sentenceOf } from '../api/problem.js';
import { signIn } from '../api/session.js';
import { useChange } from '../api/useChange.js';

/** A sign-in that ran out at the lathe: whoever works there goes on with their password, where they are. */
export function SignInHere({ onSignedIn }: { onSignedIn: () => void }) {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const enter = useChange(signIn, 'session', 'run');
  return (
    <details className="run-settings run-sign-in">
      <summary>Sign in</summary>
      <form
        aria-label="Sign in"
        onSubmit={(event) => {
          event.preventDefault();
          enter.mutate({ email: email.trim(), password }, { onSuccess: onSignedIn });
        }}
      >
        <label>
          E-mail address
          <input
            type="email"
            autoComplete="username"
            value={email}
            maxLength={200}
            onChange={(e) => setEmail(e.target.value)}
          />
        </label>
        <label>
          Password
          <input
            type="password"
            autoComplete="current-password"
            value={password}
            maxLength={200}
            onChange={(e) => setPassword(e.target.value)}
          />
        </label>
        {enter.error && <p role="alert">▲ {sentenceOf(enter.error)}</p>}
        <button
          type="submit"
          className="run-quiet"
          disabled={enter.isPending || email.trim() === '' || password === ''}
        >
          Go on here
        </button>
      </form>
    </details>
  );
}
