import {
  dim,
  ELEMENT_KIND_NAMES,
  fieldsOf,
  kindOf,
  newElement,
  STARTING_FORMS,
  type Element,
  type ElementKind,
  type PatternBody,
} from '@compas/core';
import { fireEvent, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useMemo, useRef, useState } from 'react';
import { EditorActionsContext } from './editor.js';
import { firstSpot, moveElementTo, turningAt } from './editing.js';
import { ElementRow } from './ElementRow.js';

let current = STARTING_FORMS[0].body({}, 'maple');

/** The row of one element, edited in place as the screen does. */
function Bench({ element }: { element: Element }) {
  const start = useMemo<typeof current>(() => {
    const [part] = current.parts;
    const [turning] = part.turnings;
    const elements = [{ ...element }];
    return { ...current, parts: [{ ...part, turnings: [{ ...turning, elements }] }] };
  }, [element]);
  const [body, setBody] = useState(start);
  const latest = useRef(body);
  latest.current = body;
  current = body;
  const spot = firstSpot(body);
  const [own, next] = turningAt(body, spot).elements;
  const actions = {
    spot,
    lathe: { swing: 300, betweenCentres: 900 },
    update: (to: (b: typeof body) => typeof body) => setBody((b) => to(b)),
    read: () => latest.current,
    select: () => undefined,
  };
  return (
    <EditorActionsContext value={actions}>
      <table>
        <tbody>
          <ElementRow element={own!} startDiameter={24} endDiameter={24} next={next} first chosen />
        </tbody>
      </table>
    </EditorActionsContext>
  );
}

const shown = (element: Element) => render(<Bench element={element} />);
const edited = () =>
  turningAt(current, firstSpot(current)).elements[0]! as unknown as Record<string, unknown>;
const mmOf = (field: string) => (edited()[field] as { mm: number }).mm;

describe.each(ELEMENT_KIND_NAMES)('the row of a %s', (kind: ElementKind) => {
  beforeEach(() => {
    current = STARTING_FORMS[0].body({}, 'maple');
  });

  it('asks for each dimension that it must have, and takes what is typed', async () => {
    const user = userEvent.setup({ delay: null });
    shown({ ...newElement(kind, 'e1', 24), name: 'own' });
    const row = screen.getByRole('row');
    const inputs = within(row)
      .queryAllByRole('textbox')
      .filter((i) => i.getAttribute('aria-label')?.startsWith('own, '));
    const must = fieldsOf(kind).filter(([, f]) => f.is === 'dimension' && f.usual === undefined);
    expect(inputs.length).toBeGreaterThanOrEqual(must.length);
    for (const [name] of must) {
      const before = mmOf(name);
      const input = inputs[must.findIndex(([n]) => n === name)]!;
      await user.clear(input);
      await user.type(input, String(before + 1.5));
      await user.tab();
      expect(mmOf(name)).toBeCloseTo(before + 1.5, 6);
    }
  });

  it('changes every way it can be by pressing or choosing', async () => {
    const user = userEvent.setup({ delay: null });
    shown(newElement(kind, 'e1', 24));
    for (const [name, field] of fieldsOf(kind)) {
      if (field.is !== 'choice' || Object.keys(field.words).length !== 2) continue;
      const before = edited()[name] ?? field.usual;
      await user.click(screen.getByRole('button', { name: field.words[before as string] }));
      const after = edited()[name] ?? field.usual;
      expect(after).not.toBe(before);
      expect(Object.keys(field.words)).toContain(after);
      expect(screen.getByRole('button', { name: field.words[after as string] })).toBeTruthy();
    }
  });

  it('offers what need not be given, begins it at its usual size, and takes it away again', async () => {
    const user = userEvent.setup({ delay: null });
    shown({ ...newElement(kind, 'e1', 24), name: 'own' });
    for (const [name, field] of fieldsOf(kind)) {
      if (field.is !== 'dimension' || field.usual === undefined) continue;
      await user.click(screen.getByRole('button', { name: 'More for own' }));
      await user.click(await screen.findByText(/^Give it: /));
      expect(mmOf(name)).toBe(field.usual);
      await user.click(screen.getByRole('button', { name: /^Take away own, / }));
      expect(edited()[name]).toBeUndefined();
    }
  });
});

describe('a row of elements', () => {
  it('takes any kind but a row, and all of its dimensions', async () => {
    const user = userEvent.setup({ delay: null });
    shown({
      kind: 'repeat',
      id: 'e1',
      times: 2,
      elements: [{ kind: 'cylinder', id: 'e1.1', length: dim(4) }],
    });
    await user.click(screen.getByRole('combobox', { name: /kind of e1\.1/ }));
    expect(screen.queryByTitle(kindOf({ kind: 'repeat' }).words)).toBeNull();
    await user.click(screen.getByTitle(kindOf({ kind: 'ogee' }).words));
    const [own] = (edited() as unknown as Element & { kind: 'repeat' }).elements;
    expect(own?.kind).toBe('ogee');
    const end = screen.getByRole('textbox', { name: 'e1.1, end diameter' });
    await user.clear(end);
    await user.type(end, '17');
    await user.tab();
    const [changed] = (edited() as unknown as Element & { kind: 'repeat' }).elements;
    expect(changed).toMatchObject({ kind: 'ogee', endDiameter: { mm: 17 } });
  });
});

describe('a row that is dragged', () => {
  const transfer = () => {
    const data = new Map<string, string>();
    return {
      get types() {
        return [...data.keys()];
      },
      setData: (kind: string, text: string) => void data.set(kind, text),
      getData: (kind: string) => data.get(kind) ?? '',
      effectAllowed: '',
    };
  };

  it('takes its place where it is dropped, and only elements can be dropped there', () => {
    current = STARTING_FORMS[0].body({}, 'maple');
    shown({ ...newElement('cylinder', 'e1', 24), name: 'own' });
    const row = screen.getByRole('row');
    const dataTransfer = transfer();
    fireEvent.dragOver(row, { dataTransfer });
    expect(row.getAttribute('data-over')).toBe('false');
    fireEvent.dragStart(screen.getByTitle('Drag own along the piece'), { dataTransfer });
    fireEvent.dragOver(row, { dataTransfer });
    expect(row.getAttribute('data-over')).toBe('true');
    fireEvent.drop(row, { dataTransfer });
    expect(row.getAttribute('data-over')).toBe('false');
  });

  it('lands before what lay before it, and behind what lay behind it', () => {
    const body = STARTING_FORMS[0].body({}, 'maple');
    const spot = firstSpot(body);
    const ids = (b: PatternBody) => turningAt(b, spot).elements.map((e) => e.id);
    expect(ids(moveElementTo(body, spot, 'e4', 'e2'))).toEqual(['e1', 'e4', 'e2', 'e3', 'e5']);
    expect(ids(moveElementTo(body, spot, 'e2', 'e4'))).toEqual(['e1', 'e3', 'e4', 'e2', 'e5']);
    expect(moveElementTo(body, spot, 'e2', 'gone')).toEqual(body);
  });
});
