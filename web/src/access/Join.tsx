import { useQuery } from '@tanstack/react-query';
import { Button, Form } from 'antd';
import { useNavigate, useParams } from 'react-router';
import { acceptInvitation, invitation, joinAs, sessionQuery } from '../api/session.js';
import { useChange } from '../api/useChange.js';
import type { Schemas } from '../api/problem.js';
import { Trouble } from '../ui/Trouble.js';
import { PersonFields } from './SignIn.js';
import './access.css';

/** Where a one-time link leads. */
export default function Join() {
  const { token = '' } = useParams();
  const navigate = useNavigate();
  const invited = useQuery({
    queryKey: ['invitation', token],
    queryFn: () => invitation(token),
    retry: false,
  });
  const session = useQuery(sessionQuery);
  const join = useChange(joinAs, 'session');
  const accept = useChange(acceptInvitation, 'session');
  const enter = () => void navigate('/', { replace: true });
  return (
    <main className="door">
      <section className="door-words">
        <img src="/mark.svg" alt="" width={72} height={72} />
        <h1>{invited.data ? `Join ${invited.data.workshop}` : 'An invitation'}</h1>
        {invited.data && <p>You are invited as {invited.data.role}.</p>}
        <Trouble error={invited.error} />
      </section>
      {invited.data && (
        <section className="sheet door-form">
          {session.data?.userId ? (
            <Button
              type="primary"
              loading={accept.isPending}
              onClick={() => accept.mutate(token, { onSuccess: enter })}
            >
              Join as {session.data.userName}
            </Button>
          ) : (
            <Form
              layout="vertical"
              requiredMark={false}
              onFinish={(values: Schemas['NewPersonDto']) =>
                join.mutate({ ...values, token }, { onSuccess: enter })
              }
            >
              <PersonFields />
              <Button type="primary" htmlType="submit" loading={join.isPending}>
                Join
              </Button>
            </Form>
          )}
          <Trouble error={join.error ?? accept.error} />
        </section>
      )}
    </main>
  );
}
