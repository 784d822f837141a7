import type { DecorationKind } from '../../pattern/index.js';
import { MADE_AS, type SurfaceRef } from '../shop.js';
import type { Bench } from './bench.js';

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
function shaped({ writer, wood }: Bench, ids: readonly string[]): Surface[] {
  const skins = writer.shop.woods.find((w) => w.id === wood)?.body.skins ?? [];
  return ids.flatMap((id) =>
    skins.some((s) => s.id === `shape:${id}`) ? [{ of: 'skin' as const, id: `shape:${id}` }] : [],
  );
}

/** Each run with each grit. */
export function sand(bench: Bench): void {
  const { work, wood, writer } = bench;
  for (const { grit, takes } of work.sanding)
    runs(bench).forEach(({ ids, x0, x1 }, i) =>
      writer.treat({
        wood,
        how: 'sanded',
        subject: `run ${i + 1}`,
        pass: grit,
        on: shaped(bench, ids),
        from: bench.datum('reference'),
        x0: bench.waste('reference') + x0,
        x1: bench.waste('reference') + x1,
        takes,
        title: `Sand ${grit}`,
        words: work.bare.size > 0 ? ['Keep off what meets something else.'] : [],
      }),
    );
}

const TITLES: Record<DecorationKind, string> = {
  'burnt line': 'Burn the line',
  texture: 'Texture',
  colour: 'Dye',
};

/** Lines, texture and colour lie on a sanded surface and under the finish. */
export function decorate(bench: Bench): void {
  const { work, wood, writer } = bench;
  for (const decoration of work.part.decorations ?? []) {
    const span = work.outline.spans.find((s) => s.element.id === decoration.elementId);
    const from = bench.waste('reference') + (span?.x0 ?? 0) + decoration.from.mm;
    writer.treat({
      wood,
      how: MADE_AS[decoration.kind],
      subject: decoration.id,
      pass: 'once',
      on: shaped(bench, [decoration.elementId]),
      from: bench.datum('reference'),
      x0: from,
      x1: from + decoration.width.mm,
      title: TITLES[decoration.kind],
      words: decoration.words === undefined ? [] : [decoration.words],
    });
  }
}

/** The finish, coat by coat, while it still turns or when it has come off. */
export function coat(bench: Bench, turning: boolean): void {
  const { work, wood, writer } = bench;
  work.coats
    .filter((c) => c.turning === turning)
    .forEach((one, i) =>
      writer.treat({
        wood,
        how: 'coated',
        subject: 'all',
        pass: `${turning ? 'turning' : 'standing'} ${i + 1}`,
        on: runs(bench).flatMap((run) => shaped(bench, run.ids)),
        from: bench.datum('reference'),
        x0: bench.waste('reference'),
        x1: bench.waste('reference') + work.outline.length,
        turning,
        ...(one.waitMinutes > 0
          ? { wait: { what: 'the finish dries', minutes: { coat: one.waitMinutes, use: one.waitMinutes } } }
          : {}),
        title: `Put on ${one.name}`,
      }),
    );
}
