import { Injectable } from '@nestjs/common';
import type { Workshop } from '@compas/core';
import { DataSource } from 'typeorm';
import { WorkshopTransaction, type Role } from '../database/workshopTransaction.js';

export interface StoredUser {
  id: string;
  name: string;
  email: string;
  password_hash: string;
  /** made with the demo, with a password that everybody knows */
  seeded: boolean;
}

export interface Membership {
  id: string;
  name: string;
  role: Role;
}

/**
 * Users, memberships and invites lie outside of the workshops' row security: they are reached only
 * through the database's access functions, each of which answers one question.
 */
@Injectable()
export class AccessStore {
  constructor(
    private readonly source: DataSource,
    private readonly transaction: WorkshopTransaction,
  ) {}

  async userByEmail(email: string): Promise<StoredUser | null> {
    const [user] = await this.ask<StoredUser>('SELECT * FROM access_user($1)', [email]);
    return user ?? null;
  }

  async passwordOf(userId: string): Promise<Pick<StoredUser, 'email' | 'password_hash' | 'seeded'> | null> {
    const [user] = await this.ask<StoredUser>('SELECT * FROM access_password($1)', [userId]);
    return user ?? null;
  }

  async setPassword(userId: string, hash: string): Promise<void> {
    await this.ask('SELECT access_set_password($1, $2)', [userId, hash]);
  }

  /** Wrong passwords that were given for an account of late, whichever process was asked. */
  async failures(account: string): Promise<number> {
    const [row] = await this.ask<{ count: string }>('SELECT access_failures($1) AS count', [account]);
    return Number(row?.count ?? 0);
  }

  async failed(account: string): Promise<void> {
    await this.ask('SELECT access_failed($1)', [account]);
  }

  /** Counts one more try under a key, over all processes. @returns how many there were since the first, and when it is forgotten */
  async tried(key: string, forMs: number): Promise<{ hits: number; leftMs: number }> {
    const [row] = await this.ask<{ hits: number; leftMs: number }>(
      'SELECT hits, left_ms AS "leftMs" FROM access_tried($1, $2)',
      [key, forMs],
    );
    return row ?? { hits: 1, leftMs: forMs };
  }

  async forgive(account: string): Promise<void> {
    await this.ask('SELECT access_forgive($1)', [account]);
  }

  /** Sessions of somebody that are open, the newest last. */
  sessionsOf(userId: string): Promise<{ sid: string; expire: Date }[]> {
    return this.ask(
      `SELECT sid, expire FROM sessions WHERE sess->>'userId' = $1 AND expire > now() ORDER BY expire, sid`,
      [userId],
    );
  }

  /** Ends every session of somebody but one. */
  async endSessionsBut(userId: string, sid: string): Promise<void> {
    await this.ask(`DELETE FROM sessions WHERE sess->>'userId' = $1 AND sid <> $2`, [userId, sid]);
  }

  /** @returns whether the address was free */
  async createUser(id: string, email: string, name: string, hash: string): Promise<boolean> {
    return (await this.ask('SELECT access_create_user($1, $2, $3, $4)', [id, email, name, hash])).length > 0;
  }

  /** Somebody of the demo. @returns whether the address was free */
  async createSeeded(id: string, email: string, name: string, hash: string): Promise<boolean> {
    return (
      (await this.ask('SELECT access_create_seeded($1, $2, $3, $4)', [id, email, name, hash])).length > 0
    );
  }

  /** Ends every session of those that were made with the demo. */
  async endSeededSessions(): Promise<void> {
    await this.ask(`DELETE FROM sessions WHERE sess->>'userId' IN (SELECT access_seeded()::text)`, []);
  }

  /** Whether the workshop of the running transaction is the demo. */
  async isDemo(): Promise<boolean> {
    const [row] = await this.transaction.manager.query<{ demo: boolean }[]>(
      'SELECT access_is_demo() AS demo',
    );
    return row?.demo === true;
  }

  workshopsOf = (userId: string): Promise<Membership[]> =>
    this.ask<Membership>('SELECT * FROM access_workshops($1)', [userId]);

  async createWorkshop(
    id: string,
    name: string,
    body: Workshop,
    userId: string,
    demo = false,
  ): Promise<void> {
    await this.ask('SELECT access_create_workshop($1, $2, $3, $4, $5)', [
      id,
      name,
      JSON.stringify(body),
      demo,
      userId,
    ]);
  }

  async demoOwner(): Promise<{ id: string; email: string } | null> {
    const [owner] = await this.ask<{ id: string; email: string }>('SELECT * FROM access_demo_owner()', []);
    return owner ?? null;
  }

  /** What the database is called from one restore to the next. */
  async life(): Promise<string> {
    const [row] = await this.ask<{ id: string }>('SELECT id FROM life', []);
    return row?.id ?? '';
  }

  async invited(tokenHash: string): Promise<{ workshop: string; role: Role } | null> {
    const [invite] = await this.ask<{ workshop: string; role: Role }>('SELECT * FROM access_invited($1)', [
      tokenHash,
    ]);
    return invite ?? null;
  }

  /** @returns the workshop joined, or null when the link is used up or too old */
  async accept(tokenHash: string, userId: string): Promise<string | null> {
    const [row] = await this.ask<{ id: string }>('SELECT access_accept($1, $2) AS id', [tokenHash, userId]);
    return row?.id ?? null;
  }

  members = (): Promise<(Membership & { email: string })[]> =>
    this.transaction.manager.query('SELECT * FROM access_members()');

  async removeMember(userId: string): Promise<boolean> {
    const gone = await this.transaction.manager.query<unknown[]>('SELECT access_remove_member($1)', [userId]);
    return gone.length > 0;
  }

  async invite(tokenHash: string, role: Role, until: Date): Promise<void> {
    await this.transaction.manager.query('SELECT access_invite($1, $2, $3)', [tokenHash, role, until]);
  }

  invites = (): Promise<{ id: string; role: Role; expires_at: Date }[]> =>
    this.transaction.manager.query('SELECT * FROM access_invites()');

  /** @returns whether the invitation was still open */
  async withdraw(id: string): Promise<boolean> {
    return (await this.transaction.manager.query<unknown[]>('SELECT access_withdraw($1)', [id])).length > 0;
  }

  private ask<T>(sql: string, parameters: unknown[]): Promise<T[]> {
    return this.source.query(sql, parameters);
  }
}
