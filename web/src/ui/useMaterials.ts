import { materialsOf, type Material } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { workshopQuery } from '../api/workshop.js';

/** The library with the workshop's own materials; the library alone until the workshop is known. */
export function useMaterials(): Material[] {
  const { data } = useQuery(workshopQuery);
  return useMemo(() => materialsOf(data?.body.materials), [data]);
}
