import { Inject, Injectable } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import {
  InjectThrottlerOptions,
  ThrottlerGuard,
  type ThrottlerModuleOptions,
  type ThrottlerRequest,
} from '@nestjs/throttler';
import type { Settings } from '../database/settings.js';
import { SETTINGS } from '../database/settings.token.js';
import { AccessStore } from './accessStore.js';

const A_MINUTE = 60_000;

/** Limits tries by address where a secret can be guessed; they are counted in the database, over all processes. */
@Injectable()
export class TriesGuard extends ThrottlerGuard {
  constructor(
    @InjectThrottlerOptions() options: ThrottlerModuleOptions,
    // by its token: the class it extends says of this place that a store in memory belongs there
    @Inject(AccessStore) store: AccessStore,
    reflector: Reflector,
    @Inject(SETTINGS) private readonly settings: Settings,
  ) {
    super(options, { increment: (key, ttl, limit) => counted(store, key, ttl, limit) }, reflector);
  }

  protected override handleRequest(request: ThrottlerRequest): Promise<boolean> {
    return super.handleRequest({ ...request, limit: this.settings.tries, ttl: A_MINUTE });
  }
}

async function counted(store: AccessStore, key: string, ttl: number, limit: number) {
  const { hits, leftMs } = await store.tried(key, ttl);
  const left = Math.ceil(leftMs / 1000);
  return { totalHits: hits, timeToExpire: left, isBlocked: hits > limit, timeToBlockExpire: left };
}
