import { freshKit, MATERIALS, sawingOf, STARTING_FORMS } from '@compas/core';
import { screen, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { exampleWorkshop } from '../../../core/src/plan/exampleShop.js';
import { answering, shownInApp } from '../../test/inApp.js';
import type { Pattern } from '../api/patterns.js';
import { usePatternDraft } from '../pattern/usePatternDraft.js';
import { ItemForm } from '../stock/ItemForm.js';
import { BundleForm } from '../stock/BundleForm.js';
import { KitForm } from '../workshop/KitForm.js';
import WorkshopScreen from '../workshop/WorkshopScreen.js';

const workshop = exampleWorkshop();
const held = { id: 'w', name: 'Shop', body: workshop, version: 1 };
const habits = {
  materials: MATERIALS,
  sawing: sawingOf(workshop),
  air: { temperature: 18, humidity: 55 },
  currency: 'EUR',
  timeZone: 'UTC',
} as never;
const pattern = {
  id: 'p',
  name: 'Stopper',
  revision: 1,
  version: 1,
  body: STARTING_FORMS[0].body({}, 'maple'),
} as Pattern;
const session = { userId: 'u', userName: 'Ines', workshopId: 'w', workshops: [{ ...held, role: 'owner' }] };

function PatternName() {
  const { name, setName, save } = usePatternDraft(pattern);
  return (
    <>
      <input aria-label="Name" value={name} onChange={(e) => setName(e.target.value)} />
      <button onClick={save}>Save</button>
    </>
  );
}

interface Kept {
  what: string;
  form: ReactNode;
  /** its field that is typed into, and the button that sends it */
  field: string;
  button: RegExp;
  /** the question that is sent, and its answer */
  sends: string;
  answer: unknown;
}
const nothing = () => undefined;
const KEPT: Kept[] = [
  {
    what: 'a pattern',
    form: <PatternName />,
    field: 'Name',
    button: /^Save/,
    sends: 'PUT /api/patterns/p',
    answer: { ...pattern, name: 'Stopper!', version: 2 },
  },
  {
    what: 'the workshop',
    form: <WorkshopScreen />,
    field: 'Name of the workshop',
    button: /^Save the workshop/,
    sends: 'PUT /api/workshop',
    answer: { ...held, name: 'Shop!', version: 2 },
  },
  {
    what: 'a new kit',
    form: <KitForm held={null} first={freshKit('ferrule')} workshop={workshop} onDone={nothing} />,
    field: 'Name of the kit',
    button: /^Save the kit/,
    sends: 'POST /api/kits',
    answer: {},
  },
  {
    what: 'stock that comes in',
    form: <ItemForm held={null} habits={habits} onDone={nothing} />,
    field: 'What it is called',
    button: /^Put it on the shelf/,
    sends: 'POST /api/stock',
    answer: [],
  },
  {
    what: 'a bundle that is laid down',
    form: <BundleForm habits={habits} today="2026-03-02" onDone={nothing} />,
    field: 'What it is',
    button: /^Lay it down/,
    sends: 'POST /api/drying',
    answer: { id: 'b' },
  },
];

beforeEach(() => localStorage.clear());

describe.each(KEPT)('what was typed of $what', ({ form, field, button, sends, answer }) => {
  const kept = () => Object.keys(localStorage).filter((key) => key.startsWith('compas.draft/'));

  /** The form with something typed, sent and left; what comes back decides over what is kept. */
  async function sentAndLeft() {
    let comesBack: (answer: { status?: number; body?: unknown }) => void = nothing;
    const asked = answering({
      'GET /api/session': () => ({ body: session }),
      'GET /api/workshop': () => ({ body: held }),
      'GET /api/kits': () => ({ body: [] }),
      [sends]: () => new Promise((answered) => (comesBack = answered)),
    });
    const { user, unmount } = shownInApp(form);
    const send = await screen.findByRole('button', { name: button });
    await user.type(screen.getByLabelText(field), '!');
    await user.click(send);
    await waitFor(() => expect(asked.some((a) => `${a.method} ${a.path}` === sends)).toBe(true));
    unmount();
    expect(kept()).toHaveLength(1);
    return comesBack;
  }

  it('is kept no longer than it is answered, also for somebody who goes on before', async () => {
    (await sentAndLeft())({ body: answer });
    await waitFor(() => expect(kept()).toEqual([]));
  });

  it('is kept where it is refused', async () => {
    (await sentAndLeft())({ status: 400, body: { detail: 'No.' } });
    await new Promise((answered) => setTimeout(answered, 100));
    expect(kept()).toHaveLength(1);
  });
});
