import { STARTING_FORMS, type PatternBody } from '@compas/core';
import { act, renderHook } from '@testing-library/react';
import type { Pattern } from '../api/patterns.js';
import { editedPattern, patternDraft } from './editedPattern.js';
import { useDraft } from './useDraft.js';

const body = STARTING_FORMS.find((f) => f.id === 'stopper')!.body({}, 'maple');
const pattern = { id: 'p1', name: 'Stopper', revision: 2, version: 5, body } as Pattern;

/** The body with its first part begun as thick as that. */
function begun(mm: number): PatternBody {
  const changed = structuredClone(body);
  changed.parts[0].turnings[0].startDiameter.mm = mm;
  return changed;
}

/** The pattern opened in an editor, as it is edited there. */
const opened = () =>
  renderHook(
    ({ mine }) =>
      useDraft(
        patternDraft('p1'),
        { value: { name: 'Stopper', body }, version: 5 },
        { name: 'Stopper', body: mine },
      ),
    { initialProps: { mine: body } },
  );

beforeEach(() => localStorage.clear());

describe('a pattern that is edited and not saved', () => {
  it('is planned as it was edited, also by who goes on at once', () => {
    const editor = opened();
    act(() => editor.rerender({ mine: begun(33) }));
    editor.unmount();
    expect(editedPattern(pattern)).toEqual({ ...pattern, body: begun(33) });
  });

  it('is planned as it is kept where nothing was changed, or all was taken back', () => {
    const editor = opened();
    act(() => editor.rerender({ mine: begun(33) }));
    act(() => editor.rerender({ mine: body }));
    editor.unmount();
    expect(editedPattern(pattern)).toBeNull();
  });

  it('is planned as it is kept where it cannot be made as it was edited', () => {
    const editor = opened();
    act(() => editor.rerender({ mine: begun(-4) }));
    editor.unmount();
    expect(editedPattern(pattern)).toBeNull();
  });
});
