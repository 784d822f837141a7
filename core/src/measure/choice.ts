/** The choices of a table whose keys are what is stored and whose values say more of each, in their order. */
export const keysOf = <T extends object>(table: T): (keyof T & string)[] =>
  Object.keys(table) as (keyof T & string)[];
