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
/** How a kind of element shows by itself, asked once of the page: its style sheets are not in it. */
const usualDisplay = new Map<string, string>();
const computed = window.getComputedStyle.bind(window);
function displayOf(element: HTMLElement): string {
  if (element.style.display !== '') return element.style.display;
  if (element.hidden) return 'none';
  const kind = element.tagName;
  const known = usualDisplay.get(kind) ?? computed(document.createElement(kind)).display;
  usualDisplay.set(kind, known);
  return known;
}
/** What an element has from those it lies in, unless it has its own. */
function handedDown(element: HTMLElement, name: 'visibility' | 'pointer-events', usual: string): string {
  for (let at: HTMLElement | null = element; at; at = at.parentElement) {
    const own = at.style?.getPropertyValue(name);
    if (own) return own;
  }
  return usual;
}
function shownAs(element: HTMLElement, name: string): string {
  if (name === 'display') return displayOf(element);
  if (name === 'visibility') return handedDown(element, name, 'visible');
  if (name === 'pointer-events') return handedDown(element, name, 'auto');
  return element.style.getPropertyValue(name);
}
const dashed = (name: string): string => name.replace(/[A-Z]/g, (capital) => `-${capital.toLowerCase()}`);
// with no sheets there is nothing to weigh against one another: what is written into an element is how it shows
window.getComputedStyle = (element) =>
  new Proxy((element as HTMLElement).style, {
    get: (_, name) =>
      name === 'getPropertyValue'
        ? (wanted: string) => shownAs(element as HTMLElement, wanted)
        : shownAs(element as HTMLElement, dashed(String(name))),
  });

// a page without layout has nothing to bring into sight
Element.prototype.scrollIntoView = () => undefined;
