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

/** Runs a command to its end; what it said comes with its code. */
export function runQuietly(command, args) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
    let output = '';
    for (const from of [child.stdout, child.stderr]) from.on('data', (text) => (output += text));
    child.on('error', (error) => done({ code: 127, output: error.message }));
    child.on('close', (code) => done({ code: code ?? 1, output: output.trim() }));
  });
}

/** Output of a command, or null when it fails. */
export function outputOf(command, args, options = {}) {
  const result = spawnSync(command, args, { encoding: 'utf8', ...options });
  return result.status === 0 ? result.stdout.trim() : null;
}

/** Path of a program, or null. */
export const programAt = (name) => outputOf('sh', ['-c', `command -v ${name}`]);
