import { Inject, Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import connectPgSimple from 'connect-pg-simple';
import session from 'express-session';
import type { RequestHandler } from 'express';
import { Pool } from 'pg';
import { CachedSessions } from './cachedSessions.js';
import type { Settings } from '../database/settings.js';
import { CONNECT_WITHIN } from '../database/database.module.js';
import { SETTINGS } from '../database/settings.token.js';
import { SteadyClient } from '../database/steadyClient.js';

declare module 'express-session' {
  interface SessionData {
    userId: string;
    userName: string;
    workshopId: string | null;
  }
}

/** A sign-in lasts so long, ms. */
export const SIGNED_IN_FOR = 14 * 24 * 3600 * 1000;

/** Cookie sessions kept in PostgreSQL; only ever created by signing in. */
@Injectable()
export class SessionStore implements OnModuleDestroy {
  private readonly log = new Logger('sessions');
  private readonly pool: Pool;
  private readonly store: connectPgSimple.PGStore;

  constructor(@Inject(SETTINGS) private readonly settings: Settings) {
    const Store = connectPgSimple(session);
    this.pool = new Pool({
      connectionString: settings.databaseUrl,
      max: 6,
      connectionTimeoutMillis: CONNECT_WITHIN,
      Client: SteadyClient,
    });
    // a connection that is lost while it waits is none of a request's: the next one gets a new one
    this.pool.on('error', (error) =>
      this.log.warn(`a connection of the sessions was lost: ${error.message}`),
    );
    // touching would add a durable commit to every request
    this.store = new Store({
      pool: this.pool,
      tableName: 'sessions',
      disableTouch: true,
      errorLog: (...words: unknown[]) => this.log.warn(words.map(String).join(' ')),
    });
  }

  handler(): RequestHandler {
    return session({
      name: 'compas.sid',
      secret: this.settings.sessionSecret,
      resave: false,
      saveUninitialized: false,
      cookie: { httpOnly: true, sameSite: 'lax', secure: this.settings.tls !== null, maxAge: SIGNED_IN_FOR },
      store: new CachedSessions(this.store),
    });
  }

  async onModuleDestroy(): Promise<void> {
    this.store.close();
    await this.pool.end();
  }
}
