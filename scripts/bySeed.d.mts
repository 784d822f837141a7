export function bySeed(names: readonly string[], seed: number): string[];
