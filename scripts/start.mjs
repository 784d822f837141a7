import { build } from './build.mjs';
import { loadDemo, migrate, openDatabase } from './database.mjs';
import { ensureDependencies } from './packages.mjs';
import { main, say } from './project.mjs';
import { serve } from './serve.mjs';

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '::1']);
const host = process.env.HOST ?? '127.0.0.1';
/** The demo lets everybody in: where other machines reach it, it is there only when it is asked for. */
const demo = process.env.COMPAS_DEMO === 'on' || (process.env.COMPAS_DEMO !== 'off' && LOOPBACK.has(host));

await main(async () => {
  await ensureDependencies();
  await build();
  say('starting the database');
  const database = await openDatabase();
  const stop = () => {
    say('stopping the database');
    database.stop();
  };
  try {
    await migrate(database.env);
    if (demo) await loadDemo(database.env);
    await serveUntilStopped({ ...database.env, COMPAS_DEMO: demo ? 'on' : 'off' }, demo);
  } finally {
    stop();
  }
});

async function serveUntilStopped(env, demo) {
  const port = process.env.PORT ?? '4600';
  const tls = Boolean(process.env.TLS_CERT && process.env.TLS_KEY);
  const server = serve({ ...env, HOST: host, PORT: port });
  let asked = false;
  const stop = () => {
    asked = true;
    server.stop();
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, stop);
  whenOrphaned(stop);
  await server.listening;
  if (!LOOPBACK.has(host) && !tls)
    say(
      'WARNING: served to other machines without TLS: anybody in the network can read along, and tablets cannot work offline. Run npm run cert and set TLS_CERT and TLS_KEY.',
    );
  if (!LOOPBACK.has(host))
    say(
      demo
        ? 'WARNING: the demo workshop is open to everybody who reaches this address. COMPAS_DEMO=off shuts it.'
        : 'the demo workshop is shut, since other machines reach this address. COMPAS_DEMO=on opens it.',
    );
  say(`open ${tls ? 'https' : 'http'}://${host}:${port}`);
  if (demo)
    say('demo sign-in: maren@quillhaven.example with shavings-everywhere, or the button on the first screen');
  say('stop with Ctrl-C');
  const code = await server.ended;
  if (!asked && code !== 0) throw new Error(`The server ended by itself, with ${code}. Start it again.`);
}

/** npm does not always pass a signal on: when it is gone, this goes too. */
function whenOrphaned(stop) {
  if (process.env.npm_lifecycle_event === undefined) return;
  const parent = process.ppid;
  const watch = setInterval(() => {
    if (process.ppid === parent) return;
    clearInterval(watch);
    stop();
  }, 1_000);
  watch.unref();
}
