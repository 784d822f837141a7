import type { Material, Tone } from '@compas/core';

/** How a piece looks: its shade, and by what its grain is drawn; what has no grain has none. */
export interface WoodLook {
  tone: Tone;
  /** the same name, the same grain; null for resin, horn and antler */
  seed: string | null;
}

const GROWN: ReadonlySet<Material['family']> = new Set(['wood', 'laminated wood', 'stabilised wood']);

/** @param piece what tells this piece from its twins */
export const lookOf = ({ tone, family }: Material, piece: string): WoodLook => ({
  tone,
  seed: GROWN.has(family) ? piece : null,
});

/** A form that is of no material yet. */
export const PLAIN: WoodLook = { tone: 'honey', seed: null };
