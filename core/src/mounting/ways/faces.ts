import { len } from '../../measure/index.js';
import { widestOf } from '../../pattern/index.js';
import { fitsOf, liveCentre, plainMount, type WayOfHolding } from '../mount.js';
import { fixture, lacking } from '../lack.js';
import { isBall } from './ends.js';
import { reversedIn } from './chucked.js';

/** Longer than this against its width a piece on a screw or a plate is levered off. */
const SQUAT = 2.5;
const FLAT = 0.6;

/** A screw into the waste of a squat piece. */
export const onScrew: WayOfHolding = (wish, workshop) => {
  const widest = widestOf(wish.outline).diameter;
  const screw = workshop.fixtures?.find((f) => f.kind === 'screw');
  if (!screw || wish.outline.length > SQUAT * widest || wish.material?.class === 'resin') return [];
  const slim = wish.outline.length > widest;
  const mount = plainMount({
    kind: 'screw',
    label: 'On the screw',
    why: `On and off in seconds, one piece after another; the waste keeps ${len(screw.length)} for its hole.`,
    headstock: screw.name,
    tailstock: slim ? (liveCentre(workshop)?.name ?? null) : null,
    wasteDrive: screw.length + 6,
    wasteTail: slim ? workshop.allowances.wasteTail : 0,
    reach: 0,
    stack: [{ what: `${screw.name}, in the waste`, length: 0 }],
    fixtures: ['face of the blank sawn square, tight against the flange'],
    ...fitsOf(screw),
    reversal: reversedIn(wish, workshop),
  });
  return [{ mount, suits: 5 }];
};

/** Double-sided tape under a flat face: nothing enters it. */
export const onTapePlate: WayOfHolding = (wish, workshop) => {
  const widest = widestOf(wish.outline).diameter;
  const plate = workshop.fixtures?.find((f) => f.kind === 'tape plate');
  if (!plate || wish.outline.length > FLAT * widest) return [];
  const face = Math.min(plate.diameter, widest);
  const mount = plainMount({
    kind: 'tape plate',
    label: 'Taped to a plate',
    why: `Its flat face of ${len(face)} holds by tape alone and keeps no mark: light cuts, the live centre up for as long as it can.`,
    headstock: plate.name,
    tailstock: liveCentre(workshop)?.name ?? null,
    reach: plate.length,
    stack: [{ what: plate.name, length: plate.length }],
    taped: face,
    ...fitsOf(plate),
    reversal: 'Ease it off with a thin wedge and a drop of solvent; turn it over on fresh tape.',
  });
  return [{ mount, suits: 4 }];
};

/** Cup chucks: a ball turned through three axes. */
export const inCups: WayOfHolding = (wish, workshop) => {
  if (!isBall(wish.outline)) return [];
  const cups = (workshop.fixtures ?? []).filter((f) => f.kind === 'cup');
  const widest = widestOf(wish.outline).diameter;
  const fitting = cups.filter((c) => c.diameter > widest / 2 && c.diameter < widest);
  const mount = plainMount({
    kind: 'cups',
    label: 'Between two cups',
    why: 'The ball is turned in them through three axes: what stands proud shows as a shadow and is scraped away.',
    headstock: fitting[0]?.name ?? 'cup',
    tailstock: `${fitting[1]?.name ?? fitting[0]?.name ?? 'cup'} on the live centre`,
    reach: 2 * (fitting[0]?.length ?? 0),
    wasteDrive: workshop.allowances.wasteDrive,
    wasteTail: workshop.allowances.wasteTail,
    stack: fitting.slice(0, 1).map((f) => ({ what: `${f.name}, both`, length: 2 * f.length })),
    ...lacking(
      fitting.length === 0 &&
        fixture(`cups between ${len(widest / 2)} and ${len(widest)} across`, {
          name: 'Pair of cups',
          kind: 'cup',
          diameter: Math.round(widest * 0.75),
          length: 30,
        }),
    ),
    fixtures: ['facets are turned between centres first; cups when its ends are sawn off'],
    reversal: 'Three times: a quarter turn, a quarter turn the other way, then its old poles to the sides.',
  });
  return [{ mount, suits: 2.6 }];
};
