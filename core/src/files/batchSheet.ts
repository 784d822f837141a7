import { asTolerance, formatLength, minutesInWords, speak, type Units } from '../measure/index.js';
import type { Step } from '../route/index.js';
import { belowCorner } from '../stock/index.js';
import { chosenSchedule, thingsNeeded, type PartPlan, type Plan } from '../plan/index.js';
import { MARGIN, PAPERS, type Page, type Paper } from './page.js';
import { piecePicture } from './piecePicture.js';
import { body, head, textSheet, type Line } from './textSheet.js';

export interface BatchSheetWish {
  title: string;
  orderedBy: string;
  plan: Plan;
  units: Units;
  paper: Paper;
}

/** The batch on paper, for the wall beside the lathe: blank, drilling, holding, sizes, steps, cautions. */
export function batchSheet(wish: BatchSheetWish): Page[] {
  return textSheet(linesOf(wish, PAPERS[wish.paper].width - 2 * MARGIN), wish.paper, wish.title);
}

/** A moment of a schedule, said as at the bench: Thu 3 Dec, 08:00. */
function moment(text: string): string {
  const [day = '', time] = text.split('T');
  const words = DAY.format(new Date(`${day}T00:00Z`)).replace(/,/g, '');
  return time === undefined ? words : `${words}, ${time.slice(0, 5)}`;
}
const DAY = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  timeZone: 'UTC',
});

function linesOf(wish: BatchSheetWish, width: number): Line[] {
  const { plan, units } = wish;
  const schedule = chosenSchedule(plan);
  const cautions = new Set(plan.parts.flatMap((p) => p.cautions.map((c) => c.words)));
  const needed = thingsNeeded(plan);
  const steps = plan.item?.steps.filter((s) => (s.share?.place ?? 1) === 1) ?? [];
  return [
    { size: 7, bold: true, text: wish.title },
    body(
      `For ${wish.orderedBy}${plan.order.due ? `, by ${moment(plan.order.due)}` : ''}. Begin ${moment(schedule.start)}, ready ${moment(schedule.end)}.`,
    ),
    ...plan.parts.map((part): Line => ({
      size: 3,
      text: plan.parts.length > 1 ? part.name : '',
      picture: piecePicture(part, units, width),
    })),
    ...(needed.length > 0 ? [head('Needed')] : []),
    ...needed.map((n) =>
      body(
        `${n.count > 0 ? `${n.count} × ` : ''}${n.what}${n.words ? `, ${speak(n.words, units)}` : ''}`,
        n.onHand === null ? undefined : `${n.onHand} on the shelf`,
      ),
    ),
    ...plan.parts.flatMap((part) => partLines(part, units, plan.parts.length > 1)),
    ...(steps.length > 0 ? [head('Put together')] : []),
    ...steps.flatMap((step, i) => stepLines(step, i, units, plan.order.pieces)),
    ...(cautions.size > 0 ? [head('Take care')] : []),
    ...[...cautions].map((words) => body(`! ${words}`)),
    ...(plan.findings.length > 0 ? [head('Findings')] : []),
    ...plan.findings.map((f) =>
      body(`${f.severity.toUpperCase()}: ${speak(`${f.what} ${f.remedy}`, units)}`),
    ),
  ];
}

/** One part: blank, drilling, holding, sizes, steps. */
function partLines(part: PartPlan, units: Units, several: boolean): Line[] {
  const mm = (value: number) => formatLength(value, units);
  const made = `${part.pieces} pieces in ${part.material.name.toLowerCase()}`;
  return [
    ...(several ? [{ size: 5.5, bold: true, text: `${part.name}, ${made}`, gap: 5 }] : [body(`${made}.`)]),
    head('Blank'),
    body(
      `${part.blank.count} blanks, ${part.blank.stock ? 'across' : 'square'} × length`,
      `${mm(part.blank.section)} × ${mm(part.blank.length)}`,
    ),
    ...(part.blank.stock
      ? []
      : [body('off below each corner, in a V cradle', mm(belowCorner(part.blank.octagon)))]),
    ...(part.drilling.length + (part.crossDrilling ?? []).length > 0 ? [head('Drill')] : []),
    ...(part.crossDrilling ?? []).map((d) =>
      body(
        `${d.name}, across, ${mm(d.x)} from the reference end: ${d.bit ? `${d.bit.kind} ${mm(d.bit.diameter.mm)}` : 'no bit'}, ${d.rpm} rpm`,
        d.through ? 'through' : `tape ${mm(d.tapeAt)}`,
      ),
    ),
    ...part.drilling.flatMap((d) => [
      body(
        `${d.name}: ${d.bit ? `${d.bit.kind} ${mm(d.bit.diameter.mm)}` : 'no bit'}, ${d.rpm} rpm${d.moment && d.setup ? `, ${d.moment}, ${d.setup}` : ''}`,
        `shoulder ${mm(d.toShoulder)}, tape ${mm(d.tapeAt)}`,
      ),
    ]),
    head('Hold'),
    body(`${part.mount.label}: ${part.mount.headstock}, tail: ${part.mount.tailstock ?? 'nothing'}.`),
    ...(part.mount.fixtures ?? []).map((fixture) => body(speak(fixture, units))),
    head('Sizes'),
    ...part.layout.sizing.map((s) =>
      body(
        `${s.label}, ${mm(s.x)} from the reference end`,
        `cut ${mm(s.cutTo)}, finished ${mm(s.finished)} ± ${speak(asTolerance(s.tolerance), units)}`,
      ),
    ),
    head(several ? `Steps of one ${part.name.toLowerCase()}` : 'Steps of one piece'),
    ...part.steps.flatMap((step, i) => stepLines(step, i, units, part.pieces)),
  ];
}

function stepLines(step: Step, i: number, units: Units, pieces: number): Line[] {
  const wait = step.wait ? `wait ${minutesInWords(step.wait.minutes)}` : undefined;
  const timers = step.timers.map((t) => `${t.label} ${t.minutes} min`).join(', ');
  return [
    {
      size: 3.5,
      bold: true,
      text: `${i + 1}. ${step.title}${step.speed ? `, ${step.speed}` : ''}${wait ? `, ${wait}` : ''}`,
      boxes: pieces,
      gap: 0.8,
    },
    ...step.words.map((w): Line => ({ size: 3.3, text: `       ${speak(w, units)}` })),
    ...(timers ? [{ size: 3.3, text: `       ${timers}` }] : []),
  ];
}
