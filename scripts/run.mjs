import { spawn, spawnSync } from 'node:child_process';
import { ROOT } from './project.mjs';

/** Runs a command to its end with its output shown; throws when it fails. */
export function run(command, args, options = {}) {
  return new Promise((done, failed) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
    child.on('error', (error) => failed(new Error(`${command} cannot be run: ${error.message}`)));
    child.on('close', (code) =>
      code === 0 ? done() : failed(new Error(`${command} ${args.join(' ')} ended with ${code}.`)),
    );
  });
}

/** Output of a command, or null when it fails. */
export function outputOf(command, args, options = {}) {
  const result = spawnSync(command, args, { encoding: 'utf8', ...options });
  return result.status === 0 ? result.stdout.trim() : null;
}

/** Path of a program, or null. */
export const programAt = (name) => outputOf('sh', ['-c', `command -v ${name}`]);
