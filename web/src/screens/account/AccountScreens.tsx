import { clsx } from 'clsx';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Button, Form, Input } from 'antd';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { answered, client, words } from '../../api/client';
import { typed } from '../../edit/typed';
import { leaveNothing } from '../../season/known';
import { useAccount } from './useAccount';
import s from './account.module.css';

interface Fields {
  email: string;
  password: string;
  current_password: string;
}

const email = [{ required: true, message: 'Type your e-mail.' }];
const password = [
  { required: true, message: 'Type a password.' },
  { min: 8, message: 'Use at least 8 characters.' },
];

const Failure = ({ error }: { error: unknown }) =>
  error ? (
    <p className="trouble" role="alert">
      {words(error)}
    </p>
  ) : null;

/** Everything starts anew for whoever is signed in now. */
const startOver = (to: string) => window.location.assign(to);

/** Nothing of the garden stays on the device. */
const leave = () => {
  typed.clear();
  void leaveNothing().finally(() => startOver('/sign-in'));
};

export function SignInScreen() {
  const signIn = useMutation({
    mutationFn: (body: Fields) => answered(client.POST('/api/session', { body })),
    onSuccess: () => startOver('/'),
  });
  return (
    <main className={clsx('work', s.narrow)} id="work">
      <h1>Sign in</h1>
      <p>What you typed in this garden comes along.</p>
      <Form<Fields> layout="vertical" requiredMark={false} onFinish={(fields) => signIn.mutate(fields)}>
        <Form.Item name="email" label="E-mail" rules={email}>
          <Input type="email" autoComplete="username" />
        </Form.Item>
        <Form.Item name="password" label="Password" rules={[{ required: true, message: 'Type your password.' }]}>
          <Input.Password autoComplete="current-password" />
        </Form.Item>
        <Failure error={signIn.error} />
        <Button type="primary" htmlType="submit" loading={signIn.isPending}>
          Sign in
        </Button>
      </Form>
      <p>
        <Link to="/forgotten">I forgot my password</Link>
      </p>
      <p>
        <a href="/">Just try it, without an account</a>
      </p>
    </main>
  );
}

export function ForgottenScreen() {
  const { data: account } = useAccount();
  const forgot = useMutation({
    mutationFn: (body: { email: string }) => answered(client.POST('/api/password/forgot', { body })),
  });
  return (
    <main className={clsx('work', s.narrow)} id="work">
      <h1>A new password</h1>
      {forgot.isSuccess ? (
        <p role="status">
          If there is an account with this e-mail, a letter with a link is on its way.
          {account?.mailbox !== false && (
            <>
              {' '}
              On this machine it lies in the <a href="/mailbox">mailbox</a>.
            </>
          )}
        </p>
      ) : (
        <Form<{ email: string }> layout="vertical" requiredMark={false} onFinish={(fields) => forgot.mutate(fields)}>
          <Form.Item name="email" label="E-mail of your account" rules={email}>
            <Input type="email" autoComplete="username" />
          </Form.Item>
          <Failure error={forgot.error} />
          <Button type="primary" htmlType="submit" loading={forgot.isPending}>
            Send me a link
          </Button>
        </Form>
      )}
    </main>
  );
}

export function NewPasswordScreen() {
  const [query] = useSearchParams();
  const navigate = useNavigate();
  const reset = useMutation({
    mutationFn: (fields: Fields) =>
      answered(
        client.POST('/api/password/reset', {
          body: { email: query.get('email') ?? '', token: query.get('token') ?? '', password: fields.password },
        }),
      ),
    onSuccess: () => void navigate('/sign-in'),
  });
  return (
    <main className={clsx('work', s.narrow)} id="work">
      <h1>A new password</h1>
      <Form<Fields> layout="vertical" requiredMark={false} onFinish={(fields) => reset.mutate(fields)}>
        <Form.Item name="password" label={`New password for ${query.get('email') ?? ''}`} rules={password}>
          <Input.Password autoComplete="new-password" />
        </Form.Item>
        <Failure error={reset.error} />
        <Button type="primary" htmlType="submit" loading={reset.isPending}>
          Set it
        </Button>
      </Form>
    </main>
  );
}

export function AccountScreen() {
  const { data: account, error } = useAccount();
  if (error)
    return (
      <main className={clsx('work', s.narrow)} id="work">
        <p role="alert">{words(error)}</p>
      </main>
    );
  if (account?.guest)
    return (
      <main className={clsx('work', s.narrow)} id="work">
        <h1>Nobody is signed in</h1>
        <p>
          <Link to="/sign-in">Sign in</Link>, or <a href="/">just try it</a>.
        </p>
      </main>
    );
  if (!account) return <main className={clsx('work', s.narrow)} id="work" aria-busy="true" />;
  return (
    <main className={clsx('work', s.narrow)} id="work">
      <h1>Your garden</h1>
      {account.trial ? <TrialGarden /> : <KeptGarden email={account.email} />}
      <h2>Your data</h2>
      <p>
        <a href="/api/account/export" download>
          Download all your data
        </a>
      </p>
      <DeleteGarden trial={account.trial} />
    </main>
  );
}

/** The account is asked for anew. */
function useChanged() {
  const queries = useQueryClient();
  return () => void queries.invalidateQueries({ queryKey: ['account'] });
}

function TrialGarden() {
  const changed = useChanged();
  const keep = useMutation({ mutationFn: (body: Fields) => answered(client.POST('/api/account', { body })), onSuccess: changed });
  return (
    <>
      <p>
        This garden is a trial. Only this browser can open it, and it is deleted after 30 days without a visit. Keep it with an
        e-mail and a password: nothing you typed is lost.
      </p>
      <Form<Fields> layout="vertical" requiredMark={false} onFinish={(fields) => keep.mutate(fields)}>
        <Form.Item name="email" label="E-mail" rules={email}>
          <Input type="email" autoComplete="username" />
        </Form.Item>
        <Form.Item name="password" label="Password" rules={password}>
          <Input.Password autoComplete="new-password" />
        </Form.Item>
        <Failure error={keep.error} />
        <Button type="primary" htmlType="submit" loading={keep.isPending}>
          Keep this garden
        </Button>
      </Form>
      <p>
        Or <Link to="/sign-in">sign in</Link> to the one you have.
      </p>
    </>
  );
}

function KeptGarden({ email: kept }: { email: string | null }) {
  const changed = useChanged();
  const change = useMutation({
    mutationFn: (fields: Partial<Fields> & { current_password: string }) =>
      answered(
        client.PATCH('/api/account', {
          body: { ...fields, email: fields.email || undefined, password: fields.password || undefined },
        }),
      ),
    onSuccess: changed,
  });
  const signOut = useMutation({
    mutationFn: () => answered(client.DELETE('/api/session')),
    onSuccess: leave,
  });
  return (
    <>
      <p>
        Kept for <b>{kept}</b>.
      </p>
      <h2>Change e-mail or password</h2>
      <Form<Fields> layout="vertical" requiredMark={false} onFinish={(fields) => change.mutate(fields)}>
        <Form.Item name="email" label="New e-mail (or leave it empty)">
          <Input type="email" autoComplete="off" />
        </Form.Item>
        <Form.Item
          name="password"
          label="New password (or leave it empty)"
          rules={[{ min: 8, message: 'Use at least 8 characters.' }]}
        >
          <Input.Password autoComplete="new-password" />
        </Form.Item>
        <Form.Item
          name="current_password"
          label="Current password"
          rules={[{ required: true, message: 'Type your current password.' }]}
        >
          <Input.Password autoComplete="current-password" />
        </Form.Item>
        <Failure error={change.error} />
        {change.isSuccess && <p role="status">Changed.</p>}
        <Button htmlType="submit" loading={change.isPending}>
          Change
        </Button>
      </Form>
      <p>
        <Button onClick={() => signOut.mutate()}>Sign out</Button>
      </p>
    </>
  );
}

function DeleteGarden({ trial }: { trial: boolean }) {
  const remove = useMutation({
    mutationFn: (body: { current_password?: string }) => answered(client.DELETE('/api/account', { body })),
    onSuccess: leave,
  });
  return (
    <details>
      <summary>Delete this garden with everything in it</summary>
      <p>This cannot be undone. Download your data first if you want to keep it.</p>
      <Form<{ current_password?: string }> layout="vertical" requiredMark={false} onFinish={(fields) => remove.mutate(fields)}>
        {!trial && (
          <Form.Item name="current_password" label="Your password" rules={[{ required: true, message: 'Type your password.' }]}>
            <Input.Password autoComplete="current-password" />
          </Form.Item>
        )}
        <Failure error={remove.error} />
        <Button danger htmlType="submit" loading={remove.isPending}>
          Delete everything
        </Button>
      </Form>
    </details>
  );
}
