import { cleanCylinder, solverOf, type CleanCylinder, type ReachStation } from '@compas/core';
import { expose } from 'comlink';
import loadHighs from 'highs';
import solverCode from 'highs/runtime?url';

const highs = loadHighs({ locateFile: () => solverCode });

const solving = {
  cylinder: async (stations: ReachStation[]): Promise<CleanCylinder | null> =>
    cleanCylinder(stations, solverOf(await highs)),
};

export type Solving = typeof solving;

expose(solving);
