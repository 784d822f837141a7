import { Client, type ClientConfig } from 'pg';

/**
 * A connection whose loss never ends the server. Between the moment a pool gives a connection out and the moment its new
 * holder listens to it, nobody does, and an error that nobody listens to ends a process: PostgreSQL may greet and dismiss
 * in one packet. Nothing is hidden by it: the next question on the connection is refused.
 */
export class SteadyClient extends Client {
  constructor(config?: ClientConfig) {
    super(config);
    this.on('error', () => undefined);
  }
}
