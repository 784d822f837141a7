import { Controller, Get, HttpStatus, Inject, Param, ParseUUIDPipe, Req, Res } from '@nestjs/common';
import { ApiProduces, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import type { Settings } from '../database/settings.js';
import { SETTINGS } from '../database/settings.token.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';
import { Problem } from '../edge/problem.js';
import { Notices } from './notices.js';

/** A stream holds no transaction and is not compressed: each word of it goes out at once. */
const HEADERS = {
  'content-type': 'text/event-stream',
  'cache-control': 'no-store, no-transform',
  'x-accel-buffering': 'no',
};

/** Tells a tablet that something was recorded on a batch; what it was is asked for with its own rights. */
@ApiTags('batch')
@Controller('batches/:id/stream')
export class StreamController {
  constructor(
    private readonly notices: Notices,
    private readonly transaction: WorkshopTransaction,
    @Inject(SETTINGS) private readonly settings: Settings,
  ) {}

  @Get()
  @ApiProduces('text/event-stream')
  async stream(
    @Param('id', ParseUUIDPipe) id: string,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    const { userId, workshopId } = request.session;
    if (userId === undefined || !workshopId)
      throw new Problem(HttpStatus.FORBIDDEN, 'Choose a workshop first.');
    const isThere = await this.transaction.run(workshopId, userId, () =>
      this.transaction.manager.query<unknown[]>('SELECT 1 FROM batches WHERE id = $1', [id]),
    );
    if (isThere === null)
      throw new Problem(HttpStatus.FORBIDDEN, 'You are no longer a member of this workshop.');
    if (isThere.length === 0) throw Problem.notFound('batch');
    const end = () => void response.end();
    const say = (event: string) => {
      // it may be told of something while it ends
      if (!response.writableEnded) response.write(`event: ${event}\ndata: ${id}\n\n`);
    };
    response.writeHead(HttpStatus.OK, HEADERS);
    const leave = this.notices.follow(workshopId, id, {
      told: () => say('recorded'),
      live: (so) => say(so ? 'live' : 'quiet'),
      end,
    });
    if (leave === null) return end();
    const beat = setInterval(() => {
      void this.isOpen(request, userId, workshopId).then((open) => (open ? say('beat') : end()));
    }, this.settings.beat);
    response.on('close', () => {
      clearInterval(beat);
      leave();
    });
  }

  /** Whether whoever follows is still signed in there, and a member. While that cannot be asked, it is so. */
  private async isOpen(request: Request, userId: string, workshopId: string): Promise<boolean> {
    const session = await new Promise<{ userId?: string; workshopId?: string | null } | null>((found) =>
      request.sessionStore.get(request.sessionID, (error: unknown, session) =>
        found(error ? { userId, workshopId } : (session ?? null)),
      ),
    );
    if (session?.userId !== userId || session.workshopId !== workshopId) return false;
    const member = await this.transaction
      .run(workshopId, userId, () => Promise.resolve(true))
      .catch(() => true);
    return member === true;
  }
}
