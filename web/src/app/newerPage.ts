const KEY = 'compas.newerPage';
/** A page that is missing again so soon is not missing for its age, ms. */
const SOON = 30_000;

/**
 * A part of this page that is not there any more belongs to an older Compas than the one that is served now: the page is
 * loaded anew, once. Nobody is moved at the lathe: its screen asks for no further part until it is left.
 */
export function reloadWhereOutdated(reload: () => void = () => location.reload()): void {
  window.addEventListener('vite:preloadError', (event) => {
    const last = Number(sessionStorage.getItem(KEY) ?? 0);
    if (!navigator.onLine || Date.now() - last < SOON) return;
    sessionStorage.setItem(KEY, String(Date.now()));
    event.preventDefault();
    reload();
  });
}
