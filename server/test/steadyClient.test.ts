import { createServer, type AddressInfo, type Server } from 'node:net';
import { Pool } from 'pg';
import { SteadyClient } from '../src/database/steadyClient.js';
import { isUnreachable } from '../src/edge/unreachable.js';

/** A message of PostgreSQL's protocol: its kind, its length, what it says. */
function message(kind: string, said: Buffer): Buffer {
  const length = Buffer.alloc(4);
  length.writeInt32BE(said.length + 4);
  return Buffer.concat([Buffer.from(kind), length, said]);
}
const WELCOME = message('R', Buffer.alloc(4));
const READY = message('Z', Buffer.from('I'));
const DISMISSED = message(
  'E',
  Buffer.from('SFATAL\0C57P01\0Mterminating connection due to administrator command\0\0'),
);

let server: Server;
let pool: Pool;
beforeEach(async () => {
  // greets and dismisses in one packet, as PostgreSQL does whose connections are ended under load
  server = createServer((socket) => {
    socket.once('data', () => socket.end(Buffer.concat([WELCOME, READY, DISMISSED])));
    socket.on('error', () => undefined);
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  pool = new Pool({ host: '127.0.0.1', port, user: 'ode', database: 'shop', Client: SteadyClient });
  pool.on('error', () => undefined);
});
afterEach(async () => {
  await pool.end();
  server.close();
});

it('outlives a connection that is ended while it is handed out, and refuses what is asked on it', async () => {
  const client = await pool.connect();
  const refused: unknown = await client.query('SELECT 1').catch((error: unknown) => error);
  client.release(true);
  expect(isUnreachable(refused)).toBe(true);
});
