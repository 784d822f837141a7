/** What PostgreSQL says when it is not there for a while: shutting down, starting, crashed, full. */
const STATES: ReadonlySet<string> = new Set(['57P01', '57P02', '57P03', '53300', '25P03']);
/** The disk that PostgreSQL writes to is full. */
const DISK_FULL = '53100';
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
export const isUnreachable = (error: unknown): boolean =>
  isWithin(
    error,
    ({ code, message }) =>
      (typeof code === 'string' && (STATES.has(code) || CONNECTION.test(code) || SYSTEM.has(code))) ||
      WORDS.test(message),
  );

/** Whether nothing more can be written. */
export const isDiskFull = (error: unknown): boolean => isWithin(error, ({ code }) => code === DISK_FULL);

type Coded = Error & { code?: unknown };

function isWithin(error: unknown, is: (error: Coded) => boolean): boolean {
  if (!(error instanceof Error)) return false;
  if (is(error)) return true;
  const { driverError, cause, errors } = error as Coded & { driverError?: unknown; errors?: unknown };
  return [driverError, cause, ...(Array.isArray(errors) ? (errors as unknown[]) : [])].some(
    (within) => within !== error && isWithin(within, is),
  );
}
