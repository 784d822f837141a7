import { alternatives, STARTING_FORMS, snapshotOf, type PlanInputs } from '@compas/core';
import { fireEvent, screen, within } from '@testing-library/react';
import { exampleInputs } from '../../../core/src/plan/exampleShop.js';
import { shownInApp } from '../../test/inApp.js';
import { MountStage } from './MountStage.js';

const finial = (): PlanInputs => {
  const inputs = exampleInputs(4);
  inputs.pattern = { ...STARTING_FORMS.find((f) => f.id === 'finial')!.body({}, 'maple'), hardware: [] };
  return inputs;
};
const shown = (inputs: PlanInputs, choose = jest.fn()) => {
  const [part] = snapshotOf(inputs).plan.parts;
  shownInApp(<MountStage part={part} inputs={inputs} choose={choose} />);
  return {
    part,
    choose,
    ways: within(screen.getByRole('radiogroup', { name: 'Ways to hold the work' })).getAllByRole('radio'),
  };
};

describe('ways to hold the work', () => {
  it('each says what it comes to, and one of those that can be gone is the quickest', () => {
    const inputs = finial();
    const { part, ways } = shown(inputs);
    const found = alternatives(
      inputs,
      part.mounts.slice(0, ways.length).map((m) => m.kind),
    );
    for (const [i, way] of ways.entries()) {
      const own = found.find((a) => a.kind === part.mounts[i]!.kind)!;
      if (own.minutes !== null && own.against.length === 0)
        expect(within(way).getByText(new RegExp(`${own.minutes.toFixed(0)} min hands on`))).toBeTruthy();
    }
    expect(screen.getAllByText('· quickest')).toHaveLength(1);
    const quickest = part.mounts.findIndex((m) => m.kind === found[0]!.kind);
    expect(within(ways[quickest]!).getByText('· quickest')).toBeTruthy();
  });

  it('a way that leads nowhere says why, in its own words', () => {
    const inputs = finial();
    inputs.pattern.parts[0].hollows = [
      {
        id: 'h1',
        name: 'recess',
        opens: 'far',
        startDiameter: { mm: 4 },
        elements: [{ kind: 'cylinder', id: 'w', length: { mm: 3 } }],
      },
    ];
    const { ways, part } = shown(inputs);
    const between = ways[part.mounts.findIndex((m) => m.kind === 'between centres')]!;
    expect(within(between).getByText(/between centres both ends are covered/)).toBeTruthy();
  });

  it('is taken by touching it', () => {
    const { part, ways, choose } = shown(finial());
    fireEvent.click(ways[1]!);
    expect(choose).toHaveBeenCalledWith('mount', part.mounts[1]!.kind);
  });
});

describe('another order in the same hold', () => {
  it('is planned through when it is asked for, and taken by touching it', () => {
    const { choose } = shown(exampleInputs(4));
    expect(screen.queryByRole('radiogroup', { name: 'Orders in this hold' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /The same hold in another order/ }));
    const orders = within(screen.getByRole('radiogroup', { name: 'Orders in this hold' }));
    expect(orders.getAllByRole('radio')[0]!.getAttribute('aria-checked')).toBe('true');
    fireEvent.click(orders.getByRole('radio', { name: /Holes drilled: after rounding/ }));
    expect(choose).toHaveBeenCalledWith('holes', expect.stringContaining('after rounding'));
    fireEvent.click(orders.getByRole('radio', { name: /Turned green/ }));
    expect(choose).toHaveBeenCalledWith('green', 'yes');
  });
});
