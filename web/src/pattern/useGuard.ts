import { App } from 'antd';
import { useEffect } from 'react';
import { useBlocker } from 'react-router';

/**
 * Asks before one goes on with changes that are not saved; they stay on this device.
 * @param along addresses that take them along begin so
 */
export function useGuard(changed: boolean, along: string): void {
  const { modal } = App.useApp();
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) =>
      changed &&
      currentLocation.pathname !== nextLocation.pathname &&
      !nextLocation.pathname.startsWith(along),
  );
  useEffect(() => {
    if (blocker.state !== 'blocked') return;
    modal.confirm({
      title: 'Leave without saving?',
      content: 'The changes stay on this device, and are here again when you come back to this pattern.',
      okText: 'Leave',
      cancelText: 'Stay',
      onOk: () => blocker.proceed(),
      onCancel: () => blocker.reset(),
    });
  }, [blocker, modal]);
}
