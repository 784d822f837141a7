import { len, type Finding } from '../measure/index.js';
import type { Material } from '../material/index.js';
import { wayOf, type FittingWay, type Kit } from '../hardware/index.js';
import type { Glue, GlueKind } from '../workshop/index.js';

type JoinMoment = 'before turning' | 'after the tenon' | 'at the end';

/** One joining of hardware and wood, at its moment. */
export interface Join {
  id: string;
  when: JoinMoment;
  title: string;
  words: string[];
  minutes: number;
  /** until it may be worked on, minutes; null when it holds at once */
  cureMinutes: number | null;
  glue: Glue | null;
  /** what kind of glue it wants, owned or not; plans made before it was kept have none */
  glueKind?: GlueKind | null;
}

/** Usual cure when the workshop has not said what its glue needs: typical, the label goes before it. */
export const USUAL_CURE: Record<GlueKind, number> = {
  epoxy: 720,
  cyanoacrylate: 10,
  'wood glue': 240,
  foaming: 720,
};

/** A join before it has its glue. */
interface JoinDraft {
  id: string;
  when: JoinMoment;
  title: string;
  words: string;
  minutes: number;
  glued?: boolean;
}

/**
 * What is joined when: an insert is glued before turning, a ferrule or ring seated before the shape behind it
 * is cut, everything else at the end.
 * @param way how the kit is fitted; its usual way when not said
 */
export function joinsOf(
  kit: Kit,
  material: Material,
  glues: readonly Glue[],
  way: FittingWay = wayOf(kit, undefined),
): Join[] {
  const glueKind = glueKindOf(kit, way);
  const glue = glueKind === null ? null : glueFor(glueKind, glues);
  const wipe = material.oily
    ? [`Wipe the ${material.name.toLowerCase()} with solvent first: its oil keeps glue from holding.`]
    : [];
  return draftsOf(kit, way).map(({ words, glued = false, ...join }) => ({
    ...join,
    words: [...(glued ? wipe : []), words],
    cureMinutes: glued && glueKind !== null ? (glue?.cureMinutes ?? USUAL_CURE[glueKind]) : null,
    glue: glued ? glue : null,
    glueKind: glued ? glueKind : null,
  }));
}

/** The glue that a kit wants when it is fitted in a way; a stud without its own glue takes epoxy. */
function glueKindOf(kit: Kit, way: FittingWay): GlueKind | null {
  if (way !== 'glued' && way !== 'insert') return null;
  return 'glue' in kit ? kit.glue : 'epoxy';
}

function draftsOf(kit: Kit, way: FittingWay): JoinDraft[] {
  const glued = way === 'glued';
  switch (kit.kind) {
    case 'tapped-insert':
      return way === 'insert' ? insertJoins(kit.thread) : [studJoin(way)];
    case 'self-tapping-stud':
    case 'glue-in-stud':
      return [studJoin(way)];
    case 'ferrule':
      return [seated('ferrule', kit.length.mm), entering('tang', kit.tangLength.mm, glued)];
    case 'ring':
      return [{ ...seated('ring', kit.length.mm), glued }];
    case 'head':
      return [entering('stem', kit.stemLength.mm, glued)];
    case 'tang':
      return [entering('tang', kit.tangLength.mm, glued)];
    case 'rod':
      return [entering('rod', kit.length.mm, glued)];
    case 'ball':
      return [entering('ball', kit.seatDepth.mm, glued)];
    case 'tapered-shank':
      return [
        atEnd(
          'Seat the shank',
          `Twist the shank in by hand until it holds, ${len(kit.shankLength.mm)} deep; chalk it and scrape where it rubs. ${glued ? 'Glue on the upper half only.' : 'Then one blow on the butt seats it.'}`,
          3,
          glued,
        ),
      ];
    case 'socket':
      return [
        atEnd(
          'Drive the socket on',
          `Chalk the inside of the socket, twist the cone in, pare where it is marked; it seats ${len(1)} short of its mouth and one blow closes it.`,
          4,
          false,
        ),
      ];
    case 'screw-eye':
      return [atEnd('Screw the eye in', 'By hand with wax on the thread, a rod through the eye.', 1, false)];
    case 'cord':
      return [
        atEnd('Pull the cord through', 'Seal its end, pull it through, knot it, draw the knot in.', 1, false),
      ];
    case 'threaded-insert':
      return [
        {
          ...atEnd(
            'Screw the insert in',
            'On a screw with a locked nut, square to the face, until it stands just below it.',
            2,
            false,
          ),
          id: 'glue',
          when: 'before turning',
        },
      ];
  }
}

const atEnd = (title: string, words: string, minutes: number, glued: boolean): JoinDraft => ({
  id: 'assemble',
  when: 'at the end',
  title,
  words,
  minutes,
  glued,
});

const insertJoins = (thread: string): JoinDraft[] => [
  {
    id: 'glue',
    when: 'before turning',
    title: 'Glue the insert in',
    words: `Glue in the hole, not on the insert; seat it flush with the face. Keep glue off the ${thread} thread: run a waxed screw in.`,
    minutes: 1.5,
    glued: true,
  },
  atEnd(
    'Screw the base on',
    'Screw the base on by hand until it seats. A fingernail must not catch between wood and base.',
    1,
    false,
  ),
];

const studJoin = (way: FittingWay): JoinDraft =>
  way === 'glued'
    ? atEnd(
        'Glue the stud in',
        'Glue in the hole and on the stud, push it in with half a turn, wipe, stand it on its base to cure.',
        2,
        true,
      )
    : atEnd(
        'Drive the stud in',
        'Drive the stud straight in until the base seats, half a turn back for each turn forward.',
        2,
        false,
      );

const seated = (what: string, length: number): JoinDraft => ({
  id: 'ferrule',
  when: 'after the tenon',
  title: `Seat the ${what}`,
  words: `Drive the ${what} on, chamfered end first, until it meets its shoulder ${len(length)} from the end.`,
  minutes: 2,
});

const entering = (what: string, deep: number, glued: boolean): JoinDraft =>
  glued
    ? atEnd(
        `Glue the ${what} in`,
        `Fill a third of the hole, push the ${what} in by ${len(deep)}, sight along it from two sides.`,
        3,
        true,
      )
    : atEnd(
        `Press the ${what} in`,
        `Start the ${what} straight, press it in by ${len(deep)} between padded jaws, sight along it from two sides.`,
        3,
        false,
      );

const glueFor = (kind: GlueKind, glues: readonly Glue[]): Glue | null =>
  glues.find((g) => g.kind === kind) ?? null;

/** What is missing to join a kit: glue the workshop does not have, kits not on the shelf. */
export function joinFindings(
  partId: string,
  kit: Kit,
  joins: readonly Join[],
  pieces: number,
  glues: readonly Glue[],
  way: FittingWay = wayOf(kit, undefined),
): Finding[] {
  const findings: Finding[] = [];
  const wants = glueKindOf(kit, way);
  if (wants !== null && !joins.some((j) => j.glue?.kind === wants))
    findings.push({
      id: `assemble.glue.${partId}`,
      severity: 'warn',
      stage: 'assemble',
      partId,
      what: `The workshop has no ${wants} for ${kit.name}.`,
      why: 'The plan counts with the usual cure of such a glue.',
      remedy: glues[0] ? `Get ${wants}, or try ${glues[0].name} on an offcut first.` : `Get ${wants}.`,
    });
  if (kit.onHand < pieces)
    findings.push({
      id: `assemble.kits.${partId}`,
      severity: 'warn',
      stage: 'assemble',
      partId,
      what: `${kit.onHand} of ${pieces} needed are on the shelf: ${kit.name}.`,
      why: 'The last pieces could not be finished.',
      remedy: `Order ${pieces - kit.onHand} more before the batch begins.`,
    });
  return findings;
}
