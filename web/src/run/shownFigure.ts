/** The one number of a step with its name, what it is measured from, and where along the wood it is worked. mm */
export type ShownFigure = ({ label: string; mm: number; to?: number } | { label: string; text: string }) & {
  /** what a length is measured from */
  from?: string;
  /** from one place to another; without the first it begins at the end itself, without both it is the end */
  at?: { mm?: number; to?: number; from: string };
};
