import { readdirSync } from 'node:fs';
import { defineConfig } from '@playwright/test';
import { inSeedOrder } from './share.js';

const root = process.getuid?.() === 0;
const files = readdirSync(import.meta.dirname).filter((file) => file.endsWith('.spec.ts'));

export default defineConfig({
  testDir: '.',
  // how long is waited at the most for what happens: six others may be at work on the machine
  timeout: 900_000,
  expect: { timeout: 60_000 },
  // each worker has a server with a workshop of its own
  workers: (process.env['COMPAS_URLS'] ?? '').split(' ').length,
  fullyParallel: true,
  retries: 0,
  reporter: [['list'], ['json']],
  outputDir: '../test-results',
  // the runner takes files by their names, projects as they stand
  projects: inSeedOrder(files).map((file) => ({
    name: file.replace('.spec.ts', ''),
    testMatch: file,
  })),
  use: {
    viewport: { width: 1280, height: 800 },
    // each test is a new browser: it would fetch and keep the whole application before it begins
    serviceWorkers: 'block',
    actionTimeout: 60_000,
    launchOptions: {
      executablePath: process.env['CHROMIUM'],
      args: [
        ...(root ? ['--no-sandbox'] : []),
        '--disable-quic',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
});
