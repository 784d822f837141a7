import { spawnSync } from 'node:child_process';
import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const ROOT = join(__dirname, '..', '..');
const data = mkdtempSync(join(tmpdir(), 'compas-cert-'));
afterAll(() => rmSync(data, { recursive: true }));

it('the certificate speaks for this machine by its names, and for no other by signing', () => {
  const made = spawnSync(process.execPath, [join(ROOT, 'scripts/cert.mjs')], {
    env: { ...process.env, COMPAS_DATA: data },
    encoding: 'utf8',
  });
  expect(made.status).toBe(0);
  const cert = new X509Certificate(readFileSync(join(data, 'compas.crt')));
  expect(cert.ca).toBe(false);
  expect(cert.checkHost('localhost')).toBe('localhost');
  expect(cert.checkIP('127.0.0.1')).toBe('127.0.0.1');
  expect(cert.checkHost('elsewhere.example')).toBeUndefined();
  expect(cert.keyUsage).toEqual(['1.3.6.1.5.5.7.3.1']);
  expect(statSync(join(data, 'compas.key')).mode & 0o077).toBe(0);
  expect(readdirSync(data).sort()).toEqual(['compas.crt', 'compas.key']);
});
