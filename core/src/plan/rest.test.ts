import { dim } from '../measure/index.js';
import type { MountKind } from '../mounting/index.js';
import { STARTING_FORMS, type PatternBody } from '../pattern/index.js';
import { doesOf, covers, play, restOf } from '../route/index.js';
import { routed } from '../../test/exampleRoute.js';

const bodyOf = (form: string): PatternBody => ({
  ...STARTING_FORMS.find((f) => f.id === form)!.body({}, 'maple'),
  hardware: [],
});
const made = (body: PatternBody, mount: MountKind) => routed(body, body.parts[0], mount)!;

describe('what is still to be done, from any state', () => {
  it.each([
    ['finial', 'between centres'],
    ['finial', 'chuck'],
    ['knife-handle', 'between centres'],
    ['leg', 'between centres'],
    ['rattle', 'between centres'],
    ['scoop', 'chuck'],
    ['ball', 'cups'],
  ] as const)('%s, %s: cut anywhere, the rest comes out the same', (form, mount) => {
    const { route, forJudge } = made(bodyOf(form), mount);
    const { operations } = route;
    const { before } = play(route, forJudge.lengths);
    operations.forEach((next, k) => {
      const seen = new Set(operations.slice(0, k).map((o) => o.id));
      const { rest } = restOf(operations, before[k]!, seen);
      const left = operations.slice(k).map((o) => o.id);
      // holds that nothing is done in any more may be left out
      const work = (ids: string[]) => ids.filter((id) => !id.startsWith('hold:'));
      expect([next.id, work(rest.map((o) => o.id))]).toEqual([next.id, work(left)]);
      const again = play({ schema: 2, operations: rest }, forJudge.lengths, before[k]);
      expect([next.id, again.findings.map((f) => f.what)]).toEqual([next.id, []]);
      expect(covers(again.end, forJudge.pattern.parts).map((f) => f.what)).toEqual([]);
    });
  });

  it('a neck that is to be thinner is cut and sanded again, and nothing else', () => {
    const old = made(bodyOf('finial'), 'between centres');
    const changed = bodyOf('finial');
    const [turning] = changed.parts[0].turnings;
    turning.elements = turning.elements.map((e) =>
      e.kind === 'cove' ? { ...e, bottom: dim(e.bottom.mm - 1) } : e,
    );
    const now = made(changed, 'between centres');
    const { operations } = old.route;
    const k = operations.findIndex((o) => o.effects.some((e) => e.do === 'treat'));
    const { before } = play(old.route, old.forJudge.lengths);
    const { rest, end } = restOf(
      now.route.operations,
      before[k]!,
      new Set(operations.slice(0, k).map((o) => o.id)),
    );
    const cuts = rest
      .filter((o) => o.effects.some((e) => e.do === 'cut' || e.do === 'flat') && doesOf(o.kind) !== 'nib')
      .map((o) => o.id);
    expect(cuts.filter((id) => id.startsWith('shape:') && !id.includes('tip'))).toEqual(['shape:e5']);
    expect(covers(end, now.forJudge.pattern.parts)).toEqual([]);
    // thicker it cannot become: that is said by name
    const back = restOf(operations, end, new Set());
    expect(
      covers(back.end, old.forJudge.pattern.parts)
        .map((f) => f.what)
        .join(),
    ).toContain('cut deeper than it is drawn');
  });
});
