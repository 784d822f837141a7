import fc from 'fast-check';
import { shaftOf } from '../../assembly/index.js';
import { lotsOf, nextAction, progressOf, type RunEvent, type RunEventBody } from '../../batch/index.js';
import { dim } from '../../measure/index.js';
import { STARTING_FORMS, type Part, type PatternBody } from '../../pattern/index.js';
import { standingBefore, stepsWithTaken } from '../../route/index.js';
import { alternatives } from '../later/alternatives.js';
import type { PlanOrder } from '../inputs.js';
import { inputsOfPart } from './partOrder.js';
import { plan, schedulesOf, stepsOfPlan } from '../plan.js';
import { spoilt } from '../later/spoilt.js';
import { workshopFor } from '../../../test/exampleRoute.js';
import { exampleInputs } from '../exampleShop.js';

const form = (sizes: Record<string, number> = {}): PatternBody =>
  STARTING_FORMS.find((f) => f.id === 'launched-top')!.body(
    Object.fromEntries(Object.entries(sizes).map(([key, mm]) => [key, dim(mm)])),
    'maple',
  );
const top = form();
const [stem, body] = top.parts as [Part, Part];

/** A knob on the end of a rod: its hole is blind, so that a centre goes into the other end. */
const knob: PatternBody = {
  ...top,
  kind: 'other',
  parts: [
    {
      ...stem,
      id: 'rod',
      name: 'Rod',
      turnings: [
        {
          id: 'tr',
          startDiameter: dim(10),
          elements: [{ kind: 'cylinder', id: 'r1', name: 'rod', length: dim(80) }],
        },
      ],
    },
    {
      ...stem,
      id: 'knob',
      name: 'Knob',
      turnings: [
        {
          id: 'tk',
          startDiameter: dim(18),
          elements: [
            { kind: 'taper', id: 'k1', name: 'neck', length: dim(12), endDiameter: dim(30) },
            { kind: 'cylinder', id: 'k2', name: 'belly', length: dim(16) },
          ],
        },
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
    },
  ],
  joins: [
    {
      id: 'j1',
      kind: 'glued stem',
      inner: { partId: 'rod', end: 'reference' },
      outer: { partId: 'knob', holeId: 'seat' },
      depth: dim(15),
    },
  ],
};

const COLLET = { id: 'c', name: '10 mm collet', kind: 'collet' as const, diameter: 10, length: 40 };

/** Whole items whose second part is held by the first, or the first part leading the order where that is said. */
function planned(pattern: PatternBody, { leads = 0, collet = COLLET.diameter } = {}) {
  const { stock, schools, order } = exampleInputs(3);
  const { pieces: _, start: _s, due: _d, ...choices } = order;
  const [lead, other] = leads === 0 ? pattern.parts : [...pattern.parts].reverse();
  const own = (part: Part | undefined): Pick<PlanOrder, 'mount'> => ({
    mount: part === pattern.parts[1] ? 'glued shaft' : null,
  });
  const wanted: PlanOrder = {
    ...order,
    ...own(lead),
    partId: lead!.id,
    others: [{ ...choices, ...own(other), partId: other!.id }],
  };
  const workshop = {
    ...workshopFor(pattern),
    fixtures: collet === 0 ? [] : [{ ...COLLET, diameter: collet }],
  };
  return plan(pattern, workshop, stock, wanted, schools);
}
const stopsOf = (made: ReturnType<typeof plan>) =>
  made.findings.filter((f) => f.severity === 'stop').map((f) => f.what);
const partOf = (made: ReturnType<typeof plan>, id: string) => made.parts.find((p) => p.partId === id)!;

describe('what a part can be glued onto and turned on', () => {
  it('is the finished part in its bore, held where its longest straight stretch stands clear', () => {
    expect(shaftOf(body, top)).toEqual({
      joinId: 'join1',
      partId: stem.id,
      name: 'stem',
      end: 'reference',
      through: true,
      elementId: 'e1',
      diameter: 10,
      // the cord end is 40 long, the body begins where it ends, and jaws stay 3 clear
      x0: -40,
      x1: -3,
    });
    expect(shaftOf(knob.parts[1]!, knob)).toMatchObject({
      end: 'reference',
      through: false,
      x0: -65,
      x1: -3,
    });
  });

  it('is nothing where it is pushed on only, too short to be held, or in another number', () => {
    const [join] = top.joins!;
    expect(shaftOf(stem, top)).toBeNull();
    expect(shaftOf(body, { ...top, joins: [{ ...join!, kind: 'pressed' }] })).toBeNull();
    expect(shaftOf(body, form({ stemLength: 46 }))).toBeNull();
    expect(shaftOf({ ...body, perItem: 2 }, { ...top, parts: [stem, { ...body, perItem: 2 }] })).toBeNull();
  });
});

describe('a part that is glued onto its shaft before it is turned', () => {
  it('is bored, glued on, left to cure, held by the shaft and only then turned', () => {
    const made = planned(top);
    expect(stopsOf(made)).toEqual([]);
    const steps = partOf(made, body.id).steps;
    const at = (id: string) => steps.findIndex((s) => s.id === `${body.id}/${id}`);
    const order = ['face:far end', 'join:join1', `hold:shaft:blank ${body.id}`, 'rough:round', 'shape:e12'];
    expect(order.map(at)).toEqual([...order.map(at)].sort((a, b) => a - b));
    expect(Math.min(...order.map(at))).toBeGreaterThan(0);
    const [join, held] = [steps[at('join:join1')]!, steps[at(`hold:shaft:blank ${body.id}`)]!];
    expect(join.takes).toEqual([stem.id]);
    expect(join.prepares).toBe(false);
    // no saw reaches its faces afterwards, and the shaft is whole before
    expect(join.locks.map((l) => l.stepId)).toEqual(
      expect.arrayContaining([`${body.id}/face:far end`, `${stem.id}/measure:all`]),
    );
    expect(held.locks).toContainEqual(expect.objectContaining({ stepId: join.id, minutes: 720 }));
    expect(held.setup).toMatchObject({ holding: '10 mm collet, on the stem', tailstock: 'not used' });
    expect(held.words.join(' ')).toContain('stands ⟦3⟧ off');
    // nothing is glued a second time, and the item is carried by what took the other in
    expect(made.item?.steps.map((s) => [s.partId, s.title])).toEqual([
      [body.id, 'Look the top over, put together'],
    ]);
    expect(made.item?.joins).toMatchObject([{ joinId: 'join1', carriedBy: body.id }]);
    expect(made.item?.steps[0]?.locks.map((l) => l.stepId)).toContain(`${body.id}/measure:all`);
  });

  it('keeps a centre in its other end where that is free, and cuts it away last', () => {
    const made = planned(knob);
    expect(stopsOf(made)).toEqual([]);
    const steps = partOf(made, 'knob').steps;
    expect(steps.find((s) => s.id.startsWith('knob/hold:shaft'))!.setup.tailstock).toBe('up');
    const titles = steps.map((s) => s.title);
    expect(titles.indexOf('Tailstock away')).toBeGreaterThan(titles.indexOf('Belly'));
    expect(titles).toContain('Cut the waste at the tail away');
  });

  it.each([0, 1])('goes through every school of the batch, whichever part leads the order (%i)', (leads) => {
    const made = planned(top, { leads });
    expect(stopsOf(made)).toEqual([]);
    const ids = stepsOfPlan(made).map((s) => s.partId);
    expect(ids.indexOf(stem.id)).toBeLessThan(ids.indexOf(body.id));
    for (const schedule of schedulesOf(made)) {
      expect(schedule.spans.map((s) => s.stepId).sort()).toEqual(
        stepsOfPlan(made)
          .map((s) => s.id)
          .sort(),
      );
      const span = (id: string) => schedule.spans.find((s) => s.stepId === id)!;
      expect(span(`${body.id}/join:join1`).from >= span(`${stem.id}/measure:all`).from).toBe(true);
    }
  });

  it('is weighed against the other ways by its own minutes, the shaft planned beside it', () => {
    const { stock, schools, order } = exampleInputs(3);
    const { pieces: _, start: _s, due: _d, ...choices } = order;
    const inputs = {
      pattern: top,
      workshop: { ...workshopFor(top), fixtures: [COLLET] },
      stock,
      schools,
      order: { ...order, others: [{ ...choices, partId: body.id }] },
    };
    const own = inputsOfPart(inputs, body.id);
    const found = alternatives(own, ['between centres', 'glued shaft']);
    const way = (kind: string) => found.find((a) => a.kind === kind)!;
    expect(way('glued shaft').against).toEqual([]);
    // between centres it is roughed, parted to a nib and sawn besides; on its shaft it is glued
    const minutes = [way('between centres').minutes!, way('glued shaft').minutes!];
    expect(Math.max(...minutes) / Math.min(...minutes)).toBeLessThan(1.5);
    expect(plan(top, inputs.workshop, stock, own.order, schools).parts.map((p) => p.partId)).toEqual([
      body.id,
      stem.id,
    ]);
    // made alone there is nothing that it could be glued onto
    const alone = plan(top, inputs.workshop, stock, { ...order, partId: body.id }, schools);
    expect(alone.parts[0].mounts.map((m) => m.kind)).not.toContain('glued shaft');
  });

  it('says what would hold the shaft where nothing in the workshop does', () => {
    expect(stopsOf(planned(top, { collet: 0 })).join()).toContain('no collet of ⟦10⟧');
    const body2 = planned(form({ stem: 18 }), { collet: 0 });
    expect(partOf(body2, body.id).mount.fixtures?.join()).toContain('leather between the jaws and the stem');
  });

  it('stops where its shaft is too thin to turn it by', () => {
    const thin = form({ body: 90, thick: 30, stem: 9, stemLength: 70 });
    expect(stopsOf(planned(thin, { collet: 9 })).join()).toContain(
      'Rough to round: What carries this is too thin for it.',
    );
  });

  it('is made whole at every size, and nothing of its shaft is cut', () => {
    fc.assert(
      fc.property(
        fc.record({
          // its ends are half as wide, and wider than the stem in them
          body: fc.integer({ min: 40, max: 90 }),
          thick: fc.integer({ min: 16, max: 40 }),
          stem: fc.integer({ min: 9, max: 16 }),
          beside: fc.integer({ min: 30, max: 60 }),
        }),
        ({ beside, thick, stem: across, ...size }) => {
          // light cuts, 20 N at the corner of its square blank, twist the stem by 5 MPa at most: 16·T ÷ (π·d³)
          const corner = (size.body + 4) * Math.SQRT1_2;
          fc.pre((16 * 20 * corner) / (Math.PI * across ** 3) <= 5);
          const drawn = form({ ...size, thick, stem: across, stemLength: thick + beside });
          expect(stopsOf(planned(drawn, { collet: across }))).toEqual([]);
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('a batch of them at the lathe', () => {
  const made = planned(top);
  const steps = stepsOfPlan(made);
  const lots = lotsOf(made.parts);

  /** Does what comes next until nothing is left; each join takes the piece that is offered. */
  function runThrough(): { events: RunEvent[]; joins: [number, number[]][] } {
    const events: RunEvent[] = [];
    const joins: [number, number[]][] = [];
    const day = () => Date.UTC(2026, 2, 2 + events.length);
    const say = (piece: number, body: RunEventBody) =>
      events.push({
        id: `e${events.length}`,
        piece,
        body,
        device: 'bench',
        sequence: events.length + 1,
        at: new Date(day()).toISOString(),
        planVersion: 1,
      });
    for (;;) {
      const progress = progressOf(lots, events, steps);
      const next = nextAction(steps, progress, 'by-piece', day());
      if (next.kind !== 'do') return { events, joins };
      const { partners } = progress.pieces[next.piece - 1]!;
      const taken = (next.step.takes ?? []).flatMap((id) => partners.get(id)?.[0]?.piece ?? []);
      if (taken.length > 0) {
        joins.push([next.piece, taken]);
        say(next.piece, { kind: 'joined', stepId: next.step.id, pieces: taken });
      }
      say(next.piece, { kind: 'done', stepId: next.step.id });
    }
  }

  it('takes a finished stem into each body and does every step of every piece', () => {
    const { events, joins } = runThrough();
    expect(joins).toEqual([
      [4, [1]],
      [5, [2]],
      [6, [3]],
    ]);
    const progress = progressOf(lots, events, steps);
    for (const piece of progress.pieces)
      expect(steps.filter((s) => s.partId === piece.partId).every((s) => piece.done.has(s.id))).toBe(true);
  });

  it('shows the stem in the wood from the step at which it is held by it', () => {
    const own = stepsWithTaken(steps, body.id);
    const reach = (id: string) => standingBefore(own, `${body.id}/${id}`, 0.5)!.reach;
    const joined = reach('rough:round');
    expect(joined.x1 - joined.x0).toBeGreaterThan(72);
    const alone = reach('join:join1');
    expect(alone.x1 - alone.x0).toBeCloseTo(partOf(made, body.id).blank.length);
    expect(standingBefore(own, `${body.id}/saw:blank ${body.id}`, 0.5)!.wood.pieces[0]!.partId).toBe(body.id);
  });

  it('takes a body that came out thin up again where it stands, its stem still in it', () => {
    const { events } = runThrough();
    const upTo = events.filter(
      (e) => !(e.piece === 4 && /sanded|coated|measure/.test(JSON.stringify(e.body))),
    );
    const piece = progressOf(lots, upTo, steps).pieces[3]!;
    const plan_ = partOf(made, body.id);
    const left = spoilt(steps, plan_, body, piece, [])!;
    expect(left.lost).toEqual([]);
    expect(left.left.map((s) => s.title)).toEqual(expect.arrayContaining(['Held by its stem', 'Measure']));
    expect(left.left.map((s) => s.title)).not.toContain('Glue the body onto the stem');
    const rim = plan_.stations.find((s) => s.id === 'e11.end')!;
    const thin = spoilt(steps, plan_, body, piece, [{ station: rim, mm: rim.finished - 3 }])!;
    expect(thin.lost.length).toBeGreaterThan(0);
  });
});
