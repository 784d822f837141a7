import { defineConfig } from '@playwright/test';

const root = process.getuid?.() === 0;

export default defineConfig({
  testDir: '.',
  timeout: 180_000,
  expect: { timeout: 20_000 },
  workers: 1,
  retries: 0,
  reporter: [['list'], ['json']],
  outputDir: '../test-results',
  use: {
    baseURL: process.env['COMPAS_URL'],
    viewport: { width: 1280, height: 800 },
    actionTimeout: 20_000,
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
