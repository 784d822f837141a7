import type { Air, Copying, Sawing, Workshop } from './workshop.js';

/** Habits at the saw before a workshop said its own: typical, unchecked. */
const USUAL_SAWING: Sawing = {
  ripKerf: 3,
  crossKerf: 2.5,
  surfacing: 1.5,
  endTrim: 15,
  leastOffcutLength: 120,
  leastOffcutWidth: 30,
  leaveOversize: 8,
  splitDrift: 15,
};

/** A heated room, as it is most of the year. */
const USUAL_AIR: Air = { temperature: 20, humidity: 55 };

const USUAL_CURRENCY = 'EUR';

/** How this workshop saws; usual values where it has not said. */
export const sawingOf = (workshop: Workshop): Sawing => workshop.sawing ?? USUAL_SAWING;

/** The air of this workshop; usual values where it has not said. */
export const airOf = (workshop: Workshop): Air => workshop.air ?? USUAL_AIR;

export const currencyOf = (workshop: Workshop): string => workshop.currency ?? USUAL_CURRENCY;

/** Copying attachment before a workshop said its own: pin and nose alike, a fine saw for templates. */
const USUAL_COPYING: Copying = { stylus: 3, cutter: 3, templateKerf: 0.2 };

/** The copying attachment of this workshop; usual sizes where it has not said. */
export const copyingOf = (workshop: Workshop): Copying => workshop.copying ?? USUAL_COPYING;
