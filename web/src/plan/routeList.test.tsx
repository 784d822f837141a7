import { stepDoes, plan, type PartPlan } from '@compas/core';
import { screen, within } from '@testing-library/react';
import { exampleInputs } from '../../../core/src/plan/exampleShop.js';
import { shownInApp } from '../../test/inApp.js';
import { withNote } from '../ui/noted.js';
import { NotedHere } from '../ui/NotedHere.js';
import { DecidingContext, EVERY_SCOPE, type Deciding, type Wanted } from './own/deciding.js';
import { RouteList } from './RouteList.js';

const { pattern, workshop, stock, order, schools } = exampleInputs(6);
const [part] = plan(pattern, workshop, stock, order, schools).parts;

/** The set-ups of the list with the lines of each. */
function listed(shown: PartPlan) {
  shownInApp(<RouteList part={shown} />);
  const list = screen.getByRole('list', { name: 'How it is made' });
  return [...list.children].map((run) => ({
    heading: run.querySelector('h3')!.textContent,
    lines: [...run.querySelectorAll('li > b')].map((b) => b.textContent),
    words: run.textContent,
  }));
}

/** What is decided here is kept in a list. */
const decidingInto = (decided: Wanted[]): Deciding =>
  ({
    part,
    leads: true,
    material: 'Maple',
    scopes: EVERY_SCOPE,
    skipped: [],
    pending: false,
    error: null,
    decide: (wanted: Wanted) => decided.push(wanted),
  }) as unknown as Deciding;

describe('how it is made', () => {
  it('is each set-up with what holds the wood, and line by line what is done in it', () => {
    const runs = listed(part);
    expect(runs.flatMap((r) => r.lines)).toEqual(part.steps.map((s) => s.title));
    const turned = runs.find((r) => r.lines.includes('Rough to round'))!;
    expect(turned.heading).toBe('Rough, size, shapelathe, M8 stopper mandrel, tailstock up, then away');
    expect(turned.words).toMatch(/Part down to 35\.2\smm, 25\.1\smm from the first end/);
    // lengths are in the units of the person, never as they are marked in sentences
    expect(runs.map((r) => r.words).join(' ')).not.toContain('⟦');
    expect(turned.lines).toContain('Cut the waste at the tail away');
    const sanded = runs.find((r) => r.lines.includes('Sand P150'))!;
    expect(sanded.heading).toMatch(/tailstock away$/);
  });

  it('of a plan that was kept before there were routes is its steps, each for itself', () => {
    const steps = part.steps.slice(0, 4).map(({ operation: _, run: _run, ...old }) => old);
    const runs = listed({ ...part, steps });
    expect(runs.map((r) => r.lines)).toEqual(steps.map((s) => [s.title]));
    expect(within(screen.getByRole('list', { name: 'How it is made' })).getAllByRole('heading')).toHaveLength(
      4,
    );
  });

  it('opens where a note was made, with its words as the reason', async () => {
    const step = part.steps.find((s) => stepDoes(s, 'shape'))!;
    const decided: Wanted[] = [];
    const at = withNote('/plan', { words: 'it chattered', where: 'piece 3, Ring', about: step.id });
    const bring = jest.fn();
    Element.prototype.scrollIntoView = bring;
    const { user } = shownInApp(
      <DecidingContext value={decidingInto(decided)}>
        <NotedHere wish="Decide it." />
        <RouteList part={part} />
      </DecidingContext>,
      { at, path: '/plan' },
    );
    expect(screen.getByRole('status').textContent).toContain(
      'Noted at the lathe, piece 3, Ring: it chattered',
    );
    const form = screen.getByRole('form', { name: `its minutes: ${step.title}` });
    expect(bring).toHaveBeenCalledTimes(1);
    await user.click(within(form).getByRole('button', { name: 'Do it so' }));
    expect(decided[0]).toMatchObject({ why: 'piece 3, Ring: it chattered', scope: 'order' });
    await user.click(screen.getByRole('button', { name: 'Put the note away' }));
    expect(screen.queryByRole('status')).toBeNull();
  });

  it('says how fast the lathe turns, and takes another speed for one step alone', async () => {
    const decided: Wanted[] = [];
    const step = part.steps.find((s) => stepDoes(s, 'shape'))!;
    const { user } = shownInApp(
      <DecidingContext value={decidingInto(decided)}>
        <RouteList part={part} drive={{ kind: 'range', slowest: 200, fastest: 3000 }} />
      </DecidingContext>,
    );
    expect(screen.getByText(step.title, { selector: 'b' }).closest('li')?.textContent).toContain(step.speed);
    await user.click(screen.getByRole('button', { name: `Otherwise: ${step.title}` }));
    await user.click(screen.getByText('its speed'));
    const field = screen.getByRole('spinbutton', { name: `Speed: ${step.title}` });
    await user.clear(field);
    await user.type(field, '1400');
    await user.click(screen.getByRole('button', { name: 'Do it so' }));
    expect(decided[0]?.decides).toEqual({ kind: 'pace', on: { kind: 'step', id: step.id }, rpm: 1400 });
  });
});
