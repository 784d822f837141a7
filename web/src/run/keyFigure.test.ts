import { plan, STARTING_FORMS, type OperationFigure, type Step } from '@compas/core';
import { exampleInputs } from '../../../core/src/plan/exampleShop.js';
import { keyFigure } from './keyFigure.js';

const { pattern, workshop, stock, order, schools } = exampleInputs(6);
const [part] = plan(pattern, workshop, stock, order, schools).parts;
const step = (id: string): Step => {
  const found = part.steps.find((s) => s.id.startsWith(id));
  if (!found) throw new Error(`There is no step ${id}.`);
  return found;
};

describe('the one number of a step', () => {
  it('is the size to cut to before sanding, and the finished size afterwards', () => {
    const collar = part.stations.find((s) => s.label === 'collar');
    expect(keyFigure(step('size:'), collar)).toEqual({ label: 'collar, should be', mm: collar?.cutTo });
    expect(keyFigure(step('measure:'), collar)).toEqual({
      label: 'collar, should be',
      mm: collar?.finished,
    });
  });

  it('is what is set for the step', () => {
    const of = (id: string) => keyFigure(step(id), undefined);
    expect(of('saw:')).toEqual({
      label: 'blank, across',
      mm: part.blank.section,
      beside: [{ label: 'long', mm: part.blank.length }],
    });
    expect(of('saw:blank part1:corners')).toMatchObject({ label: 'off below each corner' });
    expect(of('bore:')).toMatchObject({ label: 'tape at', mm: part.drilling[0]?.tapeAt });
    expect(of('try:')).toEqual({ label: 'flush with the base', mm: 32 });
    expect(of('mark:stick')).toEqual({ label: 'notches', text: String(part.layout.marks.length) });
    expect(of('sanded:')).toMatchObject({ label: 'grit', text: 'P150', at: { to: 62 } });
    expect(of('hold:mandrel')).toEqual({
      label: 'at the drive',
      text: 'M8 stopper mandrel',
      beside: [{ label: 'at the tail', text: 'Live centre' }],
    });
    expect(of('hold:tail away')).toEqual({ label: 'tailstock', text: 'away' });
    expect(of('part:far end')).toMatchObject({ label: 'cut off', from: 'from the second end' });
  });

  it('of a blank whose square stays is what it is sawn to, and its centre that of the planed square', () => {
    const leg = STARTING_FORMS.find((f) => f.id === 'leg')!.body({}, 'beech');
    const [own] = plan({ ...leg, hardware: [] }, workshop, stock, order, schools).parts;
    const of = (id: string) =>
      keyFigure(
        own.steps.find((s) => s.id.startsWith(id))!,
        undefined,
      );
    const side = own.outline.squares![0]!.side;
    expect(of('saw:')).toMatchObject({ label: 'blank, across', mm: side + 1 });
    expect(of('mark:centres')).toEqual({ label: 'gauge lines at', mm: side / 2 });
  });

  it('says where it is worked, from the end that a rule can be laid on, and nothing where it is about the whole', () => {
    const at = (id: string) => keyFigure(step(id), undefined).at;
    const base = part.outline.spans.find((s) => s.element.id === 'e2')!;
    const begins = part.steps
      .find((s) => s.id === 'shape:e2')!
      .operation!.said.find((s) => s.name === 'from')!.mm;
    expect(at('shape:e2')).toEqual({
      mm: begins,
      to: expect.closeTo(begins + base.x1 - base.x0, 6),
      from: 'from the first end',
    });
    expect(at('size:e2')?.to).toBeUndefined();
    // a sized place is laid off by its mark, not by the edge of the tool
    for (const sized of part.steps.filter((s) => s.operation?.kind === 'size')) {
      const { mm = 0 } = keyFigure(sized, undefined).at!;
      expect(sized.words[0]).toContain(mm === 0 ? 'at the first end' : `⟦${mm}⟧ from the first end`);
      const { x } = part.layout.sizing.find((s) => s.id === sized.operation!.subject)!;
      const foot = part.layout.sizing[0]!;
      const first = part.steps.find((s) => s.operation?.subject === foot.id && s.operation.kind === 'size');
      if (first) expect(mm - (keyFigure(first, undefined).at!.mm ?? 0)).toBeCloseTo(x - foot.x, 2);
    }
    for (const whole of ['rough:', 'hold:mandrel', 'saw:', 'mark:stick']) expect(at(whole)).toBeUndefined();
  });

  it('says no nought: what begins at an end goes so far over it, what lies at an end is there', () => {
    const own = step('rough:');
    const figured = (at: NonNullable<OperationFigure['at']>) =>
      keyFigure({ ...own, operation: { ...own.operation!, figure: { is: 'stub', mm: 12, at } } }, undefined)
        .at;
    expect(figured({ from: 'second end', mm: 0, to: 11.9 })).toEqual({
      to: 11.9,
      from: 'from the second end',
    });
    expect(figured({ from: 'second end', mm: 0 })).toEqual({ from: 'at the second end' });
    expect(figured({ from: 'rim', mm: 3 })).toEqual({ mm: 3, from: 'from the rim' });
  });

  it('of a cut is what the calliper is set to: round, size, crown, bottom, or the thinner end', () => {
    const of = (id: string) => keyFigure(step(id), undefined);
    expect(of('rough:')).toEqual({ label: 'round to', mm: 41 });
    // what is shaped is left so much fat for sanding; what meets the hardware is not
    const neck = part.stations.find((s) => s.id === 'e2.bottom')!;
    const fat = neck.cutTo - neck.finished;
    expect(of('shape:e3')).toMatchObject({ label: 'crown' });
    expect(of('shape:e2')).toMatchObject({ label: 'bottom', mm: expect.closeTo(neck.cutTo, 6) });
    expect(of('shape:e4')).toMatchObject({ label: 'down to', mm: expect.closeTo(32 + fat, 6) });
    expect(of('shape:e1')).toMatchObject({ label: 'straight at', mm: 32 });
    // within the width of the tool the walls of the neck rise: it is parted a little above the bottom
    const sized = of('size:e2.bottom') as { label: string; mm: number };
    expect(sized.label).toBe('part down to');
    expect(sized.mm).toBeGreaterThan(neck.cutTo);
    expect(sized.mm).toBeLessThan(neck.cutTo + 0.5);
  });

  it('of a step of an old plan is its speed, or how long it takes', () => {
    const { operation: _, ...old } = step('shape:e1');
    expect(keyFigure(old, undefined)).toEqual({ label: 'speed', text: old.speed });
    expect(keyFigure({ ...old, speed: null, minutes: 2.04 }, undefined)).toEqual({
      label: 'about',
      text: '2 min',
    });
  });

  it('is there for every step', () => {
    for (const s of part.steps) {
      const figure = keyFigure(s, undefined);
      expect('mm' in figure ? Number.isFinite(figure.mm) : figure.text.length > 0).toBe(true);
    }
  });
});
