import { freshKit, KIT_KIND_LIST, type Workshop } from '@compas/core';
import { exampleWorkshop } from '../../../core/src/plan/exampleShop.js';
import { FRESH, stockLabel } from '../stock/stockFields.js';
import { kitLabel, workshopLabel } from './fieldLabels.js';

/** Every field of a thing by its path, lists of things by the id of each; lengths are one field. */
function paths(value: unknown, path: string[] = []): string[][] {
  if (Array.isArray(value)) {
    const things = value.every((v) => typeof v === 'object' && v !== null && 'id' in v);
    return things
      ? value.flatMap((v: { id: string }) => paths(v, [...path, v.id]).filter((p) => p.at(-1) !== 'id'))
      : [path];
  }
  if (typeof value !== 'object' || value === null || 'mm' in value) return [path];
  return Object.entries(value).flatMap(([key, v]) => paths(v, [...path, key]));
}
const unnamed = (all: string[][], label: (path: string[]) => unknown) =>
  all.filter((path) => label(path) === undefined).map((path) => path.join('/'));

describe('where two changes meet, a field is called as on its screen', () => {
  const body: Workshop = {
    ...exampleWorkshop(),
    sawing: {
      ripKerf: 3,
      crossKerf: 3,
      surfacing: 1,
      endTrim: 20,
      leastOffcutLength: 100,
      leastOffcutWidth: 30,
      leaveOversize: 2,
      splitDrift: 10,
      offcutsCarryCost: true,
    },
    air: { temperature: 18, humidity: 60 },
    copying: { stylus: 2, cutter: 2, templateKerf: 0.2 },
    currency: 'EUR',
  };

  it('in the workshop: each of its fields', () => {
    // what a drive has is chosen with the drive, the schema is nobody's choice
    const all = paths({ name: 'Shop', body }).filter(
      (p) => !['schema'].includes(p.at(-1)!) && !p.includes('drive'),
    );
    expect(all.length).toBeGreaterThan(60);
    expect(unnamed(all, workshopLabel)).toEqual([]);
  });

  it('and its plain numbers have the unit they are typed in', () => {
    expect(workshopLabel(['body', 'allowances', 'wasteDrive'])).toEqual({
      label: 'Waste at the drive',
      unit: 'mm',
    });
    expect(workshopLabel(['body', 'chucks', 'scroll', 'fastest'])).toEqual({ label: 'Fastest', unit: 'rpm' });
    expect(workshopLabel(['body', 'chucks', 'scroll', 'jaws', 'pin', 'gripBest'])).toEqual({
      label: 'Best grip',
      unit: 'mm',
    });
    expect(workshopLabel(['body', 'glues', 'epoxy', 'cureMinutes'])?.unit).toBe('min');
  });

  it.each(KIT_KIND_LIST)('in a kit: %s', (kind) => {
    const all = paths({ ...freshKit(kind), cost: 120, reorderAt: 3 }).filter((p) => p[0] !== 'kind');
    expect(unnamed(all, (path) => kitLabel(kind, path))).toEqual([]);
  });

  it.each(Object.values(FRESH))('on the shelf: $kind', (item) => {
    const all = paths(item).filter((p) => p[0] !== 'kind' && p[0] !== 'batchId');
    expect(unnamed(all, stockLabel)).toEqual([]);
  });
});
