import { DRILL_CHUCK, plan, type Plan, type Workshop } from '@compas/core';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { exampleInputs } from '../../../core/src/plan/exampleShop.js';
import { answering, shownInApp } from '../../test/inApp.js';
import { AddLack } from './AddLack.js';
import { FindingDone } from './FindingDone.js';
import { GaugePanel } from './GaugePanel.js';
import { DecidingContext } from './own/deciding.js';

const { pattern, workshop, stock, order, schools } = exampleInputs(4);
const planned = (owned: Workshop, mount = order.mount) =>
  plan(pattern, owned, stock, { ...order, mount }, schools);

/** What is shown over a workshop; gives the workshop as it was saved last. */
function over(owned: Workshop, shown: ReactNode) {
  let now = { name: 'Ours', version: 3, body: owned };
  const asked = answering({
    'GET /api/workshop': () => ({ body: now }),
    'PUT /api/workshop': ({ body }) => {
      now = { ...now, version: 4, ...(body as object) };
      return { body: now };
    },
  });
  shownInApp(shown);
  return async () => {
    await waitFor(() => expect(asked.some((a) => a.method === 'PUT')).toBe(true));
    const { body, basedOn } = asked.findLast((a) => a.method === 'PUT')?.body as {
      body: Workshop;
      basedOn: number;
    };
    expect(basedOn).toBe(3);
    return body;
  };
}

describe('what lacks for a way of holding', () => {
  const bare = { ...workshop, mandrels: [], centres: workshop.centres.filter((c) => c.kind !== 'live') };
  const lacking = planned(bare, 'mandrel');
  const findingOf = (of: Plan, begins: string) => of.findings.find((f) => f.id.startsWith(begins))!;
  const finding = (begins: string) => findingOf(lacking, begins);
  const done = (
    begins: string,
    {
      owned = bare,
      of = lacking,
      scopes = ['order'],
    }: { owned?: Workshop; of?: Plan; scopes?: string[] } = {},
  ) =>
    over(
      owned,
      <DecidingContext value={{ part: of.parts[0], scopes } as never}>
        <FindingDone finding={findingOf(of, begins)} patternId="p1" />
      </DecidingContext>,
    );

  it('is added in place, as the work asks for it, and then it lacks no more', async () => {
    const saved = done('mount.missing.part1.a mandrel');
    fireEvent.click(await screen.findByRole('button', { name: 'There is one' }));
    const takes = screen.getByLabelText<HTMLInputElement>('Takes thread');
    expect(`a mandrel for ${takes.value}`).toBe(lacking.parts[0].mount.missing[0]);
    // what nobody can know from the work is put right before it is added
    const reach = screen.getByLabelText('Stands out');
    fireEvent.change(reach, { target: { value: '42' } });
    fireEvent.blur(reach);
    fireEvent.click(screen.getByRole('button', { name: 'Add it to the workshop' }));
    const body = await saved();
    expect(body.mandrels).toMatchObject([{ takes: takes.value, reach: 42 }]);
    expect(planned(body, 'mandrel').findings.map((f) => f.id)).not.toContain(
      finding('mount.missing.part1.a mandrel').id,
    );
    expect(body.bits).toEqual(bare.bits);
    // where the plan is kept it still lacks it, and it is not added twice
    expect(await screen.findByText(/among the workshop’s since/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'There is one' })).toBeNull();
  });

  it('is a chuck, and then its jaws, as wide as the piece has room for', async () => {
    const none = { ...workshop, chucks: [] };
    const chuckless = planned(none, 'chuck');
    expect(chuckless.parts[0].mount.missing).toHaveLength(2);
    const first = done('mount.missing.part1.a chuck', { owned: none, of: chuckless });
    fireEvent.click(await screen.findByRole('button', { name: 'There is one' }));
    fireEvent.change(screen.getByLabelText('Fastest'), { target: { value: '2200' } });
    fireEvent.blur(screen.getByLabelText('Fastest'));
    fireEvent.click(screen.getByRole('button', { name: 'Add it to the workshop' }));
    const withChuck = await first();
    expect(withChuck.chucks).toMatchObject([{ name: 'Chuck', fastest: 2200, jaws: [] }]);
    cleanup();

    const jawless = planned(withChuck, 'chuck');
    const begins = 'mount.missing.part1.jaws';
    const second = done(begins, { owned: withChuck, of: jawless, scopes: ['order', 'pattern'] });
    fireEvent.click(await screen.findByRole('button', { name: 'There is one' }));
    expect(screen.getByRole('form', { name: 'Add a set of jaws' }).textContent).toContain('For Chuck');
    fireEvent.click(screen.getByRole('button', { name: 'Add it to the workshop' }));
    const whole = await second();
    expect(whole.chucks).toMatchObject([
      { name: 'Chuck', jaws: [{ gripBest: expect.any(Number) as number }] },
    ]);
    const after = planned(whole, 'chuck').parts[0].mount;
    expect([after.missing, after.tenon?.diameter]).toEqual([[], whole.chucks[0]!.jaws[0]!.gripBest]);
    // a plan in the making asks no more for what is there, unless it is of another size
    expect(await screen.findByText(/its sizes are not those that the work needs/)).toBeTruthy();
  });

  it('is not offered for a chuck that has gone since: it would go nowhere', async () => {
    const one = { ...workshop, chucks: [{ id: 'c', name: 'Old chuck', fastest: 2000, jaws: [] }] };
    const of = planned(one, 'chuck');
    expect(findingOf(of, 'mount.missing.part1.jaws')).toBeDefined();
    // beside it what lacks for good, so that the workshop has come
    over(
      { ...workshop, chucks: [] },
      <DecidingContext value={{ part: of.parts[0], scopes: ['order'] } as never}>
        <FindingDone finding={findingOf(of, 'mount.missing.part1.jaws')} patternId="p1" />
        <AddLack lack={DRILL_CHUCK} />
      </DecidingContext>,
    );
    expect(await screen.findAllByRole('button', { name: 'There is one' })).toHaveLength(1);
  });

  it('is left alone by whoever only looked at it', async () => {
    done('mount.missing.part1.a mandrel');
    fireEvent.click(await screen.findByRole('button', { name: 'There is one' }));
    expect(screen.getByRole('form', { name: 'Add a mandrel' })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Leave it' }));
    expect(screen.queryByRole('form')).toBeNull();
  });
});

describe('slots that are cut', () => {
  const [part] = planned(workshop).parts;

  it('join the gauges all at once, and the plan needs no calliper any more', async () => {
    const saved = over(workshop, <GaugePanel part={part} workshop={workshop} />);
    const all = await screen.findByRole<HTMLButtonElement>('button', { name: /^All \d+ are cut/ });
    await waitFor(() => expect(all.disabled).toBe(false));
    fireEvent.click(all);
    const body = await saved();
    expect(body.gauges.length).toBeGreaterThan(workshop.gauges.length);
    const after = planned(body).parts[0].layout.sizing;
    expect(after.every((s) => s.gauge.gauge !== null && s.gauge.gauge.kind !== 'calliper')).toBe(true);
  });

  it('one by one; of a kept plan the others still lack, and this one is told to be there', async () => {
    const saved = over(workshop, <GaugePanel part={part} workshop={workshop} batchId="b1" />);
    const [one] = await screen.findAllByRole<HTMLButtonElement>('button', { name: /^It is cut/ });
    await waitFor(() => expect(one!.disabled).toBe(false));
    fireEvent.click(one!);
    const body = await saved();
    expect(body.gauges).toHaveLength(workshop.gauges.length + 1);
    expect(await screen.findByText('among the gauges since')).toBeTruthy();
    expect(screen.getAllByRole('button', { name: /^It is cut/ }).length).toBeGreaterThan(0);
    expect(body.gauges.at(-1)).toMatchObject({ name: expect.stringMatching(/^\d[\d.]* mm slot$/) as string });
  });
});
