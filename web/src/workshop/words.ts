import type { Allowances, Copying, Lathe, Sawing, Schools, SpeedBand, Workshop } from '@compas/core';

/** What the fields of the workshop are called, where they are edited and where two edits meet. */
export const LATHE_WORDS: Record<keyof Lathe, string> = {
  name: 'Name',
  drive: 'Driven by',
  swing: 'Swing over the bed (diameter)',
  betweenCentres: 'Between centres',
  overRest: 'Swing over the rest’s banjo',
  quillTravel: 'The quill goes out',
  spindleThread: 'Spindle thread',
  taper: 'Taper',
};

export const HABIT_WORDS = {
  units: 'Lengths are read in',
  currency: 'Stock is paid in',
} satisfies Partial<Record<keyof Workshop, string>>;

export const SCHOOL_WORDS: Record<keyof Schools, string> = {
  speed: 'Speed school',
  batching: 'A batch goes',
  drilling: 'Holes are drilled',
};

export const BAND_WORDS: Record<keyof SpeedBand, string> = {
  low: 'rpm × mm, low end',
  high: 'rpm × mm, high end',
};

export const ALLOWANCE_WORDS: Record<keyof Allowances, string> = {
  skim: 'Skim, on the diameter',
  centring: 'Centring error',
  wasteDrive: 'Waste at the drive',
  wasteTail: 'Waste at the tail',
  parting: 'Parting, per piece',
  leastWall: 'Thinnest wall round a hole',
  holeRoom: 'Room at the bottom of a hole',
};

/** Lengths of the saws; the one field that is none has a box of its own. */
export const SAWING_WORDS: Record<Exclude<keyof Sawing, 'offcutsCarryCost'>, string> = {
  ripKerf: 'Kerf of the rip saw',
  crossKerf: 'Kerf of the crosscut saw',
  surfacing: 'Planed off each face and edge',
  endTrim: 'Cut off each end of new stock',
  leastOffcutLength: 'Keep offcuts this long',
  leastOffcutWidth: 'and this wide',
  leaveOversize: 'Leave stock this much too thick',
  splitDrift: 'A split drifts, over a metre',
};

export const COPYING_WORDS: Record<keyof Copying, string> = {
  stylus: 'Radius of the stylus, 0 for a knife',
  cutter: 'Radius of the cutter’s nose',
  templateKerf: 'Kerf that cuts templates and gauges',
};
