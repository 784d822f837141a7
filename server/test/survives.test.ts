import { fork, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { Agent, request as ask, type IncomingHttpHeaders } from 'node:http';
import { connect, createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import { join } from 'node:path';
import { Client } from 'pg';
import { settingsFromEnvironment } from '../src/database/settings.js';
import { PASSWORD } from './app.js';

/** A line to the database that can be cut and mended. */
class Line {
  private readonly through = new Set<Socket>();
  private cut = false;
  private readonly server: Server;

  constructor(private readonly to: URL) {
    this.server = createServer((socket) => {
      if (this.cut) return socket.destroy();
      const onward = connect(Number(to.port || 5432), to.hostname);
      for (const [a, b] of [
        [socket, onward],
        [onward, socket],
      ] as const) {
        this.through.add(a);
        a.on('error', () => undefined);
        a.on('close', () => {
          this.through.delete(a);
          b.destroy();
        });
        a.pipe(b);
      }
    });
  }

  async open(): Promise<string> {
    await new Promise<void>((done) => this.server.listen(0, '127.0.0.1', done));
    const url = new URL(this.to.href);
    url.hostname = '127.0.0.1';
    url.port = String((this.server.address() as AddressInfo).port);
    return url.href;
  }

  sever(): void {
    this.cut = true;
    for (const socket of this.through) socket.destroy();
  }
  mend(): void {
    this.cut = false;
  }
  close(): void {
    this.sever();
    this.server.close();
  }
}

interface Answer {
  status: number;
  headers: IncomingHttpHeaders;
  body: { detail?: string; title?: string; status?: string | number };
}

/** The built server as it runs in a shop, on a line of its own to the database. */
class Shop {
  readonly agent = new Agent({ keepAlive: true });
  readonly ended: Promise<number | null>;
  private cookie = '';

  private constructor(
    readonly child: ChildProcess,
    private readonly port: number,
  ) {
    this.ended = new Promise((done) => child.on('exit', (code) => done(code)));
  }

  static async open(databaseUrl: string, name: string): Promise<Shop> {
    const port = await freePort();
    const env = {
      ...process.env,
      COMPAS_DB_URL: databaseUrl,
      PGAPPNAME: name,
      HOST: '127.0.0.1',
      PORT: String(port),
    };
    const child = fork(join(__dirname, '../dist/main.js'), {
      env,
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    });
    await new Promise<void>((done, failed) => {
      child.on('message', () => done());
      child.on('exit', (code) => failed(new Error(`It ended with ${code} before it listened.`)));
    });
    return new Shop(child, port);
  }

  say(method: string, path: string, body?: object): Promise<Answer> {
    return new Promise((done, failed) => {
      const asked = ask(
        {
          host: '127.0.0.1',
          port: this.port,
          path,
          method,
          agent: this.agent,
          headers: { 'x-compas': '1', 'content-type': 'application/json', cookie: this.cookie },
        },
        (answer) => {
          let text = '';
          answer.on('data', (chunk: Buffer) => (text += chunk.toString()));
          answer.on('end', () => {
            const [cookie] = answer.headers['set-cookie'] ?? [];
            if (cookie) this.cookie = cookie.split(';')[0] ?? '';
            done({
              status: answer.statusCode ?? 0,
              headers: answer.headers,
              body: (text === '' ? {} : JSON.parse(text)) as Answer['body'],
            });
          });
          answer.on('error', failed);
        },
      );
      asked.on('error', failed);
      asked.end(body ? JSON.stringify(body) : undefined);
    });
  }

  async signUp(): Promise<void> {
    const email = `person.${randomUUID()}@example.test`;
    const account = {
      name: 'Ode',
      email,
      password: PASSWORD,
      workshop: 'Shop',
      timeZone: 'UTC',
      units: 'mm',
    };
    const { status } = await this.say('POST', '/api/session/account', account);
    expect(status).toBe(200);
  }
}

const freePort = () =>
  new Promise<number>((done) => {
    const server = createServer();
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => done(port));
    });
  });

const settings = settingsFromEnvironment();
const asOwner = async (sql: string, values: unknown[]): Promise<void> => {
  const client = new Client({ connectionString: settings.databaseUrl });
  await client.connect();
  await client.query(sql, values);
  await client.end();
};
/** Asks until it answers so, or gives the last answer after a while. */
async function until(shop: Shop, path: string, status: number): Promise<Answer> {
  for (let i = 0; ; i++) {
    const answer = await shop.say('GET', path);
    if (answer.status === status || i > 60) return answer;
    await new Promise((later) => setTimeout(later, 100));
  }
}
/** Waits for it while the server lives: a busy machine does nothing by a count of milliseconds. */
async function untilTrue(ready: () => boolean): Promise<void> {
  while (!ready()) {
    if (shop.child.exitCode !== null) throw new Error(`The server ended with ${shop.child.exitCode}.`);
    await new Promise((later) => setTimeout(later, 20));
  }
}

let line: Line;
let shop: Shop;
let name: string;
beforeEach(async () => {
  name = `survives ${randomUUID().slice(0, 8)}`;
  line = new Line(new URL(settings.databaseUrl));
  shop = await Shop.open(await line.open(), name);
  await shop.signUp();
});
afterEach(async () => {
  shop.child.kill('SIGKILL');
  await shop.ended;
  shop.agent.destroy();
  line.close();
});

describe('a server whose database goes away', () => {
  it('goes on when idle connections are ended, those of the sessions too', async () => {
    for (let i = 0; i < 3; i++) {
      await Promise.all(Array.from({ length: 8 }, () => shop.say('GET', '/api/patterns')));
      await asOwner('SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE application_name = $1', [
        name,
      ]);
      expect((await until(shop, '/api/patterns', 200)).status).toBe(200);
    }
    expect(shop.child.exitCode).toBeNull();
  });

  it('says so in a sentence to whoever asks, in its health too, and works again when it is back', async () => {
    line.sever();
    // who somebody is stays known for some seconds
    const [refused, health] = [await until(shop, '/api/patterns', 503), await shop.say('GET', '/api/health')];
    expect(refused.status).toBe(503);
    expect(refused.body.detail).toContain('The database cannot be reached right now. Try again');
    expect(refused.headers['retry-after']).toBe('5');
    expect(refused.headers['content-type']).toContain('application/problem+json');
    expect(health.status).toBe(503);
    expect(health.body.detail).toContain('The database cannot be reached');
    line.mend();
    expect((await until(shop, '/api/patterns', 200)).status).toBe(200);
    expect((await shop.say('GET', '/api/health')).body).toMatchObject({ status: 'ok' });
    expect(shop.child.exitCode).toBeNull();
  });

  it('answers everybody while connections are ended under load, and none with its innards', async () => {
    const answers: Answer[] = [];
    let over = false;
    const hands = Array.from({ length: 4 }, async () => {
      while (!over) answers.push(await shop.say('GET', '/api/batches'));
    });
    for (let i = 0; i < 6; i++) {
      const enough = answers.length + 4;
      await untilTrue(() => answers.length >= enough);
      await asOwner('SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE application_name = $1', [
        name,
      ]);
    }
    over = true;
    await Promise.all(hands);
    expect([...new Set(answers.map((a) => a.status))].filter((s) => s !== 200 && s !== 503)).toEqual([]);
    expect((await until(shop, '/api/batches', 200)).status).toBe(200);
    expect(shop.child.exitCode).toBeNull();
  });
});

describe('a server that is told to stop', () => {
  it('answers all that was asked, refuses nobody, and is gone', async () => {
    const statuses: number[] = [];
    let refused = 0;
    let over = false;
    const hands = Array.from({ length: 3 }, async () => {
      while (!over)
        try {
          statuses.push((await shop.say('GET', '/api/patterns')).status);
        } catch {
          // nobody listens any more: that is no answer, and no wrong one
          refused++;
          over = true;
        }
    });
    // told in the middle of its work, however fast this machine does it
    await untilTrue(() => statuses.length > 10);
    shop.child.kill('SIGTERM');
    expect(await shop.ended).toBe(0);
    over = true;
    await Promise.all(hands);
    expect([...new Set(statuses)]).toEqual([200]);
    expect(refused).toBeGreaterThan(0);
  });

  it.each(['SIGHUP', 'SIGINT'] as const)('goes by %s as well', async (signal) => {
    shop.child.kill(signal);
    expect(await shop.ended).toBe(0);
  });

  it('goes when whoever started it is gone', async () => {
    shop.child.disconnect();
    expect(await shop.ended).toBe(0);
  });

  it('goes in time though the database hangs', async () => {
    line.sever();
    shop.child.kill('SIGTERM');
    expect(await shop.ended).not.toBeNull();
  });
});
