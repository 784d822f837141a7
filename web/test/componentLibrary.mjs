import { existsSync, readFileSync } from 'node:fs';
import { rename } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { ROOT } from '../../scripts/project.mjs';

const { version } = JSON.parse(readFileSync(join(ROOT, 'node_modules/antd/package.json'), 'utf8'));

/** Where the component library lies as one file: each test of a component would read its 1,500 files anew. */
export const LIBRARY = join(ROOT, '.cache', 'library', `antd-${version}.cjs`);

/** Makes it, once for each version. */
export default async function makeLibrary() {
  if (existsSync(LIBRARY)) return;
  const { build } = await import('vite');
  const made = `${process.pid}.cjs`;
  await build({
    root: ROOT,
    configFile: false,
    publicDir: false,
    build: {
      outDir: dirname(LIBRARY),
      emptyOutDir: false,
      minify: false,
      target: 'node20',
      lib: { entry: join(ROOT, 'node_modules/antd/es/index.js'), formats: ['cjs'], fileName: () => made },
      rolldownOptions: {
        // what the application imports too must be one and the same
        external: [/^react($|\/)/, /^react-dom($|\/)/, /^@ant-design\/cssinjs$/],
        onLog: () => undefined,
      },
    },
  });
  await rename(join(dirname(LIBRARY), made), LIBRARY);
}
