import { applied } from '../apply.js';
import type { Lengths, Operation, Route } from '../operation.js';
import { bore, boreAcross } from './bore.js';
import { look } from './check.js';
import { cut } from './cut.js';
import { face, flatAcross } from './face.js';
import { hold, tailAway, takeOff } from './hold.js';
import { fix, glue } from './join.js';
import { part } from './part.js';
import { clip, saw } from './saw.js';
import { treat } from './treat.js';
import { EMPTY_SHOP, type Datum, type Shop } from '../shop.js';

/** A route written down one operation after the other, each said in the shop as the last one left it. */
export class Writer {
  /** the shop as the last operation left it */
  shop: Shop;
  private readonly operations: Operation[] = [];

  constructor(
    readonly lengths: Lengths,
    from: Shop = EMPTY_SHOP,
  ) {
    this.shop = from;
  }

  get route(): Route {
    return { schema: 1, operations: this.operations };
  }

  saw = (what: Parameters<typeof saw>[0]) => this.say(saw(what));
  clip = (what: Parameters<typeof clip>[0]) => this.say(clip(what));
  bore = (what: Parameters<typeof bore>[1]) => this.say(bore(this.shop, what, this.lengths));
  boreAcross = (what: Parameters<typeof boreAcross>[1]) =>
    this.say(boreAcross(this.shop, what, this.lengths));
  cut = (what: Parameters<typeof cut>[1]) => this.say(cut(this.shop, what, this.lengths));
  face = (what: Parameters<typeof face>[1]) => this.say(face(this.shop, what, this.lengths));
  flatAcross = (what: Parameters<typeof flatAcross>[1]) => this.say(flatAcross(this.shop, what));
  hold = (what: Parameters<typeof hold>[1]) => this.say(hold(this.shop, what, this.lengths));
  tailAway = (title: string, pass?: string, minutes?: Operation['minutes']) =>
    this.say(tailAway(this.shop, { title, ...(minutes ? { minutes } : {}) }, pass));
  takeOff = (
    wood: string,
    title: string,
    pass?: string,
    minutes?: Operation['minutes'],
    stage?: Operation['stage'],
  ) => this.say(takeOff(wood, { title, ...(minutes ? { minutes } : {}), ...(stage ? { stage } : {}) }, pass));
  fix = (what: Parameters<typeof fix>[1]) => this.say(fix(this.shop, what, this.lengths));
  glue = (what: Parameters<typeof glue>[1]) => this.say(glue(this.shop, what, this.lengths));
  treat = (what: Parameters<typeof treat>[1]) => this.say(treat(this.shop, what, this.lengths));
  part = (what: Parameters<typeof part>[1]) => this.say(part(this.shop, what, this.lengths));
  look = (...what: Parameters<typeof look>) => this.say(look(...what));

  private say(operation: Operation): this {
    this.operations.push(operation);
    this.shop = applied(this.shop, operation);
    return this;
  }
}

/** The first sawn end of a blank and the other one, as they stand now. */
export const LOW: Datum = { kind: 'end', side: 'low' };
export const HIGH: Datum = { kind: 'end', side: 'high' };
