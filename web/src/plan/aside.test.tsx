import { STARTING_FORMS, plan, snapshotOf, type Finding } from '@compas/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { exampleInputs } from '../../../core/src/plan/exampleShop.js';
import { answering, shownInApp } from '../../test/inApp.js';
import { mendingAt, WayBack } from '../ui/WayBack.js';
import { asideOf } from './Aside.js';
import { rangeWords } from './DaysOfWork.js';
import { mendPlace } from './mendPlace.js';
import { DecidingContext } from './own/deciding.js';
import { TimeStage } from './TimeStage.js';
import { TurnStage } from './TurnStage.js';

const found = (rest: Partial<Finding>): Finding => ({
  id: 'x',
  severity: 'warn',
  stage: 'turn',
  what: 'What.',
  why: 'Why.',
  remedy: 'Remedy.',
  ...rest,
});
const inputs = exampleInputs(4);
const { pattern, workshop, stock, order, schools } = inputs;
const made = plan(pattern, workshop, stock, order, schools);

describe('what stands beside a stage', () => {
  const at = (stage: 'turn' | 'mount', findings: Finding[]) =>
    asideOf({ stage, findings, figures: made.figures[stage] ?? [], patternId: 'p1' });

  it('is nothing where nothing is to be looked at and the table tells every figure', () => {
    expect(made.figures.turn?.length).toBeGreaterThan(0);
    expect(at('turn', [])).toBeNull();
    expect(at('mount', [])).not.toBeNull();
    expect(at('turn', [found({})])).not.toBeNull();
  });

  it('leaves the working of a speed in the table', () => {
    shownInApp(<TurnStage plan={made} inputs={inputs} />);
    const [speed] = screen.getAllByTitle(/how it is worked out/);
    // what is heard is the speed itself
    expect(speed?.textContent).toMatch(/\d+ rpm/);
    expect(speed?.hasAttribute('aria-label')).toBe(false);
    expect(speed?.closest('td')?.querySelector('.working')).toBeNull();
    fireEvent.click(speed!);
    expect(speed?.closest('td')?.querySelector('.working')?.textContent).toContain('From ');
  });
});

it('The speeds that steps run at stand beside the school’s, each in the row of what it is for.', () => {
  shownInApp(<TurnStage plan={made} inputs={inputs} />);
  const steps = made.parts[0].steps.filter((s) => s.operation?.turns !== undefined);
  expect(steps.length).toBeGreaterThan(5);
  for (const { operation, speed } of steps) {
    const row = screen.getByRole('row', { name: new RegExp(`^${operation?.turns} `) });
    expect(row.lastElementChild?.textContent).toContain(speed);
  }
});

describe('a finding', () => {
  it('leads to what mends it: its row, the list that lacks something, the pattern', () => {
    const to = (rest: Partial<Finding>) => mendPlace(found(rest), 'p1')?.path ?? null;
    expect(to({ elementId: 'e 2' })).toBe('/patterns/p1?about=e%202');
    expect(to({ id: 'mount.missing.part1.a dowel' })).toBe('/workshop/holding');
    expect(to({ id: 'assemble.kits.part1' })).toBe('/workshop/kits');
    expect(to({ id: 'pattern.mating.h1', stage: 'pattern' })).toBe('/patterns/p1');
    expect(to({ id: 'mount.whip.part1', stage: 'mount' })).toBeNull();
  });

  it('brings back, and never anywhere but to a screen of ours', () => {
    const back = '/patterns/p1/plan/drill?pieces=6';
    const address = mendingAt('/patterns/p1?about=e2', back);
    expect(new URLSearchParams(address.split('?')[1]).get('about')).toBe('e2');
    const first = shownInApp(<WayBack />, { at: address, path: '*' });
    expect(screen.getByRole('link').getAttribute('href')).toBe(back);
    first.unmount();
    shownInApp(<WayBack />, { at: mendingAt('/workshop/bits', 'https://elsewhere.example'), path: '*' });
    expect(screen.queryByRole('link')).toBeNull();
  });

  it('of a bit that lacks adds it in place, long enough for its hole', async () => {
    const bare = { ...workshop, bits: workshop.bits.filter((b) => b.diameter.mm < 6) };
    const lacking = plan(pattern, bare, stock, order, schools);
    const finding = lacking.findings.find((f) => f.id.startsWith('drill.bit.'));
    const asked = answering({
      'GET /api/workshop': () => ({ body: { name: 'Ours', version: 3, body: bare } }),
      'PUT /api/workshop': () => ({ body: { name: 'Ours', version: 4, body: bare } }),
    });
    const deciding = { part: lacking.parts[0] } as never;
    shownInApp(
      <DecidingContext value={deciding}>
        {asideOf({ stage: 'drill', findings: [finding!], figures: [], patternId: 'p1' })}
      </DecidingContext>,
    );
    fireEvent.click(await screen.findByRole('button', { name: /There is one of/ }));
    await waitFor(() => expect(asked.some((a) => a.method === 'PUT')).toBe(true));
    const { body } = asked.find((a) => a.method === 'PUT')?.body as { body: typeof workshop };
    const [added] = body.bits.filter((b) => !bare.bits.some((x) => x.id === b.id));
    const hole = lacking.parts[0].drilling.find((o) => finding?.id === `drill.bit.${o.id}`);
    expect(added?.length).toBeGreaterThan(hole?.toShoulder ?? Infinity);
    // with it nothing lacks any more
    const after = plan(pattern, body, stock, order, schools);
    expect(after.findings.filter((f) => f.id === finding?.id)).toEqual([]);
  });
});

describe('the days of a batch', () => {
  it('say for each day what is done with hands, and which pieces where not all', () => {
    expect(rangeWords([3, 1, 2, 7])).toBe('pieces 1 to 3, 7');
    expect(rangeWords([4])).toBe('piece 4');
    const form = STARTING_FORMS.find((f) => f.id === 'finial') ?? STARTING_FORMS[0];
    const twelve = { ...inputs, pattern: { ...form.body({}, 'maple'), hardware: [] } };
    const { plan: many } = snapshotOf({ ...twelve, order: { ...order, pieces: 40 } });
    shownInApp(<TimeStage plan={many} inputs={twelve} />);
    const days = screen.getByRole('list', { name: 'Day by day' }).querySelectorAll(':scope > li');
    expect(days.length).toBe(many.byOperation.days?.length ?? many.byPiece.days?.length);
    expect(days.length).toBeGreaterThan(1);
    expect(days[0]?.textContent).toMatch(/with hands/);
    expect(screen.getByRole('table', { name: 'Ways through the shop' }).textContent).toContain('followed');
  });

  it('name no pieces where all of them are meant, also of several in a blank', () => {
    const form = STARTING_FORMS.find((f) => f.id === 'finial') ?? STARTING_FORMS[0];
    const body = { ...form.body({}, 'maple'), hardware: [] };
    const two = { ...order, pieces: 4, perBlank: 2, mount: 'chuck' as const };
    const { plan: paired } = snapshotOf({ ...inputs, pattern: body, order: two });
    expect(paired.parts[0].blank.perBlank).toBe(2);
    shownInApp(<TimeStage plan={paired} inputs={inputs} />);
    const told = [...screen.getByRole('list', { name: 'Day by day' }).querySelectorAll('.days-told li')];
    expect(told[0]?.textContent).toContain('Saw');
    expect(told[0]?.textContent).not.toContain('piece');
  });
});
