import { dim } from '../measure/index.js';
import { materialById, type Material } from '../material/index.js';
import type { Kit } from '../hardware/index.js';
import type { Glue } from '../workshop/index.js';
import { joinFindings, joinsOf } from './index.js';

const material = (id: string): Material => {
  const found = materialById(id);
  if (!found) throw new Error(id);
  return found;
};
const epoxy: Glue = { id: 'g', name: 'Slow epoxy', kind: 'epoxy', cureMinutes: 900 };
const insert: Kit = {
  id: 'k1',
  name: 'Base',
  onHand: 4,
  kind: 'tapped-insert',
  baseDiameter: dim(32),
  insertDiameter: dim(11.5),
  insertLength: dim(20),
  thread: 'M8',
  glue: 'epoxy',
};
const stud: Kit = {
  id: 'k2',
  name: 'Stud',
  onHand: 4,
  kind: 'self-tapping-stud',
  baseDiameter: dim(29),
  rootDiameter: dim(6),
  outsideDiameter: dim(8),
  studLength: dim(16),
  thread: 'stud 8',
};
const ferrule: Kit = {
  id: 'k3',
  name: 'Ferrule',
  onHand: 4,
  kind: 'ferrule',
  bore: dim(20),
  outsideDiameter: dim(22),
  length: dim(18),
  tangDiameter: dim(8),
  tangLength: dim(45),
  glue: 'epoxy',
};

describe('what is joined when', () => {
  it('an insert before turning, with the cure of the glue that is owned', () => {
    const [glueing, screwing] = joinsOf(insert, material('ash'), [epoxy]);
    expect(glueing).toMatchObject({ when: 'before turning', cureMinutes: 900, glue: { name: 'Slow epoxy' } });
    expect(screwing).toMatchObject({ when: 'at the end', cureMinutes: null });
  });

  it('a ferrule before the shape behind it, its tang at the end', () => {
    expect(joinsOf(ferrule, material('ash'), [epoxy]).map((j) => [j.id, j.when])).toEqual([
      ['ferrule', 'after the tenon'],
      ['assemble', 'at the end'],
    ]);
  });

  it('a stud at the end, without glue', () => {
    expect(joinsOf(stud, material('ash'), []).map((j) => j.glue)).toEqual([null]);
    expect(joinFindings('p', stud, joinsOf(stud, material('ash'), []), 4, [])).toEqual([]);
  });

  it('oily wood is wiped first', () => {
    expect(joinsOf(insert, material('olive'), [epoxy])[0]?.words[0]).toContain('solvent');
    expect(joinsOf(insert, material('ash'), [epoxy])[0]?.words[0]).not.toContain('solvent');
  });
});

describe('what is missing', () => {
  it('glue that the shop does not have, with what could be tried', () => {
    const ca: Glue = { id: 'c', name: 'Instant', kind: 'cyanoacrylate', cureMinutes: 10 };
    const [finding] = joinFindings('p', insert, joinsOf(insert, material('ash'), [ca]), 4, [ca]);
    expect(finding).toMatchObject({ id: 'assemble.glue.p', severity: 'warn' });
    expect(finding?.remedy).toBe('Get epoxy, or try Instant on an offcut first.');
  });

  it('kits, counted', () => {
    const [finding] = joinFindings('p', insert, joinsOf(insert, material('ash'), [epoxy]), 12, [epoxy]);
    expect(finding?.remedy).toBe('Order 8 more before the batch begins.');
    expect(joinFindings('p', insert, joinsOf(insert, material('ash'), [epoxy]), 4, [epoxy])).toEqual([]);
  });
});
