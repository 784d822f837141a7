import { ensureChromium } from './packages.mjs';

/** Debian's Chromium, driven without a window; it asks nothing of the network. */
export async function openBrowser() {
  const { chromium } = await import('@playwright/test');
  const root = process.getuid?.() === 0;
  return chromium.launch({
    executablePath: await ensureChromium(),
    args: [
      ...(root ? ['--no-sandbox'] : []),
      '--disable-quic',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--no-first-run',
    ],
  });
}
