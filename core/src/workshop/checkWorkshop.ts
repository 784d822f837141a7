import { unreasoned } from './ownWay.js';
import type { Workshop } from './workshop.js';

/** A field of the workshop that cannot be right, with what would do. */
export interface WorkshopProblem {
  field: string;
  why: string;
}

/** What in a workshop's description contradicts itself; an empty list when all is well. */
export function checkWorkshop(workshop: Workshop): WorkshopProblem[] {
  return [
    ...drive(workshop),
    ...swing(workshop),
    ...jaws(workshop),
    ...bits(workshop),
    ...gauges(workshop),
    ...hours(workshop),
    ...band(workshop),
    ...unreasoned(workshop.ways, 'ways'),
  ];
}

function drive({ lathe }: Workshop): WorkshopProblem[] {
  const { drive } = lathe;
  if (drive.kind === 'range' && drive.slowest >= drive.fastest)
    return [
      {
        field: 'lathe.drive.fastest',
        why: `The fastest speed, ${drive.fastest} rpm, is not above the slowest, ${drive.slowest} rpm.`,
      },
    ];
  if (drive.kind === 'pulleys' && drive.speeds.length === 0)
    return [
      {
        field: 'lathe.drive.speeds',
        why: 'A lathe with pulleys has at least one speed. Give its speeds in rpm.',
      },
    ];
  return [];
}

function swing({ lathe }: Workshop): WorkshopProblem[] {
  if (lathe.overRest === undefined || lathe.overRest <= lathe.swing) return [];
  return [
    {
      field: 'lathe.overRest',
      why: `Over the rest's banjo pass ${lathe.overRest} mm, but over the bed only ${lathe.swing} mm. The banjo stands on the bed: measure again.`,
    },
  ];
}

function jaws(workshop: Workshop): WorkshopProblem[] {
  const { chucks } = workshop;
  const recesses = chucks.flatMap((chuck) =>
    chuck.jaws
      .filter((j) => (j.recessLeast ?? 0) > (j.recessMost ?? Infinity))
      .map((j) => ({
        field: `chucks.${chuck.id}.jaws.${j.id}`,
        why: `${j.name}: they open into recesses from ${j.recessLeast ?? 0} mm, which is above the largest, ${j.recessMost ?? 0} mm.`,
      })),
  );
  return [...recesses, ...grips(workshop)];
}

/** A step bit is thinner in front; both parts are within its reach. */
function bits({ bits }: Workshop): WorkshopProblem[] {
  return bits
    .filter((b) => b.kind === 'step' && b.pilot !== undefined && b.pilot.mm >= b.diameter.mm)
    .map((b) => ({
      field: `bits.${b.id}.pilot`,
      why: `A step bit of ${b.diameter.mm} mm has a pilot of ${b.pilot?.mm ?? 0} mm. The pilot is its thinner part.`,
    }));
}

function gauges({ gauges }: Workshop): WorkshopProblem[] {
  return gauges
    .filter((g) => g.noGo !== undefined && g.size !== undefined && g.noGo.mm >= g.size.mm)
    .map((g) => ({
      field: `gauges.${g.id}.noGo`,
      why: `${g.name}: what must not go over, ${g.noGo?.mm ?? 0} mm, must be smaller than what goes over, ${g.size?.mm ?? 0} mm.`,
    }));
}

function grips({ chucks }: Workshop): WorkshopProblem[] {
  return chucks.flatMap((chuck) =>
    chuck.jaws
      .filter((j) => !(j.gripLeast <= j.gripBest && j.gripBest <= j.gripMost))
      .map((j) => ({
        field: `chucks.${chuck.id}.jaws.${j.id}`,
        why: `${j.name}: the best grip, ${j.gripBest} mm, lies between the least, ${j.gripLeast}, and the most, ${j.gripMost}.`,
      })),
  );
}

/** Shorter spans are slips, and a schedule would go through them one by one. Minutes */
const LEAST_SPAN = 5;

function hours({ hours }: Workshop): WorkshopProblem[] {
  return hours.windows
    .filter((w) => w.to - w.from < LEAST_SPAN)
    .map((w) => ({
      field: 'hours.windows',
      why:
        w.to <= w.from
          ? `A working span on day ${w.weekday} ends before it begins.`
          : `A working span on day ${w.weekday} is shorter than ${LEAST_SPAN} minutes: nothing is done in it.`,
    }));
}

function band({ speedBand }: Workshop): WorkshopProblem[] {
  if (speedBand.low <= speedBand.high) return [];
  return [{ field: 'speedBand.high', why: 'The high end of the speed band lies below its low end.' }];
}
