import fc from 'fast-check';
import {
  contradictions,
  lotsOf,
  nextAction,
  progressOf,
  type RunEvent,
  type RunEventBody,
} from '../../batch/index.js';
import { dim } from '../../measure/index.js';
import { STARTING_FORMS, type Part, type PatternBody } from '../../pattern/index.js';
import { coversItem, shopBefore } from '../../route/index.js';
import type { PlanOrder } from '../inputs.js';
import { chosenSchedule, plan, planOfPart, schedulesOf, stepsOfPlan } from '../plan.js';
import { workshopFor } from '../../../test/exampleRoute.js';
import { exampleInputs } from '../exampleShop.js';

const top: PatternBody = STARTING_FORMS.find((f) => f.id === 'launched-top')!.body({}, 'maple');
const [stem, body] = top.parts as [Part, Part];

/** A pull: a peg of the knob goes into the stalk, and so many knobs to each. */
const finial: PatternBody = STARTING_FORMS.find((f) => f.id === 'finial')!.body({}, 'maple');
const stand: Part = {
  id: 'stand',
  name: 'Stand',
  perItem: 1,
  materialId: 'maple',
  turnings: [
    { id: 'ts', startDiameter: dim(40), elements: [{ kind: 'cylinder', id: 's1', length: dim(30) }] },
  ],
  holes: [
    {
      id: 'seat',
      name: 'seat',
      from: 'reference',
      through: false,
      pointAngle: 180,
      steps: [{ diameter: dim(10), depth: dim(16) }],
    },
  ],
};
const onStand: PatternBody = {
  ...finial,
  parts: [...finial.parts, stand],
  joins: [
    {
      id: 'j1',
      kind: 'glued stem',
      inner: { partId: finial.parts[0].id, end: 'reference' },
      outer: { partId: 'stand', holeId: 'seat' },
      depth: dim(12),
    },
  ],
};

/** The top with a body of such a height, its middle so far from the reference end of the stem. */
function slidOn(thick: number, at: number): PatternBody {
  const drawn = STARTING_FORMS.find((f) => f.id === 'launched-top')!.body(
    { thick: dim(thick), stemLength: dim(thick + 60) },
    'maple',
  );
  return { ...drawn, joins: drawn.joins!.map((j) => ({ ...j, at: dim(Math.min(at, 40) + thick / 2) })) };
}

/** The finial with a peg of such a length, in a hole of the stand that is a little deeper. */
function entered(from: 'reference' | 'far', peg: number): PatternBody {
  const drawn = structuredClone(onStand);
  drawn.parts[0] = STARTING_FORMS.find((f) => f.id === 'finial')!.body(
    { pegLength: dim(peg) },
    'maple',
  ).parts[0];
  const hole = drawn.parts[1]!.holes[0]!;
  drawn.parts[1]!.holes = [{ ...hole, from, steps: [{ diameter: dim(10), depth: dim(peg + 2) }] }];
  return { ...drawn, joins: drawn.joins!.map((j) => ({ ...j, depth: dim(peg) })) };
}

function planned(pattern: PatternBody, change: Partial<PlanOrder> = {}) {
  const { stock, schools, order } = exampleInputs(5);
  const { pieces: _, start: _s, due: _d, ...choices } = order;
  const others = pattern.parts.slice(1).map((p) => ({ ...choices, partId: p.id }));
  return plan(pattern, workshopFor(pattern), stock, { ...order, others, ...change }, schools);
}
const stopsOf = (made: ReturnType<typeof plan>) =>
  made.findings.filter((f) => f.severity === 'stop').map((f) => f.what);

describe('an item of several parts, planned whole', () => {
  it('has a branch for each part, then what joins them, and nothing is said against it', () => {
    const made = planned(top);
    expect(stopsOf(made)).toEqual([]);
    expect(made.parts.map((p) => [p.partId, p.pieces])).toEqual([
      [stem.id, 5],
      [body.id, 5],
    ]);
    expect(made.item?.steps.map((s) => [s.title, s.takes ?? []])).toEqual([
      ['Glue the body onto the stem', [body.id]],
      ['Look the top over, put together', []],
    ]);
    const ids = stepsOfPlan(made).map((s) => s.id);
    expect(new Set(ids).size).toBe(ids.length);
    // runs are counted on, so that a school by operation does one part after the other
    const runs = stepsOfPlan(made).map((s) => s.run!);
    expect(runs).toEqual([...runs].sort((a, b) => a - b));
  });

  it('joins only what is finished, and looks it over when the glue has cured', () => {
    const made = planned(top);
    const [join, look] = made.item!.steps;
    const titles = join!.locks.map((l) => stepsOfPlan(made).find((s) => s.id === l.stepId)!.title);
    expect(titles).toContain('Measure');
    expect(join!.locks.some((l) => l.stepId.startsWith(`${body.id}/`))).toBe(true);
    expect(look!.locks).toEqual([{ stepId: join!.id, reason: 'the glue cures.', minutes: 720 }]);
    for (const schedule of schedulesOf(made)) {
      const span = (id: string) => schedule.spans.find((s) => s.stepId === id)!;
      expect(span(join!.id).from >= span(`${stem.id}/measure:all`).from).toBe(true);
      expect(schedule.end > schedule.start).toBe(true);
    }
    expect(chosenSchedule(made).setups).toBeGreaterThan(6);
  });

  it('makes the whole stand as it is drawn: the body where it sits on the stem', () => {
    const made = planned(top);
    const end = shopBefore(stepsOfPlan(made), made.item!.steps.at(-1)!.id)!;
    expect(end.woods).toHaveLength(1);
    const [first, second] = end.woods[0]!.pieces;
    // its middle 52 from the reference end of the stem: it begins half its height, 12, before
    const [onStem, ofStem] = first!.partId === stem.id ? [second!, first!] : [first!, second!];
    expect((onStem.at.at[0] - ofStem.at.at[0]) * ofStem.at.along[0]).toBeCloseTo(40, 6);
  });

  it('of any size stands as it is drawn, slid on or entered from either end, in several ways of holding', () => {
    const seen = new Map<string, number>();
    fc.assert(
      fc.property(
        fc.record({
          slid: fc.boolean(),
          thick: fc.integer({ min: 14, max: 30 }),
          at: fc.integer({ min: 20, max: 60 }),
          from: fc.constantFrom('reference' as const, 'far' as const),
          peg: fc.integer({ min: 6, max: 14 }),
          mount: fc.constantFrom(null, 'between centres' as const, 'chuck' as const),
        }),
        ({ slid, thick, at, from, peg, mount }) => {
          const drawn = slid ? slidOn(thick, at) : entered(from, peg);
          const made = planned(drawn, mount === null ? {} : { mount });
          // a way that cannot be gone at all is given up with its reason, and nothing is joined then
          if (made.findings.some((f) => f.id.startsWith('route.none'))) return;
          const kind = slid ? 'slid on' : `entered, ${from}`;
          seen.set(kind, (seen.get(kind) ?? 0) + 1);
          expect(stopsOf(made)).toEqual([]);
          const last = made.item!.steps.at(-1)!;
          expect(shopBefore(stepsOfPlan(made), last.id)!.woods).toHaveLength(1);
          expect(last.locks.some((l) => l.stepId === made.item!.steps[0]!.id)).toBe(true);
        },
      ),
      {
        numRuns: 120,
        // two features of the shaft meet amid the join
        examples: [[{ slid: true, thick: 24, at: 40, from: 'reference', peg: 6, mount: null }]],
      },
    );
    for (const kind of ['slid on', 'entered, reference', 'entered, far'])
      expect(seen.get(kind) ?? 0).toBeGreaterThanOrEqual(2);
  });

  it('is held against the item as it is drawn: what stands elsewhere, or is joined by nothing, is a Stop', () => {
    const made = planned(top);
    const steps = stepsOfPlan(made);
    const end = shopBefore(steps, made.item!.steps.at(-1)!.id)!;
    const branch = [[stem.id, body.id]];
    expect(coversItem(end, top, branch)).toEqual([]);
    const higher = structuredClone(top);
    higher.joins![0]!.at = dim(47);
    expect(coversItem(end, higher, branch).map((f) => f.what)).toEqual([
      'Body does not come to stand on Stem as it is drawn.',
    ]);
    const apart = shopBefore(steps, made.item!.steps[0]!.id)!;
    expect(coversItem(apart, top, branch).map((f) => f.what)).toEqual([
      'Body and Stem are drawn as one and joined by nothing.',
    ]);
  });

  it('cuts what lies in another part to size, and keeps it free of sanding and finish', () => {
    const [first] = planned(top).parts;
    const seat = first.layout.sizing.find((s) => s.id.endsWith('.seat'));
    expect(seat).toMatchObject({ finished: 10, cutTo: 10, mating: true, label: 'in the body' });
    const treated = first.steps.flatMap((s) =>
      (s.operation?.effects ?? []).flatMap((e) => (e.do === 'treat' ? [e.treated.on.id] : [])),
    );
    expect(treated.some((id) => id.endsWith('shape:e1'))).toBe(true);
    expect(treated.some((id) => id.endsWith('shape:e2'))).toBe(false);
  });

  it('puts a peg into its hole as deep as it is drawn, from either end', () => {
    expect(stopsOf(planned(onStand))).toEqual([]);
    const other = structuredClone(onStand);
    other.parts[1]!.holes[0]!.from = 'far';
    expect(stopsOf(planned(other))).toEqual([]);
    const none = planned({ ...onStand, joins: [] });
    expect(none.item).toEqual({ joins: [], steps: [] });
  });

  it('says what cannot be put together: numbers that do not go into each other, a ring that does not pass', () => {
    const odd = structuredClone(top);
    odd.parts[0].perItem = 2;
    odd.parts[1]!.perItem = 3;
    expect(stopsOf(planned(odd)).join()).toContain('3 × Body do not go with 2 × Stem');
    const knobs = structuredClone(top);
    const [turning] = knobs.parts[0].turnings;
    for (const id of ['first', 'last']) {
      const knob = { kind: 'cylinder' as const, id, length: dim(6) };
      turning.elements = id === 'first' ? [knob, ...turning.elements] : [...turning.elements, knob];
    }
    turning.startDiameter = dim(20);
    expect(stopsOf(planned(knobs)).join()).toContain('does not pass over either end');
  });

  it('takes several of a part to one, each in a join of its own', () => {
    const pair = structuredClone(onStand);
    pair.parts[0].perItem = 2;
    pair.parts[1]!.holes.push({
      ...pair.parts[1]!.holes[0]!,
      id: 'seat2',
      from: 'far',
      steps: [{ diameter: dim(10), depth: dim(13) }],
    });
    pair.parts[1]!.turnings[0].elements[0] = { kind: 'cylinder', id: 's1', length: dim(40) };
    pair.joins!.push({ ...pair.joins![0]!, id: 'j2', outer: { partId: 'stand', holeId: 'seat2' } });
    const made = planned(pair);
    const joins = made.item!.steps.filter((s) => s.takes !== undefined);
    expect(joins.map((s) => [s.partId, s.takes])).toEqual([
      ['stand', [finial.parts[0].id]],
      ['stand', [finial.parts[0].id]],
    ]);
    const end = shopBefore(stepsOfPlan(made), made.item!.steps.at(-1)!.id)!;
    expect(end.woods.map((w) => w.pieces.map((p) => p.n))).toEqual([[1, 1, 2]]);
    expect(made.parts.map((p) => p.pieces)).toEqual([10, 5]);
  });

  it('shows each part with its own choices and figures', () => {
    const { stock, schools, order } = exampleInputs(5);
    const { pieces: _, start: _s, due: _d, ...choices } = order;
    const own = { ...choices, partId: body.id, materialId: 'walnut', finishId: null };
    const made = plan(top, workshopFor(top), stock, { ...order, others: [own] }, schools);
    expect(made.parts.map((p) => p.material.id)).toEqual(['maple', 'walnut']);
    const shown = planOfPart(made, top, body.id);
    expect(shown.parts[0].partId).toBe(body.id);
    expect(shown.order).toMatchObject({ pieces: 5, materialId: 'walnut', finishId: null });
    expect(shown.figures.stock).not.toEqual(made.figures.stock);
    expect(shown.figures.time).toEqual(made.figures.time);
    expect(planOfPart(made, top, stem.id)).toBe(made);
  });
});

describe('a batch of items at the lathe', () => {
  const made = planned(top, { pieces: 2 });
  const steps = stepsOfPlan(made);
  const [join, look] = made.item!.steps;
  const lots = lotsOf(made.parts);
  let sequence = 0;
  const event = (piece: number, body: RunEventBody): RunEvent => ({
    id: `e${++sequence}`,
    piece,
    at: new Date(Date.UTC(2026, 2, 2, 8, sequence)).toISOString(),
    device: 'bench',
    sequence,
    planVersion: 1,
    body,
  });
  /** all that is done to a piece while it is one by itself */
  const whole = (piece: number): RunEvent[] =>
    steps
      .filter((s) => !s.item && s.partId === (piece <= 2 ? stem.id : body.id))
      .map((s) => event(piece, { kind: 'done', stepId: s.id }));
  const next = (events: RunEvent[], later = 0) => {
    const found = nextAction(
      steps,
      progressOf(lots, events, steps),
      'by-piece',
      Date.UTC(2026, 2, 3) + later,
    );
    return found.kind === 'finished' ? found.kind : `${found.kind} ${found.piece} ${found.step.id}`;
  };

  it('numbers stems and bodies on, and joins a stem to a body that is finished', () => {
    expect(lots).toEqual([
      { partId: stem.id, first: 1, count: 2 },
      { partId: body.id, first: 3, count: 2 },
    ]);
    const events = [...whole(1), ...whole(2), ...whole(4)];
    expect(next([...whole(1)])).toBe(`do 2 ${steps[0]!.id}`);
    // body 4 was finished first: stem 1 takes it
    expect(next(events)).toBe(`do 1 ${join!.id}`);
    const { pieces } = progressOf(lots, events, steps);
    expect(pieces[0]!.partners.get(body.id)!.map((p) => p.piece)).toEqual([4]);
  });

  it('keeps who is in which item, rejects no body with a stem, and asks for a spare when one is short', () => {
    const events = [...whole(1), ...whole(3)];
    const put = event(1, { kind: 'joined', stepId: join!.id, pieces: [3] });
    const glued = [...events, put, event(1, { kind: 'done', stepId: join!.id })];
    const { pieces } = progressOf(lots, glued, steps);
    expect(pieces.map((p) => p.carriedBy)).toEqual([null, null, 1, null]);
    // the other stem was spoilt: its body is left over, and nothing more is to be done with it
    const spoilt = [
      ...glued,
      ...whole(4),
      event(2, { kind: 'rejected', stepId: steps[0]!.id, cause: 'a crack' }),
    ];
    expect(progressOf(lots, spoilt, steps).pieces[3]!.rejected).toBeNull();
    expect(next(spoilt, 864e5)).toBe(`do 1 ${look!.id}`);
    // a body was spoilt: its stem has nothing to go with
    const short = [
      ...glued,
      ...whole(2),
      event(4, { kind: 'rejected', stepId: steps[0]!.id, cause: 'a knot' }),
    ];
    const progress = progressOf(lots, [...short, event(1, { kind: 'done', stepId: look!.id })], steps);
    expect(nextAction(steps, progress, 'by-piece', Date.UTC(2026, 2, 5))).toMatchObject({
      kind: 'wait',
      piece: 2,
      what: expect.stringContaining('make a spare'),
    });
    const more = [...lots, { partId: body.id, first: 5, count: 1 }];
    const spare = progressOf(more, [...short, event(1, { kind: 'done', stepId: look!.id })], steps);
    expect(spare.pieces[4]).toMatchObject({ piece: 5, partId: body.id, n: 3 });
    expect(nextAction(steps, spare, 'by-piece', Date.UTC(2026, 2, 5))).toMatchObject({
      kind: 'do',
      piece: 5,
    });
  });

  it('takes a join back, and finds a piece that was put to two items', () => {
    const put = event(1, { kind: 'joined', stepId: join!.id, pieces: [3] });
    const again = event(2, { kind: 'joined', stepId: join!.id, pieces: [3] });
    const { pieces } = progressOf(lots, [put, again], steps);
    expect(pieces.map((p) => p.carriedBy)).toEqual([null, null, 1, null]);
    expect(contradictions(steps, lots, [put, again]).map((f) => f.id)).toEqual(['run.joined.2.3']);
    // named twice it is still one piece
    const double = event(1, { kind: 'joined', stepId: join!.id, pieces: [3, 3] });
    expect(progressOf(lots, [double], steps).pieces[0]!.joined.get(join!.id)).toEqual([3]);
    const back = event(1, { kind: 'reopened', stepId: join!.id });
    expect(progressOf(lots, [put, back], steps).pieces[2]!.carriedBy).toBeNull();
    const third = event(2, { kind: 'joined', stepId: join!.id, pieces: [3] });
    expect(contradictions(steps, lots, [put, back, third])).toEqual([]);
  });
});
