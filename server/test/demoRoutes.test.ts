import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { plan, runsOf, speak, type Kit, type Part, type PatternBody, type PartPlan } from '@compas/core';
import { demoPatterns, type DemoPattern } from '../src/demo/patterns.js';
import { demoKits, demoWorkshop } from '../src/demo/workshop.js';

const workshop = demoWorkshop();
const kits = Object.entries(demoKits).map(([id, kit]): Kit => ({ id, ...kit }));

/** The plan of eight of a part of a demo pattern, as the demo workshop makes it. */
function planned({ body, kit }: DemoPattern, part: Part) {
  const fitted =
    kit === null ? [] : [{ id: 'h1', kitId: kit, partId: body.parts[0].id, end: 'reference' as const }];
  const pattern: PatternBody = { ...body, hardware: [...body.hardware, ...fitted] };
  const order = {
    pieces: 8,
    partId: part.id,
    start: '2026-03-02T08:00',
    due: null,
    materialId: part.materialId,
    finishId: 'polish',
    perBlank: 1,
    mount: null,
  };
  return plan(pattern, workshop, { kits }, order, workshop.schools);
}

/** The plan of eight whole items of a demo pattern. */
function plannedWhole({ body }: DemoPattern) {
  const [first, ...rest] = body.parts.map((part) => ({
    partId: part.id,
    materialId: part.materialId,
    finishId: 'polish',
    perBlank: 1,
    mount: null,
  }));
  const order = { ...first!, pieces: 8, start: '2026-03-02T08:00', due: null, others: rest };
  return plan(body, workshop, { kits }, order, workshop.schools);
}

/** A route as it is read aloud at the lathe: each set-up, and in it line by line what is done. */
const asRead = ({ steps: all }: Pick<PartPlan, 'steps'>): string =>
  runsOf(all)
    .flatMap(({ steps }) => {
      const [first] = steps;
      const { place, holding } = first?.setup ?? { place: '', holding: '' };
      return [
        `== ${speak(`${place}: ${holding}`, 'mm')}`,
        ...steps.flatMap((s) => [
          `${s.title}${s.setup.tailstock === 'away' ? ' (tailstock away)' : ''}${s.speed === null ? '' : `, ${s.speed}`}${s.measures.length > 0 ? `, measure ${s.measures.join(', ')}` : ''}`,
          ...s.words.map((w) => `    ${speak(w, 'mm')}`),
          ...(s.wait ? [`    ${s.wait.what}: ${s.wait.minutes} min`] : []),
        ]),
      ];
    })
    .join('\n')
    .concat('\n');

const PARTS = demoPatterns.flatMap((demo) =>
  demo.body.parts.map((part) => ({
    name: demo.body.parts.length === 1 ? demo.name : `${demo.name}, ${part.name.toLowerCase()}`,
    demo,
    part,
  })),
);

describe.each(PARTS)('the route of the $name', ({ name, demo, part }) => {
  const made = planned(demo, part);

  it('plays without a Stop and makes what is drawn', () => {
    expect(made.findings.filter((f) => f.severity === 'stop').map((f) => f.what)).toEqual([]);
    expect(made.parts[0].steps.length).toBeGreaterThan(15);
  });

  it('reads as it was read by a person', () => {
    const file = join(__dirname, 'routes', `${name}.txt`);
    const text = asRead(made.parts[0]);
    if (process.env['WRITE_ROUTES'] !== undefined || !existsSync(file)) writeFileSync(file, text);
    expect(text).toBe(readFileSync(file, 'utf8'));
  });
});

describe.each(demoPatterns.filter(({ body }) => body.joins !== undefined))(
  'the $name, put together',
  ({ name, ...demo }) => {
    const made = plannedWhole({ name, ...demo });

    it('plays without a Stop, each part as it is made alone', () => {
      expect(made.findings.filter((f) => f.severity === 'stop').map((f) => f.what)).toEqual([]);
      for (const part of made.parts) {
        const alone = planned(
          { name, ...demo },
          demo.body.parts.find((p) => p.id === part.partId)!,
        );
        expect(part.steps.map((s) => s.title)).toEqual(alone.parts[0].steps.map((s) => s.title));
      }
    });

    it('reads as it was read by a person', () => {
      const file = join(__dirname, 'routes', `${name}, put together.txt`);
      const text = asRead(made.item!);
      if (process.env['WRITE_ROUTES'] !== undefined || !existsSync(file)) writeFileSync(file, text);
      expect(text).toBe(readFileSync(file, 'utf8'));
    });
  },
);
