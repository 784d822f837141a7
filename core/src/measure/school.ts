/** How the speed is chosen: rpm × diameter inside a band, or surface speed by material and tool. */
export type SpeedSchool = 'rpm-diameter' | 'surface-speed';

/** How a batch is worked: each piece finished in turn, or each operation on all pieces in turn. */
export type BatchingSchool = 'by-piece' | 'by-operation';

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
