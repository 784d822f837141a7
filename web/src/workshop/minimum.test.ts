import { checkWorkshop, newWorkshop, outlineOf, plan, STARTING_FORMS, type Workshop } from '@compas/core';
import {
  bitKind,
  centreKind,
  chuckKind,
  finishKind,
  fixtureKind,
  gaugeKind,
  glueKind,
  jawsKind,
  mandrelKind,
  toolKind,
} from './columns.js';
import { MINIMUM } from './minimum.js';

const empty = newWorkshop('UTC', 'mm');
const equipped = (from: Workshop): Workshop => MINIMUM.reduce((w, need) => need.usual(w), from);

describe('the guided minimum', () => {
  it('is wholly lacking in a new workshop and wholly met once it is added', () => {
    expect(MINIMUM.every((need) => !need.met(empty))).toBe(true);
    const workshop = equipped(empty);
    expect(MINIMUM.filter((need) => !need.met(workshop))).toEqual([]);
    expect(checkWorkshop(workshop)).toEqual([]);
  });

  it('adds to the tools only what is missing', () => {
    const skew = { id: 's', name: 'My skew', kind: 'skew' as const, width: 25 };
    expect(equipped({ ...empty, tools: [skew] }).tools.filter((t) => t.kind === 'skew')).toEqual([skew]);
  });

  it('is enough: a first plan of a plain piece comes out without a stop', () => {
    const workshop = equipped(empty);
    // a hole asks for its own bit, a long leg for a longer lathe, a bowl across for a wider one
    const plain = STARTING_FORMS.filter((f) => {
      const { parts } = f.body({}, 'ash');
      return parts.every(
        (p) =>
          p.holes.length + (p.crossHoles ?? []).length + (p.hollows ?? []).length === 0 &&
          outlineOf(p.turnings[0]).length < 300,
      );
    });
    expect(plain.length).toBeGreaterThan(6);
    for (const form of plain) {
      const order = {
        pieces: 12,
        start: '2026-03-02T08:00',
        due: null,
        materialId: 'ash',
        finishId: 'wax',
        perBlank: 1,
        mount: null,
      };
      const { findings } = plan(form.body({}, 'ash'), workshop, { kits: [] }, order, workshop.schools);
      expect(findings.filter((f) => f.severity === 'stop')).toEqual([]);
    }
  });
});

describe('equipment lists', () => {
  it('every column of a list is a field of what a new entry begins as', () => {
    for (const kind of [
      bitKind,
      centreKind,
      chuckKind,
      finishKind,
      fixtureKind,
      gaugeKind,
      glueKind,
      jawsKind,
      mandrelKind,
      toolKind,
    ]) {
      const fresh: object = kind.fresh('x');
      const always = kind.columns.filter((c) => !c.kind.startsWith('optional') && c.when === undefined);
      expect(always.map((c) => c.key).filter((key) => !(key in fresh))).toEqual([]);
    }
  });
});
