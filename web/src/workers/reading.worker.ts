import { FileProblem, readCsv, readStockCsv } from '@compas/core';
import { expose } from 'comlink';
import { imported } from './importing.js';

const READERS = { pattern: imported, trace: readCsv, stock: readStockCsv };

const UNREADABLE = 'Nothing can be made of it. Save it anew, with nothing but the profile.';

export type Readers = typeof READERS;

/** What came of a file, or a sentence; errors of our own do not cross over to the page as what they are. */
export type Read<R> = { ok: true; value: R } | { ok: false; why: string };

const reading = {
  read<N extends keyof Readers>(name: N, given: Parameters<Readers[N]>): Read<ReturnType<Readers[N]>> {
    try {
      const reader = READERS[name] as (...given: unknown[]) => ReturnType<Readers[N]>;
      return { ok: true, value: reader(...given) };
    } catch (error) {
      // whatever it stumbled over, nothing is taken in and it is said
      return { ok: false, why: error instanceof FileProblem ? error.message : UNREADABLE };
    }
  },
};

export type Reading = typeof reading;

expose(reading);
