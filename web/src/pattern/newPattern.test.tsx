import { freshKit, outlineOf, STARTING_FORMS, type Kit, type PatternBody } from '@compas/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { exampleWorkshop } from '../../../core/src/plan/exampleShop.js';
import { answering, choose, shownInApp } from '../../test/inApp.js';
import { EditorActionsContext, EditorContext } from './editor.js';
import { firstSpot, turningAt } from './editing.js';
import { HardwarePanel } from './HardwarePanel.js';
import NewPattern from './NewPattern.js';

const kit = (kind: Kit['kind'], name: string, rest: object = {}): Kit => ({
  ...freshKit(kind),
  id: name,
  name,
  ...rest,
});
const kits = [
  kit('cord', 'Flax cord'),
  kit('ferrule', 'Brass ferrule', { bore: { mm: 16 }, outsideDiameter: { mm: 18 }, length: { mm: 15 } }),
  kit('rod', 'Steel rod'),
];

describe('a new pattern', () => {
  it('asks first for the hardware it is made for, and then only for what that does not give', async () => {
    const asked = answering({
      'GET /api/workshop': () => ({ body: { name: 'Ours', version: 1, body: exampleWorkshop() } }),
      'GET /api/kits': () => ({ body: { kits: kits.map((k) => ({ kit: k, version: 1 })) } }),
      'POST /api/patterns': ({ body }) => ({ status: 201, body: { ...(body as object), id: 'p1' } }),
    });
    shownInApp(<NewPattern />);
    fireEvent.click(screen.getByRole('radio', { name: /Tool handle/ }));
    expect(screen.getByLabelText('Inside of the ferrule')).toBeDefined();
    await screen.findByLabelText('Made for');
    // of three kits only the ferrule belongs on this form
    await choose('Made for', 'Brass ferrule');
    expect(screen.queryByLabelText('Inside of the ferrule')).toBeNull();
    expect(screen.getByLabelText('Total length')).toBeDefined();
    expect(screen.getByLabelText('From the hardware').textContent).toContain('inside of the ferrule 16');
    fireEvent.click(screen.getByRole('button', { name: 'Make the pattern' }));
    await waitFor(() => expect(asked.some((a) => a.method === 'POST')).toBe(true));
    const { body } = asked.find((a) => a.method === 'POST')?.body as { body: PatternBody };
    expect(body.hardware).toMatchObject([{ kitId: 'Brass ferrule', end: 'reference' }]);
    expect(outlineOf(body.parts[0].turnings[0]).segments[0]).toMatchObject({ r0: 8, x1: 15 });
  });

  it('of a form without hardware does not ask for any', () => {
    answering({ 'GET /api/kits': () => ({ body: { kits: kits.map((k) => ({ kit: k, version: 1 })) } }) });
    shownInApp(<NewPattern />);
    fireEvent.click(screen.getByRole('radio', { name: /Ball$/ }));
    expect(screen.queryByLabelText('Made for')).toBeNull();
  });
});

describe('hardware of a pattern', () => {
  let current: PatternBody;
  function Bench() {
    const form = STARTING_FORMS.find((f) => f.id === 'tool-handle') ?? STARTING_FORMS[0];
    const [body, change] = useState(() => form.body({}, 'maple'));
    current = body;
    const spot = firstSpot(body);
    const outline = outlineOf(turningAt(body, spot));
    const shared = { spot, select: () => undefined };
    const editor = {
      outline,
      workshop: exampleWorkshop(),
      goTo: () => undefined,
      body,
      change,
      selected: null,
    };
    const actions = { lathe: { swing: 300, betweenCentres: 900 }, update: change, read: () => current };
    return (
      <EditorContext value={{ ...shared, ...editor }}>
        <EditorActionsContext value={{ ...shared, ...actions }}>
          <HardwarePanel kits={kits} hardware={null} />
        </EditorActionsContext>
      </EditorContext>
    );
  }

  it('comes as a handle usually has it, and an end with one takes a second', async () => {
    const { user } = shownInApp(<Bench />);
    fireEvent.click(screen.getByRole('button', { name: /change$/ }));
    expect(screen.queryByLabelText('With it at the reference end')).toBeNull();
    await user.click(screen.getByLabelText('Hardware at the reference end'));
    const offered = screen.getAllByRole('option').map((o) => o.getAttribute('aria-label') ?? o.textContent);
    expect(offered.slice(0, 2)).toEqual(['none', 'Brass ferrule']);
    await user.keyboard('{Escape}');
    await choose('Hardware at the reference end', 'Brass ferrule');
    await choose('With it at the reference end', 'Steel rod');
    expect(current.hardware.map((h) => [h.kitId, h.end])).toEqual([
      ['Brass ferrule', 'reference'],
      ['Steel rod', 'reference'],
    ]);
    await choose('Hardware at the reference end', 'none');
    expect(current.hardware.map((h) => h.kitId)).toEqual(['Steel rod']);
    expect(screen.getByLabelText('Hardware at the reference end').closest('label')?.textContent).toContain(
      'Steel rod',
    );
  });
});
