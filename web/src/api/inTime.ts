import { hear } from './clock.js';

/** The server works at a question for up to a minute; a network that answers nothing for longer has swallowed it, ms. */
const ANSWER_WITHIN = 60_000;
/** While an answer comes, it comes on: a gap of this is its end, ms. */
const GAP = 20_000;

/**
 * Asks like fetch, but comes to an end: a network that swallows a question instead of failing is no connection. The limit
 * counts from the last that came, so that a long answer may take its time. The server's clock is heard on the way.
 */
export async function fetchInTime(request: Request): Promise<Response> {
  const end = new AbortController();
  let timer = setTimeout(() => end.abort(), ANSWER_WITHIN);
  const cameOn = () => {
    clearTimeout(timer);
    timer = setTimeout(() => end.abort(), GAP);
  };
  const swallowed = new Promise<never>((_, failed) =>
    end.signal.addEventListener('abort', () => failed(new TypeError('No answer came in time.'))),
  );
  try {
    const asked = Date.now();
    const answer = await Promise.race([globalThis.fetch(request, { signal: end.signal }), swallowed]);
    hear(Number(answer.headers.get('x-compas-now') ?? Number.NaN), asked, Date.now());
    // to some browsers an answer without content has an empty one, and none may be made so
    if (!answer.body || answer.status === 204) return answer;
    const parts: Uint8Array[] = [];
    const reader = answer.body.getReader();
    for (;;) {
      cameOn();
      const { done, value } = await Promise.race([reader.read(), swallowed]);
      if (done) break;
      parts.push(value);
    }
    return new Response(joined(parts), answer);
  } finally {
    clearTimeout(timer);
  }
}

function joined(parts: readonly Uint8Array[]): Uint8Array<ArrayBuffer> {
  const whole = new Uint8Array(parts.reduce((bytes, part) => bytes + part.length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}
