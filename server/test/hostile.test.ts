import { hostname } from 'node:os';
import fc from 'fast-check';
import { STARTING_FORMS } from '@compas/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import {
  choices,
  newBatch,
  newOwner,
  newPattern,
  openApp,
  stopper,
  tabletFrom,
  visitor,
  type Visitor,
} from './app.js';

/** What no honest client sends, and what a broken one does. */
const HOSTILE: readonly unknown[] = [
  'a\u0000b',
  'half \ud83d',
  null,
  [],
  {},
  [[]],
  { length: 3 },
  '',
  ' ',
  'x'.repeat(5_000),
  '2026-02-30',
  '2026-13-01T25:61',
  '0000-00-00',
  '+275760-09-13',
  -1,
  0,
  1e308,
  -1e-300,
  4.5,
  2 ** 53,
  true,
  'NaN',
  '__proto__',
  '../../..',
];

let app: NestExpressApplication;
let owner: Visitor;
let patternId: string;
/** requests as they should be: method, address, body */
let honest: { how: 'post' | 'put'; at: string; body: unknown }[];

const order = () => ({ customer: 'The mill', due: '2027-01-15', lines: [{ patternId, pieces: 3 }] });
const says = (answer: { body: unknown }) => (answer.body as { detail: string }).detail;

beforeAll(async () => {
  app = await openApp();
  owner = await newOwner(app);
  const pattern = await newPattern(owner);
  patternId = pattern.id;
  const batch = await newBatch(owner);
  const { body: workshop } = (await owner.get('/api/workshop').expect(200)) as {
    body: { version: number; body: unknown };
  };
  const tablet = tabletFrom();
  const top = STARTING_FORMS.find((f) => f.id === 'launched-top')!.body({}, 'ash');
  honest = [
    { how: 'post', at: '/api/patterns', body: { name: 'Stopper', body: stopper() } },
    { how: 'post', at: '/api/patterns', body: { name: 'Top', body: top } },
    {
      how: 'put',
      at: '/api/workshop',
      body: { name: 'Shop', basedOn: workshop.version, body: workshop.body },
    },
    { how: 'post', at: '/api/orders', body: order() },
    {
      how: 'post',
      at: '/api/batches',
      body: { ...choices(2), patternId: pattern.id, revision: 1, name: 'Batch', customer: 'The mill' },
    },
    {
      how: 'post',
      at: `/api/batches/${batch.id}/events`,
      body: {
        events: [
          tablet(1, { kind: 'done', stepId: 'saw' }),
          tablet(1, { kind: 'noted', stepId: 'saw', words: 'dry' }),
        ],
      },
    },
  ];
});
afterAll(() => app.close());

/** Every place of what is sent. */
function placesIn(value: unknown, path: readonly string[] = []): string[][] {
  if (typeof value !== 'object' || value === null) return [[...path]];
  return [[...path], ...Object.entries(value).flatMap(([key, within]) => placesIn(within, [...path, key]))];
}

function withValue(body: unknown, path: readonly string[], value: unknown): unknown {
  if (path.length === 0) return value;
  const copy = structuredClone(body) as Record<string, unknown>;
  const within = path.slice(0, -1).reduce((at, key) => at[key] as Record<string, unknown>, copy);
  within[path.at(-1)!] = value;
  return copy;
}

describe('what cannot be read', () => {
  it.each([
    ['a nought', 'a\0b'],
    ['half of a pair', 'half \ud83d'],
  ])('is refused by the field that holds it: %s', async (_, words) => {
    const body = { ...stopper(), kind: words };
    const answer = await owner.post('/api/patterns').send({ name: 'Stopper', body }).expect(400);
    expect(says(answer)).toBe('"kind" holds a character that cannot be kept. Take it out, or type it anew.');
    expect((answer.body as { errors: unknown }).errors).toEqual([{ field: 'body.kind', why: says(answer) }]);
  });

  it('is refused in an address as well', async () => {
    for (const at of ['/api/patterns?search=a%00b', '/api/patterns/%00', '/api/patterns/%ff', '/%ff'])
      expect([at, (await owner.get(at)).status]).toEqual([at, 400]);
  });

  it('is not read to the bottom where there is none', async () => {
    const deep = `{"name":"x","body":${'{"a":'.repeat(3_000)}1${'}'.repeat(3_000)}}`;
    const answer = await owner
      .post('/api/patterns')
      .set('content-type', 'application/json')
      .send(deep)
      .expect(400);
    expect(says(answer)).toBe('"body" is nested deeper than anything here is.');
  });

  it('is refused in our words, by the name of the field, and never more of it than one can read', async () => {
    const sent = async (change: object) =>
      says(
        await owner
          .post('/api/orders')
          .send({ ...order(), ...change })
          .expect(400),
      );
    expect(await sent({ due: '2026-02-30' })).toBe('Due reads "2026-02-30". The calendar has no such day.');
    expect(await sent({ customer: null })).toContain('Customer is missing. Give it as text.');
    expect(await sent({ lines: [[]] })).toBe('Each entry of lines must be a group of fields.');
    expect(await sent({ lines: [null] })).toBe('"lines" has an entry with nothing in it. Take it out.');
    expect(await sent({ lines: [{ patternId: 'y'.repeat(500), pieces: 2 }] })).toBe(
      `Pattern id is "${'y'.repeat(40)}…", which is not an id.`,
    );
    expect(await sent({ lines: [{ patternId: patternId, pieces: {} }] })).toContain(
      'Pieces is a group of fields. Give a whole number.',
    );
  });
});

describe('who asks by another name', () => {
  it('is refused, by the names of this machine and those that were added not', async () => {
    const named = await openApp({ hosts: ['Shop.Example'] });
    const asked = (host: string) => visitor(named).get('/api/health').set('host', host);
    try {
      for (const host of ['127.0.0.1:4600', 'localhost', '[::1]:4600', hostname(), 'shop.example:443'])
        expect([host, (await asked(host)).status]).toEqual([host, 200]);
      const answer = await asked('elsewhere.example').expect(421);
      expect(says(answer)).toContain('Whoever runs it can add it to COMPAS_HOSTS');
      expect(answer.headers['content-type']).toContain('application/problem+json');
    } finally {
      await named.close();
    }
  });

  it('and what is answered is kept by nobody on the way', async () => {
    expect((await owner.get('/api/workshop').expect(200)).headers['cache-control']).toBe('no-store');
  });
});

describe('whatever is sent', () => {
  it('is taken or refused with a sentence, and is never a fault of ours', async () => {
    const seen: string[] = [];
    await fc.assert(
      fc.asyncProperty(fc.nat(), fc.nat(), fc.constantFrom(...HOSTILE), async (which, place, value) => {
        const { how, at, body } = honest[which % honest.length]!;
        const places = placesIn(body);
        const path = places[place % places.length]!;
        const answer = await owner[how](at)
          .set('content-type', 'application/json')
          .send(JSON.stringify(withValue(body, path, value)));
        if (answer.status >= 500)
          seen.push(
            `${how} ${at} ${path.join('.')} = ${JSON.stringify(value)?.slice(0, 60)}: ${answer.status}`,
          );
        if (answer.status >= 400) {
          const { detail } = answer.body as { detail?: string };
          if (!detail || detail.length > 2000 || /\$value|undefined|nested property|x{60}/.test(detail))
            seen.push(`words ${at} ${path.join('.')}: ${detail?.slice(0, 200)}`);
        }
      }),
      { numRuns: Number(process.env['HOSTILE'] ?? 200) },
    );
    expect(seen).toEqual([]);
  });
});
