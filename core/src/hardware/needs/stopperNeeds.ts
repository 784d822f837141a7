import { holeForBody, holeForThread } from '../fit.js';
import type { Kit, KitOf } from '../kit.js';
import { threadOf } from '../thread.js';
import { forMandrelToo, MATING_TOLERANCE, type Fitting, type KitNeeds, type MatingFace } from './needs.js';

/** The base screws into an insert; without it the base's own stud goes in, by its thread or glued. */
export function tappedInsertNeeds(kit: KitOf<'tapped-insert'>, { way, bore, place }: Fitting): KitNeeds {
  const mating = flush(kit);
  const stud = threadOf(kit.thread);
  const deep = inWood(kit.insertLength.mm, kit);
  if (way === 'insert' || !stud) {
    const range = holeForBody(kit.insertDiameter.mm, 'glue gap');
    const insert = bore('insert hole', range, kit.insertDiameter.mm, kit.insertLength.mm, 'the insert');
    return {
      way,
      mating,
      holes: [forMandrelToo(insert, kit.thread, place)],
      glue: kit.glue,
      mandrelThread: kit.thread,
    };
  }
  const range =
    way === 'glued'
      ? holeForBody(stud.outside, 'glue gap')
      : holeForThread(stud.root, stud.outside, place.material);
  const hole = bore('stud hole', range, stud.outside, deep, 'the stud');
  return {
    way,
    mating,
    holes: [way === 'glued' ? hole : forMandrelToo(hole, kit.thread, place)],
    ...(way === 'glued' ? { glue: kit.glue } : { mandrelThread: kit.thread }),
  };
}

export function selfTappingNeeds(kit: KitOf<'self-tapping-stud'>, { way, bore, place }: Fitting): KitNeeds {
  const { rootDiameter, outsideDiameter, studLength } = kit;
  const range =
    way === 'glued'
      ? holeForBody(outsideDiameter.mm, 'glue gap')
      : holeForThread(rootDiameter.mm, outsideDiameter.mm, place.material);
  const hole = bore('stud hole', range, outsideDiameter.mm, inWood(studLength.mm, kit), 'the stud');
  return {
    way,
    mating: flush(kit),
    holes: [way === 'glued' ? hole : forMandrelToo(hole, kit.thread, place)],
    ...(way === 'glued' ? { glue: 'epoxy' as const } : { mandrelThread: kit.thread }),
  };
}

export function glueInStudNeeds(kit: KitOf<'glue-in-stud'>, { way, bore, glue }: Fitting): KitNeeds {
  const range = holeForBody(kit.studDiameter.mm, 'glue gap');
  const deep = inWood(kit.studLength.mm, kit);
  return {
    way,
    ...glue,
    mating: flush(kit),
    holes: [bore('stud hole', range, kit.studDiameter.mm, deep, 'the stud')],
  };
}

type OnBase = Extract<Kit, { baseDiameter: unknown }>;

/** A disc between base and wood takes its thickness from what the stud has in the wood. */
const inWood = (stud: number, { discDiameter, discThickness }: OnBase): number =>
  Math.max(1, stud - (discDiameter ? (discThickness?.mm ?? 0) : 0));

const flush = ({ baseDiameter, discDiameter }: OnBase): MatingFace => {
  const on = discDiameter ? 'disc' : 'base';
  return {
    label: `flush with the ${on}`,
    diameter: (discDiameter ?? baseDiameter).mm,
    tolerance: MATING_TOLERANCE,
    transfer: `Set the calliper on the ${on} and cut to it.`,
  };
};
