import { extremes } from '../../pattern/index.js';
import { fromOf, type Along, type OperationFigure } from '../../route/index.js';
import type { PartPlan } from '../part/partPlan.js';
import { truedAcross } from '../part/truedAcross.js';
import type { StoredOperation } from './storedOperation.js';

/**
 * The figure of an operation of a plan before engine 13, which stored none: read off what it says and cuts, as it was shown
 * then. Undefined where it had none of its own.
 * @param words the words of its step, which alone say the mark that a place is sized at
 */
export function figureOfStored(
  operation: StoredOperation,
  words: readonly string[],
  part: PartPlan,
): OperationFigure | undefined {
  const figure = figureOf(operation, part);
  const at = markOf(operation, words) ?? placeOf(operation);
  return figure && at ? { ...figure, at } : figure;
}

/** What is played lies half the tool's width beside the mark, and nobody lays that off. */
function markOf({ doing }: StoredOperation, words: readonly string[]): Along | undefined {
  if (doing !== 'size') return undefined;
  const [, mm = '0', end] = MARK.exec(words[0] ?? '') ?? [];
  return end === undefined
    ? undefined
    : { mm: Number(mm), from: end === 'first' ? 'first end' : 'second end' };
}

const MARK = /, (?:⟦([\d.]+)⟧ from|at) the (first|second) end/;

/** Where it is worked, by a rule laid on the end that stands now. */
function placeOf({ said, kind, doing }: StoredOperation): Along | undefined {
  const place = said.find((s) => s.from !== null && (s.name === 'at' || s.name === 'from'));
  const atPlace = kind === 'cut' || kind === 'bore' || kind === 'part';
  if (!place?.from || !atPlace || doing === 'rough') return undefined;
  const to = doing === 'shape' ? said.findLast((s) => s.name === 'to') : undefined;
  return { mm: place.mm, ...(to ? { to: to.mm } : {}), from: fromOf(place.from) };
}

/** The figure that an operation says and plays: what is set, cut to or drilled to. */
function figureOf(operation: StoredOperation, part: PartPlan): OperationFigure | undefined {
  const { kind, said, timers, subject } = operation;
  const figure = (is: OperationFigure['is'], name: string, called?: string): OperationFigure | undefined => {
    const found = said.find((s) => s.name === name);
    return found && { is, mm: found.mm, ...(called === undefined ? {} : { called }) };
  };
  switch (kind) {
    case 'saw':
      return (
        figure('across', 'sawn') ??
        figure('across', 'across') ??
        figure('below the corner', 'off below each corner') ??
        figure('below the corner', 'off each corner', 'off each corner')
      );
    case 'bore':
      return figure('tape', 'tape at') ?? figure('bit', 'bit');
    case 'part':
      return figure('cut off', 'cut off at', 'cut off, from the first end');
    case 'cut':
      return cutFigure(operation) ?? figure('off the end', 'face to');
    case 'mark':
      return subject === 'stick'
        ? { is: 'notches', text: String(part.layout.marks.length) }
        : { is: 'gauge line', mm: truedAcross(part.outline, part.blank) / 2 };
    case 'treat':
      return timers?.[0] ? { is: 'grit', text: timers[0].label } : undefined;
    case 'hold':
      return holdFigure(operation);
    case 'try':
      return hardwareFigure(operation, part);
    case 'join':
      return (
        figure('goes in', 'goes in') ??
        figure('its middle', 'its middle', 'its middle, from the reference end') ??
        hardwareFigure(operation, part)
      );
    default:
      return undefined;
  }
}

const CUT: Partial<Record<string, OperationFigure['is']>> = {
  rough: 'round',
  tenon: 'tenon',
  size: 'parted down',
  nib: 'nib',
};

/** A crown where there is one, a bottom where there is one, else the thinner end: what the calliper is set to. */
function cutFigure({ effects, doing = '' }: StoredOperation): OperationFigure | undefined {
  const skin = effects.flatMap((e) => (e.do === 'cut' ? [e.skin] : []))[0];
  const [first] = skin?.profile ?? [];
  const last = skin?.profile.at(-1);
  if (!skin || !first || !last) return undefined;
  const { largest, smallest } = extremes({ segments: skin.profile }, first.x0, last.x1);
  const ends = [2 * first.r0, 2 * last.r1];
  const is = CUT[doing];
  if (is) return { is, mm: largest.diameter };
  if (largest.diameter > Math.max(...ends) + 1e-6) return { is: 'crown', mm: largest.diameter };
  if (smallest.diameter < Math.min(...ends) - 1e-6) return { is: 'bottom', mm: smallest.diameter };
  return {
    is: largest.diameter === smallest.diameter ? 'straight' : 'thinner end',
    mm: smallest.diameter,
  };
}

function holdFigure({ effects }: StoredOperation): OperationFigure | undefined {
  const hold = effects.find((e) => e.do === 'hold');
  if (hold?.do !== 'hold' || !hold.held) return undefined;
  const { drive, tail, place } = hold.held;
  if (place !== 'lathe') return { is: 'held by', text: drive.words };
  return tail ? { is: 'at the drive', text: drive.words } : { is: 'tailstock', text: 'away' };
}

/** Trial fits and joins are about a diameter of the hardware: what the wood is held against. */
function hardwareFigure({ kind }: StoredOperation, { hardware }: PartPlan): OperationFigure | undefined {
  if (!hardware) return undefined;
  const { kit, needs } = hardware;
  if (kind === 'try' && kit.kind === 'ferrule')
    return { is: 'outside of the ferrule', mm: kit.outsideDiameter.mm };
  return needs.mating
    ? { is: 'what it meets', called: needs.mating.label, mm: needs.mating.diameter }
    : undefined;
}
