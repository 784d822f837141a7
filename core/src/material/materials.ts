import { EXOTIC } from './library/exotic.js';
import { OTHER } from './library/other.js';
import { TEMPERATE } from './library/temperate.js';
import type { Material } from './material.js';

const [ash, ...temperate] = TEMPERATE as [Material, ...Material[]];

/** Materials Compas knows from the start: typical values, unchecked; a workshop's scales are better. */
export const MATERIALS: readonly [Material, ...Material[]] = [ash, ...temperate, ...EXOTIC, ...OTHER];

/** The library with a workshop's own materials: those with a known id take its place. By name. */
export function materialsOf(own: readonly Material[] = []): Material[] {
  const ids = new Set(own.map((m) => m.id));
  return [...MATERIALS.filter((m) => !ids.has(m.id)), ...own].sort((a, b) => a.name.localeCompare(b.name));
}

/** The material with this id, the workshop's own first; undefined when nobody has described it. */
export const materialById = (id: string, own: readonly Material[] = []): Material | undefined =>
  own.find((m) => m.id === id) ?? MATERIALS.find((m) => m.id === id);
