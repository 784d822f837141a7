import type { Server } from 'node:http';
import type { RequestHandler } from 'express';

/** Connections that wait for nothing are looked for so often while it drains, ms. */
const LOOK = 50;

/**
 * Lets a server end without cutting anybody off: no new connections, what is asked is answered, and each connection is
 * closed with its answer.
 */
export class Drain {
  private draining = false;

  constructor(private readonly server: Server) {}

  /** Before everything else: an answer that is given while it drains is the last on its connection. */
  readonly handler: RequestHandler = (_request, response, next) => {
    if (this.draining) response.setHeader('connection', 'close');
    next();
  };

  /**
   * Resolves when the last answer is given, or after a limit, when what is left is cut.
   * @param limit ms
   * @returns whether all was answered
   */
  async end(limit: number): Promise<boolean> {
    this.draining = true;
    const closed = new Promise<true>((done) => this.server.close(() => done(true)));
    const look = setInterval(() => this.server.closeIdleConnections(), LOOK);
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<false>((done) => {
      timer = setTimeout(() => done(false), limit);
    });
    const all = await Promise.race([closed, late]);
    clearTimeout(timer);
    clearInterval(look);
    if (!all) this.server.closeAllConnections();
    return all;
  }
}
