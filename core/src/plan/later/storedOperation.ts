import type { Effect, Operation, OperationKind } from '../../route/index.js';

/** A figure as it was said before names were a closed list. */
interface StoredSaid {
  name: string;
  mm: number;
  from: Operation['said'][number]['from'];
}

/** An operation as snapshots of schema 2 have it: kinds were fewer, and told apart further by what they did. */
export interface StoredOperation extends Omit<Operation, 'kind' | 'said'> {
  kind:
    'saw' | 'mark' | 'bore' | 'join' | 'hold' | 'cut' | 'treat' | 'try' | 'measure' | 'part' | 'dry' | 'own';
  /** of a cut what it was for, of a treatment what it did */
  doing?: string;
  /** of a hold what became of it; plans before engine 13 say it by the subject */
  hold?: 'held' | 'tail away' | 'off';
  said: StoredSaid[];
}

const says = ({ said }: StoredOperation, name: string): boolean => said.some((s) => s.name === name);
const changes = ({ effects }: StoredOperation, what: Effect['do']): boolean =>
  effects.some((e) => e.do === what);

/** The kind of today that an operation of then is. */
const KINDS: Record<StoredOperation['kind'], (stored: StoredOperation) => OperationKind> = {
  saw: (o) => (changes(o, 'stock') ? 'saw out' : 'clip the corners'),
  mark: ({ subject }) => (subject === 'centres' ? 'mark centres' : 'mark off'),
  bore: (o) => (says(o, 'reamed to') ? 'ream' : says(o, 'across at') ? 'drill across' : 'drill'),
  join: (o) =>
    changes(o, 'fix')
      ? 'fit in'
      : says(o, 'its middle')
        ? 'slide on'
        : changes(o, 'join')
          ? 'glue in'
          : 'cord',
  hold: held,
  cut,
  treat: ({ doing }) => TREATED[doing ?? ''] ?? 'coat',
  try: ({ purpose, subject }) =>
    purpose === 'use' ? 'look the whole over' : subject === 'fit' ? 'try the fit' : 'try a peg',
  measure: () => 'measure',
  part: (o) => (changes(o, 'free') ? 'free a ring' : o.speed === undefined ? 'saw a nib' : 'part off'),
  dry: () => 'dry',
  own: () => 'own step',
};

const TREATED: Partial<Record<string, OperationKind>> = {
  sanded: 'sand',
  burnished: 'burnish',
  textured: 'texture',
  burnt: 'burn',
  dyed: 'dye',
};

function held({ hold, subject, effects }: StoredOperation): OperationKind {
  if ((hold ?? subject) === 'tail away') return 'tail away';
  const now = effects.flatMap((e) => (e.do === 'hold' ? [e.held] : []))[0];
  if (!now) return 'take off';
  if (now.place === 'drill press') return 'clamp';
  return now.drive.by === 'fed by hand' ? 'feed by hand' : 'take hold';
}

const CUT: Partial<Record<string, OperationKind>> = {
  rough: 'rough',
  tenon: 'turn a tenon',
  size: 'size',
  hollow: 'hollow',
  stub: 'turn a stub',
  nib: 'part to a nib',
};

function cut(stored: StoredOperation): OperationKind {
  const { doing = '', effects } = stored;
  if (doing === 'face') return faced(stored);
  const byHand = effects.some((e) => e.do === 'cut' && !e.turning);
  return CUT[doing] ?? (byHand ? 'carve a tip' : 'shape');
}

const faced = (stored: StoredOperation): OperationKind =>
  !says(stored, 'face to')
    ? 'face a rim'
    : stored.effects.some((e) => e.do === 'flat' && e.sawn)
      ? 'square an end'
      : 'face an end';

/** What roughing left was told by the name of its cut only. */
const roughed = (effect: Effect): Effect =>
  effect.do === 'cut' ? { ...effect, skin: { ...effect.skin, leaves: 'roughed' } } : effect;

/** An operation of a snapshot of schema 2 as one of today: what it says and does stays as it was. */
export function operationOfStored(stored: StoredOperation): Operation {
  const { doing, hold: _, kind, said, effects, ...same } = stored;
  return {
    ...same,
    kind: KINDS[kind](stored),
    // whoever reads a name that is not in the list today finds none, as then
    said: said as Operation['said'],
    effects: doing === 'rough' ? effects.map(roughed) : effects,
  };
}
