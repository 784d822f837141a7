/** A number with its name, and what it is measured from. mm */
export type ShownSmall = ({ label: string; mm: number; to?: number } | { label: string; text: string }) & {
  from?: string;
};

/** The one number of a step, where along the wood it is worked, and what is read beside it. mm */
export type ShownFigure = ShownSmall & {
  /** from one place to another; without the first it begins at the end itself, without both it is the end */
  at?: { mm?: number; to?: number; from: string };
  beside?: readonly ShownSmall[];
};
