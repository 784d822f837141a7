import type { Tone } from '@compas/core';

/** Tints of materials: the outside, and the lighter cut face. */
export const TONES: Record<Tone, { outside: string; section: string }> = {
  pale: { outside: '#e3d2ae', section: '#f0e6cf' },
  honey: { outside: '#d8b27c', section: '#ecd6b4' },
  amber: { outside: '#c49a5e', section: '#e2c79d' },
  russet: { outside: '#b5714a', section: '#dcb195' },
  umber: { outside: '#80604a', section: '#b89c86' },
  olive: { outside: '#ab9a5c', section: '#d6cba0' },
  clear: { outside: '#9dbcc4', section: '#cfe0e4' },
};
