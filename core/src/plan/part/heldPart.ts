import { wholeHole } from '../../hardware/index.js';
import type { Figure } from '../../measure/index.js';
import { centringOf, proposeMounts, STUB, type Mount, type StockForm } from '../../mounting/index.js';
import { facesLeft, type Outline } from '../../pattern/index.js';
import { blankFor, type Blank, type BlankWish } from '../../stock/index.js';
import { aloneInBlank } from './aloneInBlank.js';
import type { StandingShaft } from '../../mounting/index.js';
import { withOwnWaste } from '../ways/decisions.js';
import type { DrawnPart } from './drawnPart.js';
import type { PlanInputs } from '../inputs.js';
import type { OwnWays } from '../ways/ownWays.js';
import { squareSide } from './truedAcross.js';

/** What follows from holding it: the ways, the one taken, and the blank that leaves room for it. */
export interface HeldPart {
  mounts: [Mount, ...Mount[]];
  mount: Mount;
  blank: Blank;
  figures: Figure[];
}

/** @param shaft what it can be glued onto first; null where nothing is */
export function heldPart(
  drawn: DrawnPart,
  { workshop, order }: PlanInputs,
  own: OwnWays,
  shaft: StandingShaft | null = null,
): HeldPart {
  const { part, outline, hardware, drill, largestDiameter, pieces, material } = drawn;
  const mounts = proposeMounts(
    {
      part,
      outline,
      kit: hardware?.kit,
      kitEnd: hardware?.fitted.end,
      mandrelThread: hardware?.needs.mandrelThread,
      holes: drill.holes,
      drilledLast: drill.holes.filter((hole) =>
        drill.operations.some((o) => wholeHole(o.id) === hole.id && o.moment === 'after parting'),
      ),
      material,
      ...(shaft ? { shaft } : {}),
    },
    workshop,
  );
  const mount = withOwnWaste(mounts.find((m) => m.kind === order.mount) ?? mounts[0], own);
  const { blank, figures } = blankFor(
    {
      partId: part.id,
      largestDiameter: Math.max(largestDiameter, mount.wasteTail > 0 ? STUB : 0, mount.bears ?? 0),
      finishedLength: outline.length,
      wasteDrive: mount.wasteDrive,
      wasteTail: mount.wasteTail,
      perBlank:
        aloneInBlank({
          ...drawn,
          drilling: drill.operations,
          mount,
          perBlank: order.perBlank,
          parting: workshop.allowances.parting,
        }) === null
          ? Math.max(1, order.perBlank)
          : 1,
      pieces,
      ...squareLeft(outline),
      ...(order.stockForm && order.stockForm !== 'square' ? { stock: order.stockForm } : {}),
    },
    { ...workshop.allowances, centring: centringError(order.stockForm, workshop.allowances.centring) },
  );
  return { mounts, mount, blank, figures };
}

/** Stock without corners is centred less surely: its blank must be that much larger. */
const centringError = (form: StockForm = 'square', usual: number): number =>
  form === 'square' ? usual : Math.max(usual, centringOf(form, 0).error);

/** What planing takes off a blank that was sawn for it, of both faces together, mm; bench practice, typical. */
const PLANED_OFF = 1;

/** The largest square that stays in the piece, when there is one, and what is planed off on the way to it. */
function squareLeft(outline: Outline): Pick<BlankWish, 'squareLeft'> {
  const side = squareSide(outline);
  return side === undefined
    ? {}
    : { squareLeft: { side, planing: facesLeft(outline) === 'planed' ? PLANED_OFF : 0 } };
}
