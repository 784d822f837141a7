import type { ElementKind } from '@compas/core';

/** Kinds of elements with the words a turner would choose them by, in the order they are offered. */
export const KINDS: readonly { kind: ElementKind; words: string }[] = [
  { kind: 'cylinder', words: 'cylinder' },
  { kind: 'taper', words: 'taper' },
  { kind: 'bead', words: 'bead' },
  { kind: 'cove', words: 'cove' },
  { kind: 'ogee', words: 'ogee' },
  { kind: 'shoulder', words: 'shoulder' },
  { kind: 'fillet', words: 'easing hollow' },
  { kind: 'v-groove', words: 'V groove' },
  { kind: 'sphere', words: 'ball' },
  { kind: 'balloon', words: 'ball into a cone' },
  { kind: 'oval', words: 'oval' },
  { kind: 'arc', words: 'curve by radius' },
  { kind: 'fair', words: 'fair curve' },
  { kind: 'square', words: 'square left' },
  { kind: 'tenon', words: 'tenon' },
  { kind: 'repeat', words: 'row' },
];

export const wordsOf = (kind: ElementKind): string => KINDS.find((k) => k.kind === kind)?.words ?? kind;
