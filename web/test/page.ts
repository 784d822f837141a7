/** What a browser has and the page of the tests has not. */
window.matchMedia = (query: string) =>
  ({
    matches: false,
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
    addListener: () => undefined,
    removeListener: () => undefined,
  }) as unknown as MediaQueryList;
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
// of pseudo elements it knows nothing, and says so at length
const computed = window.getComputedStyle.bind(window);
window.getComputedStyle = (element) => computed(element);

// a page without layout has nothing to bring into sight
Element.prototype.scrollIntoView = () => undefined;
