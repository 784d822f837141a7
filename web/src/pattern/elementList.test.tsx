import { outlineOf, STARTING_FORMS } from '@compas/core';
import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { exampleWorkshop } from '../../../core/src/plan/exampleShop.js';
import { shownInApp } from '../../test/inApp.js';
import { firstSpot, spotOf, turningAt } from './editing.js';
import { EditorActionsContext, EditorContext } from './editor.js';
import { ElementList } from './ElementList.js';

const body = STARTING_FORMS[0].body({}, 'maple');

function Editor() {
  const [selected, select] = useState<string | null>(null);
  const spot = firstSpot(body);
  const shared = { spot, select };
  const nothing = () => undefined;
  const editor = { body, outline: outlineOf(turningAt(body, spot)), workshop: exampleWorkshop(), selected };
  const actions = { lathe: { swing: 300, betweenCentres: 900 }, update: nothing, read: () => body };
  return (
    <EditorContext value={{ ...shared, ...editor, goTo: nothing, change: nothing }}>
      <EditorActionsContext value={{ ...shared, ...actions }}>
        <button onClick={() => select('e5')}>from a finding</button>
        <ElementList />
      </EditorActionsContext>
    </EditorContext>
  );
}

describe('the list of elements', () => {
  it('brings into sight what is chosen elsewhere, and leaves in peace what is chosen in it', () => {
    const seen: string[] = [];
    jest.spyOn(Element.prototype, 'scrollIntoView').mockImplementation(function (this: Element) {
      seen.push(this.textContent);
    });
    shownInApp(<Editor />);
    fireEvent.click(screen.getByRole('button', { name: 'from a finding' }));
    expect(seen).toHaveLength(1);
    expect(screen.getAllByRole('row').findIndex((r) => r.getAttribute('aria-selected') === 'true')).toBe(5);
    screen.getByRole('textbox', { name: 'Name of neck' }).focus();
    expect(seen).toHaveLength(1);
    jest.restoreAllMocks();
  });

  it('an element is looked for in every part and turning', () => {
    const two = STARTING_FORMS.find((f) => f.id === 'launched-top')?.body({}, 'maple') ?? body;
    expect(spotOf(two, 'e12')).toMatchObject({ partId: 'part2' });
    expect(spotOf(two, 'gone')).toEqual(firstSpot(two));
  });
});
