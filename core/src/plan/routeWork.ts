import type { FitIn, Work } from '../route/index.js';
import type { Mount } from '../mounting/index.js';
import type { Part } from '../pattern/index.js';
import { fittedJoins } from './fittedJoins.js';
import type { PlanInputs } from './inputs.js';
import type { PartDraft } from './stepDraft.js';

/** What the usual route of a part is made from, out of what its rooms have worked out. */
export function routeWork(
  part: Part,
  draft: PartDraft,
  inputs: PlanInputs,
  mount: Mount = draft.mount,
): Work {
  return {
    part,
    outline: draft.outline,
    stock: {
      kind: inputs.order.stockForm ?? 'square',
      // a square that is left has the size its faces are planed to
      across: Math.max(0, ...(draft.outline.squares ?? []).map((s) => s.side)) || draft.blank.section,
      length: draft.blank.length,
    },
    mount,
    holes: draft.holes,
    fits: fitsOf(draft, inputs),
    bare: bareElements(draft),
    sanding: sandingOf(draft),
    coats: (draft.finish?.coats ?? []).map((coat) => ({
      name: coat.name,
      turning: coat.speed !== 'stopped',
      waitMinutes: coat.waitMinutes,
    })),
    cuts: draft.cuts,
  };
}

function fitsOf({ hardware, otherHardware = [], material }: PartDraft, { workshop }: PlanInputs): FitIn[] {
  const fitted = [hardware, ...otherHardware].filter((h) => h !== null);
  return fittedJoins(fitted, material, workshop.glues).map(({ join, hardware: { kit, fitted: at } }) => ({
    id: join.id,
    kitId: kit.id,
    end: at.end,
    when: join.when,
    title: join.title,
    words: join.words,
    cureMinutes: join.cureMinutes,
  }));
}

/** What meets something else, and what stays as the plane left it, is not sanded. */
function bareElements({ outline, layout }: PartDraft): Set<string> {
  const mating = layout.sizing.filter((s) => s.mating);
  const meets = (x: number) => mating.some((s) => Math.abs(s.x - x) < 1e-6);
  const ends = [outline.spans[0], outline.spans.at(-1)].flatMap((span) =>
    span && (meets(span.x0) || meets(span.x1)) ? [span.element.id] : [],
  );
  const kept = outline.spans.filter(({ element }) => element.kind === 'tenon' || element.kind === 'square');
  return new Set([...ends, ...kept.map((s) => s.element.id)]);
}

/** The first grit takes most of what was left for sanding, those after it share the rest. */
function sandingOf({ ladder, layout }: PartDraft): Work['sanding'] {
  const left = Math.max(0, ...layout.sizing.filter((s) => !s.mating).map((s) => (s.cutTo - s.finished) / 2));
  return ladder.map(({ abrasive }, i) => ({
    grit: `${abrasive.scale}${abrasive.grit}`,
    takes: ladder.length === 1 ? left : i === 0 ? left * FIRST : (left * (1 - FIRST)) / (ladder.length - 1),
  }));
}

/** Share of the sanding that the first grit does; bench practice, typical. */
const FIRST = 0.6;
