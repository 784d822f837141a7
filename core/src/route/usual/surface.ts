import { capitalised, type TurningStage } from '../../measure/index.js';
import { facesLeft, PART_ENDS, type DecorationKind } from '../../pattern/index.js';
import type { TreatKind } from '../kinds/treating.js';
import type { SurfaceRef } from '../shop.js';
import { reachOf, tipName, type Bench } from './bench.js';
import { each, MINUTES } from './minutes.js';
import { stretchWords } from './stretchWords.js';

type Surface = Pick<SurfaceRef, 'of' | 'id'>;

/** Neighbouring elements that are sanded, as one run: mating faces between them are kept off. mm of the part */
function runs({ work }: Bench): { ids: string[]; x0: number; x1: number }[] {
  const found: { ids: string[]; x0: number; x1: number }[] = [];
  let open = false;
  for (const { element, x0, x1 } of work.outline.spans) {
    const last = found.at(-1);
    if (work.bare.has(element.id)) open = false;
    else if (open && last) {
      last.ids.push(element.id);
      last.x1 = x1;
    } else {
      found.push({ ids: [element.id], x0, x1 });
      open = true;
    }
  }
  return found;
}

/** The skins of elements that were shaped. */
function shaped(bench: Bench, ids: readonly string[]): Surface[] {
  const tips = PART_ENDS.filter((end) => ids.includes(bench.endElement(end))).map(tipName);
  const names = [...ids, ...tips].map((id) => bench.shapeId(id));
  // of a shaft with rings on it each stretch is a cut of its own
  return bench.now.body.skins
    .filter(({ id }) => names.some((name) => id === name || id.startsWith(`${name}:`)))
    .map(({ id }) => ({ of: 'skin' as const, id }));
}

/** What is not sanded, in words: faces that meet something, and flats that nothing comes after. */
function keptOff({ work: { bare, outline } }: Bench): string[] {
  const squares = new Set(outline.squares?.map((s) => s.elementId));
  const left = facesLeft(outline);
  return [
    ...([...bare].some((id) => !squares.has(id)) ? ['Keep off what meets something else.'] : []),
    ...(left
      ? [`Keep off the flats: they stay as the ${left === 'planed' ? 'plane' : 'saw'} left them.`]
      : []),
  ];
}

/** Each grit over all that is sanded, before the next. */
function sand(bench: Bench): void {
  const { work, wood, writer } = bench;
  const stretches = stretchesOf(bench);
  if (stretches.length === 0) return;
  work.sanding.forEach(({ grit, takes, minutes }, i) =>
    writer.treat({
      wood,
      kind: 'sand',
      subject: 'all',
      pass: grit,
      from: bench.datum('reference'),
      stretches,
      takes,
      title: `Sand ${grit}`,
      words: [
        ...(i === 0
          ? ['The same time with each grit, then stop and go along the grain. Little on crisp details.']
          : []),
        ...(i === 0 ? keptOff(bench) : []),
        ...(i === 0 && work.part.rings?.length ? ['Rings taped aside, then on the other side.'] : []),
      ],
      speed: bench.speed('sand'),
      timers: [{ id: grit, label: grit, minutes }],
      minutes: each(minutes),
    }),
  );
}

/** Its own shavings press down what the tool left; nothing is taken off. */
function burnish(bench: Bench): void {
  const { work, wood, writer } = bench;
  if (!work.burnish) return;
  writer.treat({
    wood,
    kind: 'burnish',
    subject: 'all',
    pass: 'shavings',
    from: bench.datum('reference'),
    stretches: stretchesOf(bench),
    title: 'Burnish with its own shavings',
    words: ['A handful of them, held lightly from below, until the wood shines.'],
    speed: bench.speed('finish fast'),
    minutes: each(MINUTES.burnish),
  });
}

/** All that is sanded or coated of the outside about the first axis: what further axes took is left out. */
const stretchesOf = (bench: Bench) =>
  runs(bench).flatMap(({ ids, x0, x1 }) => {
    const on = shaped(bench, ids);
    const cuts = furtherReach(bench).filter((x) => x > x0 && x < x1);
    const edges = [x0, ...cuts, x1];
    return edges.slice(1).flatMap((to, i) => {
      const from = edges[i] ?? x0;
      const left = cuts.length === 0 ? on : on.filter((surface) => bench.stands(surface, from, to));
      return left.length === 0 ? [] : [{ on: left, x0: bench.from(from), x1: bench.from(to) }];
    });
  });

/** Where what was turned about further axes begins and ends, in order. mm of the part */
const furtherReach = (bench: Bench): number[] =>
  bench.work.part.turnings
    .slice(1)
    .flatMap(({ id }) => bench.now.body.skins.filter((s) => s.id === bench.shapeId(id)))
    .flatMap((skin) => Object.values(reachOf(skin)).map((at) => at - bench.x(0)))
    .sort((a, b) => a - b);

/** What was turned about further axes gets its finish with the rest. */
const furtherStretches = (bench: Bench) =>
  bench.work.part.turnings.slice(1).flatMap(({ id }) =>
    bench.now.body.skins
      .filter((s) => s.id === bench.shapeId(id))
      .map((skin) => {
        const { x0, x1 } = reachOf(skin);
        const first = bench.x(0);
        return {
          on: [{ of: 'skin' as const, id: skin.id }],
          x0: bench.from(x0 - first),
          x1: bench.from(x1 - first),
        };
      }),
  );

const DECORATES: Record<DecorationKind, TreatKind> = {
  'burnt line': 'burn',
  texture: 'texture',
  colour: 'dye',
};

const TITLES: Record<DecorationKind, string> = {
  'burnt line': 'Burn the line',
  texture: 'Texture',
  colour: 'Dye',
};

const TURNS: Record<DecorationKind, TurningStage> = {
  'burnt line': 'burn',
  texture: 'texture',
  colour: 'dye',
};

/** Lines, texture and colour lie on a sanded surface and under the finish. */
function decorate(bench: Bench): void {
  const { work, wood, writer } = bench;
  for (const decoration of work.part.decorations ?? []) {
    const span = work.outline.spans.find((s) => s.element.id === decoration.elementId);
    const from = bench.from((span?.x0 ?? 0) + decoration.from.mm);
    const to = from + decoration.width.mm;
    writer.treat({
      wood,
      kind: DECORATES[decoration.kind],
      subject: decoration.id,
      pass: 'once',
      from: bench.datum('reference'),
      stretches: [{ on: shaped(bench, [decoration.elementId]), x0: from, x1: to }],
      title: TITLES[decoration.kind],
      words: [
        `${capitalised(stretchWords(from, to, bench.datum('reference')))}.`,
        ...(decoration.words === undefined ? [] : [decoration.words]),
      ],
      speed: bench.speed(TURNS[decoration.kind]),
      minutes: each(MINUTES.decorate),
    });
  }
}

/**
 * The finish, coat by coat, while it still turns or when it has come off. What turns has no flats that a cloth could be
 * held to: those get theirs by hand, when the piece is off.
 */
export function coat(bench: Bench, turning: boolean): void {
  const { work, wood, writer } = bench;
  const flats = flatsOf(bench);
  work.coats.forEach((one, i) => {
    const byHand = one.turning && !turning;
    if (byHand ? flats.length === 0 : one.turning !== turning) return;
    const last = i === work.coats.length - 1;
    const round = byHand ? [] : [...stretchesOf(bench), ...furtherStretches(bench), ...insides(bench)];
    writer.treat({
      wood,
      kind: 'coat',
      subject: byHand ? 'flats' : 'all',
      pass: String(i + 1),
      from: bench.datum('reference'),
      stretches: [...round, ...(turning ? [] : flats)],
      turning,
      ...waitOf(one, last),
      title: byHand ? `Its flats: ${one.title}` : one.title,
      words: byHand
        ? [`By hand, along the grain: ${one.name}.`]
        : [
            `Put on ${one.name}.`,
            ...(flats.length === 0
              ? []
              : [turning ? 'Its flats get theirs by hand, off the lathe.' : 'Its flats too.']),
          ],
      speed: turning ? bench.speed(one.fast ? 'finish fast' : 'finish slow') : null,
      minutes: each(one.minutes),
    });
  });
}

/** Squares that stay: their flats as the blank left them, and the shoulders, where they are round below them. */
const flatsOf = (bench: Bench) =>
  (bench.work.outline.squares ?? []).flatMap(({ elementId, x0, x1, corners }) => {
    const [from, to] = [corners[0]?.x0 ?? x0, corners.at(-1)?.x1 ?? x1];
    const shoulders = [[x0, from] as const, [to, x1] as const].filter(([a, b]) => b - a > 0.01);
    return [
      { on: [{ of: 'stock' as const, id: 'stock' }], x0: bench.from(x0), x1: bench.from(x1) },
      ...shoulders.map(([a, b]) => ({
        on: shaped(bench, [elementId]),
        x0: bench.from(a),
        x1: bench.from(b),
      })),
    ];
  });

/** What has been hollowed by now gets the finish of the outside. */
function insides(bench: Bench): { on: Surface[]; x0: number; x1: number }[] {
  const { work, now, writer } = bench;
  const ids = new Set((work.part.hollows ?? []).map((h) => `hollow:${writer.named(h.id)}`));
  const on = now.body.skins.filter((s) => ids.has(s.id)).map((s) => ({ of: 'skin' as const, id: s.id }));
  return on.length === 0 ? [] : [{ on, x0: bench.from(0), x1: bench.from(work.outline.length) }];
}

/** Between coats the finish dries; after the last one on a standing piece it cures before hands are laid on it. */
function waitOf({ turning, waitMinutes }: Bench['work']['coats'][number], last: boolean) {
  if (waitMinutes <= 0 || (last && turning)) return {};
  return last
    ? { wait: { what: 'the finish cures', minutes: { handle: waitMinutes, use: waitMinutes } } }
    : { wait: { what: 'the finish dries', minutes: { coat: waitMinutes, use: waitMinutes } } };
}

/** All that is done to its skin before the finish. */
export function surface(bench: Bench): void {
  sand(bench);
  burnish(bench);
  decorate(bench);
}
