import { applied } from '../apply.js';
import type { Lengths, Operation, Route } from '../operation.js';
import { bore, boreAcross } from './bore.js';
import { look } from './check.js';
import { cut } from './cut.js';
import { dry } from './dry.js';
import { face, flatAcross } from './face.js';
import { free } from './free.js';
import { hold, tailAway, takeOff } from './hold.js';
import { fix, glue, slide } from './join.js';
import { part } from './part.js';
import { clip, saw } from './saw.js';
import { treat } from './treat.js';
import { EMPTY_SHOP, type Datum, type Shop } from '../shop.js';

/** What is said more than once needs a name of its own each time. */
interface Named {
  subject?: string;
  pass?: string;
}

/** A route written down one operation after the other, each said in the shop as the last one left it. */
export class Writer {
  /** the shop as the last operation left it */
  shop: Shop;
  /** of several pieces in one blank the one that is written about; null for the blank, or where there is one only */
  place: number | null = null;
  private readonly operations: Operation[] = [];

  constructor(
    readonly lengths: Lengths,
    from: Shop = EMPTY_SHOP,
  ) {
    this.shop = from;
  }

  get route(): Route {
    return { schema: 2, operations: this.operations };
  }

  saw = (what: Parameters<typeof saw>[0]) => this.say(saw(what));
  clip = (what: Parameters<typeof clip>[0]) => this.say(clip(what));
  bore = (what: Parameters<typeof bore>[1]) => this.say(bore(this.shop, this.own(what), this.lengths));
  boreAcross = (what: Parameters<typeof boreAcross>[1]) =>
    this.say(boreAcross(this.shop, this.own(what), this.lengths));
  cut = (what: Parameters<typeof cut>[1]) => this.say(cut(this.shop, this.own(what), this.lengths));
  face = (what: Parameters<typeof face>[1]) => this.say(face(this.shop, this.own(what), this.lengths));
  flatAcross = (what: Parameters<typeof flatAcross>[1]) => this.say(flatAcross(this.shop, this.own(what)));
  hold = (what: Parameters<typeof hold>[1]) => this.say(hold(this.shop, this.own(what), this.lengths));
  tailAway = (title: string, pass?: string, minutes?: Operation['minutes']) =>
    this.say(tailAway(this.shop, { title, ...(minutes ? { minutes } : {}) }, this.pass(pass)));
  takeOff = (
    wood: string,
    title: string,
    pass?: string,
    minutes?: Operation['minutes'],
    stage?: Operation['stage'],
  ) =>
    this.say(
      takeOff(wood, { title, ...(minutes ? { minutes } : {}), ...(stage ? { stage } : {}) }, this.pass(pass)),
    );
  dry = (what: Parameters<typeof dry>[0]) => this.say(dry(what));
  fix = (what: Parameters<typeof fix>[1]) => this.say(fix(this.shop, this.own(what), this.lengths));
  glue = (what: Parameters<typeof glue>[1]) => this.say(glue(this.shop, this.own(what), this.lengths));
  slide = (what: Parameters<typeof slide>[1]) => this.say(slide(this.shop, this.own(what), this.lengths));
  treat = (what: Parameters<typeof treat>[1]) => this.say(treat(this.shop, this.own(what), this.lengths));
  free = (what: Parameters<typeof free>[1]) => this.say(free(this.shop, this.own(what), this.lengths));
  part = (what: Parameters<typeof part>[1]) => this.say(part(this.shop, this.own(what), this.lengths));
  look = (kind: Parameters<typeof look>[0], what: Parameters<typeof look>[1]) =>
    this.say(look(kind, this.own(what)));

  /** The name of a subject where several pieces have one each. */
  named(subject: string): string {
    return this.place === null || this.place === 1 ? subject : `${subject} (${this.place})`;
  }

  private own<T extends Named>(what: T): T {
    // what has no subject, a hold, is told apart by its pass
    return what.subject === undefined
      ? { ...what, ...(what.pass === undefined ? {} : { pass: this.named(what.pass) }) }
      : { ...what, subject: this.named(what.subject) };
  }

  private pass(pass: string | undefined): string | undefined {
    return this.place === null || this.place === 1 ? pass : this.named(pass ?? 'piece');
  }

  /** Says an operation that was made of what another one says. */
  say(operation: Operation): this {
    const own = this.place === null ? operation : { ...operation, place: this.place };
    this.operations.push(own);
    this.shop = applied(this.shop, own);
    return this;
  }
}

/** The first sawn end of a blank and the other one, as they stand now. */
export const LOW: Datum = { kind: 'end', side: 'low' };
export const HIGH: Datum = { kind: 'end', side: 'high' };
