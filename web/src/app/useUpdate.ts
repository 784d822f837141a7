import { useEffect } from 'react';

/**
 * Takes up a newer Compas that this browser has fetched, while a desk screen is open: at the lathe it waits. The page that
 * is open stays as it is; the next one that is loaded is the newer one.
 */
export function useUpdate(): void {
  useEffect(() => {
    const workers = (navigator as { serviceWorker?: ServiceWorkerContainer }).serviceWorker;
    let left = false;
    void workers?.getRegistration().then((registration) => {
      if (!registration) return;
      const take = () => {
        if (!left) registration.waiting?.postMessage({ type: 'SKIP_WAITING' });
      };
      take();
      registration.addEventListener('updatefound', () =>
        registration.installing?.addEventListener('statechange', take),
      );
    });
    return () => {
      left = true;
    };
  }, []);
}
