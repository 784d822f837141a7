/** Money in minor units, as people write it where the browser is. */
export const moneyWords = (minor: number, currency: string): string =>
  new Intl.NumberFormat(undefined, { style: 'currency', currency }).format(minor / 100);
