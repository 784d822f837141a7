import { stepDoes } from '../route/index.js';
import { dim } from '../measure/index.js';
import type { MountKind } from '../mounting/index.js';
import { STARTING_FORMS } from '../pattern/index.js';
import { differences } from '../../test/byHand/all.js';
import { routed } from '../../test/exampleRoute.js';
import { exampleInputs } from './exampleShop.js';
import { snapshotOf } from './snapshot.js';

const PARTS = STARTING_FORMS.flatMap((form) => {
  const body = { ...form.body({}, 'maple'), hardware: [] };
  return body.parts
    .filter((part) => part.holes.length === 0)
    .map((part) => ({ name: `${form.name}, ${part.name}`, body, part }));
});

/** A plan of a starting form with so many pieces in a blank. */
function planned(id: string, mount: MountKind | null, perBlank: number) {
  const inputs = exampleInputs(5);
  const body = STARTING_FORMS.find((f) => f.id === id)!.body({}, 'maple');
  inputs.pattern = { ...body, hardware: [] };
  inputs.workshop.lathe.betweenCentres = 2000;
  Object.assign(inputs.order, { mount, perBlank });
  const made = snapshotOf(inputs).plan;
  return { made, part: made.parts[0], ids: made.parts[0].steps.map((s) => s.id) };
}

describe('several pieces from one blank are one wood', () => {
  it.each(PARTS)(
    '$name: two between centres are each as drawn, by play and by the judge',
    ({ body, part }) => {
      const made = routed(body, part, 'between centres', { perBlank: 2 })!;
      expect([made.stops, made.uncovered]).toEqual([[], []]);
      const found = differences(made.forJudge, made.route, 6);
      // each with the rings that came free of it
      expect(found).toHaveLength(2 * (1 + (part.rings?.length ?? 0)));
      expect(found.every((d) => d.missing === 0 && d.extra === 0)).toBe(true);
    },
  );

  it('one saw, one mark, one mount; each piece has its own cuts and its own place', () => {
    const { part, ids } = planned('rolling-pin', 'between centres', 2);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids.filter((id) => id.startsWith('saw:') || id.startsWith('hold:centres'))).toHaveLength(
      part.steps.filter((s) => s.share?.place === null && /^(saw|hold:centres)/.test(s.id)).length,
    );
    const places = (id: string) =>
      part.steps.filter((s) => s.id.replace(/ \(2\)/, '') === id).map((s) => s.share?.place);
    for (const step of part.steps.filter((s) => s.share?.place === 1 && stepDoes(s, 'shape')))
      expect(places(step.id)).toEqual([1, 2]);
    // 280 and a gap of 4 lie between the same cut on both
    const [one, two] = part.steps
      .filter((s) => stepDoes(s, 'shape'))
      .flatMap((s) => {
        const from = s.operation?.said.find((f) => f.name === 'from');
        return s.id.startsWith('shape:e1') && from ? [from.mm] : [];
      });
    expect(Math.abs((one ?? 0) - (two ?? 0))).toBeCloseTo(284, 6);
  });

  it('in a chuck the piece at the tail is parted off before the next is shaped, with the tail up again', () => {
    const { ids } = planned('light-pull', 'chuck', 2);
    const at = (id: string) => ids.findIndex((own) => own.startsWith(id));
    const order = [
      'hold:chuck:blank',
      'shape:e1',
      'part:reference end',
      'hold:chuck:piece (2)',
      'shape:e1 (2)',
    ];
    const places = order.map(at);
    expect(places).not.toContain(-1);
    expect(places).toEqual([...places].sort((a, b) => a - b));
  });

  it('what cannot share a blank says why', () => {
    const why = (id: string, mount: MountKind | null) => {
      const { made, part } = planned(id, mount, 3);
      expect(part.blank.perBlank).toBe(1);
      return made.findings.find((f) => f.id.startsWith('stock.perblank'))?.why;
    };
    expect(why('knife-handle', null)).toContain('drilled end');
    expect(why('ball', 'cups')).toContain('held by itself');
    const inputs = exampleInputs(3);
    const shifted = STARTING_FORMS.find((f) => f.id === 'rolling-pin')!.body({}, 'maple');
    shifted.parts[0].turnings.push({
      id: 't2',
      startDiameter: dim(40),
      axis: { shift: dim(2), direction: 0, tilt: 0 },
      elements: [{ kind: 'cylinder', id: 'f', length: dim(20) }],
    });
    inputs.pattern = { ...shifted, hardware: [] };
    inputs.order.perBlank = 2;
    expect(snapshotOf(inputs).plan.findings.find((f) => f.id.startsWith('stock.perblank'))?.why).toContain(
      'further axis',
    );
  });
});
