import type { Query } from '@tanstack/react-query';

/** A screen without what it shows says so in its place; what is shown already stays when it cannot be asked anew. */
export const throwWithoutData = (_error: Error, query: Pick<Query, 'state'>): boolean =>
  query.state.data === undefined;
