/** So many of a thing, as it reads: 1 piece, 2 pieces. */
export const countOf = (count: number, what: string): string => `${count} ${what}${count === 1 ? '' : 's'}`;
