import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openBrowser } from './browser.mjs';
import { compileServer } from './build.mjs';
import { main, ROOT, say } from './project.mjs';
import { run } from './run.mjs';

/**
 * Paints the made-up photo of a sample from its true sizes, keeps it as JPEG, measures it as the
 * application does, and says how far the copy is from the truth.
 */
await main(async () => {
  await compileServer();
  const core = await import(join(ROOT, 'core/dist/index.js'));
  const { paintSample } = await import(join(ROOT, 'core/dist/files/fixtures/paintedSample.js'));
  const truth = JSON.parse(readFileSync(join(ROOT, 'core/src/files/fixtures/old-finial.json'), 'utf8'));
  const outline = core.outlineOf(truth.turning);
  const painted = paintSample({ ...truth.photo, outline });
  const { jpeg, pixels } = await asJpeg(painted.picture);
  mkdirSync(join(ROOT, 'web/public/samples'), { recursive: true });
  writeFileSync(join(ROOT, 'web/public/samples/old-finial.jpg'), jpeg);
  const picture = { ...painted.picture, data: new Uint8ClampedArray(pixels) };
  const { points, mmPerPixel } = core.silhouetteOf({ picture, marks: painted.marks, strictness: 1 });
  const fitted = core.fitSample(points, 0.25 * mmPerPixel);
  writeFileSync(
    join(ROOT, 'server/src/demo/oldFinialTrace.json'),
    `${JSON.stringify({ mmPerPixel, trace: core.traceOf(points, 900) })}\n`,
  );
  await run('npx', ['--no-install', 'prettier', '--write', 'server/src/demo/oldFinialTrace.json']);
  const { typical, longer } = core.compareOutlines(outline, fitted.outline);
  say(`photo of ${Math.round(jpeg.length / 1000)} kB, marks ${JSON.stringify(painted.marks)}`);
  for (const [what, x] of Object.entries({
    peg: 7,
    foot: 16.5,
    'base bead': 23.5,
    cove: 36.5,
    stem: 59,
    collar: 76,
    ball: 91.69,
  }))
    say(
      `${what}: true ${(2 * core.radiusAt(outline, x)).toFixed(2)}, copied ${(2 * core.radiusAt(fitted.outline, x)).toFixed(2)}`,
    );
  say(`length: true ${outline.length.toFixed(2)}, copied ${(outline.length + longer).toFixed(2)}`);
  say(`typical difference of the diameter along it: ${typical.toFixed(3)} mm`);
});

async function asJpeg({ data, width, height }) {
  const browser = await openBrowser();
  try {
    const page = await browser.newPage();
    const made = await page.evaluate(
      async ({ raw, width, height }) => {
        const bytes = Uint8ClampedArray.from(atob(raw), (c) => c.charCodeAt(0));
        const canvas = new OffscreenCanvas(width, height);
        const paper = canvas.getContext('2d');
        paper.putImageData(new ImageData(bytes, width, height), 0, 0);
        const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.82 });
        const base64 = async (b) => {
          const list = new Uint8Array(await b.arrayBuffer());
          let text = '';
          for (let i = 0; i < list.length; i += 32768)
            text += String.fromCharCode(...list.subarray(i, i + 32768));
          return btoa(text);
        };
        const bitmap = await createImageBitmap(blob);
        paper.drawImage(bitmap, 0, 0);
        const seen = paper.getImageData(0, 0, width, height).data;
        return { jpeg: await base64(blob), pixels: await base64(new Blob([seen])) };
      },
      { raw: Buffer.from(data.buffer).toString('base64'), width, height },
    );
    return { jpeg: Buffer.from(made.jpeg, 'base64'), pixels: Buffer.from(made.pixels, 'base64') };
  } finally {
    await browser.close();
  }
}
