import { mkdirSync } from 'node:fs';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { ensureProgram } from './packages.mjs';
import { DATA, main, say } from './project.mjs';
import { run } from './run.mjs';

/** Makes a certificate and key for this machine's names and addresses, signed by itself. */
await main(async () => {
  await ensureProgram('openssl', 'openssl');
  mkdirSync(DATA, { recursive: true });
  const cert = join(DATA, 'compas.crt');
  const key = join(DATA, 'compas.key');
  const addresses = Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .map((a) => `IP:${a.address.split('%')[0]}`);
  const names = ['DNS:localhost', ...new Set(addresses)].join(',');
  await run(
    'openssl',
    [
      'req',
      '-x509',
      '-newkey',
      'ec',
      '-pkeyopt',
      'ec_paramgen_curve:P-256',
      '-nodes',
      '-days',
      '825',
      '-subj',
      '/CN=Compas',
      '-addext',
      `subjectAltName=${names}`,
      '-keyout',
      key,
      '-out',
      cert,
    ],
    { stdio: ['ignore', 'ignore', 'ignore'] },
  );
  say(`made ${cert} and ${key}`);
  say(
    `start with HOST=0.0.0.0 TLS_CERT=${cert} TLS_KEY=${key} npm start, and let each tablet trust the certificate once`,
  );
});
