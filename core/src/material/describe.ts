import type { Material, MaterialClass, Tone } from './material.js';

/** What is said of a wood beside its name, class, density and stiffness. */
type WoodDetails = Partial<Omit<Material, 'id' | 'name' | 'class' | 'density' | 'tone'>> & {
  /** shrinkage green to oven-dry, radial and tangential, % */
  shrink?: [number, number];
};

const START_GRIT: Record<MaterialClass, number> = {
  softwood: 120,
  hardwood: 150,
  'dense hardwood': 180,
  resin: 240,
};
const SANDED_OFF: Record<MaterialClass, number> = {
  softwood: 0.4,
  hardwood: 0.2,
  'dense hardwood': 0.1,
  resin: 0.2,
};
const DRILLING: Record<MaterialClass, string> = {
  softwood: 'Sharp brad point; soft rings push it aside.',
  hardwood: 'Clear chips every two or three diameters.',
  'dense hardwood': 'Slow, short pecks; it heats and can split near an end.',
  resin: 'Slow, with pauses: it melts and grabs.',
};

/** A material of the library: what is not said is usual for its class; what nobody knows stays null. */
export function describe(
  id: string,
  name: string,
  kind: MaterialClass,
  density: number,
  stiffness: number | null,
  tone: Tone,
  { shrink, ...rest }: WoodDetails = {},
): Material {
  return {
    id,
    name,
    class: kind,
    family: 'wood',
    density,
    stiffness,
    shrinkRadial: shrink?.[0] ?? null,
    shrinkTangential: shrink?.[1] ?? null,
    hardness: null,
    grain: 'straight',
    oily: false,
    dust: 'usual',
    skin: 'usual',
    tool: 'gouge or skew',
    startGrit: START_GRIT[kind],
    sandingAllowance: SANDED_OFF[kind],
    drilling: DRILLING[kind],
    uses: '',
    tone,
    source: 'general knowledge',
    certainty: 'typical, unchecked',
    provenance: {},
    ...rest,
  };
}
