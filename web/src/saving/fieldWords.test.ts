import { newWorkshop, STARTING_FORMS } from '@compas/core';
import { fieldWords } from './fieldWords.js';

const body = STARTING_FORMS[0].body({}, 'maple');
const [bead] = body.parts[0].turnings[0].elements.filter((e) => e.kind === 'bead');
const intoElement = ['body', 'parts', 'part1', 'turnings', body.parts[0].turnings[0].id, 'elements'];

describe('a field that two changed is called', () => {
  it('by the thing it belongs to and its own words', () => {
    const value = { name: 'Stopper', body };
    expect(fieldWords(value, [...intoElement, bead!.id, 'crown'])).toBe(
      `${bead!.name ?? bead!.kind}, crown diameter`,
    );
    expect(fieldWords(value, ['name'])).toBe('name');
    expect(fieldWords(value, ['body', 'usedBy'])).toBe('used by');
  });

  it('by the thing alone, when all of it was changed or taken away', () =>
    expect(fieldWords({ body }, [...intoElement, bead!.id])).toBe(bead!.name ?? bead!.kind));

  it('by the tool in a workshop', () => {
    const workshop = newWorkshop('UTC', 'mm');
    const tools = [{ id: 't1', name: 'Skew 19', kind: 'skew' as const, width: 19 }];
    const value = { name: 'Shop', body: { ...workshop, tools } };
    expect(fieldWords(value, ['body', 'tools', 't1', 'width'])).toBe('Skew 19, width');
    expect(fieldWords(value, ['body', 'allowances', 'wasteDrive'])).toBe('waste drive');
  });
});
