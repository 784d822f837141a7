import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Folder of the project. */
export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));

/** Folder of the data: the database cluster, its passwords, certificates. */
export const DATA = process.env.COMPAS_DATA ? resolve(process.env.COMPAS_DATA) : join(ROOT, '.compas');

/** Tells the person at the terminal what is going on. */
export const say = (words) => console.log(`compas: ${words}`);

/** Ends with a plain reason. */
export function fail(reason) {
  console.error(`compas: ${reason}`);
  process.exit(1);
}

/** Runs a script's main function; an error becomes a sentence instead of a stack. */
export async function main(work) {
  try {
    await work();
  } catch (error) {
    fail(process.env.COMPAS_TRACE ? (error?.stack ?? String(error)) : (error?.message ?? String(error)));
  }
}
