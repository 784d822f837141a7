import { reloadWhereOutdated } from './newerPage.js';

it('a page whose parts are gone is loaded anew, once, and never without a network', () => {
  const reload = jest.fn();
  reloadWhereOutdated(reload);
  const missing = () => {
    const event = new Event('vite:preloadError', { cancelable: true });
    window.dispatchEvent(event);
    return event.defaultPrevented;
  };
  const online = jest.spyOn(navigator, 'onLine', 'get').mockReturnValue(false);
  expect(missing()).toBe(false);
  expect(reload).not.toHaveBeenCalled();
  online.mockReturnValue(true);
  expect(missing()).toBe(true);
  // what is still missing afterwards is a fault, and is said
  expect(missing()).toBe(false);
  expect(reload).toHaveBeenCalledTimes(1);
});
