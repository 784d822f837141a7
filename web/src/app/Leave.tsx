import { useQuery } from '@tanstack/react-query';
import { Modal } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { signOut } from '../api/session.js';
import { useChange } from '../api/useChange.js';
import { forgetBatches } from '../run/life.js';
import { signedOut } from '../run/recorder.js';
import { unsentQuery } from '../run/useSender.js';
import { Trouble } from '../ui/Trouble.js';
import { unsentWords } from './unsentWords.js';

/** Signs out; where something is not sent yet, it asks first. What was seen leaves with whoever saw it, the queue stays. */
export function Leave({ name }: { name: string }) {
  const navigate = useNavigate();
  const { data: unsent = [] } = useQuery(unsentQuery);
  const [asking, setAsking] = useState(false);
  const leave = useChange(async () => {
    await signOut();
    await forgetBatches().catch(() => undefined);
    await signedOut().catch(() => undefined);
  }, 'session');
  const go = () => leave.mutate(undefined, { onSuccess: () => void navigate('/sign-in') });
  return (
    <>
      <button
        type="button"
        className="shell-leave"
        onClick={() => (unsent.length > 0 ? setAsking(true) : go())}
      >
        Sign out, {name}
      </button>
      <Modal
        open={asking}
        title={`${unsentWords(unsent)} not sent yet`}
        okText="Sign out all the same"
        okButtonProps={{ type: 'default' }}
        cancelButtonProps={{ type: 'primary' }}
        cancelText="Stay"
        onOk={go}
        onCancel={() => setAsking(false)}
      >
        <p>
          They stay on this device. They go when somebody of that workshop signs in on it, and nobody sees
          them until then.
        </p>
        <Trouble error={leave.error} />
      </Modal>
    </>
  );
}
