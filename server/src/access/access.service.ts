import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { HttpStatus, Injectable } from '@nestjs/common';
import { hash, verify } from '@node-rs/argon2';
import { newWorkshop } from '@compas/core';
import type { Role } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import type { NewPersonDto, NewWorkshopDto, SignInDto } from './access.dto.js';
import { AccessStore, type StoredUser } from './accessStore.js';

const SEVEN_DAYS = 7 * 24 * 3600 * 1000;

/** Who may come in: sign-in, new accounts and workshops, one-time invitations. */
@Injectable()
export class AccessService {
  /** verified when there is no such user, so that the answer takes as long */
  private readonly decoy = hash(randomBytes(16));

  constructor(private readonly store: AccessStore) {}

  async signIn({ email, password }: SignInDto): Promise<StoredUser> {
    const user = await this.store.userByEmail(email);
    const right = await verify(user?.password_hash ?? (await this.decoy), password);
    if (!user || !right)
      throw new Problem(
        HttpStatus.UNAUTHORIZED,
        'That address and password do not go together. Check both and try again.',
      );
    return user;
  }

  async createUser({ email, name, password }: NewPersonDto): Promise<{ id: string; name: string }> {
    const id = randomUUID();
    if (!(await this.store.createUser(id, email, name, await hash(password))))
      throw Problem.conflict(`Somebody with the address ${email} is here already. Sign in instead.`);
    return { id, name };
  }

  async createWorkshop({ workshop, timeZone, units }: NewWorkshopDto, userId: string): Promise<string> {
    if (!knownTimeZone(timeZone))
      throw Problem.unusable([
        { field: 'timeZone', why: `"${timeZone}" is not a time zone. Give one like Europe/Berlin.` },
      ]);
    const id = randomUUID();
    await this.store.createWorkshop(id, workshop, newWorkshop(timeZone, units), userId);
    return id;
  }

  async invite(role: Role): Promise<{ token: string; expiresAt: string }> {
    const token = randomBytes(24).toString('base64url');
    const until = new Date(Date.now() + SEVEN_DAYS);
    await this.store.invite(hashOf(token), role, until);
    return { token, expiresAt: until.toISOString() };
  }

  async invited(token: string): Promise<{ workshop: string; role: Role }> {
    return (await this.store.invited(hashOf(token))) ?? this.spent();
  }

  async accept(token: string, userId: string): Promise<string> {
    return (await this.store.accept(hashOf(token), userId)) ?? this.spent();
  }

  private spent(): never {
    throw new Problem(
      HttpStatus.NOT_FOUND,
      'This invitation was used already or is too old. Ask for a new link.',
    );
  }
}

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

function knownTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}
