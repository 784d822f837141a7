export type MaterialClass = 'softwood' | 'hardwood' | 'dense hardwood' | 'resin';

/** How sure a value is. Values recalled from general knowledge are never more than typical. */
export type Certainty = 'measured' | 'typical, unchecked';

/** How the dust of a material behaves: usual fine dust, known to irritate, or to sensitise. */
export type DustHazard = 'usual' | 'irritant' | 'sensitiser';

/** Shade of the finished material, for drawings. */
export type Tone = 'pale' | 'honey' | 'amber' | 'russet' | 'umber' | 'olive' | 'clear';

export interface Material {
  id: string;
  name: string;
  class: MaterialClass;
  /** g/cm³ at 12 % moisture */
  density: number;
  /** stiffness along the grain, MPa */
  stiffness: number;
  /** oily woods are wiped with solvent before glue and finish */
  oily: boolean;
  dust: DustHazard;
  /** first grit after a clean cut, P scale */
  startGrit: number;
  /** what sanding takes off the diameter, mm */
  sandingAllowance: number;
  tone: Tone;
  certainty: Certainty;
}

const wood = (
  id: string,
  name: string,
  kind: MaterialClass,
  density: number,
  stiffness: number,
  tone: Tone,
  rest: Partial<Material> = {},
): Material => ({
  id,
  name,
  class: kind,
  density,
  stiffness,
  oily: false,
  dust: 'usual',
  startGrit: kind === 'softwood' ? 120 : kind === 'hardwood' ? 150 : 180,
  sandingAllowance: kind === 'softwood' ? 0.4 : kind === 'hardwood' ? 0.2 : 0.1,
  tone,
  certainty: 'typical, unchecked',
  ...rest,
});

/** Materials Compas knows from the start: typical values, unchecked; a workshop's scales are better. */
export const MATERIALS: readonly [Material, ...Material[]] = [
  wood('ash', 'Ash', 'hardwood', 0.68, 12_500, 'pale'),
  wood('beech', 'Beech', 'hardwood', 0.71, 13_500, 'honey'),
  wood('cherry', 'Cherry', 'hardwood', 0.58, 10_300, 'russet'),
  wood('maple', 'Hard maple', 'hardwood', 0.7, 12_600, 'pale'),
  wood('oak', 'Oak', 'hardwood', 0.69, 11_500, 'amber', { dust: 'irritant' }),
  wood('walnut', 'Walnut', 'hardwood', 0.64, 11_500, 'umber', { dust: 'irritant' }),
  wood('pine', 'Pine', 'softwood', 0.5, 9_000, 'honey'),
  wood('boxwood', 'Boxwood', 'dense hardwood', 0.95, 12_000, 'pale', { dust: 'irritant' }),
  wood('olive', 'Olive', 'dense hardwood', 0.92, 11_500, 'olive', { oily: true, dust: 'irritant' }),
  wood('rosewood', 'Rosewood', 'dense hardwood', 0.85, 12_000, 'umber', { oily: true, dust: 'sensitiser' }),
  wood('acrylic', 'Acrylic', 'resin', 1.19, 3_000, 'clear', { startGrit: 240, dust: 'irritant' }),
];

/** The material with this id, or undefined when nobody has described it. */
export const materialById = (id: string): Material | undefined => MATERIALS.find((m) => m.id === id);
