/** What a price is for. */
export const PRICE_UNITS = ['piece', 'm', 'm²', 'm³', 'kg'] as const;
export type PriceUnit = (typeof PRICE_UNITS)[number];

/** Money in minor units (cents) of a currency, for one unit. */
export interface Price {
  minor: number;
  currency: string;
  per: PriceUnit;
}

const UNITS: Record<string, PriceUnit> = {
  piece: 'piece',
  pc: 'piece',
  each: 'piece',
  m: 'm',
  m2: 'm²',
  'm²': 'm²',
  m3: 'm³',
  'm³': 'm³',
  kg: 'kg',
};

export type PriceRead = { ok: true; price: Price | null } | { ok: false; why: string };

/**
 * Reads a price with its unit, as "38.50 / m²" or "4,20 per piece"; nothing is no price.
 * A price without its unit is refused: nobody knows what it is for.
 */
export function parsePrice(text: string, currency: string): PriceRead {
  const trimmed = text.trim();
  if (trimmed === '') return { ok: true, price: null };
  const match = /^([\d]+(?:[.,]\d{1,2})?)\s*(?:(?:\/|per)\s*([\p{L}²³\d]+))?$/u.exec(trimmed);
  if (!match)
    return { ok: false, why: `“${trimmed}” is not a price. Give it like 38.50 / m², or 4.20 per piece.` };
  const per = UNITS[match[2] ?? ''];
  if (!per)
    return {
      ok: false,
      why: `The price “${trimmed}” has no unit that is known. Say what it is for: per piece, / m, / m², / m³ or / kg.`,
    };
  return {
    ok: true,
    price: { minor: Math.round(Number((match[1] ?? '').replace(',', '.')) * 100), currency, per },
  };
}

/** A price as it is typed. */
export const priceText = (price: Price | null): string =>
  price === null ? '' : `${(price.minor / 100).toFixed(2)} / ${price.per}`;
