import { randomBytes, randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { hashOf } from './hashOf.js';

/** Whose what was recorded is. */
export interface Recorder {
  userId: string;
  name: string;
  /** instant at which they were taken out of the workshop, ms; null while they are in it */
  endedAt: number | null;
}

/** What a device says of a recorder. */
export interface ClaimedRecorder {
  id: string;
  secret: string;
}

/** Says who recorded what a tablet sends, also when their session is over: by a secret that it got while it was not. */
@Injectable()
export class Recorders {
  constructor(private readonly transaction: WorkshopTransaction) {}

  /** One for whoever is signed in, in the workshop they are in. */
  async issue(): Promise<ClaimedRecorder> {
    const [id, secret] = [randomUUID(), randomBytes(24).toString('base64url')];
    const { manager, acting } = this.transaction;
    await manager.query('SELECT access_new_recorder($1, $2, $3)', [id, acting.userId, hashOf(secret)]);
    return { id, secret };
  }

  /** Those whose secrets are right; a bare id is nobody. */
  async known(claimed: readonly ClaimedRecorder[]): Promise<ReadonlyMap<string, Recorder>> {
    if (claimed.length === 0) return new Map();
    const rows = await this.transaction.manager.query<
      { id: string; user_id: string; name: string; ended_at: Date | null }[]
    >('SELECT * FROM access_recorders($1::jsonb)', [
      JSON.stringify(claimed.map(({ id, secret }) => ({ id, hash: hashOf(secret) }))),
    ]);
    return new Map(
      rows.map((r) => [r.id, { userId: r.user_id, name: r.name, endedAt: r.ended_at?.getTime() ?? null }]),
    );
  }
}
