import type { Dimension } from '../measure/index.js';
import type { GlueKind } from '../workshop/index.js';

interface KitBase {
  id: string;
  name: string;
  /** how many are on the shelf */
  onHand: number;
  /** what one costs, minor units */
  cost?: number;
  /** below this many it is to be ordered again */
  reorderAt?: number;
}

/** Stopper base that screws into an insert: the insert is glued into a hole of its body's diameter. */
export interface TappedInsertKit extends KitBase {
  kind: 'tapped-insert';
  /** the turned body must meet this flush */
  baseDiameter: Dimension;
  insertDiameter: Dimension;
  insertLength: Dimension;
  /** thread inside the insert, matched with a mandrel's */
  thread: string;
  glue: GlueKind;
}

/** Stopper base with a stud that cuts its own thread in the wood. */
export interface SelfTappingKit extends KitBase {
  kind: 'self-tapping-stud';
  baseDiameter: Dimension;
  /** thread of the stud: root and outside diameter */
  rootDiameter: Dimension;
  outsideDiameter: Dimension;
  studLength: Dimension;
  thread: string;
}

/** Ferrule over a tenon, with a hole for the tang. */
export interface FerruleKit extends KitBase {
  kind: 'ferrule';
  bore: Dimension;
  outsideDiameter: Dimension;
  length: Dimension;
  tangDiameter: Dimension;
  tangLength: Dimension;
  glue: GlueKind;
}

/** Hardware of the workshop's own generic kinds, with the measurements that matter. */
export type Kit = TappedInsertKit | SelfTappingKit | FerruleKit;

type WithoutId<K> = K extends Kit ? Omit<K, 'id'> : never;

/** A kit that has no id yet. */
export type NewKit = WithoutId<Kit>;

/** What a kit's dimensions say against each other; empty when they can be. */
export function kitProblems(kit: Kit): { field: string; why: string }[] {
  switch (kit.kind) {
    case 'tapped-insert':
      return kit.insertDiameter.mm < kit.baseDiameter.mm
        ? []
        : [
            {
              field: 'insertDiameter',
              why: `The insert (${kit.insertDiameter.mm} mm) is as wide as the base (${kit.baseDiameter.mm} mm). Measure its body, not its flange.`,
            },
          ];
    case 'self-tapping-stud':
      return kit.rootDiameter.mm < kit.outsideDiameter.mm
        ? []
        : [
            {
              field: 'rootDiameter',
              why: `The root of the thread (${kit.rootDiameter.mm} mm) is not below its outside (${kit.outsideDiameter.mm} mm). Measure the root between the threads.`,
            },
          ];
    case 'ferrule':
      return kit.bore.mm < kit.outsideDiameter.mm
        ? []
        : [
            {
              field: 'bore',
              why: `The bore (${kit.bore.mm} mm) is not below the outside of the ferrule (${kit.outsideDiameter.mm} mm).`,
            },
          ];
  }
}
