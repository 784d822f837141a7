/** Units a figure can have; lengths are in mm and shown in the reader's units. */
export type FigureUnit =
  'mm' | 'rpm' | 'min' | 'g' | 'cm3' | 'cm2' | '°' | '%' | 'm/min' | 'pieces' | 'N' | 'money' | '';

/** One input of a figure's working. */
interface WorkingInput {
  label: string;
  value: number | string;
  unit?: FigureUnit;
}

/** How a figure came about: the rule in words, where the rule is from, its inputs, its school. */
export interface Working {
  rule: string;
  source: string;
  inputs: WorkingInput[];
  school?: string;
}

/** A number that matters, with its unit and its working. */
export interface Figure {
  id: string;
  label: string;
  value: number;
  unit: FigureUnit;
  /** what is stamped on the thing that the figure is about: it is told so, whatever units are read */
  told?: string;
  working: Working;
}
