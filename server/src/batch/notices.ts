import { Inject, Injectable, Logger, type OnModuleDestroy } from '@nestjs/common';
import { Client } from 'pg';
import { DataSource, type EntityManager } from 'typeorm';
import type { Settings } from '../database/settings.js';
import { SETTINGS } from '../database/settings.token.js';

const CHANNEL = 'compas_recorded';
/** Asked of itself: where this does not come back, nothing does. */
const HELLO = 'hello';
/** A notice takes less, ms. */
const HELLO_WITHIN = 2_000;
/** A connection that was lost is tried for again so often, ms. */
const AGAIN = 2_000;
/** And where nothing came through: the database may only have been slow. */
const LATER = 300_000;

/** What follows a batch: told of something new, and whether notices come at all. */
export interface Follower {
  told: () => void;
  live: (so: boolean) => void;
  end: () => void;
}

/**
 * Tells whoever follows a batch that something was recorded on it, by whatever server: the notice is sent in the transaction
 * that stores it, and names nothing but workshop, batch and number. One connection of a process listens, beside the pool; where
 * the address of the database is that of a pooler none comes through, which is said, and followers look for themselves.
 */
@Injectable()
export class Notices implements OnModuleDestroy {
  private readonly log = new Logger('notices');
  private readonly followers = new Map<string, Set<Follower>>();
  private client: Client | null = null;
  private live = false;
  private useless = false;
  private ended = false;
  private timer: NodeJS.Timeout | undefined;

  constructor(
    @Inject(SETTINGS) private readonly settings: Settings,
    private readonly source: DataSource,
  ) {}

  /** Sends the notice with the transaction at hand. */
  async tell(manager: EntityManager, workshopId: string, batchId: string): Promise<void> {
    await manager.query(
      `SELECT pg_notify($1, $2 || ' ' || id || ' ' || last_event) FROM batches WHERE id = $3`,
      [CHANNEL, workshopId, batchId],
    );
  }

  /** @returns how to follow no longer; null while the server stops */
  follow(workshopId: string, batchId: string, follower: Follower): (() => void) | null {
    if (this.ended) return null;
    const key = `${workshopId} ${batchId}`;
    const own = this.followers.get(key) ?? new Set();
    this.followers.set(key, own.add(follower));
    if (this.client === null && !this.useless) this.listen();
    follower.live(this.live);
    return () => {
      own.delete(follower);
      if (own.size === 0) this.followers.delete(key);
    };
  }

  /** Ends every stream: a server that stops waits for no follower. */
  endAll(): void {
    this.ended = true;
    for (const follower of this.all()) follower.end();
  }

  async onModuleDestroy(): Promise<void> {
    this.endAll();
    clearTimeout(this.timer);
    await this.client?.end().catch(() => undefined);
  }

  private all(): Follower[] {
    return [...this.followers.values()].flatMap((own) => [...own]);
  }

  private listen(): void {
    if (this.ended || this.client !== null) return;
    const client = new Client({ connectionString: this.settings.databaseUrl, keepAlive: true });
    this.client = client;
    const lost = () => this.lose(client);
    client.on('error', lost);
    client.on('end', lost);
    client.on('notification', ({ payload = '' }) => this.hear(payload));
    client
      .connect()
      .then(() => client.query(`LISTEN ${CHANNEL}`))
      .then(() => this.source.query('SELECT pg_notify($1, $2)', [CHANNEL, HELLO]))
      .then(() => {
        this.timer = setTimeout(() => this.giveUp(), HELLO_WITHIN);
      })
      .catch(lost);
  }

  private hear(payload: string): void {
    if (payload === HELLO) {
      clearTimeout(this.timer);
      this.useless = false;
      this.turn(true);
      // what came while nobody listened is looked for now
      for (const follower of this.all()) follower.told();
      return;
    }
    const key = payload.split(' ').slice(0, 2).join(' ');
    for (const follower of this.followers.get(key) ?? []) follower.told();
  }

  private turn(live: boolean): void {
    if (this.live === live) return;
    this.live = live;
    for (const follower of this.all()) follower.live(live);
  }

  private lose(client: Client): void {
    if (this.client !== client) return;
    this.client = null;
    clearTimeout(this.timer);
    this.turn(false);
    client.end().catch(() => undefined);
    if (!this.ended && this.followers.size > 0) this.timer = setTimeout(() => this.listen(), AGAIN);
  }

  private giveUp(): void {
    if (this.live) return;
    if (!this.useless)
      this.log.warn(
        'the address of the database gives no notices, perhaps a pooler: tablets look every 2 s.',
      );
    this.useless = true;
    const { client } = this;
    this.client = null;
    client?.end().catch(() => undefined);
    this.timer = setTimeout(() => this.listen(), LATER);
  }
}
