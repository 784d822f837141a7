/** How a material behaves under the tool; fits, speeds and pecks follow from it. */
export const MATERIAL_CLASSES = ['softwood', 'hardwood', 'dense hardwood', 'resin'] as const;
export type MaterialClass = (typeof MATERIAL_CLASSES)[number];

/** What a material is made of: only solid wood shrinks and swells as the tables of wood say. */
export const MATERIAL_FAMILIES = [
  'wood',
  'laminated wood',
  'stabilised wood',
  'resin',
  'horn',
  'antler',
] as const;
export type MaterialFamily = (typeof MATERIAL_FAMILIES)[number];

/** How sure a value is. Values recalled from general knowledge are never more than typical. */
export const CERTAINTIES = ['measured', 'from the supplier', 'typical, unchecked'] as const;
export type Certainty = (typeof CERTAINTIES)[number];

/** How dust, or touching it, behaves: usual, known to irritate, or to sensitise. */
export const DUST_HAZARDS = { usual: 'usual', irritant: 'irritates', sensitiser: 'sensitises' } as const;
export type DustHazard = keyof typeof DUST_HAZARDS;

/** Shade of the finished material, for drawings. */
export const TONE_NAMES = ['pale', 'honey', 'amber', 'russet', 'umber', 'olive', 'clear'] as const;
export type Tone = (typeof TONE_NAMES)[number];

/** Where a value is from and how sure it is. */
export interface Provenance {
  source: string;
  certainty: Certainty;
}

export interface Material {
  id: string;
  name: string;
  class: MaterialClass;
  family: MaterialFamily;
  /** g/cm³ at 12 % moisture */
  density: number;
  /** stiffness along the grain, MPa; null when nobody knows */
  stiffness: number | null;
  /** shrinkage from green to oven-dry across the rings and along them, %; null when nobody knows */
  shrinkRadial: number | null;
  shrinkTangential: number | null;
  /** force that presses a ball half way in, N; null when nobody knows */
  hardness: number | null;
  grain: string;
  /** oily woods are wiped with solvent before glue and finish */
  oily: boolean;
  dust: DustHazard;
  skin: DustHazard;
  /** what usually leaves the best surface */
  tool: string;
  /** first grit after a clean cut, P scale */
  startGrit: number;
  /** what sanding takes off the diameter, mm */
  sandingAllowance: number;
  drilling: string;
  uses: string;
  tone: Tone;
  /** holds for every value that `provenance` does not name */
  source: string;
  certainty: Certainty;
  provenance: Partial<Record<MaterialField, Provenance>>;
}

/** The values of a material that somebody can know better than the library. */
export type MaterialField =
  | 'density'
  | 'stiffness'
  | 'shrinkRadial'
  | 'shrinkTangential'
  | 'hardness'
  | 'grain'
  | 'oily'
  | 'dust'
  | 'skin'
  | 'tool'
  | 'startGrit'
  | 'sandingAllowance'
  | 'drilling'
  | 'uses';

/** Where one value of a material is from; a value that nobody knows has no provenance. */
export function provenanceOf(material: Material, field: MaterialField): Provenance | null {
  if (material[field] === null || material[field] === '') return null;
  return material.provenance[field] ?? { source: material.source, certainty: material.certainty };
}

/** A value that a workshop knows better, with where it has it from. */
export const corrected = (
  material: Material,
  change: Partial<Pick<Material, MaterialField>>,
  provenance: Provenance,
): Material => {
  const fields = Object.keys(change) as MaterialField[];
  return {
    ...material,
    ...change,
    provenance: { ...material.provenance, ...Object.fromEntries(fields.map((f) => [f, provenance])) },
  };
};
