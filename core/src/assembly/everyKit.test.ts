import { freshKit, FITTING_WAYS, KIT_KIND_LIST } from '../hardware/index.js';
import { MATERIALS } from '../material/index.js';
import { GLUE_KINDS, type Glue } from '../workshop/index.js';
import { joinsOf } from './index.js';

const glues: Glue[] = GLUE_KINDS.map((kind, i) => ({
  id: kind,
  name: `Own ${kind}`,
  kind,
  cureMinutes: 100 + i,
}));
const dry = MATERIALS.find((m) => !m.oily)!;
const oily = MATERIALS.find((m) => m.oily)!;

describe.each(KIT_KIND_LIST)('a %s', (kind) => {
  const kit = { ...freshKit(kind), id: 'k' };

  it.each(FITTING_WAYS)('fitted by %s waits only where it is glued, by the glue that it wants', (way) => {
    for (const join of joinsOf(kit, dry, glues, way)) {
      expect(join.words.join(' ')).not.toBe('');
      expect(join.minutes).toBeGreaterThan(0);
      const glued = join.glueKind !== null;
      expect(join.cureMinutes !== null).toBe(glued);
      if (glued) {
        expect(join.glue?.kind).toBe(join.glueKind);
        expect(join.cureMinutes).toBe(join.glue?.cureMinutes);
      } else expect(join.glue).toBeNull();
    }
  });

  it('has its usual cure when the shop owns no such glue, and says which it wants', () => {
    const owned = joinsOf(kit, dry, glues);
    const none = joinsOf(kit, dry, []);
    expect(none.map((j) => j.glueKind)).toEqual(owned.map((j) => j.glueKind));
    for (const join of none) {
      expect(join.glue).toBeNull();
      if (join.glueKind !== null) expect(join.cureMinutes).toBeGreaterThan(0);
    }
  });

  it('is wiped with solvent first where oily wood is glued, and nowhere else', () => {
    const wiped = (wood: typeof dry) =>
      joinsOf(kit, wood, glues).filter((j) => j.words.some((w) => w.includes('solvent')));
    expect(wiped(dry)).toEqual([]);
    expect(wiped(oily).map((j) => j.id)).toEqual(
      joinsOf(kit, oily, glues)
        .filter((j) => j.glueKind !== null)
        .map((j) => j.id),
    );
  });

  it('has an id of its own for each of its joins', () => {
    const ids = joinsOf(kit, dry, glues).map((j) => j.id);
    expect(new Set(ids).size).toBe(ids.length);
  });
});
