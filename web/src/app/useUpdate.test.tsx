import { render, waitFor } from '@testing-library/react';
import { useUpdate } from './useUpdate.js';

function Desk() {
  useUpdate();
  return null;
}

/** A registration as browsers have them: its workers tell of their states. */
function registrationOf(waiting: { postMessage: jest.Mock } | null) {
  return Object.assign(new EventTarget(), { waiting, installing: null as EventTarget | null });
}
const serving = (registration: unknown) =>
  Object.defineProperty(navigator, 'serviceWorker', {
    configurable: true,
    value: { getRegistration: () => Promise.resolve(registration) },
  });
afterEach(() => Reflect.deleteProperty(navigator, 'serviceWorker'));

describe('a newer Compas that was fetched', () => {
  it('is taken up when a desk screen is opened', async () => {
    const waiting = { postMessage: jest.fn() };
    serving(registrationOf(waiting));
    render(<Desk />);
    await waitFor(() => expect(waiting.postMessage).toHaveBeenCalledWith({ type: 'SKIP_WAITING' }));
  });

  it('is taken up when it comes while one is open, and waits when that was left for the lathe', async () => {
    const registration = registrationOf(null);
    serving(registration);
    const listening = jest.spyOn(registration, 'addEventListener');
    const desk = render(<Desk />);
    await waitFor(() => expect(listening).toHaveBeenCalled());
    const installing = new EventTarget();
    registration.installing = installing;
    registration.dispatchEvent(new Event('updatefound'));
    const waiting = { postMessage: jest.fn() };
    registration.waiting = waiting;
    installing.dispatchEvent(new Event('statechange'));
    expect(waiting.postMessage).toHaveBeenCalledTimes(1);
    desk.unmount();
    installing.dispatchEvent(new Event('statechange'));
    registration.dispatchEvent(new Event('updatefound'));
    expect(waiting.postMessage).toHaveBeenCalledTimes(1);
  });

  it('is nothing to a browser that keeps no application', () => {
    expect(() => render(<Desk />)).not.toThrow();
  });
});
