import { fieldsOf, type Element } from '@compas/core';

/** What an element has besides its dimensions, in a few words; what is usual is not said. */
export function optionWords(element: Element): string {
  const own = element as unknown as Record<string, unknown>;
  return fieldsOf(element.kind)
    .flatMap(([key, field]) => {
      const value = own[key];
      if (field.is === 'choice') {
        const words = typeof value === 'string' ? field.words[value] : undefined;
        return words === undefined || value === field.usual ? [] : [words];
      }
      if (field.is === 'count') return typeof value === 'number' ? [`${value} ${field.label}`] : [];
      return Array.isArray(value) && field.is === 'points' ? [`through ${value.length} points`] : [];
    })
    .join(', ');
}
