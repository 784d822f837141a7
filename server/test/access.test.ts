import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import { newOwner, openApp, PASSWORD, visitor } from './app.js';

let app: NestExpressApplication;
beforeEach(async () => {
  app = await openApp();
});
afterEach(() => app.close());

describe('an account', () => {
  const OTHER = 'another long password';

  it('takes another password for the one it has; whoever else was signed in as it is out', async () => {
    const here = await newOwner(app);
    const there = visitor(app);
    const signIn = (password: string) =>
      visitor(app).post('/api/session').send({ email: here.email, password });
    await there.post('/api/session').send({ email: here.email, password: PASSWORD }).expect(200);
    const { body: open } = await here.get('/api/session/all').expect(200);
    expect((open as { here: boolean }[]).map((s) => s.here).sort()).toEqual([false, true]);
    const wrong = await here
      .put('/api/session/password')
      .send({ old: 'not it', password: OTHER })
      .expect(422);
    expect(wrong.body).toMatchObject({ errors: [{ field: 'old' }] });
    await signIn(PASSWORD).expect(200);
    await here.put('/api/session/password').send({ old: PASSWORD, password: OTHER }).expect(204);
    await signIn(PASSWORD).expect(401);
    await signIn(OTHER).expect(200);
    await here.get('/api/patterns').expect(200);
    // what another process has in mind of a session is renewed within seconds
    while ((await there.get('/api/patterns')).status === 200)
      await new Promise((later) => setTimeout(later, 100));
    await there.get('/api/patterns').expect(401);
  });

  it('ends its other sign-ins without a new password', async () => {
    const here = await newOwner(app);
    await visitor(app).post('/api/session').send({ email: here.email, password: PASSWORD }).expect(200);
    await here.delete('/api/session/others').expect(204);
    expect((await here.get('/api/session/all').expect(200)).body).toMatchObject([{ here: true }]);
  });

  it('answers ever slower to wrong passwords, in whichever process, and lets its owner in all the same', async () => {
    const { email } = await newOwner(app);
    const other = await openApp();
    try {
      const took = async (browser: ReturnType<typeof visitor>, password: string, status: number) => {
        const from = performance.now();
        await browser.post('/api/session').send({ email, password }).expect(status);
        return performance.now() - from;
      };
      const guesser = visitor(app);
      const first = await took(guesser, 'guess 1', 401);
      for (let i = 2; i <= 7; i += 1) await took(guesser, `guess ${i}`, 401);
      // seven wrong ones: 250 ms, doubled twice
      expect(await took(visitor(other), 'guess 8', 401)).toBeGreaterThan(Math.max(950, first));
      const slowed = await took(visitor(other), PASSWORD, 200);
      expect(slowed).toBeGreaterThan(1_900);
      // and what was guessed is forgiven
      expect(await took(visitor(other), PASSWORD, 200)).toBeLessThan(slowed);
    } finally {
      await other.close();
    }
  }, 30_000);
});

describe('who is not signed in', () => {
  it('is told so before what they send is read, and says little at the door', async () => {
    // whoever held it against what a pattern is would refuse each of its fields
    await visitor(app).post('/api/patterns').send({ nonsense: true }).expect(401);
    const said = await visitor(app)
      .post('/api/session')
      .send({ email: 'a@b.test', password: 'x'.repeat(9_000) })
      .expect(413);
    expect(said.type).toBe('application/problem+json');
    // what is larger than anything here is refused before it is looked through
    const owner = await newOwner(app);
    const { body } = await owner
      .post('/api/patterns')
      .send({ name: 'x', body: Object.fromEntries(Array.from({ length: 500 }, (_, i) => [`f${i}`, i])) })
      .expect(400);
    expect((body as { detail: string }).detail).toContain('has more fields than anything here has');
  });
});

describe('an invitation', () => {
  const invite = async (owner: Awaited<ReturnType<typeof newOwner>>, role: string) =>
    (await owner.post('/api/members/invites').send({ role }).expect(201)).body as { token: string };

  it('that nobody has used is listed to owners, and can be withdrawn', async () => {
    const owner = await newOwner(app);
    const { token } = await invite(owner, 'maker');
    const { body } = await owner.get('/api/members/invites').expect(200);
    const [open] = body as { id: string; role: string; expiresAt: string }[];
    expect(body).toHaveLength(1);
    expect(open).toMatchObject({ role: 'maker' });
    expect(JSON.stringify(body)).not.toContain(token);
    // not by somebody else
    const stranger = await newOwner(app);
    await stranger.delete(`/api/members/invites/${open!.id}`).expect(404);
    await owner.delete(`/api/members/invites/${open!.id}`).expect(204);
    await visitor(app).get(`/api/invitations/${token}`).expect(404);
    expect((await owner.get('/api/members/invites').expect(200)).body).toEqual([]);
  });

  it('as owner makes an owner of a maker, and as maker leaves an owner one', async () => {
    const owner = await newOwner(app);
    const other = await newOwner(app);
    const roles = async () =>
      ((await owner.get('/api/members').expect(200)).body as { email: string; role: string }[]).find(
        (m) => m.email === other.email,
      )?.role;
    const join = async (role: string) => {
      const { token } = await invite(owner, role);
      await other.post(`/api/invitations/${token}/accept`).expect(204);
    };
    await join('maker');
    expect(await roles()).toBe('maker');
    await join('owner');
    expect(await roles()).toBe('owner');
    await join('maker');
    expect(await roles()).toBe('owner');
  });
});

describe('sign-in', () => {
  it('opens with the right password, and says the same for a wrong one as for nobody', async () => {
    const { email } = await newOwner(app);
    const browser = visitor(app);
    const wrong = await browser.post('/api/session').send({ email, password: 'something else' }).expect(401);
    const nobody = await browser
      .post('/api/session')
      .send({ email: 'nobody@example.test', password: PASSWORD })
      .expect(401);
    expect(wrong.type).toBe('application/problem+json');
    expect(wrong.body).toEqual(nobody.body);
    const session = await browser
      .post('/api/session')
      .send({ email: email.toUpperCase(), password: PASSWORD })
      .expect(200);
    expect(session.body).toMatchObject({
      userName: 'Ode Tamber',
      workshops: [{ name: 'Shop', role: 'owner' }],
    });
    expect(session.headers['set-cookie']?.[0]).toMatch(/HttpOnly.*SameSite=Lax/);
    await browser.get('/api/patterns').expect(200);
    await browser.delete('/api/session').expect(204);
    await browser.get('/api/patterns').expect(401);
  });

  it('gives a new session id on sign-in', async () => {
    const { email } = await newOwner(app);
    const browser = visitor(app);
    const signIn = async () => {
      const { headers } = await browser.post('/api/session').send({ email, password: PASSWORD }).expect(200);
      return /compas\.sid=[^;]+/.exec(String(headers['set-cookie']))?.[0] ?? '';
    };
    const before = await signIn();
    const after = await signIn();
    expect(before).toMatch(/^compas\.sid=.{20}/);
    expect(after).not.toBe(before);
    // whoever planted the old one gets nothing of it
    const bare = request(app.getHttpServer());
    await bare.get('/api/patterns').set('cookie', before).expect(401);
    await bare.get('/api/patterns').set('cookie', after).expect(200);
  });

  it('is limited in tries by address, over all processes, and says when to come again', async () => {
    const apps = [await openApp({ tries: 4 }), await openApp({ tries: 4 })];
    const statuses: number[] = [];
    for (let i = 0; i < 8; i++) {
      const answer = await visitor(apps[i % 2] ?? app)
        .post('/api/session')
        .send({ email: 'a@b.test', password: 'x' });
      statuses.push(answer.status);
      if (answer.status === 429) expect(Number(answer.headers['retry-after'])).toBeLessThanOrEqual(60);
    }
    // others of these tests sign in from here too: at most so many are let through, whoever is asked
    expect(statuses.filter((s) => s !== 429).length).toBeLessThanOrEqual(4);
    expect(statuses.slice(-4)).toEqual([429, 429, 429, 429]);
    await Promise.all(apps.map((a) => a.close()));
  });

  it('shows a page that runs and styles nothing but what came with the application', async () => {
    const { headers } = await visitor(app).get('/api/session').expect(200);
    const rules = Object.fromEntries(
      (headers['content-security-policy'] ?? '').split(';').map((rule) => {
        const [name = '', ...from] = rule.trim().split(' ');
        return [name, from];
      }),
    );
    expect(rules['style-src']).toEqual(["'self'"]);
    expect(rules['script-src']).toEqual(["'self'", "'wasm-unsafe-eval'"]);
    expect(rules['font-src']).toEqual(["'self'"]);
  });

  it('refuses changes without our header or from another origin', async () => {
    const bare = request(app.getHttpServer());
    await bare.post('/api/session').send({ email: 'a@b.test', password: 'x' }).expect(403);
    await bare
      .post('/api/session')
      .set('x-compas', '1')
      .set('origin', 'https://elsewhere.example')
      .send({ email: 'a@b.test', password: 'x' })
      .expect(403);
    // the same name and port by another scheme is another place
    const { host } = new URL((await app.getUrl()).replace('[::1]', '127.0.0.1'));
    const from = (origin: string) =>
      bare
        .post('/api/session')
        .set('x-compas', '1')
        .set('host', host)
        .set('origin', origin)
        .send({ email: 'a@b.test', password: 'a long enough guess' });
    await from(`https://${host}`).expect(403);
    expect((await from(`http://${host}`)).status).not.toBe(403);
  });

  it('refuses a second person with the same address, and a short password, with a sentence', async () => {
    const { email } = await newOwner(app);
    const body = { name: 'B', email, password: PASSWORD, workshop: 'Other', timeZone: 'UTC', units: 'mm' };
    const taken = await visitor(app).post('/api/session/account').send(body).expect(409);
    expect(taken.body.detail).toContain('Sign in instead');
    const short = await visitor(app)
      .post('/api/session/account')
      .send({ ...body, password: 'short' })
      .expect(400);
    expect(short.body.errors[0]).toEqual({
      field: 'password',
      why: 'Password is too short. Give at least 10 characters.',
    });
  });
});

describe('members', () => {
  it('come in by a link that works once, as makers who may not change the workshop', async () => {
    const owner = await newOwner(app);
    const { token } = (await owner.post('/api/members/invites').send({ role: 'maker' }).expect(201)).body as {
      token: string;
    };
    const maker = visitor(app);
    expect((await maker.get(`/api/invitations/${token}`).expect(200)).body).toEqual({
      workshop: 'Shop',
      role: 'maker',
    });
    const person = { name: 'Mo', email: `mo.${Date.now()}@example.test`, password: PASSWORD };
    await maker.post(`/api/invitations/${token}`).send(person).expect(204);
    await visitor(app).get(`/api/invitations/${token}`).expect(404);
    const workshop = (await maker.get('/api/workshop').expect(200)).body as { version: number; body: object };
    const refused = await maker
      .put('/api/workshop')
      .send({ name: 'Mine', basedOn: workshop.version, body: workshop.body })
      .expect(403);
    expect(refused.body.detail).toBe('Only an owner of the workshop can do this.');
    await maker.post('/api/members/invites').send({ role: 'owner' }).expect(403);
  });

  it('lose their place at once when they are taken out; the last owner stays', async () => {
    const owner = await newOwner(app);
    const { token } = (await owner.post('/api/members/invites').send({ role: 'maker' })).body as {
      token: string;
    };
    const maker = visitor(app);
    await maker
      .post(`/api/invitations/${token}`)
      .send({ name: 'Mo', email: `m2.${Date.now()}@example.test`, password: PASSWORD })
      .expect(204);
    await maker.get('/api/patterns').expect(200);
    const members = (await owner.get('/api/members')).body as { id: string; role: string }[];
    await owner.delete(`/api/members/${members.find((m) => m.role === 'maker')?.id}`).expect(204);
    await maker.get('/api/patterns').expect(403);
    await owner.delete(`/api/members/${members.find((m) => m.role === 'owner')?.id}`).expect(409);
  });
});

describe('workshop', () => {
  it('is saved whole or not at all, and two who edit at once are told', async () => {
    const owner = await newOwner(app);
    const kept = (await owner.get('/api/workshop')).body as {
      version: number;
      body: { lathe: { drive: object } };
    };
    const body = structuredClone(kept.body);
    body.lathe.drive = { kind: 'range', slowest: 3000, fastest: 500 };
    const wrong = await owner.put('/api/workshop').send({ name: 'Shop', basedOn: 1, body }).expect(422);
    expect(wrong.body.errors[0].why).toBe('The fastest speed, 500 rpm, is not above the slowest, 3000 rpm.');
    body.lathe.drive = { kind: 'pulleys', speeds: [500, 900] };
    await owner.put('/api/workshop').send({ name: 'Shop', basedOn: 1, body }).expect(200);
    const late = await owner
      .put('/api/workshop')
      .send({ name: 'Shop', basedOn: 1, body: kept.body })
      .expect(409);
    expect(late.body.detail).toContain('version 2');
    expect((await owner.get('/api/workshop')).body.body.lathe.drive).toEqual({
      kind: 'pulleys',
      speeds: [500, 900],
    });
  });
});
