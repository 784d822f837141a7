import {
  checkPattern,
  FileProblem,
  outlineOf,
  profileCsv,
  profileDxf,
  profileSvg,
  radiusAt,
  STARTING_FORMS,
  writePattern,
} from '@compas/core';
import { imported } from './importing.js';

const finial = STARTING_FORMS.find((f) => f.id === 'finial')!.body({}, 'ash');
const outline = outlineOf(finial.parts[0].turnings[0]);

describe('reading a file as a pattern', () => {
  it.each([
    ['finial.svg', profileSvg(outline, 'finial')],
    ['finial.dxf', profileDxf(outline)],
    ['finial.csv', profileCsv(outline)],
    ['finial.compas.json', writePattern('finial', finial)],
  ])('%s becomes a pattern that can be made, as long and as thick', (fileName, text) => {
    const { name, body } = imported(fileName, text);
    expect(name).toBe('finial');
    expect(checkPattern(body)).toEqual([]);
    const read = outlineOf(body.parts[0].turnings[0]);
    expect(read.length).toBeCloseTo(outline.length, 2);
    for (const x of [6, 14, 30, 60]) expect(radiusAt(read, x)).toBeCloseTo(radiusAt(outline, x), 2);
  });

  it('ids given later are new ones', () => {
    const { body } = imported('finial.csv', profileCsv(outline));
    const numbers = body.parts[0].turnings[0].elements.map((e) => Number(e.id.slice(1)));
    expect(body.lastId).toBeGreaterThanOrEqual(Math.max(...numbers));
  });

  it.each([
    ['finial.step', 'x', /called \.step is not read/],
    ['finial', 'x', /is not read/],
    ['back.csv', '0,20\n10,22\n5,21', /must rise/],
    ['flat.csv', '0,20\n0,22', /no length/],
  ])('%s is refused with what is wrong', (fileName, text, why) => {
    expect(() => imported(fileName, text)).toThrow(FileProblem);
    expect(() => imported(fileName, text)).toThrow(why);
  });
});
