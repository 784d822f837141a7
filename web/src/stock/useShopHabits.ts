import { airOf, currencyOf, materialsOf, sawingOf, type Air, type Material, type Sawing } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { workshopQuery } from '../api/workshop.js';

export interface ShopHabits {
  materials: Material[];
  sawing: Sawing;
  air: Air;
  currency: string;
  timeZone: string;
}

/** What the stock screens need of the workshop; null until it is known. */
export function useShopHabits(): ShopHabits | null {
  const { data } = useQuery(workshopQuery);
  return useMemo(
    () =>
      data
        ? {
            materials: materialsOf(data.body.materials),
            sawing: sawingOf(data.body),
            air: airOf(data.body),
            currency: currencyOf(data.body),
            timeZone: data.body.hours.timeZone,
          }
        : null,
    [data],
  );
}
