import { kindRow, type SetupState, type Step, type WorkKind } from '../route/index.js';
import type { Material } from '../material/index.js';
import type { Mount } from '../mounting/index.js';
import type { UsedBy } from '../pattern/index.js';
import type { FinishKind, GlueKind } from '../workshop/index.js';

/** A caution and the steps where it matters. */
export interface Caution {
  id: string;
  words: string;
  stepIds: string[];
}

export interface SafetyContext {
  steps: readonly Step[];
  material: Material;
  mount: Mount;
  finish: FinishKind | undefined;
  /** which joins use which glue */
  glued: readonly { joinId: string; glue: GlueKind }[];
  /** the blank's corners are sawn off */
  clipped: boolean;
  usedBy: UsedBy;
  /** largest surface speed of any stage, m/min */
  fastest: number;
  shortBlank: boolean;
}

interface Rule {
  id: string;
  words: (context: SafetyContext) => string;
  applies: (context: SafetyContext) => boolean;
  at: (step: Step, context: SafetyContext) => boolean;
}

/** Steps of one of these kinds of work. */
const on =
  (...works: WorkKind[]) =>
  ({ operation }: Step) =>
    operation !== undefined && works.includes(kindRow(operation.kind).work);

const always = () => true;
const glueing =
  (...glues: GlueKind[]) =>
  (step: Step, { glued }: SafetyContext) =>
    glued.some((g) => g.joinId === step.operation?.subject && glues.includes(g.glue));

/** The bit turns in the headstock, and the work is fed to it. */
const FED: SetupState['drive'] = 'fed by hand';

/** A piece that lets go at this surface speed goes through a face shield's first layer, m/min. */
const FAST = 700;

/** Usual cautions by rule; local codes, product sheets and licensed practice go before them. */
const RULES: Rule[] = [
  {
    id: 'saw-short',
    applies: (c) => c.shortBlank,
    at: on('sawing'),
    words: () => 'Hold short stock in a sled or with a stop, never with the fingers near the blade.',
  },
  {
    id: 'saw-corners',
    applies: (c) => c.clipped,
    at: on('clipping'),
    words: () => 'Clip corners in a V cradle; the square must not roll under the blade.',
  },
  {
    id: 'drill-clamp',
    applies: always,
    at: (step) => step.stage === 'drill' && step.setup.place !== 'lathe',
    words: () => 'Clamp the blank; a bit that grabs spins it. Clear chips with a brush, spindle stopped.',
  },
  {
    id: 'drill-headstock',
    applies: always,
    at: (step) => step.stage === 'drill' && step.setup.drive === FED,
    words: () =>
      'A drill chuck turns in the headstock only with its draw bar tight; feed the work with the tailstock, never by a hand round it.',
  },
  {
    id: 'drill-tailstock',
    applies: always,
    at: (step) => step.stage === 'drill' && step.setup.place === 'lathe' && step.setup.drive !== FED,
    words: () =>
      'Slowest speed, rest away; hold the drill chuck when you wind it back, or its taper lets go.',
  },
  {
    id: 'off-axis',
    applies: always,
    at: ({ meets }) => meets === 'off its axis',
    words: () =>
      'What runs off its axis is seen too late: slowest speed, turn it by hand right round, stand out of its plane.',
  },
  {
    id: 'interrupted',
    applies: always,
    at: ({ meets }) => meets === 'interrupted',
    words: () =>
      'The tool meets wood on part of each turn: rest close but clear of it by hand right round, light cuts, fingers behind the rest.',
  },
  {
    id: 'tape',
    applies: (c) => c.mount.kind === 'tape plate',
    at: on('mounting', 'roughing'),
    words: () => 'Tape lets go without warning: live centre up, light cuts, out of its plane.',
  },
  {
    id: 'glue-gloves',
    applies: always,
    at: glueing('epoxy', 'foaming'),
    words: () => 'Gloves for the glue, off again before anything turns.',
  },
  {
    id: 'glue-fumes',
    applies: always,
    at: glueing('cyanoacrylate'),
    words: () => 'Its fumes sting: air, eyes away, and nothing of cotton to soak it up.',
  },
  {
    id: 'shield',
    applies: always,
    at: on('mounting', 'roughing'),
    words: () =>
      'Face shield, not only glasses. Turn by hand once, rest locked, nobody in line with the piece.',
  },
  {
    id: 'sleeves',
    applies: always,
    at: on('mounting', 'turning'),
    words: () => 'Sleeves and cords away, no ring on the fingers.',
  },
  {
    id: 'chuck',
    applies: (c) => c.mount.kind === 'chuck',
    at: on('mounting'),
    words: () => 'Tenon shoulder hard against the jaws, jaws only just open, key out.',
  },
  {
    id: 'mandrel',
    applies: (c) => c.mount.kind === 'mandrel',
    at: on('mounting'),
    words: () => 'Draw bar tight, so that the mandrel cannot creep out.',
  },
  {
    id: 'fast',
    applies: (c) => c.fastest > FAST,
    at: on('turning'),
    words: (c) =>
      `The outside runs at up to ${Math.round(c.fastest)} m/min: stand beside it when it comes up to speed.`,
  },
  {
    id: 'dust',
    applies: (c) => c.material.dust === 'usual',
    at: on('sanding'),
    words: () => 'Respirator on and extraction running before the first grit.',
  },
  {
    id: 'dust-irritant',
    applies: (c) => c.material.dust === 'irritant',
    at: on('roughing', 'sanding'),
    words: (c) =>
      `${c.material.name} dust irritates: respirator and extraction before the first cut, skin covered.`,
  },
  {
    id: 'dust-sensitiser',
    applies: (c) => c.material.dust === 'sensitiser',
    at: on('drilling', 'roughing', 'sanding'),
    words: (c) =>
      `${c.material.name} dust can make people allergic for good: respirator, extraction, gloves only away from the lathe, and wash afterwards.`,
  },
  {
    id: 'rest-away',
    applies: always,
    at: on('sanding'),
    words: () => 'Take the rest away; fold paper, never wind it round a finger.',
  },
  {
    id: 'paper',
    applies: (c) => c.finish === 'friction polish' || c.finish === 'wax' || c.finish === 'burnish',
    at: on('coating'),
    words: () => 'Polish with paper, not cloth: paper tears when it catches.',
  },
  {
    id: 'rags',
    applies: (c) => c.finish === 'oil',
    at: on('coating'),
    words: () => 'Rags with oil lie flat outdoors or under water; crumpled they catch fire by themselves.',
  },
  {
    id: 'spray',
    applies: (c) => c.finish === 'lacquer',
    at: on('coating'),
    words: () => 'No flame or spark near lacquer, and a mask for its fumes.',
  },
  {
    id: 'food',
    applies: (c) => c.usedBy === 'food',
    at: on('coating', 'joining'),
    words: () =>
      'For food: look up your local rules on extractables and ask the maker of the finish. Compas does not say that it complies.',
  },
  {
    id: 'child',
    applies: (c) => c.usedBy === 'child',
    at: on('coating', 'joining'),
    words: () =>
      'For a child: look up your local rules on small parts, strength and finish. Compas does not say that it complies.',
  },
];

/** The cautions that apply, each tied to the steps where it matters; none without a step. */
export function cautionsFor(context: SafetyContext): Caution[] {
  return RULES.filter((rule) => rule.applies(context))
    .map((rule) => ({
      id: rule.id,
      words: rule.words(context),
      stepIds: context.steps.filter((step) => rule.at(step, context)).map((s) => s.id),
    }))
    .filter((caution) => caution.stepIds.length > 0);
}
