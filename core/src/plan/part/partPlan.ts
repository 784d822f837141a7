import type { Join } from '../../assembly/index.js';
import type { Figure, Finding, Stage } from '../../measure/index.js';
import type { Shop, Step } from '../../route/index.js';
import type { CrossOperation, DrillOperation, KitNeeds, Kit } from '../../hardware/index.js';
import type { Station } from '../../inspect/index.js';
import type { Layout } from '../../layout/index.js';
import type { Material } from '../../material/index.js';
import type { Centring, Mount } from '../../mounting/index.js';
import type {
  Bore,
  CaptiveRing,
  CrossWall,
  FittedHardware,
  Hole,
  Hollow,
  LeastWall,
  Outline,
} from '../../pattern/index.js';
import type { Caution } from '../../safety/index.js';
import type { Blank } from '../../stock/index.js';
import type { FinishProtocol, GritStep } from '../../surface/index.js';
import type { Cut, SpeedChoice } from '../../turning/index.js';
import type { FollowedWay, ScopedWay } from '../ways/ownWays.js';

/** A kit fitted to the part, with what it asks for. */
export interface PlannedHardware {
  fitted: FittedHardware;
  kit: Kit;
  needs: KitNeeds;
}

/** All that has to be known to make one part of an item. Lengths mm, mass g. */
export interface PartPlan {
  partId: string;
  name: string;
  pieces: number;
  material: Material;
  outline: Outline;
  largestDiameter: number;
  mass: number;
  hardware: PlannedHardware | null;
  /** what else is fitted to the part */
  otherHardware?: PlannedHardware[];
  holes: Hole[];
  /** bowls and recesses; plans made before there were any have none */
  hollows?: Hollow[];
  /** turned out of the same wood, round it; plans made before there were any have none */
  rings?: CaptiveRing[];
  leastWall: LeastWall | null;
  /** cross holes where they lie; plans made before there were any have none */
  bores?: Bore[];
  crossWall?: CrossWall | null;
  mounts: [Mount, ...Mount[]];
  mount: Mount;
  blank: Blank;
  /** how its centres are found; plans made before there was a choice have none */
  centring?: Centring;
  drilling: DrillOperation[];
  /** cross holes in the order they are drilled; plans made before there were bits for them have none */
  crossDrilling?: CrossOperation[];
  layout: Layout;
  speeds: SpeedChoice[];
  cuts: Cut[];
  toolChanges: number;
  ladder: GritStep[];
  finish: FinishProtocol | null;
  joins: Join[];
  steps: Step[];
  stations: Station[];
  cautions: Caution[];
  /** corners are sawn off before it is roughed; plans made before there were routes do not say */
  clipped?: boolean;
  /** what is done otherwise than usual; nothing where all is usual */
  own?: FollowedWay[];
  /** what was decided for it and has nothing left that it is about */
  homeless?: ScopedWay[];
}

/** A part plan that has everything but its steps and what follows from them. */
export type PartDraft = Omit<PartPlan, 'steps' | 'cautions' | 'own' | 'homeless'>;

/** A part's plan with its findings and figures by stage. */
export interface PlannedPart {
  plan: PartPlan;
  findings: Finding[];
  figures: Partial<Record<Stage, Figure[]>>;
  /** the shop when the part is made */
  end: Shop;
}
