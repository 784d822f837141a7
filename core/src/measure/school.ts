/** How the speed is chosen: rpm × diameter inside a band, or surface speed by material and tool. */
export type SpeedSchool = 'rpm-diameter' | 'surface-speed';

/** How a batch is worked: each piece finished in turn, or each operation on all pieces in turn. */
export type BatchingSchool = 'by-piece' | 'by-operation';

/** One of several legitimate ways, chosen by the workshop and changeable for a plan. */
export interface Schools {
  speed: SpeedSchool;
  batching: BatchingSchool;
}
