/** What PostgreSQL says when it is not there for a while: shutting down, starting, crashed, full. */
const STATES: ReadonlySet<string> = new Set(['57P01', '57P02', '57P03', '53300', '25P03']);
/** Of class 08, connection exceptions. */
const CONNECTION = /^08/;
/** What the system says of a connection. */
const SYSTEM: ReadonlySet<string> = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'EHOSTUNREACH',
  'ENETUNREACH',
  'ENOTFOUND',
  'EAI_AGAIN',
]);
/** What the database client says in words alone. */
const WORDS =
  /connection terminated|not queryable|timeout exceeded when trying to connect|connection ended|client was closed|server closed the connection/i;

/**
 * Whether an error means that the database is out of reach, and not that something was asked wrongly: then the same may
 * work in a moment. Looks through what wraps it.
 */
export function isUnreachable(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const { code, driverError, cause, errors } = error as Error & {
    code?: unknown;
    driverError?: unknown;
    errors?: unknown;
  };
  if (typeof code === 'string' && (STATES.has(code) || CONNECTION.test(code) || SYSTEM.has(code)))
    return true;
  if (WORDS.test(error.message)) return true;
  return [driverError, cause, ...(Array.isArray(errors) ? (errors as unknown[]) : [])].some(
    (within) => within !== error && isUnreachable(within),
  );
}
