import { availableParallelism } from 'node:os';

/** Where the server finds what it needs; set by the start scripts. */
export interface Settings {
  /** connection of the application's role: owns nothing, bypasses nothing */
  databaseUrl: string;
  /** connection of the owner, for migrations only */
  ownerUrl: string;
  sessionSecret: string;
  host: string;
  port: number;
  tls: { cert: string; key: string } | null;
  /** folder of the built web application; null when something else serves it */
  webFolder: string | null;
  /** anybody may enter the demo workshop */
  offerDemo: boolean;
  /** who may make an account: anybody, those who are invited, nobody */
  signUp: SignUp;
  /** further names by which it is reached */
  hosts: string[];
  /** threads that work out what takes longer than a moment; with none it is done where it is asked for */
  threads: number;
  /** tries a minute from one address, where a secret can be guessed: enough for a tired person, too few for guessing */
  tries: number;
  /** a stream says so often that it is still there, ms */
  beat: number;
  /** addresses of proxies in front of it, whose word is taken for where a request comes from */
  proxies: string[];
}

const SIGN_UPS = ['open', 'invited', 'off'] as const;
type SignUp = (typeof SIGN_UPS)[number];

const LOOPBACK: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '::1']);

/** The demo lets everybody in: where other machines reach it, it is there only when it is asked for. */
const offersDemo = (wish: string | undefined, host: string, proxies: readonly string[]): boolean =>
  wish === 'on' || (wish !== 'off' && LOOPBACK.has(host) && proxies.length === 0);

const listed = (words: string | undefined): string[] =>
  (words ?? '').split(/[\s,]+/).filter((word) => word !== '');

function signUpOf(wish: string | undefined): SignUp {
  if (wish === undefined || wish === '') return 'open';
  const found = SIGN_UPS.find((s) => s === wish);
  if (!found) throw new Error(`COMPAS_SIGNUP is ${wish}. Set it to one of ${SIGN_UPS.join(', ')}.`);
  return found;
}

/** One is left for answering. */
function threadsOf(wish: string | undefined): number {
  if (wish === undefined || wish === '') return Math.max(1, availableParallelism() - 1);
  if (!/^\d{1,2}$/.test(wish)) throw new Error(`COMPAS_THREADS is ${wish}. Set it to a number from 0 to 99.`);
  return Number(wish);
}

const need = (name: string): string => {
  const value = process.env[name];
  if (value === undefined || value === '')
    throw new Error(`${name} is not set. Start Compas with npm start.`);
  return value;
};

/** Settings from the environment; a missing one is named. */
export function settingsFromEnvironment(): Settings {
  const { TLS_CERT: cert, TLS_KEY: key } = process.env;
  const host = process.env['HOST'] ?? '127.0.0.1';
  const proxies = listed(process.env['COMPAS_PROXY']);
  return {
    databaseUrl: need('COMPAS_DB_URL'),
    ownerUrl: process.env['COMPAS_DB_OWNER_URL'] ?? '',
    sessionSecret: need('COMPAS_SESSION_SECRET'),
    host,
    port: Number(process.env['PORT'] ?? 4600),
    tls: cert && key ? { cert, key } : null,
    webFolder: process.env['COMPAS_WEB'] ?? null,
    offerDemo: offersDemo(process.env['COMPAS_DEMO'], host, proxies),
    signUp: signUpOf(process.env['COMPAS_SIGNUP']),
    hosts: listed(process.env['COMPAS_HOSTS']),
    proxies,
    beat: 20_000,
    tries: 10,
    threads: threadsOf(process.env['COMPAS_THREADS']),
  };
}
