import { extremes, type Operation, type PartPlan, truedAcross, type Step } from '@compas/core';
import type { ShownFigure } from './shownFigure.js';

/**
 * The figure of an operation of a plan before engine 13, which stored none: read off what it says and cuts, as it was shown
 * then. Null where it had none of its own.
 */
export function figureOfBefore(step: Step, operation: Operation, part: PartPlan): ShownFigure | null {
  const figure = figureOf(operation, part);
  const at = markOf(step) ?? placeOf(operation);
  return figure && at ? { ...figure, at } : figure;
}

/**
 * The mark at which a place is sized, as the words of the step say it: what is played lies half the tool's width beside
 * it, and nobody lays that off. Null where the step sizes nothing.
 */
function markOf({ operation, words }: Step): ShownFigure['at'] | null {
  if (operation?.doing !== 'size') return null;
  const [, mm = '0', end] = MARK.exec(words[0] ?? '') ?? [];
  return end === undefined ? null : { mm: Number(mm), from: `from the ${end} end` };
}

const MARK = /, (?:⟦([\d.]+)⟧ from|at) the (first|second) end/;

/** Where it is worked, by a rule laid on the end that stands now. */
function placeOf({ said, kind, doing }: Operation): ShownFigure['at'] | null {
  const place = said.find((s) => s.from !== null && PLACES.has(s.name));
  if (!place?.from || !WORKED_AT.has(kind) || doing === 'rough') return null;
  const to = doing === 'shape' ? said.findLast((s) => s.name === 'to') : undefined;
  return { mm: place.mm, ...(to ? { to: to.mm } : {}), from: endWords(place.from) };
}

/** What is done at a place, not over a stretch. */
const WORKED_AT: ReadonlySet<Operation['kind']> = new Set(['cut', 'bore', 'part']);
const PLACES: ReadonlySet<string> = new Set(['at', 'from']);

/** An end in as few words as can be read from afar. */
function endWords(datum: NonNullable<Operation['said'][number]['from']>): string {
  switch (datum.kind) {
    case 'end':
      return datum.side === 'low' ? 'from the first end' : 'from the second end';
    case 'finished':
      return `from the ${datum.end} end`;
    case 'flat':
      return 'from the flat';
  }
}

/** The figure that an operation says and plays: what is set, cut to or drilled to. */
function figureOf(operation: Operation, part: PartPlan): ShownFigure | null {
  const { kind, said, timers, subject } = operation;
  const figure = (label: string, ...names: string[]): ShownFigure | null => {
    const found = names.map((name) => said.find((s) => s.name === name)).find((s) => s !== undefined);
    return found ? { label, mm: found.mm } : null;
  };
  switch (kind) {
    case 'saw':
      return (
        figure('blank, across', 'sawn', 'across') ??
        figure('off below each corner', 'off below each corner') ??
        // plans of before
        figure('off each corner', 'off each corner')
      );
    case 'bore':
      return figure('tape at', 'tape at') ?? figure('bit', 'bit');
    case 'part':
      return figure('cut off, from the first end', 'cut off at');
    case 'cut':
      return cutFigure(operation) ?? figure('off the end', 'face to');
    case 'mark':
      return subject === 'stick'
        ? { label: 'notches', text: String(part.layout.marks.length) }
        : { label: 'gauge lines at', mm: truedAcross(part.outline, part.blank) / 2 };
    case 'treat':
      return timers?.[0] ? { label: 'grit', text: timers[0].label } : null;
    case 'hold':
      return holdFigure(operation);
    case 'try':
      return hardwareFigure(operation, part);
    case 'join':
      return (
        figure('goes in', 'goes in') ??
        figure('its middle, from the reference end', 'its middle') ??
        hardwareFigure(operation, part)
      );
    default:
      return null;
  }
}

const CUT_WORDS: Partial<Record<NonNullable<Operation['doing']>, string>> = {
  rough: 'round to',
  tenon: 'tenon',
  size: 'part down to',
  nib: 'nib',
};

/** A crown where there is one, a bottom where there is one, else the thinner end: what the calliper is set to. */
function cutFigure({ effects, doing }: Operation): ShownFigure | null {
  const skin = effects.flatMap((e) => (e.do === 'cut' ? [e.skin] : []))[0];
  const [first] = skin?.profile ?? [];
  const last = skin?.profile.at(-1);
  if (!skin || !first || !last) return null;
  const { largest, smallest } = extremes({ segments: skin.profile }, first.x0, last.x1);
  const ends = [2 * first.r0, 2 * last.r1];
  const named = doing && CUT_WORDS[doing];
  if (named) return { label: named, mm: largest.diameter };
  if (largest.diameter > Math.max(...ends) + 1e-6) return { label: 'crown', mm: largest.diameter };
  if (smallest.diameter < Math.min(...ends) - 1e-6) return { label: 'bottom', mm: smallest.diameter };
  return { label: largest.diameter === smallest.diameter ? 'straight at' : 'down to', mm: smallest.diameter };
}

function holdFigure({ effects }: Operation): ShownFigure | null {
  const hold = effects.find((e) => e.do === 'hold');
  if (hold?.do !== 'hold' || !hold.held) return null;
  const { drive, tail, place } = hold.held;
  if (place !== 'lathe') return { label: 'held by', text: drive.words };
  return tail ? { label: 'at the drive', text: drive.words } : { label: 'tailstock', text: 'away' };
}

/** Trial fits and joins are about a diameter of the hardware: what the wood is held against. */
function hardwareFigure({ kind }: Operation, { hardware }: PartPlan): ShownFigure | null {
  if (!hardware) return null;
  const { kit, needs } = hardware;
  if (kind === 'try' && kit.kind === 'ferrule')
    return { label: 'outside of the ferrule', mm: kit.outsideDiameter.mm };
  return needs.mating ? { label: needs.mating.label, mm: needs.mating.diameter } : null;
}
