import { useQuery } from '@tanstack/react-query';
import { Button, Form, Input } from 'antd';
import { changePassword, endOtherSignIns, signInsQuery } from '../api/session.js';
import { useChange } from '../api/useChange.js';
import { clockHere } from '../ui/clock.js';
import { Trouble } from '../ui/Trouble.js';

/** One's own sign-in: where else it is open, and another password. */
export function OwnSignIn() {
  const { data = [] } = useQuery(signInsQuery);
  const end = useChange(endOtherSignIns, 'sign-ins');
  const others = data.filter((s) => !s.here);
  return (
    <>
      <h2>Your sign-in</h2>
      {others.length === 0 ? (
        <p>You are signed in here only.</p>
      ) : (
        <>
          <p>
            You are signed in at {others.length === 1 ? 'one other place' : `${others.length} other places`},
            since {others.map((s) => clockHere(Date.parse(s.since))).join('; ')}. A tablet that was lost is
            one of them.
          </p>
          <Button onClick={() => end.mutate(undefined)} loading={end.isPending}>
            Sign out everywhere else
          </Button>
        </>
      )}
      <Trouble error={end.error} />
      <NewPassword />
    </>
  );
}

interface Passwords {
  old: string;
  password: string;
}

function NewPassword() {
  const [form] = Form.useForm<Passwords>();
  const change = useChange(changePassword, 'sign-ins');
  return (
    <Form
      form={form}
      layout="vertical"
      requiredMark={false}
      className="w-line"
      onFinish={(values) => change.mutate(values, { onSuccess: () => form.resetFields() })}
    >
      <Form.Item
        label="Password now"
        name="old"
        rules={[{ required: true, message: 'Type the one you have.' }]}
      >
        <Input.Password autoComplete="current-password" maxLength={200} />
      </Form.Item>
      <Form.Item
        label="New password, ten characters or more"
        name="password"
        rules={[{ required: true, min: 10, message: 'Ten characters or more.' }]}
      >
        <Input.Password autoComplete="new-password" maxLength={200} />
      </Form.Item>
      <Button htmlType="submit" loading={change.isPending}>
        Change the password
      </Button>
      <Trouble error={change.error} />
      {change.isSuccess && <p role="status">Changed. Everywhere else you are signed out.</p>}
    </Form>
  );
}
