import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  HttpStatus,
  Inject,
  Post,
  Put,
  Req,
  UseGuards,
} from '@nestjs/common';
import { ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { Throttle, ThrottlerGuard } from '@nestjs/throttler';
import type { Request } from 'express';
import type { Settings } from '../database/settings.js';
import { SETTINGS } from '../database/settings.token.js';
import { Problem } from '../edge/problem.js';
import {
  EnterWorkshopDto,
  NewAccountDto,
  NewPasswordDto,
  NewWorkshopDto,
  SessionView,
  SignInDto,
  SignInView,
} from './access.dto.js';
import { AccessService } from './access.service.js';
import { AccessStore } from './accessStore.js';
import { TriesGuard } from './triesGuard.js';

/** Questions a minute from one address that anybody may ask: a shop full of tablets asks less. */
const ASKED_LIMIT = { default: { limit: 1_200, ttl: 60_000 } };

@ApiTags('access')
@Controller('session')
export class SessionController {
  constructor(
    private readonly access: AccessService,
    private readonly store: AccessStore,
    @Inject(SETTINGS) private readonly settings: Settings,
  ) {}

  @Get()
  @UseGuards(ThrottlerGuard)
  @Throttle(ASKED_LIMIT)
  @ApiOkResponse({ type: SessionView })
  show(@Req() request: Request): Promise<SessionView> {
    return this.view(request);
  }

  @Post()
  @HttpCode(HttpStatus.OK)
  @UseGuards(TriesGuard)
  @ApiOkResponse({ type: SessionView })
  async signIn(@Body() body: SignInDto, @Req() request: Request): Promise<SessionView> {
    const user = await this.access.signIn(body);
    await this.begin(request, user);
    return this.view(request);
  }

  @Post('demo')
  @HttpCode(HttpStatus.OK)
  @UseGuards(TriesGuard)
  @ApiOkResponse({ type: SessionView })
  async enterDemo(@Req() request: Request): Promise<SessionView> {
    const owner = this.settings.offerDemo ? await this.store.demoOwner() : null;
    const user = owner && (await this.store.userByEmail(owner.email));
    if (!user) throw Problem.notFound('demo workshop');
    await this.begin(request, user);
    return this.view(request);
  }

  @Post('account')
  @HttpCode(HttpStatus.OK)
  @UseGuards(TriesGuard)
  @ApiOkResponse({ type: SessionView })
  async create(@Body() body: NewAccountDto, @Req() request: Request): Promise<SessionView> {
    this.access.refuseNew(false);
    const user = await this.access.createUser(body);
    await this.access.createWorkshop(body, user.id);
    await this.begin(request, user);
    return this.view(request);
  }

  @Post('workshops')
  @HttpCode(HttpStatus.OK)
  @ApiOkResponse({ type: SessionView })
  async createWorkshop(@Body() body: NewWorkshopDto, @Req() request: Request): Promise<SessionView> {
    request.session.workshopId = await this.access.createWorkshop(body, signedIn(request));
    return this.view(request);
  }

  @Put('workshop')
  @ApiOkResponse({ type: SessionView })
  async enter(@Body() { workshopId }: EnterWorkshopDto, @Req() request: Request): Promise<SessionView> {
    const mine = await this.store.workshopsOf(signedIn(request));
    if (!mine.some((w) => w.id === workshopId)) throw Problem.notFound('workshop');
    request.session.workshopId = workshopId;
    return this.view(request);
  }

  @Put('password')
  @HttpCode(HttpStatus.NO_CONTENT)
  @UseGuards(TriesGuard)
  async changePassword(@Body() body: NewPasswordDto, @Req() request: Request): Promise<void> {
    await this.access.changePassword(signedIn(request), request.sessionID, body);
  }

  /** Where else one is signed in. */
  @Get('all')
  @ApiOkResponse({ type: [SignInView] })
  async all(@Req() request: Request): Promise<SignInView[]> {
    return this.access.signIns(signedIn(request), request.sessionID);
  }

  /** Ends every other sign-in of one's own. */
  @Delete('others')
  @HttpCode(HttpStatus.NO_CONTENT)
  async endOthers(@Req() request: Request): Promise<void> {
    await this.access.endOthers(signedIn(request), request.sessionID);
  }

  @Delete()
  @HttpCode(HttpStatus.NO_CONTENT)
  async signOut(@Req() request: Request): Promise<void> {
    await new Promise<void>((done, failed) =>
      request.session.destroy((error: unknown) => (error ? failed(problemFrom(error)) : done())),
    );
  }

  /** A fresh session id on sign-in, so that one planted before is worth nothing. */
  private async begin(request: Request, user: { id: string; name: string }): Promise<void> {
    await beginSession(request, user, (await this.store.workshopsOf(user.id))[0]?.id ?? null);
  }

  private async view(request: Request): Promise<SessionView> {
    const { userId, userName, workshopId } = request.session;
    const demo = this.settings.offerDemo && (await this.store.demoOwner()) !== null;
    const signUp = this.settings.signUp === 'open';
    const life = await this.store.life();
    if (userId === undefined)
      return { userId: null, userName: null, workshopId: null, workshops: [], demo, signUp, life };
    return {
      userId,
      userName: userName ?? null,
      workshopId: workshopId ?? null,
      workshops: await this.store.workshopsOf(userId),
      demo,
      signUp,
      life,
    };
  }
}

/** Starts a new session for a user. */
export async function beginSession(
  request: Request,
  user: { id: string; name: string },
  workshopId: string | null,
): Promise<void> {
  await new Promise<void>((done, failed) =>
    request.session.regenerate((error: unknown) => (error ? failed(problemFrom(error)) : done())),
  );
  Object.assign(request.session, { userId: user.id, userName: user.name, workshopId });
}

/** The signed-in user's id, or a refusal. */
export function signedIn(request: Request): string {
  const { userId } = request.session;
  if (userId === undefined)
    throw new Problem(HttpStatus.UNAUTHORIZED, 'You are not signed in. Sign in and try again.');
  return userId;
}

const problemFrom = (error: unknown): Error => (error instanceof Error ? error : new Error(String(error)));
