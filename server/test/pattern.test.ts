import { ELEMENT_KIND_NAMES, fieldsOf, newElement, STARTING_FORMS } from '@compas/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { newBatch, newOwner, newPattern, openApp, stopper, type Visitor } from './app.js';

let app: NestExpressApplication;
let owner: Visitor;
beforeAll(async () => {
  app = await openApp();
});
beforeEach(async () => {
  owner = await newOwner(app);
});
afterAll(() => app.close());

const withCollar = (mm: number) => {
  const body = stopper();
  for (const element of body.parts[0].turnings[0].elements)
    if (element.kind === 'bead') element.crown = { mm, typed: String(mm) };
  return body;
};

describe('revisions', () => {
  it('say what changed, keep what was typed, and are never changed', async () => {
    const { id } = await newPattern(owner);
    const saved = await owner
      .put(`/api/patterns/${id}`)
      .send({ name: 'Stopper', body: withCollar(33.5), basedOn: 1 })
      .expect(200);
    expect(saved.body.revision).toBe(2);
    const revisions = (await owner.get(`/api/patterns/${id}/revisions`).expect(200)).body as {
      number: number;
      changes: string[];
      body: unknown;
    }[];
    expect(revisions.map((r) => r.number)).toEqual([2, 1]);
    expect(revisions[0]?.changes).toEqual(['collar crown diameter ⟦1.5⟧ thinner', 'total length the same']);
    expect(revisions[0]?.body).toEqual(withCollar(33.5));
    expect(revisions[1]?.body).toEqual(stopper());
  });

  it('stay the same when only the name changes', async () => {
    const { id } = await newPattern(owner);
    const saved = await owner
      .put(`/api/patterns/${id}`)
      .send({ name: 'Renamed', body: stopper(), basedOn: 1 })
      .expect(200);
    expect(saved.body).toMatchObject({ revision: 1, name: 'Renamed' });
  });

  it('tell the second of two editors who was faster and what they changed', async () => {
    const { id } = await newPattern(owner);
    await owner
      .put(`/api/patterns/${id}`)
      .send({ name: 'Stopper', body: withCollar(33), basedOn: 1 })
      .expect(200);
    const late = await owner
      .put(`/api/patterns/${id}`)
      .send({ name: 'Stopper', body: withCollar(36), basedOn: 1 })
      .expect(409);
    expect(late.body.detail).toContain('Ode Tamber saved revision 2');
    expect(late.body.detail).toContain('collar crown diameter 2.0 mm thinner');
  });

  it('of a pattern that was ordered cannot be taken away', async () => {
    const { patternId: used } = await newBatch(owner);
    expect((await owner.delete(`/api/patterns/${used}`).expect(409)).body.detail).toContain('Duplicate it');
  });
});

describe('a hollow', () => {
  const scoop = STARTING_FORMS.find((f) => f.id === 'scoop')!.body({}, 'maple');
  const send = (hollow: object) =>
    owner.post('/api/patterns').send({
      name: 'Scoop',
      body: { ...scoop, parts: [{ ...scoop.parts[0], hollows: [hollow] }] },
    });
  const [bowl] = scoop.parts[0].hollows!;

  it('is stored and read back as it was drawn', async () => {
    const made = await send(bowl!).expect(201);
    const read = await owner.get(`/api/patterns/${(made.body as { id: string }).id}`).expect(200);
    expect((read.body as { body: unknown }).body).toEqual(scoop);
  });

  it('and loose rings are stored as they were drawn', async () => {
    const body = STARTING_FORMS.find((f) => f.id === 'rattle')!.body({}, 'maple');
    const made = await owner.post('/api/patterns').send({ name: 'Rattle', body }).expect(201);
    const read = await owner.get(`/api/patterns/${(made.body as { id: string }).id}`).expect(200);
    expect((read.body as { body: unknown }).body).toEqual(body);
    const [part] = body.parts;
    const bare = { ...body, parts: [{ ...part, rings: [{ ...part.rings![0], play: undefined }] }] };
    const answer = await owner.post('/api/patterns').send({ name: 'Rattle', body: bare }).expect(400);
    expect(JSON.stringify(answer.body)).toContain('play');
  });

  it('is refused by the field that is wrong', async () => {
    expect(JSON.stringify((await send({ ...bowl, opens: 'top' }).expect(400)).body)).toContain('reference');
    const { startDiameter: _, ...without } = bowl!;
    expect(JSON.stringify((await send(without).expect(400)).body)).toContain('startDiameter');
    const odd = await send({ ...bowl, elements: [{ kind: 'bowl' }] }).expect(400);
    expect(JSON.stringify(odd.body)).toContain('kind');
  });
});

describe.each(ELEMENT_KIND_NAMES)('a %s', (kind) => {
  const bodyWith = (element: object) => {
    const body = stopper();
    const [turning] = body.parts[0].turnings;
    const elements = [{ kind: 'cylinder', id: 'e98', length: { mm: 30 } }, element];
    const turned = { ...turning, startDiameter: { mm: 20 }, elements };
    return { ...body, parts: [{ ...body.parts[0], turnings: [turned], holes: [] }] };
  };
  const fresh = newElement(kind, 'e99', 20);

  it('is stored and read back as it was drawn', async () => {
    const body = bodyWith(fresh);
    const made = await owner.post('/api/patterns').send({ name: kind, body }).expect(201);
    const read = await owner.get(`/api/patterns/${(made.body as { id: string }).id}`).expect(200);
    expect((read.body as { body: unknown }).body).toEqual(body);
  });

  it('is refused without what it must have, by the name of the field', async () => {
    for (const [name, field] of fieldsOf(kind)) {
      const { [name]: _, ...without } = fresh as unknown as Record<string, unknown>;
      const answer = await owner.post('/api/patterns').send({ name: kind, body: bodyWith(without) });
      expect([name, answer.status]).toEqual([name, field.usual === undefined ? 400 : 201]);
      if (field.usual === undefined) expect(JSON.stringify(answer.body)).toContain(name);
    }
  });

  it('is refused with a way that it has not', async () => {
    for (const [name, field] of fieldsOf(kind)) {
      if (field.is !== 'choice') continue;
      const body = bodyWith({ ...fresh, [name]: 'sideways' });
      const answer = await owner.post('/api/patterns').send({ name: kind, body }).expect(400);
      expect(JSON.stringify(answer.body)).toContain(Object.keys(field.words)[0]);
    }
  });
});

describe('bad input', () => {
  const refused = async (change: (body: Record<string, never>) => void) => {
    const body = stopper() as unknown as Record<string, never>;
    change(body);
    return owner.post('/api/patterns').send({ name: 'X', body });
  };
  const element = (body: unknown) =>
    (body as { parts: { turnings: { elements: Record<string, unknown>[] }[] }[] }).parts[0]!.turnings[0]!
      .elements[0]!;

  it('names the unknown field', async () => {
    const answer = await refused((body) => Object.assign(element(body), { colour: 'red' }));
    expect(answer.status).toBe(400);
    expect(answer.body.errors[0]).toEqual({
      field: 'body.parts.0.turnings.0.elements.0.colour',
      why: '"colour" is not a field that is known here.',
    });
  });

  it('refuses absurd numbers, unknown kinds and missing dimensions', async () => {
    const absurd = await refused((body) => Object.assign(element(body), { length: { mm: 1e9 } }));
    expect(absurd.body.detail).toBe('Length is 1000000000. Give 20000 or less.');
    const unknown = await refused((body) => Object.assign(element(body), { kind: 'spiral' }));
    expect(unknown.status).toBe(400);
    expect(unknown.body.detail).toContain('Kind is "spiral". Choose one of cylinder');
    const missing = await refused((body) => delete element(body)['length']);
    expect(missing.body.detail).toContain('Length is missing');
  });

  it('refuses what cannot be made, in the turner’s words', async () => {
    const answer = await refused((body) => Object.assign(element(body), { length: { mm: 0 } }));
    expect(answer.status).toBe(422);
    expect(answer.body.errors[0].why).toBe('foot: the length is zero. Give a length above zero.');
  });

  it('refuses a body that is too large and one that is no JSON', async () => {
    const large = await owner.post('/api/patterns').send({ name: 'x'.repeat(2_000_000), body: stopper() });
    expect(large.status).toBe(413);
    expect(large.type).toBe('application/problem+json');
    const broken = await owner
      .post('/api/patterns')
      .set('content-type', 'application/json')
      .send('{"name": ');
    expect(broken.status).toBe(400);
    expect(broken.type).toBe('application/problem+json');
  });

  it('saves nothing of it', async () => {
    const before = ((await owner.get('/api/patterns')).body.patterns as unknown[]).length;
    await refused((body) => Object.assign(element(body), { kind: 'spiral' }));
    expect((await owner.get('/api/patterns')).body.patterns).toHaveLength(before);
  });
});
