import connectPgSimple from 'connect-pg-simple';
import session from 'express-session';
import type { RequestHandler } from 'express';
import { Pool } from 'pg';
import type { Settings } from '../database/settings.js';

declare module 'express-session' {
  interface SessionData {
    userId: string;
    userName: string;
    workshopId: string | null;
  }
}

const FOURTEEN_DAYS = 14 * 24 * 3600 * 1000;

/** Cookie sessions kept in PostgreSQL; only ever created by signing in. */
export function sessions(settings: Settings): RequestHandler {
  const Store = connectPgSimple(session);
  return session({
    name: 'compas.sid',
    secret: settings.sessionSecret,
    resave: false,
    saveUninitialized: false,
    cookie: { httpOnly: true, sameSite: 'lax', secure: settings.tls !== null, maxAge: FOURTEEN_DAYS },
    store: new Store({
      pool: new Pool({ connectionString: settings.databaseUrl, max: 6 }),
      tableName: 'sessions',
      // touching would add a durable commit to every request
      disableTouch: true,
    }),
  });
}
