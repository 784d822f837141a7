import { len } from '../../measure/index.js';
import type { Fixture } from '../../workshop/index.js';
import { fixture, type Lack } from '../lack.js';

/** How much thinner than what it goes through a rod or a bushing may be and still centre, on the diameter, mm. */
export const LOOSE = 0.4;
/** What a bushing is wider than the mouth that it bears on, mm: less would press into the rim. */
const LAND = 2;
/** What is left of a bushing around its rod on the diameter, mm. */
const WALL = 1;
const SLACK = 1e-6;

/** An end of a through hole that a bushing closes. mm */
export interface Mouth {
  /** the hole's diameter at this end */
  across: number;
  /** what centres the work here: the rod itself where it fills the hole, else the bushing must */
  centredByRod: boolean;
}

type Seat = 'bears' | 'enters' | 'cone';

/** Whether it goes onto the rod and runs true there; what has no bore entered is tried on the rod. */
export function slidesOn(rod: Fixture, { bore, diameter }: Fixture): boolean {
  const fits = (mm: number) => mm >= rod.diameter - SLACK && mm <= rod.diameter + LOOSE + SLACK;
  // before there was a bore to enter many were told by what they slide on
  if (bore === undefined) return fits(diameter) || diameter >= rod.diameter + WALL - SLACK;
  return fits(bore) && diameter >= rod.diameter + WALL - SLACK;
}

/** How a bushing sits in a mouth; null where it neither goes in without play nor has a rim to bear on. */
export function seatOf({ kind, diameter }: Fixture, { across, centredByRod }: Mouth): Seat | null {
  if (kind === 'cone bushing') return diameter >= across + LAND ? 'cone' : null;
  if (diameter <= across + SLACK && diameter >= across - LOOSE - SLACK) return 'enters';
  return centredByRod && diameter >= across + LAND ? 'bears' : null;
}

const PREFERRED: readonly Seat[] = ['bears', 'enters', 'cone'];

/** The owned bushing that suits a mouth best: a plain rim first, the nearest in size among equals. */
export function bushingFor(mouth: Mouth, rod: Fixture, owned: readonly Fixture[]): Fixture | null {
  const suited = owned
    .filter((f) => slidesOn(rod, f))
    .flatMap((f) => {
      const seat = seatOf(f, mouth);
      return seat === null
        ? []
        : [{ f, rank: PREFERRED.indexOf(seat), off: Math.abs(f.diameter - mouth.across) }];
    })
    .sort((a, b) => a.rank - b.rank || a.off - b.off);
  return suited[0]?.f ?? null;
}

/** What to get or make where none suits. */
export const bushingWanted = ({ across, centredByRod }: Mouth, rod: Fixture): Lack =>
  fixture(
    centredByRod
      ? `a bushing bored ${len(rod.diameter)}, ${len(across + LAND)} across or more`
      : `a bushing bored ${len(rod.diameter)} and ${len(across)} across, or a cone of more than ${len(across + LAND)}`,
    {
      name: 'Bushing',
      kind: 'bushing',
      diameter: centredByRod ? across + LAND : across,
      bore: rod.diameter,
      length: 15,
    },
  );
