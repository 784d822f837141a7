import { fitSample, pointsOf, type PatternBody } from '@compas/core';
import type { NewSampleDto } from '../pattern/sample.dto.js';
import measured from './oldFinialTrace.json' with { type: 'json' };

/** An edge on a photo is known to about a quarter of a pixel. */
const PIXEL_SHARE = 0.25;

/** The finial of the made-up photo as it was measured from it. */
export const oldFinialSample = (): NewSampleDto => ({
  name: 'Old stair finial',
  measuredBy: 'photo',
  trace: measured.trace,
  note: 'From the photo of the one that is left.',
});

/** The pattern that the fit makes of it, its elements named by whoever copied it. */
export function oldFinialPattern(): PatternBody {
  const { turning } = fitSample(pointsOf(measured.trace), { unsure: PIXEL_SHARE * measured.mmPerPixel });
  const [first, ...rest] = turning.elements;
  if (!first) throw new Error('The sample has no elements.');
  return {
    schema: 1,
    kind: 'finial',
    usedBy: 'anybody',
    parts: [
      {
        id: 'part1',
        name: 'Body',
        perItem: 1,
        materialId: 'beech',
        turnings: [{ ...turning, elements: [{ ...first, name: 'peg' }, ...rest] }],
        holes: [],
      },
    ],
    hardware: [],
    source: {
      from: 'sample',
      words: 'The one finial left on the stair at Otterly House',
      allows: 'To be made for that stair only',
    },
    lastId: 100,
  };
}
