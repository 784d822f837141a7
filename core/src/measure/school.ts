/** How the speed is chosen: rpm × diameter inside a band, or surface speed by material and tool. */
export const SPEED_SCHOOLS = { 'rpm-diameter': 'rpm × diameter', 'surface-speed': 'surface speed' } as const;
export type SpeedSchool = keyof typeof SPEED_SCHOOLS;

/**
 * How a batch is worked: each operation on all pieces in turn, each piece finished in turn, or all pieces sawn,
 * marked, drilled and glued before each is made from mount to finish without leaving the lathe.
 */
export const BATCHING_SCHOOLS = {
  'by-operation': 'by operation',
  'by-piece': 'piece by piece',
  'prepare-all': 'prepare all, then piece by piece',
} as const;
export type BatchingSchool = keyof typeof BATCHING_SCHOOLS;

/** When a hole is drilled: while there is something square to hold, or later when the outside runs true. */
export const DRILL_MOMENTS = ['square blank', 'after rounding', 'after shaping', 'after parting'] as const;
export type DrillMoment = (typeof DRILL_MOMENTS)[number];

/** What turns and what is fed: bit in the tailstock, bit in the headstock, or the drill press. */
export const DRILL_SETUPS = ['tailstock', 'headstock', 'drill press'] as const;
export type DrillSetup = (typeof DRILL_SETUPS)[number];

/** One of several legitimate ways, chosen by the workshop and changeable for a plan. */
export interface Schools {
  speed: SpeedSchool;
  batching: BatchingSchool;
  /** when holes along the axis are drilled; square blanks when not said */
  drilling?: DrillMoment;
}
