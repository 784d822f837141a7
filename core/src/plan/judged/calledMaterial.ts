import type { Material } from '../../material/index.js';
import type { Finding } from '../../measure/index.js';
import type { Step } from '../../route/index.js';
import type { Caution } from '../../safety/index.js';

/** What is not grown in rings of a tree is not called wood at the lathe. */
const CALLED: Partial<Record<Material['family'], string>> = {
  horn: 'horn',
  antler: 'antler',
  resin: 'resin',
};

type Say = (text: string) => string;

/**
 * Words about a piece as its material is called: the horn, where the same is said of wood. Only the piece itself is
 * meant by “the wood”; scraps, blocks and jaws of wood stay what they are.
 */
function sayer({ family }: Pick<Material, 'family'>): Say | null {
  const name = CALLED[family];
  return name === undefined ? null : (text) => text.replace(/\b([Tt]he) wood\b/g, `$1 ${name}`);
}

interface Said {
  steps: Step[];
  cautions: Caution[];
  findings: Finding[];
}

/** Steps, cautions and findings of a part in the words of its material. */
export function calledMaterial(
  { steps, cautions, findings }: Said,
  material: Pick<Material, 'family'>,
): Said {
  const say = sayer(material);
  if (say === null) return { steps, cautions, findings };
  return {
    steps: steps.map((step) => ({ ...step, title: say(step.title), words: step.words.map(say) })),
    cautions: cautions.map((caution) => ({ ...caution, words: say(caution.words) })),
    findings: findings.map((f) => ({ ...f, what: say(f.what), why: say(f.why), remedy: say(f.remedy) })),
  };
}
