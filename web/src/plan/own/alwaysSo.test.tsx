import { plan, type Decision } from '@compas/core';
import { screen, waitFor } from '@testing-library/react';
import { choose } from '../../../test/inApp.js';
import { base, press, sent, shownStage as shown, way } from '../../../test/decidedStage.js';

describe('what is chosen for good', () => {
  const CHUCK: Decision = { kind: 'hold', mount: 'chuck' };
  const held = plan(base.pattern, base.workshop, base.stock, base.order, base.schools).parts[0].mount.kind;

  it('is a revision of the pattern, a habit of the wood or of its kind of item', async () => {
    const { asked } = await shown('mount');
    press('Hold it so always');
    press('Do it so');
    await waitFor(() => expect(sent(asked, 'PUT')).toBeTruthy());
    expect(sent(asked, 'PUT').body.parts[0]!.ways[0]).toMatchObject({
      decides: { kind: 'hold', mount: held },
      by: 'Ines',
    });
  });

  it('holds for every item of its kind where that is said', async () => {
    const { asked } = await shown('surface');
    press('Finish it so always');
    await choose('Holds for: Finish it so always', 'every item of this kind');
    press('Do it so');
    await waitFor(() => expect(sent(asked, 'PUT')).toBeTruthy());
    expect(sent(asked, 'PUT').body.ways[0]).toMatchObject({
      decides: { kind: 'finish', finishId: base.order.finishId },
      itemKind: base.pattern.kind,
    });
  });

  it('stands where it is chosen, says when this order does otherwise, and is taken back there', async () => {
    const { asked } = await shown('mount', { habits: [way(CHUCK)] });
    const list = screen.getByRole('list', { name: 'Always: Hold it so always' });
    expect(list.textContent).toMatch(/^Not this time: held by: chuck · everything made here · Ines/);
    press('Never again: held by: chuck');
    await waitFor(() => expect(sent(asked, 'PUT')).toBeTruthy());
    expect(sent(asked, 'PUT').body.ways).toEqual([]);
  });

  it('is so already where the order follows it: then nothing more is offered', async () => {
    await shown('mount', { habits: [way({ kind: 'hold', mount: held })] });
    expect(screen.getByRole('list', { name: 'Always: Hold it so always' }).textContent).toContain(
      'Always so:',
    );
    expect(screen.queryByRole('button', { name: 'Hold it so always' })).toBeNull();
  });
});
