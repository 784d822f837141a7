import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { ensureProgram } from './packages.mjs';
import { DATA, main, say } from './project.mjs';
import { run } from './run.mjs';

/** It speaks for the names in it and signs nothing: a tablet that trusts it trusts no other certificate by it. */
const settingsFor = (names) => `[req]
prompt = no
distinguished_name = subject
x509_extensions = server
[subject]
CN = Compas
[server]
basicConstraints = critical, CA:FALSE
keyUsage = critical, digitalSignature
extendedKeyUsage = serverAuth
subjectAltName = ${names}
`;

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
  const settings = join(DATA, 'compas.cnf');
  writeFileSync(settings, settingsFor(names));
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
      '-config',
      settings,
      '-keyout',
      key,
      '-out',
      cert,
    ],
    { stdio: ['ignore', 'ignore', 'ignore'] },
  );
  rmSync(settings);
  say(`made ${cert} and ${key}`);
  say(
    `start with HOST=0.0.0.0 TLS_CERT=${cert} TLS_KEY=${key} npm start, and let each tablet trust the certificate once`,
  );
});
