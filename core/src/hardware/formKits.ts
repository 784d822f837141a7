import type { Dimension } from '../measure/index.js';
import type { ItemKind, PartEnd, PatternBody, StartingForm } from '../pattern/index.js';
import type { Kit, KitKind } from './kit.js';

/** What a starting form takes from a piece of hardware. */
interface FormSeat {
  /** where it sits on the first part */
  end: PartEnd;
  /** the form's own hole that the hardware bores itself */
  hole?: string;
  /** the sizes it gives of those that the form asks for; null for hardware that does not belong on the form */
  sizes: (kit: Kit) => Record<string, Dimension> | null;
}

/** Forms that are made for hardware, by their id. */
const SEATS: Readonly<Record<string, FormSeat>> = {
  stopper: {
    end: 'reference',
    sizes: (kit) => ('baseDiameter' in kit ? { base: kit.discDiameter ?? kit.baseDiameter } : null),
  },
  'tool-handle': {
    end: 'reference',
    sizes: (kit) =>
      kit.kind === 'ferrule' || kit.kind === 'ring'
        ? { bore: kit.bore, outside: kit.outsideDiameter, ferrule: kit.length }
        : null,
  },
  'knife-handle': {
    end: 'reference',
    hole: 'tang',
    sizes: (kit) => {
      if (kit.kind === 'tapered-shank') return { tang: kit.mouthDiameter, tangLength: kit.shankLength };
      if (kit.kind !== 'tang') return null;
      const { shoulderAcross: tang, tangLength, bolsterDiameter } = kit;
      return { tang, tangLength, ...(bolsterDiameter ? { bolster: bolsterDiameter } : {}) };
    },
  },
  'scoop-handle': {
    end: 'reference',
    hole: 'stud',
    sizes: (kit) => (kit.kind === 'head' ? { end: kit.endDiameter, stud: kit.stemDiameter } : null),
  },
};

/** The sizes of a form that a kit gives, so that they need not be asked; null where it has no place on the form. */
export const givenByKit = ({ id }: StartingForm, kit: Kit): Record<string, Dimension> | null =>
  SEATS[id]?.sizes(kit) ?? null;

/** A pattern from a form and the hardware it is made for: its sizes are taken, its holes are left to it. */
export function bodyOnKit(
  form: StartingForm,
  kit: Kit,
  sizes: Record<string, Dimension>,
  materialId: string,
): PatternBody {
  const given = givenByKit(form, kit);
  const seat = SEATS[form.id];
  if (!given || !seat) return form.body(sizes, materialId);
  const body = form.body({ ...sizes, ...given }, materialId);
  const [first, ...rest] = body.parts;
  const holes = first.holes.filter((h) => h.id !== seat.hole);
  const hardware = [{ id: 'h1', kitId: kit.id, partId: first.id, end: seat.end }];
  return { ...body, parts: [{ ...first, holes }, ...rest], hardware };
}

/** Kinds of hardware that a kind of item usually carries, the most usual first. */
const USUAL: Record<ItemKind, readonly KitKind[]> = {
  stopper: ['tapped-insert', 'self-tapping-stud', 'glue-in-stud'],
  handle: ['ferrule', 'ring', 'tang', 'tapered-shank', 'socket', 'head', 'rod'],
  finial: ['rod', 'threaded-insert', 'ball', 'screw-eye'],
  ornament: ['screw-eye', 'cord', 'rod', 'ball'],
  'rolling pin': ['rod'],
  top: ['ball', 'rod'],
  ball: ['cord', 'screw-eye', 'rod'],
  leg: ['threaded-insert', 'rod', 'ring'],
  scoop: ['ring', 'cord'],
  rattle: ['cord', 'ring'],
  other: [],
};

/** Hardware in the order in which it is likely wanted on a kind of item: what is usual on it, then all else. */
export function kitsByUse(kits: readonly Kit[], kind: ItemKind): { usual: Kit[]; others: Kit[] } {
  const rank = ({ kind: of }: Kit) => USUAL[kind].indexOf(of);
  return {
    usual: kits.filter((k) => rank(k) >= 0).sort((a, b) => rank(a) - rank(b)),
    others: kits.filter((k) => rank(k) < 0),
  };
}
