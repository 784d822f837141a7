import { screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { shownInApp } from '../../test/inApp.js';
import { ApiProblem } from '../api/problem.js';
import { ask } from '../api/client.js';
import { answering } from '../../test/inApp.js';
import { KeptHere } from './KeptHere.js';
import { unsaved, useDraft } from './useDraft.js';
import { useSharedSave, type Saved } from './useSharedSave.js';

interface Kit {
  name: string;
  onHand: number;
  place?: string;
}
const base = { value: { name: 'Ring', onHand: 4 } as Kit, version: 1 };

/** A shelf that somebody else changes while we look at our form. */
function shelf(theirs: Kit, gone = false) {
  let there = { value: theirs, version: 2 };
  const refused = () =>
    new ApiProblem(409, 'Maren changed it in between.', [], {
      by: 'Maren',
      at: '2026-03-02T08:00:00.000Z',
      version: there.version,
    });
  const save = jest.fn((value: Kit, basedOn: number) => {
    if (basedOn !== there.version) return Promise.reject(refused());
    there = { value, version: basedOn + 1 };
    return Promise.resolve('kept');
  });
  const fetch = () => (gone ? Promise.reject(new ApiProblem(404, 'It is gone.')) : Promise.resolve(there));
  return { save, fetch, there: () => there.value };
}

interface FormProps {
  on: ReturnType<typeof shelf>;
  mine: Kit;
  duplicate?: (value: Kit) => Promise<unknown>;
}

function Form({ on, mine, duplicate }: FormProps) {
  const [done, setDone] = useState<Saved<Kit, string> | 'duplicate' | null>(null);
  const { mutate, error, dialog } = useSharedSave<Kit, string>({ ...on, duplicate, stale: [] });
  return (
    <>
      <button onClick={() => mutate({ base, mine }, { onSuccess: setDone })}>Save</button>
      {error && <p role="alert">{error.message}</p>}
      {done && <p>{done === 'duplicate' ? 'duplicated' : `saved with ${done.withChangesOf}`}</p>}
      {dialog}
    </>
  );
}

const saveAs = async (on: ReturnType<typeof shelf>, mine: Kit, duplicate?: FormProps['duplicate']) => {
  const shown = shownInApp(<Form on={on} mine={mine} duplicate={duplicate} />);
  await shown.user.click(screen.getByRole('button', { name: 'Save' }));
  return shown;
};

describe('saving what somebody else changed meanwhile', () => {
  it('brings changes of different fields together without a question', async () => {
    const on = shelf({ name: 'Ring', onHand: 2 });
    await saveAs(on, { name: 'Brass ring', onHand: 4 });
    await screen.findByText('saved with Maren');
    expect(on.there()).toEqual({ name: 'Brass ring', onHand: 2 });
    expect(on.save).toHaveBeenCalledTimes(2);
  });

  it('shows a field that both changed side by side, and saves as is chosen', async () => {
    const on = shelf({ name: 'Iron ring', onHand: 2 });
    const { user } = await saveAs(on, { name: 'Brass ring', onHand: 4, place: 'drawer' });
    await screen.findByText(/Maren changed it too/);
    expect(on.save).toHaveBeenCalledTimes(1);
    expect(screen.getByRole<HTMLInputElement>('radio', { name: 'mine: Brass ring' }).checked).toBe(true);
    await user.click(screen.getByRole('radio', { name: 'Maren: Iron ring' }));
    await user.click(screen.getByRole('button', { name: 'Save it so' }));
    await screen.findByText('saved with Maren');
    expect(on.there()).toEqual({ name: 'Iron ring', onHand: 2, place: 'drawer' });
  });

  it('saves nothing when the person does not want to choose now, and says who was faster', async () => {
    const on = shelf({ name: 'Iron ring', onHand: 4 });
    const { user } = await saveAs(on, { name: 'Brass ring', onHand: 4 });
    await user.click(await screen.findByRole('button', { name: 'Not now, keep mine here' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Maren');
    expect(on.there().name).toBe('Iron ring');
  });

  it('keeps mine as a thing of its own where that can be', async () => {
    const on = shelf({ name: 'Iron ring', onHand: 4 });
    const copies: Kit[] = [];
    const { user } = await saveAs(on, { name: 'Brass ring', onHand: 4 }, (v) =>
      Promise.resolve(copies.push(v)),
    );
    await user.click(await screen.findByRole('button', { name: 'Save mine as a duplicate' }));
    await screen.findByText('duplicated');
    expect(copies).toEqual([{ name: 'Brass ring', onHand: 4 }]);
    expect(on.there().name).toBe('Iron ring');
  });

  it('says that it has gone when it has', async () => {
    await saveAs(shelf({ name: 'Iron ring', onHand: 4 }, true), { name: 'Brass ring', onHand: 4 });
    expect((await screen.findByRole('alert')).textContent).toBe('It is gone.');
  });
});

describe('a change on its way', () => {
  const saving = {
    save: (value: Kit, basedOn: number) =>
      ask('put', '/api/kits/{id}', {
        params: { path: { id: 'k' } },
        body: { kit: value as never, basedOn },
      }) as Promise<unknown> as Promise<string>,
    fetch: () => Promise.resolve(base),
  };

  it('is the same change when it is sent again because no answer came, and another when it was changed', async () => {
    let up = false;
    const asked = answering({
      'PUT /api/kits/k': () => {
        if (!up) throw new TypeError('fetch failed');
        return { body: {} };
      },
    });
    function Changing() {
      const [onHand, setOnHand] = useState(5);
      return (
        <>
          <button onClick={() => setOnHand(onHand + 1)}>More</button>
          <Form on={saving as never} mine={{ name: 'Ring', onHand }} />
        </>
      );
    }
    const { user } = shownInApp(<Changing />);
    const press = (name: string) => user.click(screen.getByRole('button', { name }));
    await press('Save');
    await press('Save');
    await waitFor(() => expect(asked).toHaveLength(2));
    await press('More');
    up = true;
    await press('Save');
    await screen.findByText(/^saved/);
    await press('More');
    await press('Save');
    await waitFor(() => expect(asked).toHaveLength(4));
    const [first, again, changed, later] = asked.map(({ headers }) => headers);
    expect(again!['x-change']).toBe(first!['x-change']);
    expect(changed!['x-change']).not.toBe(first!['x-change']);
    expect(changed!['x-after']).toBe(first!['x-change']);
    expect(later!['x-after']).toBeUndefined();
    expect(new Set(asked.map((a) => a.headers['x-change'])).size).toBe(3);
  });
});

describe('what was typed and not saved', () => {
  function Draft({ there = base }: { there?: typeof base }) {
    const [before] = useState(() => unsaved<Kit>('kit/1'));
    const [mine, setMine] = useState(before?.value ?? there.value);
    const draft = useDraft('kit/1', there, mine);
    return (
      <>
        <input
          aria-label="Name"
          value={mine.name}
          onChange={(e) => setMine({ ...mine, name: e.target.value })}
        />
        <KeptHere
          at={draft.changed ? (before?.at ?? null) : null}
          room={draft.room}
          onTakeBack={() => setMine(draft.base.value)}
        />
        <button onClick={() => draft.saved({ value: mine, version: draft.base.version + 1 })}>Saved</button>
        <span>{`from version ${draft.base.version}`}</span>
      </>
    );
  }
  const kept = () => localStorage.getItem('compas.draft/kit/1');
  beforeEach(() => localStorage.clear());

  it('is here again after the page went, changed from what it was changed from', async () => {
    const first = shownInApp(<Draft />);
    await first.user.type(screen.getByRole('textbox'), ' of brass');
    await waitFor(() => expect(kept()).not.toBeNull());
    first.unmount();
    // somebody saved version 2 meanwhile: mine was still changed from version 1
    const again = shownInApp(<Draft there={{ value: { name: 'Ring', onHand: 9 }, version: 2 }} />);
    expect(screen.getByRole<HTMLInputElement>('textbox').value).toBe('Ring of brass');
    expect(screen.getByText('from version 1')).toBeTruthy();
    await again.user.click(screen.getByRole('button', { name: 'Take them back' }));
    expect(screen.getByRole<HTMLInputElement>('textbox').value).toBe('Ring');
    await waitFor(() => expect(kept()).toBeNull());
  });

  it('is no longer kept once it is saved', async () => {
    const { user } = shownInApp(<Draft />);
    await user.type(screen.getByRole('textbox'), '!');
    await waitFor(() => expect(kept()).not.toBeNull());
    await user.click(screen.getByRole('button', { name: 'Saved' }));
    await waitFor(() => expect(kept()).toBeNull());
    expect(screen.getByText('from version 2')).toBeTruthy();
  });

  it('says so when this device has no room for it', async () => {
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    const { user } = shownInApp(<Draft />);
    await user.type(screen.getByRole('textbox'), '!');
    expect((await screen.findByRole('alert')).textContent).toContain('no room');
    full.mockRestore();
  });
});
