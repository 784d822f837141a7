import { dim } from '../src/measure/index.js';
import type { Kit } from '../src/hardware/index.js';
import type { MountKind } from '../src/mounting/index.js';
import type { Part, PatternBody } from '../src/pattern/index.js';
import { covers, goalsOf, NoWay, play, usualRoute } from '../src/route/index.js';
import { exampleInputs, exampleWorkshop } from '../src/plan/exampleShop.js';
import { planPart } from '../src/plan/part/planPart.js';
import { routeWork } from '../src/plan/part/routeWork.js';

/** A workshop that owns every bit that is asked for. */
export function workshopFor({ parts }: PatternBody) {
  const workshop = exampleWorkshop();
  const sizes = parts.flatMap((p) => [
    ...p.holes.flatMap((h) =>
      h.steps.flatMap((s) => [s.diameter.mm, ...(s.endDiameter ? [s.endDiameter.mm] : [])]),
    ),
    ...(p.crossHoles ?? []).map((h) => h.diameter.mm),
  ]);
  const bits = [...new Set(sizes)].map((d) => ({
    id: `bit${d}`,
    kind: 'brad point' as const,
    diameter: dim(d),
    length: 300,
  }));
  return { ...workshop, bits: [...workshop.bits, ...bits] };
}

/** The usual route of one part of a pattern in a way of holding, with what is said against it. */
export function routed(
  body: PatternBody,
  part: Part,
  mount: MountKind,
  {
    kits = exampleInputs(1).stock.kits,
    perBlank = 1,
    green = false,
  }: { kits?: Kit[]; perBlank?: number; green?: boolean } = {},
) {
  const base = exampleInputs(1);
  const pattern: PatternBody = { ...body, parts: [part] };
  const inputs = {
    ...base,
    stock: { ...base.stock, kits },
    workshop: workshopFor(body),
    pattern,
    order: { ...base.order, mount, perBlank, ...(green ? { green } : {}) },
  };
  const { plan } = planPart(part, inputs);
  const work = routeWork(part, plan, inputs);
  const lengths = () => work.outline.length;
  const route = usualRoute(work);
  if (route instanceof NoWay) return null;
  const played = play(route, lengths);
  const goals = goalsOf(work);
  return {
    route,
    stops: played.findings.map((f) => f.what),
    uncovered: covers(played.end, goals).map((f) => f.what),
    /** what the judge of routes wants: the drawing with the holes that hardware asks for, and the route */
    forJudge: {
      name: part.id,
      pattern: { ...pattern, parts: goals } as PatternBody,
      route: () => route,
      lengths,
    },
  };
}
