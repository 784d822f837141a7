import { stepDoes } from '../route/index.js';
import { dim } from '../measure/index.js';
import { STARTING_FORMS, type Decoration, type Part } from '../pattern/index.js';
import { exampleInputs } from './exampleShop.js';
import { plan } from './index.js';

const planned = (change: (part: Part) => Part, formId?: string) => {
  const { pattern, workshop, stock, order, schools } = exampleInputs(2);
  const form = STARTING_FORMS.find((f) => f.id === formId);
  const body = form ? { ...form.body({}, 'maple'), hardware: [] } : { ...pattern, hardware: [] };
  const [part] = body.parts;
  return plan({ ...body, parts: [change(part)] }, workshop, stock, order, schools);
};
const stops = (change: (part: Part) => Part, formId?: string) =>
  planned(change, formId)
    .findings.filter((f) => f.severity === 'stop')
    .map((f) => f.what);

describe('what is drawn is made by the route, or it is a Stop that names it', () => {
  const onFirst = (part: Part) => part.turnings[0].elements[0]!;

  it('nothing is said against a plain piece', () => expect(stops((part) => part)).toEqual([]));

  it.each(['burnt line', 'texture', 'colour'] as const)('a %s has a step of its own', (kind) => {
    const line = (part: Part): Decoration => ({
      id: 'd1',
      kind,
      elementId: onFirst(part).id,
      from: dim(0.5),
      width: dim(1),
    });
    const decorated = (part: Part) => ({ ...part, decorations: [line(part)] });
    expect(stops(decorated)).toEqual([]);
    const steps = planned(decorated).parts[0].steps;
    const made = { 'burnt line': 'burnt', texture: 'textured', colour: 'dyed' }[kind];
    const at = steps.findIndex((s) => s.id === `${made}:d1:once`);
    // after the last grit, before the first coat
    expect(at).toBeGreaterThan(steps.findLastIndex((s) => stepDoes(s, 'sanded')));
    expect(at).toBeLessThan(steps.findIndex((s) => stepDoes(s, 'coated')));
  });

  it('a way that cannot be gone: there are no steps, and the reason stands first', () => {
    const { pattern, workshop, stock, order, schools } = exampleInputs(2);
    const bare = { ...pattern, hardware: [] };
    const none = plan(bare, { ...workshop, chucks: [] }, stock, { ...order, mount: 'chuck' }, schools);
    expect(none.parts[0].steps).toEqual([]);
    expect(none.findings.filter((f) => f.severity === 'stop').map((f) => f.id)).toContain('route.none.part1');
  });
});

describe('a square that is left', () => {
  const rough = (formId?: string) =>
    planned((part) => part, formId)
      .parts[0].steps.filter((s) => stepDoes(s, 'rough'))
      .flatMap((s) => s.words)
      .join(' ');

  it('is not roughed round: its corners are nicked, and only the rest is roughed', () => {
    const words = rough('leg');
    expect(words).toContain('nick its corners first');
    expect(words).not.toContain('no flats left anywhere');
  });

  it('where there is none all is roughed', () => expect(rough()).toContain('no flats left anywhere'));
});
