/** A place that is measured on every piece. mm. */
export interface Station {
  id: string;
  label: string;
  /** from the reference end */
  x: number;
  finished: number;
  cutTo: number;
  /** ± */
  tolerance: number;
  mating: boolean;
  /** it is a distance along the axis from the reference end; what the wood is across there */
  along?: { across: number };
}

/** Off is what lies elsewhere along the axis: neither can be cut again. */
type StationVerdict = 'good' | 'fat' | 'thin' | 'off';

/** A reading held against its station. */
export interface Judgement {
  verdict: StationVerdict;
  /** measured − wanted, mm */
  deviation: number;
  /** what to do, with length marks */
  words: string;
}
