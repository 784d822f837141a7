import { STARTING_FORMS } from '../../pattern/index.js';
import { exampleInputs } from '../exampleShop.js';
import { plan } from '../plan.js';

/** Every word of a plan of a form in a material. */
function saidOf(form: string, materialId: string): string[] {
  const { workshop, stock, order, schools } = exampleInputs(2);
  const body = { ...STARTING_FORMS.find((f) => f.id === form)!.body({}, materialId), hardware: [] };
  const made = plan(body, workshop, stock, { ...order, materialId }, schools);
  return [
    ...made.parts.flatMap((p) => [
      ...p.steps.flatMap((s) => [s.title, ...s.words]),
      ...p.cautions.map((c) => c.words),
    ]),
    ...made.findings.flatMap((f) => [f.what, f.why, f.remedy]),
  ];
}

describe('what a piece is called', () => {
  it.each(['horn', 'antler'])('is %s, and never the wood', (material) => {
    for (const form of ['finial', 'light-pull', 'tool-handle', 'ball']) {
      const words = saidOf(form, material);
      expect(words.filter((w) => /\bthe wood\b/i.test(w))).toEqual([]);
      expect(words.some((w) => new RegExp(`the ${material}`, 'i').test(w))).toBe(true);
    }
  });

  it('stays wood where it is wood, and so do the scraps and jaws that hold horn', () => {
    expect(saidOf('finial', 'maple').some((w) => /\bthe wood\b/i.test(w))).toBe(true);
    const horn = saidOf('ball', 'horn').join(' ');
    expect(horn).not.toMatch(/horn block|soft horn|hornen/);
  });
});
