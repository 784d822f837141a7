import { createContext } from 'react';

/** How much room a strip is given: all that it likes, or a band along the top. */
export const StripRoom = createContext<'all' | 'band'>('all');
