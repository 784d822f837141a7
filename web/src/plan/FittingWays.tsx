import {
  bitWords,
  chosenSchedule,
  kitWays,
  minutesInWords,
  plan,
  type Bit,
  type KitWay,
  type PartPlan,
  type PlanInputs,
} from '@compas/core';
import { useMemo, type ReactNode } from 'react';
import { Say } from '../ui/Length.js';
import type { Choose } from './draft.js';
import { AlwaysSo } from './own/AlwaysSo.js';

interface FittingWaysProps {
  part: PartPlan;
  inputs: PlanInputs;
  choose?: Choose;
}

/** The ways in which the hardware can be fitted, each planned through, side by side. */
export function FittingWays({ part, inputs, choose }: FittingWaysProps) {
  const kit = part.hardware?.kit;
  const compared = useMemo(() => {
    if (!kit) return [];
    const ways = kitWays(kit);
    return ways.length < 2 ? [] : ways.map((way) => ({ way, ...planned(inputs, way) }));
  }, [kit, inputs]);
  if (compared.length === 0) return null;
  const taken = part.hardware?.needs.way;
  return (
    <>
      {taken !== undefined && (
        <AlwaysSo
          part={part}
          inputs={inputs}
          decides={{ kind: 'fitting', way: taken }}
          label="Fit it so always"
        />
      )}
      <table className="table schools" aria-label="Ways to fit the hardware">
        <thead>
          <tr>
            <th>Fit it</th>
            {compared.map(({ way }) => (
              <th key={way.way} data-taken={way.way === taken}>
                {choose ? (
                  <label>
                    <input
                      type="radio"
                      name="fitting"
                      checked={way.way === taken}
                      onChange={() => choose('fit', way.way)}
                    />{' '}
                    {way.label}
                  </label>
                ) : (
                  <>
                    {way.way === taken && '● '}
                    {way.label}
                  </>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <Row
            head="bit"
            compared={compared}
            cell={(c) => (c.bit === null ? 'none that fits' : <Say text={bitWords(c.bit)} />)}
          />
          <Row head="held" compared={compared} cell={(c) => c.held} />
          <Row
            head="waits"
            compared={compared}
            cell={(c) => (c.waits === 0 ? 'nothing' : minutesInWords(c.waits))}
          />
          <Row head="hands on, all" compared={compared} cell={(c) => minutesInWords(Math.round(c.handsOn))} />
          <Row head="ready" compared={compared} cell={(c) => c.ready} />
          <Row head="for it" compared={compared} cell={(c) => c.way.gains} />
          <Row head="against it" compared={compared} cell={(c) => c.way.costs} />
        </tbody>
      </table>
    </>
  );
}

interface Compared {
  way: KitWay;
  bit: Bit | null;
  held: string;
  waits: number;
  handsOn: number;
  ready: string;
}

/** A plan takes about two milliseconds: every way is planned through rather than guessed. */
function planned(inputs: PlanInputs, { way }: KitWay): Omit<Compared, 'way'> {
  const { pattern, workshop, stock, order, schools } = inputs;
  const made = plan(pattern, workshop, stock, { ...order, fitting: way }, schools);
  const [part] = made.parts;
  const schedule = chosenSchedule(made);
  return {
    bit: part.drilling[0]?.bit ?? null,
    held: part.mount.label.charAt(0).toLowerCase() + part.mount.label.slice(1),
    waits: part.joins.reduce((sum, j) => sum + (j.cureMinutes ?? 0), 0),
    handsOn: schedule.handsOnMinutes,
    ready: schedule.end.replace('T', ' '),
  };
}

function Row({
  head,
  compared,
  cell,
}: {
  head: string;
  compared: readonly Compared[];
  cell: (c: Compared) => ReactNode;
}) {
  return (
    <tr>
      <th scope="row">{head}</th>
      {compared.map((c) => (
        <td key={c.way.way}>{cell(c)}</td>
      ))}
    </tr>
  );
}
