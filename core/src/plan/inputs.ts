import type { Schools } from '../measure/index.js';
import type { DrillChoice, FittingWay, Kit } from '../hardware/index.js';
import type { MountKind, StockForm } from '../mounting/index.js';
import type { PatternBody } from '../pattern/index.js';
import type { OwnWay, Workshop } from '../workshop/index.js';

/** What is on the shelf that a plan can use. */
export interface Stock {
  kits: Kit[];
  /** wood that is still drying; a plan that uses it begins when it is dry */
  drying?: DryingWood[];
}

/** A bundle on the drying shelf, as a plan needs to know it. */
export interface DryingWood {
  id: string;
  label: string;
  materialId: string;
  /** first day on which its school of drying lets it be turned; null when nobody can tell yet */
  readyOn: string | null;
  /** % by its curve; null when there is none yet */
  moisture: number | null;
  target: number;
  /** it is meant to be finished while it is wet; plans of before do not say it */
  forGreen?: boolean;
  /** first day on which it is as dry as its target, however it is dealt with; null when nobody can tell */
  dryOn?: string | null;
  /** how many pieces there are, and what one is across and long, mm, as it lies there */
  pieces?: number;
  size?: { across: number; length: number };
}

/** What is chosen for a part: what it is made of, how it is held and drilled, how its surface is left. */
export interface PartChoices {
  materialId: string;
  /** null leaves the work straight from the tool */
  finishId: string | null;
  perBlank: number;
  /** bundle on the drying shelf that it is made from; dry stock when not said */
  woodId?: string;
  /** turned while it is wet, and dried afterwards */
  green?: boolean;
  /** null takes the first way proposed */
  mount: MountKind | null;
  /** how the hardware is fitted; its kit's usual way when not said */
  fitting?: FittingWay;
  /** when and with what set-up single holes are drilled */
  drilling?: DrillChoice[];
  /** what the stock is when it comes to be centred; square when not said */
  stockForm?: StockForm;
  /** mark that all others are measured from: its id; the reference end when not said */
  datum?: string;
  /** what is done otherwise than usual, this time */
  ways?: OwnWay[];
}

/** What is chosen for a further part of an item. */
export interface OtherPart extends PartChoices {
  partId: string;
}

/** What is ordered of one pattern, and the choices made for its part, or for its first where several are made. */
export interface PlanOrder extends PartChoices {
  /** items ordered; of a part there are as many more as each item has */
  pieces: number;
  /** the part that is chosen for; the first when not said */
  partId?: string;
  /** choices for the other parts where whole items are made; only the one part is made when not said */
  others?: OtherPart[];
  /** when work begins, `2026-03-02T08:00` on the workshop's clock */
  start: string;
  /** last day, `2026-03-20`; null when nobody waits for it */
  due: string | null;
}

export interface PlanInputs {
  pattern: PatternBody;
  workshop: Workshop;
  stock: Stock;
  order: PlanOrder;
  schools: Schools;
}
