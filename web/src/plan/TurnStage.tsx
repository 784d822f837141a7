import {
  clipsCorners,
  keysOf,
  type Plan,
  type PlanInputs,
  SPEED_SCHOOLS,
  type SpeedChoice as StageSpeed,
  stageSpeeds,
  type Step,
  type TurningStage,
} from '@compas/core';
import { Worked } from '../ui/Worked.js';
import { CutOrder } from './own/CutOrder.js';
import { OwnList } from './own/OwnList.js';
import { SpeedChoice } from './own/SpeedChoice.js';
import { RouteList } from './RouteList.js';

const OF_TURNING = ['tool', 'before', 'speed', 'pace', 'minutes', 'extra', 'without'] as const;

/** Order of cuts with its tools, and the speed of each stage by every school. */
export function TurnStage({ plan, inputs }: { plan: Plan; inputs: PlanInputs }) {
  const [part] = plan.parts;
  const isUsualOrder = !part.own?.some(({ way }) => way.decides.kind === 'before');
  const others = keysOf(SPEED_SCHOOLS).filter((school) => school !== plan.schools.speed);
  const clipped = clipsCorners(part.pieces, part.outline, inputs.order.stockForm);
  const compared = others.map((school) => ({
    school,
    speeds: stageSpeeds({ ...part, clipped }, inputs.workshop, school),
  }));
  // plans of before say of no step what the lathe turns for
  const told = part.steps.some((s) => s.operation?.turns !== undefined);
  const used = part.speeds.filter(({ stage }) => !told || speedsOf(part.steps, stage).length > 0);
  return (
    <div className="column">
      <h2>
        {part.cuts.length} cuts, {part.toolChanges} {part.toolChanges === 1 ? 'change' : 'changes'} of tool
      </h2>
      <p className="soft">
        {isUsualOrder
          ? 'The end far from the drive first, so that the wood behind each cut stays thick; always'
          : 'In your order; always'}{' '}
        downhill. Each place is sized just before it is cut.
      </p>
      <OwnList part={part} workshop={inputs.workshop} kinds={OF_TURNING} />
      <CutOrder part={part} findings={plan.findings} />
      <h2>Step by step</h2>
      <RouteList part={part} tools={inputs.workshop.tools} drive={inputs.workshop.lathe.drive} />
      <h2>Speeds</h2>
      <p className="soft">
        For the largest diameter. In a step the wood decides as it stands then: corners that still turn, and
        what is long and thin, go slower.
      </p>
      <table className="table">
        <thead>
          <tr>
            <th>To</th>
            <th className="number">{SPEED_SCHOOLS[plan.schools.speed]}, followed</th>
            {others.map((school) => (
              <th key={school} className="number">
                {SPEED_SCHOOLS[school]}
              </th>
            ))}
            <th className="number">outside runs at</th>
            <th className="number">in its steps</th>
          </tr>
        </thead>
        <tbody>
          {used.map((speed) => (
            <tr key={speed.stage}>
              <td>{speed.stage}</td>
              <td className="number">
                <Worked figure={speed.figure}>
                  <b>
                    <Speed speed={speed} />
                  </b>
                </Worked>
              </td>
              {compared.map(({ school, speeds }) => (
                <td key={school} className="number soft">
                  <Speed speed={speeds.find((s) => s.stage === speed.stage)} />
                </td>
              ))}
              <td className="number figures">
                {speed.surfaceSpeed === 0 ? '' : `${Math.round(speed.surfaceSpeed)} m/min`}
              </td>
              <td className="number figures">{speedsOf(part.steps, speed.stage).join(', ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <SpeedChoice speeds={used} drive={inputs.workshop.lathe.drive} />
    </div>
  );
}

/** The speeds that steps of a stage run at, each once; plans of before had one for all. */
const speedsOf = (steps: readonly Step[], stage: TurningStage): string[] => [
  ...new Set(steps.flatMap(({ speed, operation }) => (operation?.turns === stage && speed ? [speed] : []))),
];

function Speed({ speed }: { speed: StageSpeed | undefined }) {
  if (!speed) return null;
  if (speed.rpm === null || speed.rpm === 0) return speed.words;
  return (
    <span className="figures">
      {speed.rpm} rpm{speed.wish !== speed.rpm ? ` (of ${speed.wish})` : ''}
    </span>
  );
}
