import { randomBytes, randomUUID } from 'node:crypto';
import { HttpStatus, Inject, Injectable, type OnModuleInit } from '@nestjs/common';
import { hash, verify } from '@node-rs/argon2';
import { newWorkshop } from '@compas/core';
import type { Settings } from '../database/settings.js';
import { SETTINGS } from '../database/settings.token.js';
import type { Role } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import type { NewPasswordDto, NewPersonDto, NewWorkshopDto, SignInDto, SignInView } from './access.dto.js';
import { AccessStore, type StoredUser } from './accessStore.js';
import { hashOf } from './hashOf.js';
import { SIGNED_IN_FOR } from './session.js';

/** So many wrong passwords are a tired person's; then each makes the next answer slower, ms. */
const FREE_TRIES = 5;
const FIRST_WAIT = 250;
const LONGEST_WAIT = 8_000;

const SEVEN_DAYS = 7 * 24 * 3600 * 1000;

/** Who may come in: sign-in, new accounts and workshops, one-time invitations. */
@Injectable()
export class AccessService implements OnModuleInit {
  /** verified when there is no such user, so that the answer takes as long */
  private readonly decoy = hash(randomBytes(16));

  constructor(
    private readonly store: AccessStore,
    @Inject(SETTINGS) private readonly settings: Settings,
  ) {}

  /** Without the demo nobody of it is signed in any more, whoever was before. */
  async onModuleInit(): Promise<void> {
    if (!this.settings.offerDemo) await this.store.endSeededSessions();
  }

  async signIn({ email, password }: SignInDto): Promise<StoredUser> {
    const account = accountOf(email);
    await this.slow(account);
    const user = await this.store.userByEmail(email);
    const right = await verify(user?.password_hash ?? (await this.decoy), password);
    // without the demo its people are strangers: everybody knows their password
    const isShut = user?.seeded === true && !this.settings.offerDemo;
    if (!user || !right || isShut) {
      await this.store.failed(account);
      throw new Problem(
        HttpStatus.UNAUTHORIZED,
        'That address and password do not go together. Check both and try again.',
      );
    }
    await this.store.forgive(account);
    return user;
  }

  /** Takes another password for the one that somebody gives; nobody else who was signed in as them is any more. */
  async changePassword(userId: string, sid: string, { old, password }: NewPasswordDto): Promise<void> {
    const user = await this.store.passwordOf(userId);
    const account = accountOf(user?.email ?? '');
    await this.slow(account);
    if (user?.seeded) throw refusedToTheDemo();
    if (!user || !(await verify(user.password_hash, old))) {
      await this.store.failed(account);
      throw Problem.unusable([{ field: 'old', why: 'That is not your password now. Type it once more.' }]);
    }
    await this.store.setPassword(userId, await hash(password));
    await this.store.endSessionsBut(userId, sid);
  }

  /** Where somebody is signed in; of the demo, whose people are everybody, only here. */
  async signIns(userId: string, sid: string): Promise<SignInView[]> {
    const seeded = (await this.store.passwordOf(userId))?.seeded === true;
    const open = await this.store.sessionsOf(userId);
    return open
      .filter((session) => !seeded || session.sid === sid)
      .map(({ sid: one, expire }) => ({
        since: new Date(expire.getTime() - SIGNED_IN_FOR).toISOString(),
        here: one === sid,
      }));
  }

  async endOthers(userId: string, sid: string): Promise<void> {
    if ((await this.store.passwordOf(userId))?.seeded) throw refusedToTheDemo();
    await this.store.endSessionsBut(userId, sid);
  }

  /** The more wrong passwords, the longer the next answer takes: it slows who guesses, and locks nobody out. */
  private async slow(account: string): Promise<void> {
    const over = (await this.store.failures(account)) - FREE_TRIES;
    if (over < 0) return;
    await new Promise((later) => setTimeout(later, Math.min(LONGEST_WAIT, FIRST_WAIT * 2 ** over)));
  }

  /** Refuses new people where the house is closed to them. */
  refuseNew(invited: boolean): void {
    const { signUp } = this.settings;
    if (signUp === 'open' || (signUp === 'invited' && invited)) return;
    throw new Problem(
      HttpStatus.FORBIDDEN,
      signUp === 'off'
        ? 'No new people are taken in here. Ask whoever runs this Compas.'
        : 'New people come in by invitation only. Ask an owner of a workshop here for a link.',
    );
  }

  async createUser({ email, name, password }: NewPersonDto): Promise<{ id: string; name: string }> {
    const id = randomUUID();
    if (!(await this.store.createUser(id, email, name, await hash(password))))
      throw Problem.conflict(`Somebody with the address ${email} is here already. Sign in instead.`);
    return { id, name };
  }

  async createWorkshop({ workshop, timeZone, units }: NewWorkshopDto, userId: string): Promise<string> {
    const id = randomUUID();
    await this.store.createWorkshop(id, workshop, newWorkshop(timeZone, units), userId);
    return id;
  }

  async invite(role: Role): Promise<{ token: string; expiresAt: string }> {
    if (await this.store.isDemo())
      throw new Problem(
        HttpStatus.FORBIDDEN,
        'The demo workshop takes nobody in: everybody can enter it. Begin a workshop of your own and invite them there.',
      );
    return this.issue(role);
  }

  /** Makes a link, whatever the workshop is. */
  async issue(role: Role): Promise<{ token: string; expiresAt: string }> {
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

const refusedToTheDemo = (): Problem =>
  new Problem(HttpStatus.FORBIDDEN, 'The people of the demo are everybody: their sign-in stays as it is.');

/** Accounts are told apart without keeping addresses. */
const accountOf = (email: string): string => hashOf(email.toLowerCase());
