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
}

type StationVerdict = 'good' | 'fat' | 'thin';

/** A reading held against its station. */
export interface Judgement {
  verdict: StationVerdict;
  /** measured − wanted, mm */
  deviation: number;
  /** what to do, with length marks */
  words: string;
}
