import { solverOf, studyCutting, type CutInput, type CutPlan, type StudyProgress } from '@compas/core';
import { expose } from 'comlink';
import loadHighs from 'highs';
import solverCode from 'highs/runtime?url';

const highs = loadHighs({ locateFile: () => solverCode });

const cutting = {
  /** Studies a cutting; tells now and then how far it has come. */
  study: async (input: CutInput, onProgress: (progress: StudyProgress) => void): Promise<CutPlan[]> => {
    const solve = solverOf(await highs);
    return studyCutting(input, solve, onProgress);
  },
};

export type Cutting = typeof cutting;

expose(cutting);
