import type { NestExpressApplication } from '@nestjs/platform-express';
import { choices, newOwner, newPattern, openApp, type Visitor } from './app.js';

let app: NestExpressApplication;
let owner: Visitor;
let patternId: string;
beforeAll(async () => {
  app = await openApp();
});
beforeEach(async () => {
  owner = await newOwner(app);
  patternId = (await newPattern(owner)).id;
});
afterAll(() => app.close());

const drafts = async (who = owner) =>
  (await who.get('/api/drafts').expect(200)).body as {
    patternId: string;
    patternName: string;
    choices: string;
    changedBy: string;
  }[];
const keep = (text: string) => owner.put(`/api/drafts/${patternId}`).send({ choices: text });

describe('a plan that is begun', () => {
  it('is kept with its choices, one of each pattern, and seen by nobody else', async () => {
    await keep('pieces=6').expect(204);
    await keep('pieces=9&for=The+inn').expect(204);
    expect(await drafts()).toMatchObject([{ patternId, choices: 'pieces=9&for=The+inn' }]);
    expect((await drafts())[0]?.changedBy).not.toBe('');
    const stranger = await newOwner(app);
    expect(await drafts(stranger)).toEqual([]);
    await stranger.put(`/api/drafts/${patternId}`).send({ choices: 'pieces=1' }).expect(404);
  });

  it('the one that was worked at last comes first', async () => {
    const other = (await newPattern(owner)).id;
    await keep('pieces=6').expect(204);
    await owner.put(`/api/drafts/${other}`).send({ choices: 'pieces=2' }).expect(204);
    expect((await drafts()).map((d) => d.patternId)).toEqual([other, patternId]);
    await owner.delete(`/api/drafts/${other}`).expect(204);
    expect((await drafts()).map((d) => d.patternId)).toEqual([patternId]);
  });

  it('says what is wrong with one that chooses nothing', async () => {
    await keep('').expect(400);
  });

  it('is none any more once it is a batch, but for one that another plan became', async () => {
    const made = (rest: object) =>
      owner
        .post('/api/batches')
        .send({ patternId, revision: 1, name: 'Six', customer: 'stock', ...choices(), ...rest })
        .expect(201);
    await keep('pieces=6').expect(204);
    await made({});
    expect(await drafts()).toHaveLength(1);
    await made({ fromDraft: true });
    expect(await drafts()).toEqual([]);
  });

  it('goes with its pattern', async () => {
    const gone = (await newPattern(owner)).id;
    await owner.put(`/api/drafts/${gone}`).send({ choices: 'pieces=2' }).expect(204);
    await owner.delete(`/api/patterns/${gone}`).expect(204);
    expect(await drafts()).toEqual([]);
  });
});
