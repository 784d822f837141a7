import type { Kit, NewKit } from '@compas/core';

/** What is known of a kit, to be saved under its id. */
export function withoutId(kit: Kit): NewKit {
  const { id: _id, ...rest } = kit;
  return rest;
}
