import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** When a process began, in ticks of the machine; null where nobody can tell or it is gone. */
function begunAt(pid) {
  try {
    // the name of a program may hold spaces and brackets: what counts comes after the last one
    return readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').at(-1).split(' ')[19];
  } catch {
    return null;
  }
}

/** A process that began when its lease says so: numbers are given to others again. */
const lives = (pid, begun) => begun !== '' && begunAt(pid) === begun;

/**
 * Who uses the database of a data folder. Whoever leaves last stops it; one that was killed does not count.
 * @param data folder of the data
 */
export function leaseOf(data) {
  const folder = join(data, 'in-use');
  const own = join(folder, String(process.pid));
  return {
    take() {
      mkdirSync(folder, { recursive: true });
      writeFileSync(own, begunAt(process.pid) ?? '');
    },
    /** @returns whether nobody else uses it any more */
    leave() {
      rmSync(own, { force: true });
      const others = readdirSync(folder).filter((pid) => {
        const file = join(folder, pid);
        const alive = existsSync(file) && lives(pid, readFileSync(file, 'utf8'));
        if (!alive) rmSync(file, { force: true });
        return alive;
      });
      return others.length === 0;
    },
  };
}
