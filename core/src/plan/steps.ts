import type { Join } from '../assembly/index.js';
import { capitalised, len } from '../measure/index.js';
import type { OrderLock, SetupState, Step } from '../batch/index.js';
import type { TurningStage } from '../turning/index.js';
import { drillStepsAt, stockSteps } from './prepareSteps.js';
import { at, MINUTES, SETUP, type Draft, type PartDraft } from './stepDraft.js';

/**
 * Steps of one piece in the order they must be made. Each is locked by the one before it; where the
 * order is more than habit the lock carries the craft's own reason.
 */
export function stepsOf(part: PartDraft): Step[] {
  const drafts: Draft[] = [
    ...stockSteps(part),
    ...drillStepsAt(part, 'square blank'),
    ...joinSteps(part, 'before turning'),
    ...roundSteps(part),
    ...drillStepsAt(part, 'after rounding'),
    ...shapeSteps(part),
    ...drillStepsAt(part, 'after shaping'),
    ...surfaceSteps(part),
    ...endSteps(part),
  ];
  return chain(drafts, part);
}

function chain(drafts: Draft[], part: PartDraft): Step[] {
  return drafts.map((draft, i) => {
    const before = drafts[i - 1];
    const usual: OrderLock[] = before ? [{ stepId: before.id, reason: 'it comes first in this order.' }] : [];
    const setup = draft.setup ?? at('bench', 'bench');
    const named = draft.locks ?? [];
    return {
      partId: part.partId,
      setup,
      speed: null,
      setupMinutes: SETUP[setup.place],
      remountMinutes: setup.place === 'lathe' ? MINUTES.mount : 0,
      wait: null,
      timers: [],
      measures: [],
      against: 'finished' as const,
      trialFit: false,
      ...draft,
      locks: [...named, ...usual.filter((lock) => !named.some((n) => n.stepId === lock.stepId))],
    };
  });
}

/** The lathe as this way of holding wants it, with all that must be on it. */
const onLathe = ({ mount }: PartDraft): SetupState => ({
  ...at('lathe', mount.label, mount.tailstock === null ? 'not used' : 'up'),
  ...(mount.fixtures && mount.fixtures.length > 0 ? { fixtures: mount.fixtures } : {}),
});

function speedOf(part: PartDraft, stage: TurningStage): string | null {
  return part.speeds.find((s) => s.stage === stage)?.words ?? null;
}

function joinSteps(part: PartDraft, when: Join['when']): Draft[] {
  return part.joins
    .filter((join) => join.when === when)
    .map((join) => ({
      id: join.id,
      stage: 'assemble',
      title: join.title,
      words: join.words,
      minutes: join.minutes,
      wait:
        join.cureMinutes === null
          ? null
          : { minutes: join.cureMinutes, what: `${join.glue?.name ?? 'the glue'} cures` },
    }));
}

function roundSteps(part: PartDraft): Draft[] {
  const { mount, blank, outline } = part;
  const waste =
    blank.section * blank.section * blank.length - (Math.PI * part.largestDiameter ** 2 * outline.length) / 4;
  const early = part.joins.find((j) => j.when === 'before turning');
  return [
    {
      id: 'mount',
      stage: 'mount',
      title: 'Mount',
      words: [
        `${mount.label}: ${mount.headstock} in the headstock${mount.tailstock === null ? ', nothing at the tail' : `, ${mount.tailstock} at the tail`}.`,
        ...(mount.fixtures ?? []).map((fixture) => `${capitalised(fixture)}.`),
        'Turn it by hand once, rest locked.',
      ],
      minutes: MINUTES.mount,
      setup: onLathe(part),
      locks: early
        ? [
            {
              stepId: early.id,
              reason:
                early.cureMinutes === null
                  ? 'the insert must be in before it is held by it.'
                  : 'turning before the glue has cured tears the insert out.',
            },
          ]
        : [],
    },
    {
      id: 'rough',
      stage: 'turn',
      title: 'Rough to round',
      words: [
        ...roughWords(part),
        ...(mount.tenon
          ? [
              `Turn a tenon ${len(mount.tenon.diameter)} × ${len(mount.tenon.length)} on the waste first, shoulder square.`,
            ]
          : []),
      ],
      minutes: MINUTES.rough + (waste / 1000) * MINUTES.roughPerCm3,
      setup: onLathe(part),
      speed: speedOf(part, 'rough'),
    },
  ];
}

/** A square that is left is not roughed: its planed faces are those of the finished piece. */
function roughWords({ outline: { squares = [] }, largestDiameter }: PartDraft): string[] {
  if (squares.length === 0)
    return [`Round to ${len(largestDiameter + 1)}, then stop and look: no flats left anywhere.`];
  return [
    ...squares.map(
      ({ x0, x1 }) =>
        `Leave the square from ${len(x0)} to ${len(x1)} as it is: pencil its end on the flat faces and nick the corners first.`,
    ),
    'Round only what lies beside it, then stop and look: no flats left there.',
  ];
}

function shapeSteps(part: PartDraft): Draft[] {
  const { layout, cuts } = part;
  const mating = layout.sizing.filter((s) => s.mating);
  const measures = (mating.length > 0 ? mating : layout.sizing.slice(0, 1)).map((s) => s.id);
  const ferrule = ferruleSeated(part);
  const size: Draft = {
    id: 'size',
    stage: 'mark',
    title: 'Size',
    words: [
      ...(layout.datum && layout.datum.id !== 'start'
        ? [`All places from the ${layout.datum.label}, ${len(layout.datum.x)} from the reference end.`]
        : []),
      ...layout.sizing.map(
        (s) =>
          `${s.label}: part down to ${len(s.cutTo)} at ${len(s.from ?? s.x)}. ${s.transfer ?? s.gauge.words}`,
      ),
    ],
    minutes: MINUTES.size * layout.sizing.length,
    setup: onLathe(part),
    speed: speedOf(part, 'size'),
    measures,
    against: 'cut',
  };
  const shape: Draft = {
    id: 'shape',
    stage: 'turn',
    title: 'Shape',
    words: cuts.map((c) => `${c.tool?.name ?? c.toolKind}: ${c.words}`),
    minutes: MINUTES.shapePerElement * cuts.length,
    setup: onLathe(part),
    speed: speedOf(part, 'shape'),
    locks: ferrule ? [{ stepId: 'ferrule', reason: 'the shape is cut flush with the seated ferrule.' }] : [],
  };
  return [
    {
      id: 'mark',
      stage: 'mark',
      title: 'Mark',
      words: [
        `Hold the story stick at the ${layout.datum?.label ?? 'reference end'} and let the pencil fall into its ${layout.marks.length} notches, work turning slowly.`,
      ],
      minutes: MINUTES.mark,
      setup: onLathe(part),
      locks: [{ stepId: 'rough', reason: 'a mark on a flat is lost.' }],
    },
    size,
    ...joinSteps(part, 'after the tenon'),
    shape,
    ...trialFit(part),
  ];
}

/** A seated ferrule covers its tenon: from then on wood is held against brass. */
const ferruleSeated = (part: PartDraft): boolean => part.joins.some((j) => j.when === 'after the tenon');

function trialFit(part: PartDraft): Draft[] {
  const mating = part.hardware?.needs.mating;
  if (!mating) return [];
  const words = ferruleSeated(part)
    ? 'Stop. Run a fingernail from the ferrule onto the wood: it must not catch, and the line must flow.'
    : `Stop. Hold the hardware against the ${mating.label}: a fingernail must not catch.`;
  return [
    {
      id: 'fit',
      stage: 'turn',
      title: 'Trial fit',
      words: [words],
      minutes: MINUTES.trialFit,
      setup: onLathe(part),
      trialFit: true,
    },
  ];
}

function surfaceSteps(part: PartDraft): Draft[] {
  const { ladder, finish } = part;
  const drafts: Draft[] = [];
  if (ladder.length > 0)
    drafts.push({
      id: 'sand',
      stage: 'surface',
      title: 'Sand',
      words: ['The same time with each grit, then stop and go along the grain. Little on crisp details.'],
      minutes: ladder.reduce((sum, g) => sum + g.minutes, 0),
      setup: onLathe(part),
      speed: speedOf(part, 'sand'),
      timers: ladder.map((g) => ({
        id: `${g.abrasive.scale}${g.abrasive.grit}`,
        label: `${g.abrasive.scale}${g.abrasive.grit}`,
        minutes: g.minutes,
      })),
    });
  if (finish && !offLathe(part)) drafts.push(...coatSteps(part, onLathe(part)));
  return drafts;
}

/** A protocol with coats on a standing piece is put on after it has come off the lathe. */
const offLathe = ({ finish }: PartDraft): boolean =>
  finish?.coats.some((c) => c.speed === 'stopped') ?? false;

function coatSteps(part: PartDraft, setup: SetupState): Draft[] {
  const { finish } = part;
  if (!finish) return [];
  return finish.coats.map((coat, i) => {
    const last = i === finish.coats.length - 1;
    const wait = last ? finish.cureMinutes : coat.waitMinutes;
    return {
      id: `finish.${i + 1}`,
      stage: 'surface',
      title: `${finish.finish.name}${finish.coats.length > 1 ? `, ${i + 1} of ${finish.coats.length}` : ''}`,
      words: [`Put on ${coat.name}.`],
      minutes: coat.minutes,
      setup,
      speed:
        setup.place === 'lathe' ? speedOf(part, coat.speed === 'fast' ? 'finish fast' : 'finish slow') : null,
      wait:
        wait > 0 && !(last && setup.place === 'lathe')
          ? { minutes: wait, what: last ? `${finish.finish.name} cures` : `${finish.finish.name} dries` }
          : null,
    };
  });
}

function endSteps(part: PartDraft): Draft[] {
  const reachable = part.stations.filter((s) => !(s.mating && ferruleSeated(part)));
  const drafts: Draft[] = [
    {
      id: 'part',
      stage: 'turn',
      title: 'Take off and clean the ends',
      words: [
        part.mount.kind === 'mandrel'
          ? 'Part the tail waste away with the point of the skew, sand the tip, take it off the mandrel.'
          : 'Part off, saw the nibs away, sand the ends.',
        ...(part.mount.tenon !== null && part.mount.reversal ? [part.mount.reversal] : []),
      ],
      minutes: MINUTES.part,
      // the tailstock goes away for the last cuts at its end
      setup: part.mount.tailstock === null ? onLathe(part) : { ...onLathe(part), tailstock: 'away' },
      speed: speedOf(part, 'part off'),
    },
    {
      id: 'measure',
      stage: 'twins',
      title: 'Measure',
      words: ['Measure every station once, calliper square to the axis.'],
      minutes: MINUTES.measurePerStation * reachable.length,
      setup: at('bench', 'calliper'),
      measures: reachable.map((s) => s.id),
    },
  ];
  drafts.splice(1, 0, ...drillStepsAt(part, 'after parting'));
  if (offLathe(part)) drafts.push(...coatSteps(part, at('bench', 'finishing')));
  drafts.push(...joinSteps(part, 'at the end'));
  return drafts;
}
