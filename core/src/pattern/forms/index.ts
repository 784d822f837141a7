import type { StartingForm } from './form.js';
import { handleForms } from './handleForms.js';
import { longForms } from './longForms.js';
import { ornamentForms } from './ornamentForms.js';
import { topForms } from './topForms.js';

export type { StartingForm } from './form.js';

/** The forms a new pattern can start from. */
export const STARTING_FORMS: readonly [StartingForm, ...StartingForm[]] = [
  ...handleForms,
  ...topForms,
  ...ornamentForms,
  ...longForms,
];
