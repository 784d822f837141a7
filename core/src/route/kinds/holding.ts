import type { OperationFigure } from '../figure.js';
import type { KindRow, Told } from './kindRow.js';

/** Taking hold of the wood and letting it go. */
export const HOLDING = {
  'take hold': {
    does: 'hold',
    called: null,
    stage: 'mount',
    purpose: 'turn',
    work: 'mounting',
    says: ['axis at', 'axis off by', 'axis towards, degrees', 'axis leans, degrees'],
    figure: driven,
  },
  /** in a vise or a V block, off the lathe */
  clamp: {
    does: 'hold',
    called: null,
    stage: 'mount',
    purpose: 'handle',
    work: 'bench work',
    says: [],
    figure: driven,
  },
  /** the bit turns, and the wood is fed to it */
  'feed by hand': {
    does: 'hold',
    called: null,
    stage: 'mount',
    purpose: 'turn',
    work: 'mounting',
    says: [],
    figure: driven,
  },
  'tail away': {
    does: 'hold',
    called: null,
    stage: 'mount',
    purpose: 'turn',
    work: 'bench work',
    says: [],
    figure: () => ({ is: 'tailstock', text: 'away' }),
  },
  'take off': {
    does: 'hold',
    called: null,
    stage: 'mount',
    purpose: 'handle',
    work: 'bench work',
    says: [],
    figure: () => undefined,
  },
} as const satisfies Record<string, KindRow>;

/** What drives it; on the lathe with what is at the tail. */
function driven({ effects }: Told): OperationFigure | undefined {
  const hold = effects.find((e) => e.do === 'hold');
  if (hold?.do !== 'hold' || !hold.held) return undefined;
  const { drive, tail, place } = hold.held;
  if (place !== 'lathe') return { is: 'held by', text: drive.words };
  return {
    is: 'at the drive',
    text: drive.words,
    beside: [{ is: 'at the tail', text: tail?.words ?? 'nothing' }],
  };
}
