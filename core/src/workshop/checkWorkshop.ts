import type { Workshop } from './workshop.js';

/** A field of the workshop that cannot be right, with what would do. */
export interface WorkshopProblem {
  field: string;
  why: string;
}

/** What in a workshop's description contradicts itself; an empty list when all is well. */
export function checkWorkshop(workshop: Workshop): WorkshopProblem[] {
  return [...drive(workshop), ...jaws(workshop), ...hours(workshop), ...band(workshop)];
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

function jaws({ chucks }: Workshop): WorkshopProblem[] {
  return chucks.flatMap((chuck) =>
    chuck.jaws
      .filter((j) => !(j.gripLeast <= j.gripBest && j.gripBest <= j.gripMost))
      .map((j) => ({
        field: `chucks.${chuck.id}.jaws.${j.id}`,
        why: `${j.name}: the best grip, ${j.gripBest} mm, lies between the least, ${j.gripLeast}, and the most, ${j.gripMost}.`,
      })),
  );
}

function hours({ hours }: Workshop): WorkshopProblem[] {
  return hours.windows
    .filter((w) => w.from >= w.to)
    .map((w) => ({
      field: 'hours.windows',
      why: `A working span on day ${w.weekday} ends before it begins.`,
    }));
}

function band({ speedBand }: Workshop): WorkshopProblem[] {
  if (speedBand.low <= speedBand.high) return [];
  return [{ field: 'speedBand.high', why: 'The high end of the speed band lies below its low end.' }];
}
