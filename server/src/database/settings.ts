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
  offerDemo: boolean;
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
  return {
    databaseUrl: need('COMPAS_DB_URL'),
    ownerUrl: process.env['COMPAS_DB_OWNER_URL'] ?? '',
    sessionSecret: need('COMPAS_SESSION_SECRET'),
    host: process.env['HOST'] ?? '127.0.0.1',
    port: Number(process.env['PORT'] ?? 4600),
    tls: cert && key ? { cert, key } : null,
    webFolder: process.env['COMPAS_WEB'] ?? null,
    offerDemo: process.env['COMPAS_DEMO'] !== 'off',
  };
}
