import { len, type Finding } from '../measure/index.js';
import type { Material } from '../material/index.js';
import type { Kit } from '../hardware/index.js';
import type { Glue, GlueKind } from '../workshop/index.js';

export type JoinMoment = 'before turning' | 'after the tenon' | 'at the end';

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
}

/** Usual cure when the workshop has not said what its glue needs: typical, the label goes before it. */
const USUAL_CURE: Record<GlueKind, number> = {
  epoxy: 720,
  cyanoacrylate: 10,
  'wood glue': 240,
  foaming: 720,
};

/**
 * What is joined when: an insert is glued before turning, a ferrule seated before the handle is
 * shaped behind it, everything else at the end.
 */
export function joinsOf(kit: Kit, material: Material, glues: readonly Glue[]): Join[] {
  const wipe = material.oily
    ? [`Wipe the ${material.name.toLowerCase()} with solvent first: its oil keeps glue from holding.`]
    : [];
  switch (kit.kind) {
    case 'tapped-insert': {
      const glue = glueFor(kit.glue, glues);
      return [
        {
          id: 'glue',
          when: 'before turning',
          title: 'Glue the insert in',
          words: [
            ...wipe,
            `Glue in the hole, not on the insert; seat it flush with the face. Keep glue off the ${kit.thread} thread: run a waxed screw in.`,
          ],
          minutes: 1.5,
          cureMinutes: glue?.cureMinutes ?? USUAL_CURE[kit.glue],
          glue,
        },
        {
          id: 'assemble',
          when: 'at the end',
          title: 'Screw the base on',
          words: [
            'Screw the base on by hand until it seats. A fingernail must not catch between wood and base.',
          ],
          minutes: 1,
          cureMinutes: null,
          glue: null,
        },
      ];
    }
    case 'self-tapping-stud':
      return [
        {
          id: 'assemble',
          when: 'at the end',
          title: 'Drive the stud in',
          words: ['Drive the stud straight in until the base seats, half a turn back for each turn forward.'],
          minutes: 2,
          cureMinutes: null,
          glue: null,
        },
      ];
    case 'ferrule': {
      const glue = glueFor(kit.glue, glues);
      return [
        {
          id: 'ferrule',
          when: 'after the tenon',
          title: 'Seat the ferrule',
          words: [
            `Drive the ferrule on, chamfered end first, until it meets its shoulder ${len(kit.length.mm)} from the end.`,
          ],
          minutes: 2,
          cureMinutes: null,
          glue: null,
        },
        {
          id: 'assemble',
          when: 'at the end',
          title: 'Glue the tang in',
          words: [
            ...wipe,
            `Fill a third of the hole, push the tang in by ${len(kit.tangLength.mm)}, sight along it from two sides.`,
          ],
          minutes: 3,
          cureMinutes: glue?.cureMinutes ?? USUAL_CURE[kit.glue],
          glue,
        },
      ];
    }
  }
}

const glueFor = (kind: GlueKind, glues: readonly Glue[]): Glue | null =>
  glues.find((g) => g.kind === kind) ?? null;

/** What is missing to join a kit: glue the workshop does not have, kits not on the shelf. */
export function joinFindings(
  partId: string,
  kit: Kit,
  joins: readonly Join[],
  pieces: number,
  glues: readonly Glue[],
): Finding[] {
  const findings: Finding[] = [];
  const wants = kit.kind === 'self-tapping-stud' ? null : kit.glue;
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
