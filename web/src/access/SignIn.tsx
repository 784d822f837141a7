import { UNITS } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Form, Input, Segmented, Select } from 'antd';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { createAccount, enterDemo, OF_A_WORKSHOP, sessionQuery, signIn } from '../api/session.js';
import { useChange } from '../api/useChange.js';
import type { Schemas } from '../api/problem.js';
import { Trouble } from '../ui/Trouble.js';
import './access.css';
import { choicesOf } from '../ui/choices.js';

/** The door: sign in, enter the demo workshop, or begin a workshop of one's own. */
export default function SignIn() {
  const [side, setSide] = useState<'in' | 'new'>('in');
  const session = useQuery(sessionQuery);
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const enter = () => void navigate(search.get('from') ?? '/', { replace: true });
  const demo = useChange(enterDemo, ...OF_A_WORKSHOP);
  return (
    <main className="door">
      <section className="door-words">
        <img src="/mark.svg" alt="" width={72} height={72} />
        <h1>Compas</h1>
        <p>Batches at the lathe, from the pattern to a dozen twins.</p>
        {session.data?.demo && (
          <>
            <Button
              type="primary"
              size="large"
              loading={demo.isPending}
              onClick={() => demo.mutate(undefined, { onSuccess: enter })}
            >
              Enter the demo workshop
            </Button>
            <Trouble error={demo.error} />
          </>
        )}
      </section>
      <section className="sheet door-form">
        {session.data?.signUp !== false && (
          <Segmented
            block
            value={side}
            onChange={setSide}
            options={[
              { value: 'in', label: 'Sign in' },
              { value: 'new', label: 'New workshop' },
            ]}
          />
        )}
        {side === 'in' || session.data?.signUp === false ? (
          <SignInForm onDone={enter} />
        ) : (
          <NewAccountForm onDone={() => void navigate('/workshop', { replace: true })} />
        )}
      </section>
    </main>
  );
}

function SignInForm({ onDone }: { onDone: () => void }) {
  const change = useChange(signIn, ...OF_A_WORKSHOP);
  return (
    <Form
      layout="vertical"
      requiredMark={false}
      onFinish={(values: Schemas['SignInDto']) => change.mutate(values, { onSuccess: onDone })}
    >
      <Form.Item
        name="email"
        label="E-mail address"
        rules={[{ required: true, message: 'Give your address.' }]}
      >
        <Input autoComplete="username" inputMode="email" />
      </Form.Item>
      <Form.Item
        name="password"
        label="Password"
        rules={[{ required: true, message: 'Give your password.' }]}
      >
        <Input.Password autoComplete="current-password" />
      </Form.Item>
      <Trouble error={change.error} />
      <Button htmlType="submit" loading={change.isPending}>
        Sign in
      </Button>
    </Form>
  );
}

function NewAccountForm({ onDone }: { onDone: () => void }) {
  const change = useChange(createAccount, ...OF_A_WORKSHOP);
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return (
    <Form
      layout="vertical"
      requiredMark={false}
      initialValues={{ timeZone: zone, units: 'mm' }}
      onFinish={(values: Schemas['NewAccountDto']) => change.mutate(values, { onSuccess: onDone })}
    >
      <Form.Item
        name="workshop"
        label="Name of the workshop"
        rules={[{ required: true, message: 'Give it a name.' }]}
      >
        <Input />
      </Form.Item>
      <PersonFields />
      <Form.Item name="units" label="Lengths are read in">
        <Select options={choicesOf(UNITS)} />
      </Form.Item>
      <Form.Item name="timeZone" label="Time zone">
        <Input />
      </Form.Item>
      <Trouble error={change.error} />
      <Button htmlType="submit" type="primary" loading={change.isPending}>
        Begin
      </Button>
    </Form>
  );
}

/** Who somebody is, for a new account or an invitation. */
export function PersonFields() {
  return (
    <>
      <Form.Item name="name" label="Your name" rules={[{ required: true, message: 'Give your name.' }]}>
        <Input autoComplete="name" />
      </Form.Item>
      <Form.Item
        name="email"
        label="E-mail address"
        rules={[{ required: true, message: 'Give your address.' }]}
      >
        <Input autoComplete="username" inputMode="email" />
      </Form.Item>
      <Form.Item
        name="password"
        label="Password, ten characters or more"
        rules={[{ required: true, min: 10, message: 'Give ten characters or more.' }]}
      >
        <Input.Password autoComplete="new-password" />
      </Form.Item>
    </>
  );
}
