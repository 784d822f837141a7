import type { Mandrel, Workshop } from './workshop.js';

type OnSpindle = Pick<Workshop, 'mandrels' | 'fixtures'>;

/** The mandrel that takes a kit's thread, by the name that both carry. */
export const mandrelFor = ({ mandrels }: OnSpindle, thread: string): Mandrel | undefined =>
  mandrels.find((m) => m.takes === thread);

/** The washer that lies between a mandrel's flange and the wood, when one is owned. */
export const washerOf = ({ fixtures }: OnSpindle) => fixtures?.find((f) => f.kind === 'washer');

/** How far a thread's mandrel goes into the wood, its washer taken off, mm; 0 where that is not known. */
export const mandrelInWork = (shop: OnSpindle, thread: string): number =>
  Math.max(0, (mandrelFor(shop, thread)?.threadLength ?? 0) - (washerOf(shop)?.length ?? 0));
