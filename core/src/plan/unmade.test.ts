import { dim } from '../measure/index.js';
import { STARTING_FORMS, type Part } from '../pattern/index.js';
import { exampleInputs } from './exampleShop.js';
import { plan } from './index.js';

const planned = (change: (part: Part) => Part, formId?: string) => {
  const { pattern, workshop, stock, order, schools } = exampleInputs(2);
  const form = STARTING_FORMS.find((f) => f.id === formId);
  const body = form ? { ...form.body({}, 'maple'), hardware: [] } : { ...pattern, hardware: [] };
  const [part] = body.parts;
  return plan({ ...body, parts: [change(part)] }, workshop, stock, order, schools);
};
const unmade = (change: (part: Part) => Part) =>
  planned(change)
    .findings.filter((f) => f.id.startsWith('unmade.'))
    .map((f) => [f.severity, f.what]);

describe('what is drawn and made by no step is a Stop that names it', () => {
  const onFirst = (part: Part) => part.turnings[0].elements[0]!;

  it('nothing of a plain piece', () => expect(unmade((part) => part)).toEqual([]));

  it.each(['burnt line', 'texture', 'colour'] as const)('a %s', (kind) => {
    const decoration = (part: Part) => ({
      id: 'd1',
      kind,
      elementId: onFirst(part).id,
      from: dim(0.5),
      width: dim(1),
    });
    expect(unmade((part) => ({ ...part, decorations: [decoration(part)] }))).toEqual([
      ['stop', `The ${kind} on the foot is drawn and made by no step.`],
    ]);
  });

  it('a further axis, and a hollow', () => {
    const axis = { shift: dim(3), direction: 0, tilt: 0 };
    const further = { id: 't2', startDiameter: dim(20), axis, elements: [] };
    expect(unmade((part) => ({ ...part, turnings: [part.turnings[0], further] }))).toEqual([
      ['stop', 'What is turned about the further axis is drawn and made by no step.'],
    ]);
    const bowl = { id: 'h1', name: 'bowl', axis, rim: dim(5), startDiameter: dim(9), elements: [] };
    expect(unmade((part) => ({ ...part, hollows: [bowl] }))).toEqual([
      ['stop', 'The bowl is drawn and made by no step.'],
    ]);
  });
});

describe('a square that is left', () => {
  const rough = (formId?: string) =>
    planned((part) => part, formId)
      .parts[0].steps.find((s) => s.id === 'rough')!
      .words.join(' ');

  it('is not roughed round: it is told where it begins and ends, and only the rest is roughed', () => {
    const words = rough('leg');
    expect(words).toContain('Leave the square from ⟦0⟧ to ⟦90⟧ as it is');
    expect(words).not.toContain('no flats left anywhere');
  });

  it('where there is none all is roughed', () => expect(rough()).toContain('no flats left anywhere'));
});
