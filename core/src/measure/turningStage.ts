/** What the lathe turns for; each has a speed of its own. */
export const TURNING_STAGES = [
  'rough',
  'mark',
  'size',
  'shape',
  'turn off axis',
  'sand',
  'texture',
  'burn',
  'dye',
  'finish slow',
  'finish fast',
  'part off',
] as const;
export type TurningStage = (typeof TURNING_STAGES)[number];
